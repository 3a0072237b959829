import { CARE_KINDS, NO_SHOW_REASONS } from '@bright-sprout/core/shared';
import type { UnitMove } from '@bright-sprout/core/design';
import type { EntityManager } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { type CareEvent, insertCare } from '../care/index.ts';
import { Container } from '../plans/index.ts';
import type { Bundle, BundleRow } from './bundle.ts';

const MOST_WORDS = 500;
const MOST_JOINED = 4000;
const MOST_NAME = 60;

/** The care of an experiment as a bundle has it: pots and containers by their numbers. */
export function careTables(
  events: readonly CareEvent[],
  nameOf: (event: CareEvent) => string,
  numbers: ReadonlyMap<string, number>,
  containers: ReadonlyMap<string, number>,
): Pick<Bundle['tables'], 'care' | 'care_pots' | 'moves'> {
  return {
    care: events.map((event) => ({
      care: event.id,
      happened_on: event.happenedOn,
      kind: event.kind,
      amount: event.amount === null ? '' : String(event.amount),
      words: event.note,
      reason: event.reason ?? '',
      observer: nameOf(event),
      is_undone: String(event.undoneAt !== null),
    })),
    care_pots: events.flatMap(({ id, units }) =>
      units
        .flatMap(({ unitId }) => numbers.get(unitId) ?? [])
        .sort((a, b) => a - b)
        .map((unit) => ({ care: id, unit: String(unit) })),
    ),
    moves: events.flatMap(({ id, moves }) =>
      moves.map(({ unitId, containerId, placeRow, placeColumn }) => ({
        care: id,
        unit: String(numbers.get(unitId) ?? ''),
        container: String(containers.get(containerId) ?? ''),
        row: String(placeRow),
        column: String(placeColumn),
      })),
    ),
  };
}

/** Keeps the care of a bundle; rows that name no kind or no pot of it are left out. */
export async function insertBundledCare(
  manager: EntityManager,
  experimentId: string,
  { care, care_pots: pots, moves }: Bundle['tables'],
  unitIds: ReadonlyMap<number, string>,
): Promise<void> {
  const containers = await manager.find(Container, { where: { experimentId }, order: { position: 'ASC' } });
  const potsOf = byCare(pots);
  const movesOf = byCare(moves);
  await insertCare(
    manager,
    care.flatMap((row) => {
      const kind = CARE_KINDS.find((one) => one === row.kind);
      const units = [
        ...(potsOf.get(row.care ?? '') ?? []).map(({ unit = '' }) => unit),
        ...joined(row.units),
      ];
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
          moves: movesTo(
            [...(movesOf.get(row.care ?? '') ?? []), ...joinedMoves(row.moves)],
            unitIds,
            containers,
          ),
          observer: (row.observer ?? '').slice(0, MOST_NAME),
          undoneAt: row.is_undone === 'true' ? new Date() : null,
        },
      ];
    }),
  );
}

function byCare(rows: readonly BundleRow[]): Map<string, BundleRow[]> {
  const found = new Map<string, BundleRow[]>();
  for (const row of rows) {
    const key = row.care ?? '';
    const own = found.get(key);
    if (own) own.push(row);
    else if (key !== '') found.set(key, [row]);
  }
  return found;
}

/** Bundles of before name pots and places in a cell, joined by spaces. */
function joined(cell: string | undefined): string[] {
  return (cell ?? '')
    .slice(0, MOST_JOINED)
    .split(' ')
    .filter((part) => part !== '');
}

function joinedMoves(cell: string | undefined): BundleRow[] {
  return joined(cell).flatMap((part) => {
    const [, unit, container, row, column] = /^(\d+):(\d+)\/(\d+)\/(\d+)$/.exec(part) ?? [];
    return unit && container && row && column ? [{ unit, container, row, column }] : [];
  });
}

function movesTo(
  rows: readonly BundleRow[],
  unitIds: ReadonlyMap<number, string>,
  containers: readonly Container[],
): UnitMove[] {
  return rows.flatMap((move) => {
    const [row, column] = [Number(move.row), Number(move.column)];
    const unitId = unitIds.get(Number(move.unit));
    const container = containers[Number(move.container) - 1];
    if (!unitId || !container || !(row >= 1) || !(column >= 1)) return [];
    if (row > container.gridRows || column > container.gridColumns) return [];
    return [{ unitId, containerId: container.id, row, column }];
  });
}
