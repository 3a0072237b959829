import { say } from '@bright-sprout/words/imports';
import type { Counting, MappedVariable, VariableKind } from '@bright-sprout/core/imports';
import Form from 'react-bootstrap/Form';
import { Choice, choicesOf } from '../shared/ui/index.ts';

const KIND_WORDS: Record<VariableKind, string> = {
  length: say('aLength'),
  count: say('aCount'),
  number: say('aNumber'),
  score: say('aScoreFrom1'),
};

const COUNTING_WORDS: Record<Counting, string> = {
  so_far: say('allThereAreByThen'),
  new: say('newSinceTheCheckBefore'),
  standing: say('allThatStandThereThatDay'),
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
    <div
      className="compare-controls"
      role="group"
      aria-label={say('whatWasRead2', { variable: variable.name })}
    >
      <label className="choice">
        <span>{say('whatWasRead3')}</span>
        <Form.Control
          size="sm"
          value={variable.name}
          maxLength={60}
          onChange={(event) => onChange({ name: event.target.value })}
        />
      </label>
      <Choice
        label={say('itIs')}
        value={variable.kind}
        choices={choicesOf(KIND_WORDS)}
        onChange={(kind) => onChange({ kind, unit: kind === 'length' ? 'cm' : '' })}
      />
      {variable.kind === 'length' ? (
        <Choice
          label={say('inches')}
          value={variable.unit}
          choices={LENGTHS}
          onChange={(unit) => onChange({ unit })}
        />
      ) : (
        <label className="choice">
          <span>{say('inUnitMayBeEmpty')}</span>
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
          label={say('eachCountIs')}
          value={variable.counting}
          choices={choicesOf(COUNTING_WORDS)}
          onChange={(counting) => onChange({ counting })}
        />
      )}
    </div>
  );
}
