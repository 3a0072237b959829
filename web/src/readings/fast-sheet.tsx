import { Said } from '../shared/ui/index.ts';
import { say } from '@bright-sprout/words/readings';
import type { UnitView, VariableView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { changeSinceLast, type UnitDay } from '@bright-sprout/core/growth';
import { calendarDay } from '@bright-sprout/core/shared';
import { readText } from '@bright-sprout/core/words';
import { useMemo, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { ApiFailure } from '../shared/api/index.ts';
import {
  findingsOf,
  findingText,
  styleOf,
  treatmentOf,
  unreadUnits,
  useExperiment,
} from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { recentDay, shortDay } from '../shared/ui/index.ts';
import { readBlock, readCell, STATE_KEYS } from './cell-text.ts';
import { type PastedCell, PastePreview } from './paste-preview.tsx';
import { type CellState, keptText, SheetCell } from './sheet-cell.tsx';
import { useJustRead } from './use-just-read.ts';
import { useKeepReadings } from './use-keep-reading.ts';
import { whyNot } from './why-not.ts';

/** Every pot in walking order, several variables side by side; each cell is kept when it is left. */
export function FastSheet() {
  const { experiment, readings, day } = useExperiment();
  const { variables } = experiment;
  const [cells, setCells] = useState<Readonly<Record<string, CellState>>>({});
  const [pasted, setPasted] = useState<readonly PastedCell[]>();
  const at = useRef<[number, number]>([0, 0]);
  const table = useRef<HTMLTableElement>(null);
  /** What was kept last of each cell since it was typed into: Enter and leaving the cell after it are one reading. */
  const keptLast = useRef(new Map<string, string>());
  const keep = useKeepReadings();
  const justRead = useJustRead();
  const units = experiment.units.filter((unit) => whyNot(experiment, unit, day) === undefined);
  const kept = useMemo(() => keptOf(readings, day), [readings, day]);
  const findings = useMemo(
    () => new Map(variables.map((variable) => [variable.id, findingsOf(readings, variable.id)])),
    [readings, variables],
  );
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
  const move = (row: number, column: number, rows: number): boolean => {
    const next = table.current?.querySelector<HTMLInputElement>(`[data-cell="${row + rows}:${column}"]`);
    next?.focus();
    return next != null;
  };
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
  const [main] = variables;
  const unread = unreadUnits(experiment, (main && findings.get(main.id)) ?? new Map(), day);
  const done = units.filter((unit) => !unread.includes(unit)).length;
  return (
    <section className="panel fast-sheet" aria-label={say('fastSheet')}>
      <div className="sheet-head">
        <p>
          <Said
            by={say}
            code="ofPotsOnEnterGoesDownTab"
            values={{ done, unitsCount: units.length, day: shortDay(day), b: (parts) => <b>{parts}</b> }}
          />{' '}
          {STATE_KEYS.map(({ key, words }, index) => (
            <span key={key}>
              {index > 0 && ', '}
              <kbd>{key}</kbd> {words}
            </span>
          ))}
          .
        </p>
        <Button variant="light" size="sm" onMouseDown={(event) => event.preventDefault()} onClick={fillDown}>
          {say('fillDown')}
        </Button>
      </div>
      <div className="sheet-scroll">
        <table ref={table}>
          <thead>
            <tr>
              <th scope="col">{say('pot4')}</th>
              <th scope="col">{say('last')}</th>
              {variables.map((variable) => (
                <th key={variable.id} scope="col">
                  {variable.name} <small>{variable.unit}</small>
                </th>
              ))}
              <th scope="col">{say('change')}</th>
            </tr>
          </thead>
          <tbody>
            {units.map((unit, row) => (
              <tr key={unit.id}>
                <th scope="row">
                  <TreatmentMark style={treatmentOf(experiment, unit).style} size={15} /> {unit.number}
                  <small>{treatmentOf(experiment, unit).name}</small>
                </th>
                <td className="sheet-last">
                  {main && lastText(findings.get(main.id)?.get(unit.id), day, main)}
                </td>
                {variables.map((variable, column) => {
                  const key = keyOf(unit, variable);
                  return (
                    <SheetCell
                      key={variable.id}
                      unit={unit}
                      variable={variable}
                      row={row}
                      column={column}
                      state={cells[key]}
                      kept={kept.get(key)}
                      justRead={column === 0 ? justRead : undefined}
                      onText={(text) => {
                        at.current = [row, column];
                        set(key, text);
                      }}
                      onLeave={() => {
                        at.current = [row, column];
                        save(unit, variable, cells[key]?.text ?? keptText(kept.get(key), variable));
                      }}
                      onMove={(rows) => move(row, column, rows)}
                      onPaste={(text) => paste(row, column, text)}
                    />
                  );
                })}
                <td className="sheet-change">
                  {main &&
                    changeText(findings.get(main.id)?.get(unit.id), day, main, cells[keyOf(unit, main)])}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {pasted && <PastePreview cells={pasted} onTake={takePasted} onLeave={() => setPasted(undefined)} />}
    </section>
  );
}

function keyOf(unit: UnitView, variable: VariableView): string {
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

type History = readonly UnitDay[] | undefined;

function lastText(history: History, day: string, variable: VariableView): string {
  const last = (history ?? []).filter((finding) => finding.day < day).at(-1);
  return last ? `${findingText(last, variable)}, ${recentDay(last.day, day)}` : '';
}

function changeText(
  history: History,
  day: string,
  variable: VariableView,
  typed: CellState | undefined,
): string {
  const cell = typed ? readCell(typed.text, variable) : undefined;
  const kept = history?.find((finding) => finding.day === day)?.value ?? undefined;
  const value = cell?.kind === 'reading' ? cell.entered?.value : kept;
  if (value === undefined) return '';
  const change = changeSinceLast(history ?? [], calendarDay(day), value);
  if (!change.defined) return 'first';
  const { amount } = change.value;
  if (amount === 0) return 'same';
  return say('signedChange', {
    ifAmount: amount < 0 ? 'yes' : 'no',
    readText: readText(Math.abs(amount), styleOf(variable)),
  });
}
