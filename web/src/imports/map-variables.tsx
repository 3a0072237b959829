import type { Counting, MappedVariable, VariableKind } from '@bright-sprout/core/imports';
import Form from 'react-bootstrap/Form';
import { Choice, choicesOf } from '../shared/ui/index.ts';

const KIND_WORDS: Record<VariableKind, string> = {
  length: 'a length',
  count: 'a count',
  number: 'a number',
  score: 'a score from 1',
};

const COUNTING_WORDS: Record<Counting, string> = {
  so_far: 'all there are by then',
  new: 'new since the check before',
};

const LENGTHS = [
  ['mm', 'mm'],
  ['cm', 'cm'],
  ['in', 'inches'],
] as const;

/** What was read: a line for each thing, with its kind and unit. */
export function MapVariables({
  variables,
  onChange,
}: {
  variables: readonly MappedVariable[];
  onChange: (variables: MappedVariable[]) => void;
}) {
  return variables.map((variable, at) => (
    <MapVariable
      key={variable.source}
      variable={variable}
      onChange={(changes) =>
        onChange(variables.map((own, index) => (index === at ? { ...own, ...changes } : own)))
      }
    />
  ));
}

function MapVariable({
  variable,
  onChange,
}: {
  variable: MappedVariable;
  onChange: (changes: Partial<MappedVariable>) => void;
}) {
  return (
    <div className="compare-controls" role="group" aria-label={`What was read: ${variable.name}`}>
      <label className="choice">
        <span>What was read</span>
        <Form.Control
          size="sm"
          value={variable.name}
          maxLength={60}
          onChange={(event) => onChange({ name: event.target.value })}
        />
      </label>
      <Choice
        label="It is"
        value={variable.kind}
        choices={choicesOf(KIND_WORDS)}
        onChange={(kind) => onChange({ kind, unit: kind === 'length' ? 'cm' : '' })}
      />
      {variable.kind === 'length' ? (
        <Choice label="in" value={variable.unit} choices={LENGTHS} onChange={(unit) => onChange({ unit })} />
      ) : (
        <label className="choice">
          <span>in (unit, may be empty)</span>
          <Form.Control
            size="sm"
            value={variable.unit}
            maxLength={20}
            onChange={(event) => onChange({ unit: event.target.value })}
          />
        </label>
      )}
      {variable.kind === 'count' && (
        <Choice
          label="Each count is"
          value={variable.counting}
          choices={choicesOf(COUNTING_WORDS)}
          onChange={(counting) => onChange({ counting })}
        />
      )}
    </div>
  );
}
