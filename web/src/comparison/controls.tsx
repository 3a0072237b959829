import { say } from '@bright-sprout/words/comparison';
import {
  type GroupBy,
  type Summary,
  NOT_UP_RULES,
  type NotUpRule,
  SUMMARIES,
} from '@bright-sprout/core/comparison';
import { READING_LEVELS, type ReadingLevel } from '@bright-sprout/core/words';
import { useExperiment } from '../shared/experiment/index.ts';
import { Choice } from '../shared/ui/index.ts';
import { useChoices } from './compare-context.tsx';

const RULE_WORDS: Record<NotUpRule, string> = {
  only_up: say('onlyPlantsThatAreUp'),
  not_up_is_zero: say('notUpYetCountsAs0'),
};

const SUMMARY_WORDS: Record<Summary, string> = {
  day: say('valueOnTheDay'),
  final: say('lastValueSoFar'),
  growth_per_day: say('growthADay'),
  relative_growth: say('relativeGrowth'),
  area: say('areaUnderTheCurve'),
};

/** What can be changed of a comparison. */
export interface ControlsProps {
  readonly setVariableId: (id: string) => void;
  readonly setLevel: (level: ReadingLevel) => void;
  readonly setRule: (rule: NotUpRule) => void;
  readonly setSummary: (summary: Summary) => void;
  readonly setGroupBy: (by: GroupBy) => void;
  readonly setPer: (per: 'as_read' | 'per_pot') => void;
}

/** The choices of a comparison in one row. */
export function Controls(props: ControlsProps) {
  const { experiment } = useExperiment();
  const choices = useChoices();
  const isDensity = experiment.plan?.factors.some((factor) => factor.aspect === 'density') ?? false;
  return (
    <div className="compare-controls">
      <div role="group" aria-label={say('wordsFor')} className="choice level-choice">
        <span>{say('wordsFor')}</span>
        <div>
          {READING_LEVELS.map((level) => (
            <button
              key={level}
              type="button"
              className={level === choices.level ? 'pill is-on' : 'pill'}
              aria-pressed={level === choices.level}
              onClick={() => props.setLevel(level)}
            >
              {level}
            </button>
          ))}
        </div>
      </div>
      {experiment.variables.length > 1 && (
        <Choose
          label={say('whatIsCompared')}
          value={choices.variable.id}
          onChange={props.setVariableId}
          choices={experiment.variables.map(({ id, name }) => ({ value: id, name }))}
        />
      )}
      <Choose
        label={say('oneValueAPot')}
        value={choices.summary}
        onChange={(value) => props.setSummary(value as Summary)}
        choices={SUMMARIES.map((value) => ({ value, name: SUMMARY_WORDS[value] }))}
      />
      <Choose
        label={say('potsWithNothingUp')}
        value={choices.rule}
        onChange={(value) => props.setRule(value as NotUpRule)}
        choices={NOT_UP_RULES.map((value) => ({ value, name: RULE_WORDS[value] }))}
      />
      <Choose
        label={say('sortedBy')}
        value={choices.groupBy}
        onChange={(value) => props.setGroupBy(value as GroupBy)}
        choices={waysToSort(experiment)}
      />
      {isDensity && (
        <Choose
          label={say('counted')}
          value={choices.per}
          onChange={(value) => props.setPer(value as 'as_read' | 'per_pot')}
          choices={[
            { value: 'as_read', name: say('forEachPlant') },
            { value: 'per_pot', name: say('forEachPot') },
          ]}
        />
      )}
    </div>
  );
}

function waysToSort(experiment: ReturnType<typeof useExperiment>['experiment']) {
  const { factors, units } = experiment;
  const ways: { value: string; name: string }[] = [{ value: 'treatment', name: say('treatment2') }];
  if (factors.length > 1) {
    factors.forEach((factor, at) => ways.push({ value: `factor-${at}`, name: factor.name.toLowerCase() }));
  }
  if (new Set(units.map((unit) => unit.team)).size > 1) ways.push({ value: 'team', name: say('team2') });
  if (new Set(units.map((unit) => unit.block)).size > 1) ways.push({ value: 'block', name: say('block') });
  return ways;
}

function Choose({
  label,
  value,
  onChange,
  choices,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  choices: readonly { readonly value: string; readonly name: string }[];
}) {
  if (choices.length < 2) return null;
  return (
    <Choice
      label={label}
      value={value}
      choices={choices.map((choice) => [choice.value, choice.name])}
      onChange={onChange}
    />
  );
}
