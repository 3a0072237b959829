import { say } from '@bright-sprout/words/readings';
import type { UnitView, VariableView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ApiFailure } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { storedJson, storeJson } from '../shared/ui/index.ts';
import { readBlock, readCell } from './cell-text.ts';
import type { PastedCell } from './paste-preview.tsx';
import { type CellState, keptText } from './sheet-cell.tsx';
import { useKeepReadings } from './use-keep-reading.ts';

/** What is typed into the sheet of a day: cells that are not kept yet, what was pasted, and how both are kept. */
export function useSheet(units: readonly UnitView[]) {
  const { experiment, readings, day } = useExperiment();
  const { variables } = experiment;
  const typed = `${TYPED}${experiment.id}.${day}`;
  const [cells, setCells] = useState<Readonly<Record<string, CellState>>>(() => typedBefore(typed));
  const [pasted, setPasted] = useState<readonly PastedCell[]>();
  const at = useRef<[number, number]>([0, 0]);
  /** What was kept last of each cell since it was typed into: Enter and leaving the cell after it are one reading. */
  const keptLast = useRef(new Map<string, string>());
  const keep = useKeepReadings();
  const kept = useMemo(() => keptOf(readings, day), [readings, day]);
  useEffect(() => rememberTyped(typed, cells), [typed, cells]);
  const set = (key: string, text: string): void => {
    keptLast.current.delete(key);
    setCells((before) => ({ ...before, [key]: { text, refusal: undefined } }));
  };
  const refuse = (key: string, refusal: string): void => {
    keptLast.current.delete(key);
    setCells((before) => ({ ...before, [key]: { text: before[key]?.text ?? '', refusal } }));
  };

  const save = (unit: UnitView, variable: VariableView, text: string): void => {
    const key = keyOf(unit, variable);
    const before = kept.get(key);
    const cell = readCell(text, variable);
    if (cell.kind !== 'reading' || text === keptText(before, variable)) return;
    if (keptLast.current.get(key) === text) return;
    keptLast.current.set(key, text);
    const { state, entered } = cell;
    keep
      .mutateAsync({ unit, variable, state, entered, supersedesId: before?.id ?? null })
      .then(() => setCells((now) => (now[key]?.text === text ? without(now, key) : now)))
      .catch((error: unknown) =>
        refuse(key, error instanceof ApiFailure ? error.message : say('notKeptTryAgain')),
      );
  };
  // What was typed when the page went away is kept as soon as the sheet is open again.
  const restored = useRef(false);
  useEffect(() => {
    if (restored.current) return;
    restored.current = true;
    for (const unit of units)
      for (const variable of variables) {
        const text = cells[keyOf(unit, variable)]?.text;
        if (text) save(unit, variable, text);
      }
  });
  const paste = (row: number, column: number, text: string): boolean => {
    const block = readBlock(text);
    if (block.length === 1 && block[0]?.length === 1) return false;
    setPasted(
      block.flatMap((line, down) =>
        line.flatMap((cell, across): PastedCell[] => {
          const unit = units[row + down];
          const variable = variables[column + across];
          return cell.trim() === '' ? [] : [{ text: cell, unit, variable }];
        }),
      ),
    );
    return true;
  };
  const takePasted = (): void => {
    for (const { unit, variable, text } of pasted ?? []) {
      if (!unit || !variable || readCell(text, variable).kind !== 'reading') continue;
      set(keyOf(unit, variable), text.trim());
      save(unit, variable, text.trim());
    }
    setPasted(undefined);
  };
  const fillDown = (): void => {
    const [row, column] = at.current;
    const variable = variables[column];
    const from = units[row];
    if (!variable || !from) return;
    const text = cells[keyOf(from, variable)]?.text ?? keptText(kept.get(keyOf(from, variable)), variable);
    for (const unit of units.slice(row + 1)) {
      const key = keyOf(unit, variable);
      if (text === '' || kept.has(key) || (cells[key]?.text ?? '') !== '') continue;
      set(key, text);
      save(unit, variable, text);
    }
  };
  return {
    cells,
    kept,
    pasted,
    /** Cells that are being typed into, and where the last of them was. */
    typeInto: (unit: UnitView, variable: VariableView, text: string) => set(keyOf(unit, variable), text),
    stand: (row: number, column: number) => {
      at.current = [row, column];
    },
    save,
    paste,
    takePasted,
    leavePasted: () => setPasted(undefined),
    fillDown,
  };
}

const TYPED = 'bright-sprout.typed-sheet.';

/** What was typed and not kept when the page was left in the middle of a cell. */
function typedBefore(key: string): Record<string, CellState> {
  const texts = (storedJson(store, key) ?? {}) as Record<string, string>;
  return Object.fromEntries(
    Object.entries(texts).map(([cell, text]) => [cell, { text, refusal: undefined }]),
  );
}

function rememberTyped(key: string, cells: Readonly<Record<string, CellState>>): void {
  const texts = Object.entries(cells).map(([cell, { text }]) => [cell, text] as const);
  storeJson(store, key, texts.length === 0 ? undefined : Object.fromEntries(texts));
}

const store = (): Storage => sessionStorage;

/** What a cell is kept under. */
export function keyOf(unit: UnitView, variable: VariableView): string {
  return `${unit.id} ${variable.id}`;
}

function without(cells: Readonly<Record<string, CellState>>, key: string): Record<string, CellState> {
  return Object.fromEntries(Object.entries(cells).filter(([name]) => name !== key));
}

/** The last reading of the day that counts, by unit and variable. */
function keptOf(readings: readonly ReadingView[], day: string): Map<string, ReadingView> {
  return new Map(
    readings
      .filter((reading) => reading.counts && reading.observedOn === day)
      .map((reading) => [`${reading.unitId} ${reading.variableId}`, reading]),
  );
}
