import { useMemo } from 'react';
import { type CompareChoices, CompareProvider } from '../comparison/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import type { ReadingLevel } from '@bright-sprout/core/words';

const NONE: ReadonlySet<string> = new Set();

/** Gives the boards inside the comparison that a lesson speaks of: the plan's own, by the plants that are up. */
export function LessonChoices({ level, children }: { level: ReadingLevel; children: React.ReactNode }) {
  const { variable } = useExperiment();
  const choices = useMemo(
    (): CompareChoices => ({
      variable,
      level,
      rule: 'only_up',
      summary: 'day',
      groupBy: 'treatment',
      per: 'as_read',
      chosen: NONE,
    }),
    [variable, level],
  );
  return <CompareProvider value={choices}>{children}</CompareProvider>;
}
