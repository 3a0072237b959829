import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/lessons';
import { type Week, weeksOf } from '@bright-sprout/core/lessons';
import { calendarDay } from '@bright-sprout/core/shared';
import { readText } from '@bright-sprout/core/words';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { journalQuery } from '../../shared/api/index.ts';
import { useExperiment } from '../../shared/experiment/index.ts';
import { shortDay } from '../../shared/ui/index.ts';
import type { LessonNow } from '../lesson-now.ts';
import { EntryList } from './entry-list.tsx';
import type { PaperProps } from './papers-page.tsx';

/** Drawings of a week that fit on its page. */
const MOST_DRAWINGS = 2;

/** A page for each week, for the youngest: a drawing, how many are up, the tallest. What was read stands on it already. */
export function WeeklyPages({ now, hasNames }: PaperProps) {
  const { experiment } = useExperiment();
  const [only, setOnly] = useState('');
  const weeks = weeksOf(
    now.plants.map(({ unit }) => unit),
    now.histories,
    calendarDay(experiment.sowOn),
    calendarDay(experiment.lessonOn),
  );
  const chosen = weeks.filter(({ number }) => only === '' || String(number) === only);
  return (
    <>
      <Form.Select
        size="sm"
        className="not-printed"
        aria-label={say('whichWeek')}
        value={only}
        onChange={({ target }) => setOnly(target.value)}
      >
        <option value="">{say('allPages', { pages: weeks.length })}</option>
        {weeks.map(({ number, from }) => (
          <option key={number} value={number}>
            {say('weekFrom', { number, from: shortDay(from) })}
          </option>
        ))}
      </Form.Select>
      {chosen.map((week) => (
        <WeekPage key={week.number} week={week} now={now} hasNames={hasNames} />
      ))}
    </>
  );
}

function WeekPage({ week, now, hasNames }: { week: Week; now: LessonNow; hasNames: boolean }) {
  const { experiment, variable } = useExperiment();
  const entries = useQuery(journalQuery(experiment.id)).data ?? [];
  const drawings = entries.filter(
    ({ kind, hasPicture, isHidden, happenedOn }) =>
      kind === 'drawing' && hasPicture && !isHidden && happenedOn >= week.from && happenedOn <= week.to,
  );
  const pots = experiment.units.length;
  const { tallest } = week;
  return (
    <section className="student-page week-page">
      <header>
        <p className="sheet-kicker">{experiment.question}</p>
        <h1>{say('weekFrom', { number: week.number, from: shortDay(week.from) })}</h1>
        <p className="name-line">{say('nameLine')}</p>
      </header>
      {drawings.length > 0 ? (
        <EntryList entries={drawings.slice(-MOST_DRAWINGS)} hasNames={hasNames} />
      ) : (
        <div className="drawing-space">{say('drawWhatYouSee')}</div>
      )}
      <h2>{week.up === null ? say('howManyUpColour') : say('soManyUp', { up: week.up, pots })}</h2>
      <div className="up-circles" aria-hidden="true">
        {Array.from({ length: pots }, (_, index) => (
          <i key={index} className={index < (week.up ?? 0) ? 'is-up' : ''} />
        ))}
      </div>
      <p className="name-line">
        {tallest
          ? say('tallestOfWeek', {
              value: readText(tallest.value, now.style),
              n: tallest.units.length,
              pots: allOf(tallest.units.map(({ number }) => number)),
            })
          : say('theTallestIs', { unit: variable.unit })}
      </p>
    </section>
  );
}
