import type { TableMapping, TableShape } from '@bright-sprout/core/imports';
import { calendarDay, isCalendarDay } from '@bright-sprout/core/shared';
import Form from 'react-bootstrap/Form';
import { Choice, choicesOf } from '../shared/ui/index.ts';

const SHAPE_WORDS: Record<TableShape, string> = {
  long: 'a value a row',
  'pots-in-columns': 'a pot a column, a date a row',
  'pots-in-rows': 'a pot a row, a date a column',
};

const ORDER_WORDS: Record<TableMapping['dateOrder'], string> = { dmy: '3 April', mdy: 'March 4' };

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
        label="The table holds"
        value={shape}
        choices={choicesOf(SHAPE_WORDS)}
        onChange={(chosen) => onChange({ shape: chosen })}
      />
      <label className="choice">
        <span>All sown on (if known)</span>
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
          <span>All read on</span>
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
        label="3/4 means"
        value={mapping.dateOrder}
        choices={choicesOf(ORDER_WORDS)}
        onChange={(dateOrder) => onChange({ dateOrder })}
      />
      {treatments.length > 1 && (
        <Choice
          label="Control"
          value={mapping.control}
          choices={[['', 'none'], ...treatments.map((name): [string, string] => [name, name])]}
          onChange={(control) => onChange({ control })}
        />
      )}
      {shape === 'pots-in-columns' && (
        <Form.Check
          id="treatment-row"
          label="The row below the names says the treatment"
          checked={mapping.hasTreatmentRow}
          onChange={(event) => onChange({ hasTreatmentRow: event.target.checked })}
        />
      )}
    </div>
  );
}
