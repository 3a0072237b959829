import type { ComparisonPart, ComparisonQuery, ComparisonView } from '@bright-sprout/contract/comparison';
import type { VariableView } from '@bright-sprout/contract/plans';
import type { ComparedGroup, GroupBy, NotUpRule, Summary } from '@bright-sprout/core/comparison';
import {
  comparedStyle,
  comparisonWords,
  type ReadingLevel,
  summaryStyle,
  type ValueStyle,
} from '@bright-sprout/core/words';
import { replaceEqualDeep, useQuery } from '@tanstack/react-query';
import { createContext, useContext, useEffect, useMemo, useState } from 'react';
import type { ShownGroup } from '../shared/charts/index.ts';
import { comparisonQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';

/** What is compared and how: the choices beside the layout, the same for every tab. */
export interface CompareChoices {
  readonly variable: VariableView;
  readonly level: ReadingLevel;
  readonly rule: NotUpRule;
  readonly summary: Summary;
  readonly groupBy: GroupBy;
  readonly per: 'as_read' | 'per_pot';
  /** Units pointed out on the layout; none means all. They change what is drawn, never what is counted. */
  readonly chosen: ReadonlySet<string>;
}

const Context = createContext<CompareChoices | undefined>(undefined);

/** Gives the tabs their choices. */
export const CompareProvider = Context.Provider;

/** The choices that are made. */
export function useChoices(): CompareChoices {
  const choices = useContext(Context);
  if (!choices) throw new Error('no comparison is open here');
  return choices;
}

const SETTLED_MS = 150;

/** A value once it has stood still for a moment: a scrubbed timeline asks the server only where it stops. */
function useSettled<T>(value: T, ms: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return settled;
}

/** The newest data with every part that did not change kept as it was, so that its charts are not drawn anew. */
function useSame<T>(data: T): T {
  const [kept, setKept] = useState(data);
  const next = useMemo(() => replaceEqualDeep<T>(kept, data), [kept, data]);
  if (next !== kept) setKept(next);
  return next;
}

/** A comparison as a tab shows it. */
export interface ShownComparison {
  readonly comparison: ComparisonView;
  readonly groups: readonly (ShownGroup & ComparedGroup)[];
  /** How values of the comparison are written. */
  readonly style: ValueStyle;
  /** How readings are written. */
  readonly readStyle: ValueStyle;
  readonly isFetching: boolean;
}

/** Fetches the comparison with the parts that a tab needs; undefined while it comes. Its words change with the level at once. */
export function useComparison(
  parts: readonly ComparisonPart[],
  more: Partial<ComparisonQuery> = {},
): { shown: ShownComparison | undefined; error: unknown } {
  const { experiment, day } = useExperiment();
  const settledDay = useSettled(day, SETTLED_MS);
  const { variable, level, rule, summary, groupBy, per } = useChoices();
  const { data, error, isPlaceholderData } = useQuery(
    comparisonQuery(experiment.id, {
      variableId: variable.id,
      day: settledDay,
      rule,
      summary,
      groupBy,
      per,
      parts: parts.length === 0 ? 'answer' : parts.join(','),
      ...more,
    }),
  );
  const same = useSame(data);
  const shown = useMemo(() => {
    if (!same) return undefined;
    const data = same;
    const styles = new Map(experiment.treatments.map((treatment) => [treatment.id, treatment.style]));
    const readStyle = comparedStyle(variable, data);
    const style = summaryStyle(readStyle, data.summary);
    const words = comparisonWords({ comparison: data, treatments: data.names, style, level });
    return {
      comparison: { ...data, words: { ...words, counting: data.words.counting } },
      groups: data.names.map((group, index) => ({ ...group, style: styles.get(group.id) ?? index })),
      style,
      readStyle,
      isFetching: isPlaceholderData,
    };
  }, [same, experiment.treatments, variable, isPlaceholderData, level]);
  return { shown, error };
}

/** True where a comparison is laid out for paper: nothing stays folded. */
export const OnPaper = createContext(false);
