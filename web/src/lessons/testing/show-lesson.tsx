import type { LessonView } from '@bright-sprout/contract/lessons';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { answering, type Answer, type Asked } from '../../app/testing/answering.ts';
import { compared, experimentOf, READINGS, VARIABLE } from '../../comparison/testing/compared.ts';
import { ExperimentProvider, findingsOf } from '../../shared/experiment/index.ts';
import { LessonChoices } from '../lesson-choices.tsx';
import { type LessonNow, useLessonNow } from '../lesson-now.ts';

const NO_LESSON: LessonView = { version: 0, document: null, begunAt: null, showing: null };

/** Shows a part of a lesson of the compared class, with what the server answers. */
export function showLesson(
  part: ReactNode,
  answers: Readonly<Record<string, Answer>> = {},
  changes: Partial<ExperimentView> = {},
  day?: string,
): Asked[] {
  const asked = answering({
    ...answers,
    'GET /api/experiments/e/comparison': compared(),
    'GET /api/experiments/e/lesson': NO_LESSON,
  });
  const experiment = experimentOf(changes);
  const client = new QueryClient({
    defaultOptions: { queries: { retry: false }, mutations: { networkMode: 'always' } },
  });
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <ExperimentProvider
          value={{
            experiment,
            readings: READINGS,
            variable: VARIABLE,
            findings: findingsOf(READINGS, VARIABLE.id),
            day: day ?? experiment.today,
            setDay: () => undefined,
          }}
        >
          <LessonChoices level="8-10">{part}</LessonChoices>
        </ExperimentProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return asked;
}

/** Gives a part what its boards show. */
export function WithNow({ children }: { children: (now: LessonNow) => ReactNode }) {
  return children(useLessonNow('8-10'));
}
