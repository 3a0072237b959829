import { say } from '@bright-sprout/words/care';
import type { ExperimentView, UnitView } from '@bright-sprout/contract/plans';
import { placesOf, type UnitMove, type UnitPlace } from '@bright-sprout/core/design';
import Form from 'react-bootstrap/Form';
import { useExperiment } from '../shared/experiment/index.ts';

/** The key of a place in a select. */
export function placeKey({ containerId, row, column }: UnitPlace): string {
  return `${containerId} ${row} ${column}`;
}

/** Where a pot goes: a free place, or that of another pot, which then takes its own. */
export function MoveTo({
  unit,
  chosen,
  onChoose,
}: {
  unit: UnitView;
  /** The key of the place. */
  chosen: string;
  onChoose: (key: string) => void;
}) {
  const { experiment } = useExperiment();
  return (
    <Form.Group controlId="care-place" className="plan-field">
      <Form.Label>{say('potGoesTo', { number: unit.number })}</Form.Label>
      <Form.Select value={chosen} onChange={({ target }) => onChoose(target.value)}>
        <option value="">{say('noPlaceOfTheSill')}</option>
        {placesFor(experiment, unit).map(({ place, name, other }) => (
          <option key={placeKey(place)} value={placeKey(place)}>
            {say('placeInContainer', {
              row: place.row,
              column: place.column,
              name,
              hasName: name === '' ? 'no' : 'yes',
              other: other?.number ?? 0,
            })}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
}

/** Every place but the pot's own, with the name of its container where there are several, and the pot in it. */
function placesFor({ containers, units }: ExperimentView, unit: UnitView) {
  return placesOf(containers).flatMap(({ container, row, column }) => {
    const own = containers[container];
    if (!own) return [];
    const place = { containerId: own.id, row, column };
    const other = units.find((one) => placeKey(one) === placeKey(place));
    const name = containers.length > 1 ? own.name || String(container + 1) : '';
    return other?.id === unit.id ? [] : [{ place, name, other }];
  });
}

/** What a move to a place is: one pot moved, or two that swap. */
export function movesTo({ units }: Pick<ExperimentView, 'units'>, unit: UnitView, key: string): UnitMove[] {
  const [containerId = '', row, column] = key.split(' ');
  const place = { containerId, row: Number(row), column: Number(column) };
  const other = units.find((one) => placeKey(one) === key);
  const { containerId: from, row: fromRow, column: fromColumn } = unit;
  const back = other && { unitId: other.id, containerId: from, row: fromRow, column: fromColumn };
  return [{ unitId: unit.id, ...place }, ...(back ? [back] : [])];
}
