import { say } from '@bright-sprout/words/plans';
import { placesThatFit, usualSpacing } from '@bright-sprout/core/amounts';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useSurroundings } from '../shared/experiment/index.ts';
import { usePlanEditor } from './plan-editor.tsx';

const MM_IN_CM = 10;
const UNIT = 'cm';
const MOST_IN_A_LINE = 40;
const MOST_PLANTS = 1000;

/** How many rows and places a box or bed has, by its size and the room that the plants need. */
export function HowManyFit({
  onUse,
  onUseRows,
}: {
  onUse: (rows: number, columns: number) => void;
  onUseRows: (rows: number, plants: number) => void;
}) {
  const { plan } = usePlanEditor();
  const crop = useSurroundings()?.crops.find(({ id }) => id === plan.cropId);
  const usual = crop ? usualSpacing(crop) : null;
  const [sizes, setSizes] = useState<Record<string, string>>({});
  const usualCm = usual === null ? '' : String(usual.alongMm / MM_IN_CM);
  const written = (name: string): string =>
    sizes[name] ?? (name === 'along' || name === 'rows' ? usualCm : '');
  const mm = (name: string): number => Number(written(name).replace(',', '.')) * MM_IN_CM;
  const fit =
    mm('along') > 0 && mm('rows') > 0
      ? placesThatFit(
          { lengthMm: mm('length'), widthMm: mm('width') },
          { alongMm: mm('along'), betweenRowsMm: mm('rows') },
        )
      : { rows: 0, columns: 0 };
  const isFound = fit.rows >= 1 && fit.columns >= 1;
  const isUsable = isFound && fit.rows <= MOST_IN_A_LINE && fit.columns <= MOST_IN_A_LINE;
  const areRowsUsable = isFound && fit.rows <= MOST_IN_A_LINE && fit.columns <= MOST_PLANTS;
  const entries = [
    ['length', say('boxIsLong')],
    ['width', say('boxIsWide')],
    ['along', say('spaceInARow')],
    ['rows', say('spaceBetweenRows')],
  ] as const;
  return (
    <details className="how-many-fit">
      <summary>{say('howManyFit')}</summary>
      <div className="form-row">
        {entries.map(([name, label]) => (
          <Form.Group key={name} controlId={`fit-${name}`}>
            <Form.Label>{label}</Form.Label>
            <span className="number-entry">
              <Form.Control
                inputMode="decimal"
                value={written(name)}
                onChange={({ target }) => setSizes({ ...sizes, [name]: target.value })}
              />
              <span>{UNIT}</span>
            </span>
          </Form.Group>
        ))}
      </div>
      <p aria-live="polite">
        {isFound
          ? say('rowsOfPlacesFit', { rows: fit.rows, columns: fit.columns })
          : say('giveLengthAndWidth')}{' '}
        {isUsable && (
          <Button size="sm" variant="light" onClick={() => onUse(fit.rows, fit.columns)}>
            {say('useIt')}
          </Button>
        )}{' '}
        {areRowsUsable && (
          <Button size="sm" variant="light" onClick={() => onUseRows(fit.rows, fit.columns)}>
            {say('aRowIsOneUnit', { plants: fit.columns })}
          </Button>
        )}
      </p>
    </details>
  );
}
