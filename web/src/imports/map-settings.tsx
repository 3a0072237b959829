import { say } from '@bright-sprout/words/imports';
import type { TableMapping, TableShape } from '@bright-sprout/core/imports';
import { calendarDay, isCalendarDay } from '@bright-sprout/core/shared';
import Form from 'react-bootstrap/Form';
import { Choice, choicesOf } from '../shared/ui/index.ts';

const SHAPE_WORDS: Record<TableShape, string> = {
  long: say('aValueARow'),
  pots_in_columns: say('aPotAColumnADateA'),
  pots_in_rows: say('aPotARowADateA'),
};

const ORDER_WORDS: Record<TableMapping['dateOrder'], string> = { dmy: say('n3April'), mdy: say('march4') };

/** What holds of the whole table: its shape, its days and its control. */
export function MapSettings({
  mapping,
  treatments,
  onChange,
}: {
  mapping: TableMapping;
  treatments: readonly string[];
  onChange: (changes: Partial<TableMapping>) => void;
}) {
  const { roles, shape } = mapping;
  return (
    <div className="compare-controls">
      <Choice
        label={say('theTableHolds')}
        value={shape}
        choices={choicesOf(SHAPE_WORDS)}
        onChange={(chosen) => onChange({ shape: chosen })}
      />
      <label className="choice">
        <span>{say('allSownOnIfKnown')}</span>
        <Form.Control
          size="sm"
          type="date"
          value={mapping.sownOn ?? ''}
          onChange={({ target }) =>
            onChange({ sownOn: isCalendarDay(target.value) ? calendarDay(target.value) : null })
          }
        />
      </label>
      {!roles.includes('date') && !roles.includes('day') && shape === 'long' && (
        <label className="choice">
          <span>{say('allReadOn')}</span>
          <Form.Control
            size="sm"
            type="date"
            value={mapping.observedOn}
            onChange={({ target }) => {
              if (isCalendarDay(target.value)) onChange({ observedOn: calendarDay(target.value) });
            }}
          />
        </label>
      )}
      <Choice
        label={say('n34Means')}
        value={mapping.dateOrder}
        choices={choicesOf(ORDER_WORDS)}
        onChange={(dateOrder) => onChange({ dateOrder })}
      />
      {treatments.length > 1 && (
        <Choice
          label={say('control')}
          value={mapping.control}
          choices={[['', 'none'], ...treatments.map((name): [string, string] => [name, name])]}
          onChange={(control) => onChange({ control })}
        />
      )}
      {shape === 'pots_in_columns' && (
        <Form.Check
          id="treatment-row"
          label={say('theRowBelowTheNamesSaysThe')}
          checked={mapping.hasTreatmentRow}
          onChange={(event) => onChange({ hasTreatmentRow: event.target.checked })}
        />
      )}
    </div>
  );
}
