import { say } from '@bright-sprout/words/readings';
import type { VariableView } from '@bright-sprout/contract/plans';
import { changeSinceLast, type UnitDay } from '@bright-sprout/core/growth';
import { calendarDay } from '@bright-sprout/core/shared';
import { readText } from '@bright-sprout/core/words';
import { useMemo, useRef } from 'react';
import Button from 'react-bootstrap/Button';
import {
  findingsOf,
  findingText,
  styleOf,
  treatmentOf,
  unreadUnits,
  useExperiment,
} from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { Said, recentDay, shortDay } from '../shared/ui/index.ts';
import { readCell, STATE_KEYS } from './cell-text.ts';
import { PastePreview } from './paste-preview.tsx';
import { type CellState, keptText, SheetCell } from './sheet-cell.tsx';
import { useJustRead } from './use-just-read.ts';
import { keyOf, useSheet } from './use-sheet.ts';
import { whyNot } from './why-not.ts';

/** Every pot in walking order, several variables side by side; each cell is kept when it is left. */
export function FastSheet() {
  const { experiment, readings, day } = useExperiment();
  const { variables } = experiment;
  const table = useRef<HTMLTableElement>(null);
  const justRead = useJustRead();
  const units = experiment.units.filter((unit) => whyNot(experiment, unit, day) === undefined);
  const sheet = useSheet(units);
  const { cells, kept, pasted } = sheet;
  const findings = useMemo(
    () => new Map(variables.map((variable) => [variable.id, findingsOf(readings, variable.id)])),
    [readings, variables],
  );
  const move = (row: number, column: number, rows: number): boolean => {
    const next = table.current?.querySelector<HTMLInputElement>(`[data-cell="${row + rows}:${column}"]`);
    next?.focus();
    return next != null;
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
            values={{ done, unitsCount: units.length, day: shortDay(day) }}
          />{' '}
          {STATE_KEYS.map(({ key, words }, index) => (
            <span key={key}>
              {index > 0 && ', '}
              <kbd>{key}</kbd> {words}
            </span>
          ))}
          .
        </p>
        <Button
          variant="light"
          size="sm"
          onMouseDown={(event) => event.preventDefault()}
          onClick={sheet.fillDown}
        >
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
                        sheet.stand(row, column);
                        sheet.typeInto(unit, variable, text);
                      }}
                      onLeave={() => {
                        sheet.stand(row, column);
                        sheet.save(unit, variable, cells[key]?.text ?? keptText(kept.get(key), variable));
                      }}
                      onMove={(rows) => move(row, column, rows)}
                      onPaste={(text) => sheet.paste(row, column, text)}
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
      {pasted && <PastePreview cells={pasted} onTake={sheet.takePasted} onLeave={sheet.leavePasted} />}
    </section>
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
  if (!change.defined) return say('first');
  const { amount } = change.value;
  if (amount === 0) return say('same');
  return say('signedChange', {
    ifAmount: amount < 0 ? 'yes' : 'no',
    readText: readText(Math.abs(amount), styleOf(variable)),
  });
}
