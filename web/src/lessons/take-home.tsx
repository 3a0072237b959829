import { say } from '@bright-sprout/words/lessons';
import { Link, useSearchParams } from 'react-router';
import { useExperiment } from '../shared/experiment/index.ts';
import type { LessonNow } from './lesson-now.ts';
import { marksPassed } from './papers/certificates.ts';
import { PAPERS, PAPER_NAMES } from './papers/paper-kinds.ts';

/** What goes home under the lesson. */
export function TakeHome({ now }: { now: LessonNow }) {
  const { experiment } = useExperiment();
  const [search] = useSearchParams();
  const passed = marksPassed(now).length;
  return (
    <section className="take-home" aria-label={say('toTakeHome')}>
      <h3>{say('toTakeHome')}</h3>
      <ul>
        {PAPERS.map((paper) => {
          const wanted = new URLSearchParams(search);
          wanted.set('paper', paper);
          return (
            <li key={paper}>
              <Link
                to={{ pathname: `/experiments/${experiment.id}/lesson/papers`, search: wanted.toString() }}
              >
                {PAPER_NAMES[paper]}
              </Link>
              {paper === 'certificates' && passed > 0 && (
                <small> {say('potsPassedTheMark', { passed })}</small>
              )}
            </li>
          );
        })}
        <li>
          <Link to={{ pathname: `/experiments/${experiment.id}/lesson/journal`, search: search.toString() }}>
            {say('seeTheJournal')}
          </Link>
        </li>
      </ul>
    </section>
  );
}
