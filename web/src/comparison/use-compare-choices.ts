import {
  type GroupBy,
  isGroupBy,
  NOT_UP_RULES,
  SUMMARIES,
  type Summary,
} from '@bright-sprout/core/comparison';
import { READING_LEVELS, type ReadingLevel } from '@bright-sprout/core/words';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { classesQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { useRemembered } from '../shared/ui/index.ts';
import type { CompareChoices } from './compare-context.tsx';

const BY_CLASS = 'class';

/** The reading level chosen on this device for a class; until one is, the class's own. */
function useReadingLevel(classId: string | null): [ReadingLevel, (level: ReadingLevel) => void] {
  const [chosen, setChosen] = useRemembered<ReadingLevel | typeof BY_CLASS>(
    `reading-level.${classId ?? 'none'}`,
    [BY_CLASS, ...READING_LEVELS],
    BY_CLASS,
  );
  const own = useQuery(classesQuery).data?.find(({ id }) => id === classId)?.readingLevel;
  return [chosen === BY_CLASS ? (own ?? USUAL_LEVEL) : chosen, setChosen];
}

const USUAL_LEVEL: ReadingLevel = '11-13';

/**
 * The choices of Compare: those about the experiment are in the address, so that a link or a print shows the same;
 * reading level and the rule for pots not up are this device's, the level by class.
 */
export function useCompareChoices() {
  const { experiment, variable: first } = useExperiment();
  const [search, setSearch] = useSearchParams();
  const [level, setLevel] = useReadingLevel(experiment.classId);
  const [rule, setRule] = useRemembered('not-up-rule', NOT_UP_RULES, 'only_up');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const variable = experiment.variables.find(({ id }) => id === search.get('variable')) ?? first;
  const usualBy: GroupBy = 'treatment';
  const askedBy = search.get('by') ?? usualBy;
  const groupBy: GroupBy = isGroupBy(askedBy) ? askedBy : usualBy;
  const summary: Summary = SUMMARIES.find((one) => one === search.get('sum')) ?? 'day';
  const per = search.get('per') === 'per_pot' ? 'per_pot' : 'as_read';
  const choices = useMemo(
    (): CompareChoices => ({ variable, level, rule, summary, groupBy, per, chosen }),
    [variable, level, rule, summary, groupBy, per, chosen],
  );
  const set = (name: string, value: string, usual: string): void =>
    setSearch(
      (before) => {
        if (value === usual) before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  return { choices, search, set, setLevel, setRule, setChosen, usualBy, usualVariableId: first.id };
}
