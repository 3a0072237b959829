import { CARE_KINDS, NO_SHOW_REASONS } from '@bright-sprout/core/shared';
import type { UnitMove } from '@bright-sprout/core/design';
import type { EntityManager } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { type CareEvent, insertCare } from '../care/index.ts';
import { Container } from '../plans/index.ts';
import type { BundleRow } from './bundle.ts';

const MOST_WORDS = 500;
const MOST_UNITS_TEXT = 4000;
const MOST_NAME = 60;

/** A care event as a row of a bundle; pots and containers by their numbers. */
export function careRow(
  event: CareEvent,
  observer: string,
  numbers: ReadonlyMap<string, number>,
  containers: ReadonlyMap<string, number>,
): BundleRow {
  return {
    happened_on: event.happenedOn,
    kind: event.kind,
    amount: event.amount === null ? '' : String(event.amount),
    units: event.units
      .flatMap(({ unitId }) => numbers.get(unitId) ?? [])
      .sort((a, b) => a - b)
      .join(' '),
    words: event.note,
    reason: event.reason ?? '',
    moves: event.moves
      .map(
        ({ unitId, containerId, placeRow, placeColumn }) =>
          `${numbers.get(unitId)}:${containers.get(containerId)}/${placeRow}/${placeColumn}`,
      )
      .join(' '),
    observer,
    is_undone: String(event.undoneAt !== null),
  };
}

/** Keeps the care of a bundle; rows that name no kind or no pot of it are left out. */
export async function insertBundledCare(
  manager: EntityManager,
  experimentId: string,
  rows: readonly BundleRow[],
  unitIds: ReadonlyMap<number, string>,
): Promise<void> {
  const containers = await manager.find(Container, { where: { experimentId }, order: { position: 'ASC' } });
  await insertCare(
    manager,
    rows.flatMap((row) => {
      const kind = CARE_KINDS.find((one) => one === row.kind);
      const units = (row.units ?? '')
        .slice(0, MOST_UNITS_TEXT)
        .split(' ')
        .filter((number) => number !== '');
      const ids = units.flatMap((number) => unitIds.get(Number(number)) ?? []);
      if (!kind || (units.length > 0 && ids.length === 0)) return [];
      const amount = row.amount ? Number(row.amount) : null;
      return [
        {
          id: uuid(),
          experimentId,
          unitIds: units.length === 0 ? null : ids,
          happenedOn: row.happened_on ?? '',
          kind,
          amount: amount !== null && Number.isFinite(amount) ? amount : null,
          note: (row.words ?? '').slice(0, MOST_WORDS),
          reason: NO_SHOW_REASONS.find((one) => one === row.reason) ?? null,
          moves: movesIn(row.moves ?? '', unitIds, containers),
          observer: (row.observer ?? '').slice(0, MOST_NAME),
          undoneAt: row.is_undone === 'true' ? new Date() : null,
        },
      ];
    }),
  );
}

function movesIn(
  text: string,
  unitIds: ReadonlyMap<number, string>,
  containers: readonly Container[],
): UnitMove[] {
  return text.split(' ').flatMap((part) => {
    const [, number, at, row, column] = (/^(\d+):(\d+)\/(\d+)\/(\d+)$/.exec(part) ?? []).map(Number);
    const unitId = unitIds.get(number ?? 0);
    const container = containers[(at ?? 0) - 1];
    if (!unitId || !container || !row || !column) return [];
    if (row > container.gridRows || column > container.gridColumns) return [];
    return [{ unitId, containerId: container.id, row, column }];
  });
}
