import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/lessons';
import { lineUp, plantOnDay } from '@bright-sprout/core/lessons';
import { calendarDay } from '@bright-sprout/core/shared';
import {
  computedText,
  lineUpCounts,
  lineUpTitle,
  plantText,
  pText,
  TEST_NAMES,
  undefinedWords,
} from '@bright-sprout/core/words';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { conclusionsQuery, journalQuery } from '../../shared/api/index.ts';
import { PhotoDays } from '../../photos/index.ts';
import { useExperiment } from '../../shared/experiment/index.ts';
import { TreatmentMark } from '../../shared/plants/index.ts';
import { longDay, shortDay } from '../../shared/ui/index.ts';
import { LineUpDrawing } from '../boards/line-up-drawing.tsx';
import { MarkKey } from '../boards/line-up-board.tsx';
import { NextPlan } from '../boards/next-plan.tsx';
import { QuestionFacts } from '../boards/plain-boards.tsx';
import { CurvesDrawing } from '../curves-drawing.tsx';
import { drawingScale } from '../drawing-scale.ts';
import type { LessonNow } from '../lesson-now.ts';
import { useLessonDocument } from '../use-lesson.ts';
import { EntryList } from './entry-list.tsx';
import type { PaperProps } from './papers-page.tsx';

/** What the class asked, did, saw and found, as pages to print or as one file. */
export function ClassReport({ now, hasNames }: PaperProps) {
  const { experiment, variable, day } = useExperiment();
  const { shown } = now;
  const isRead = shown?.comparison.readDays.includes(now.day) === true;
  const words = shown?.comparison.words;
  return (
    <div className="report">
      <header>
        <p className="sheet-kicker">{say('classReport')}</p>
        <h1>{experiment.question}</h1>
        <p>
          {say('reportOf', {
            crop: experiment.cropName,
            pots: experiment.units.length,
            sown: longDay(experiment.sowOn),
            day: longDay(day),
          })}
        </p>
      </header>
      <section>
        <h2>{say('whatWeDid')}</h2>
        <QuestionFacts now={now} />
        <DrawnSill />
        <MarkKey now={now} />
      </section>
      <section>
        <h2>{say('whatWeSaw')}</h2>
        <ThreeDays now={now} />
        {shown && (
          <CurvesDrawing
            comparison={shown.comparison}
            groups={now.groups}
            style={now.style}
            variableName={variable.name}
          />
        )}
        <PhotoDays until={now.day} />
        <ChosenPictures hasNames={hasNames} />
      </section>
      {words && isRead && (
        <section>
          <h2>{say('whatWeFound')}</h2>
          <p className="report-headline">{words.headline}</p>
          {words.others.map((line) => (
            <p key={line}>{line}</p>
          ))}
          <p>
            <b>{say('howSure')}</b> {words.howSure}
          </p>
          {now.level === '14+' && <Methods now={now} />}
        </section>
      )}
      {words && (
        <section>
          <h2>{say('whatWeCannotSay')}</h2>
          <ul>
            {words.notKnown.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          <NextPlan />
        </section>
      )}
      <OurWords hasNames={hasNames} />
    </div>
  );
}

/** The pots in their places, each with its mark and number. */
function DrawnSill() {
  const { experiment } = useExperiment();
  const styles = new Map(experiment.treatments.map(({ id, style }) => [id, style]));
  return (
    <div
      className="drawn-sill"
      role="img"
      aria-label={say('potsInTheirPlaces', { pots: experiment.units.length })}
    >
      {experiment.containers.map((container) => (
        <div
          key={container.id}
          className="drawn-container"
          style={{ gridTemplateColumns: `repeat(${container.columns}, minmax(0, 1fr))` }}
        >
          {experiment.units
            .filter(({ containerId }) => containerId === container.id)
            .map((unit) => (
              <span key={unit.id} style={{ gridRow: unit.row, gridColumn: unit.column }}>
                <TreatmentMark style={styles.get(unit.treatmentId) ?? 0} size={13} /> {unit.number}
              </span>
            ))}
        </div>
      ))}
    </div>
  );
}

/** Three days that were read: the first with a value, one in the middle, and the day of the report. */
function threeDays(now: LessonNow): string[] {
  const days = new Set<string>();
  for (const history of now.histories.values()) {
    for (const { day, value } of history) if (value !== null && day <= now.day) days.add(day);
  }
  const read = [...days].sort();
  const [first, middle, last] = [read[0], read[Math.floor((read.length - 1) / 2)], read.at(-1)];
  return [...new Set([first, middle, last].filter((day) => day !== undefined))];
}

function ThreeDays({ now }: { now: LessonNow }) {
  const { experiment } = useExperiment();
  const days = useMemo(() => threeDays(now), [now]);
  const most = Math.max(
    0,
    ...[...now.histories.values()].flatMap((history) => history.map(({ value }) => value ?? 0)),
  );
  const scale = drawingScale(most, now.style);
  const styles = new Map(now.groups.map((group) => [group.id, group.style]));
  return days.map((one) => {
    const day = calendarDay(one);
    const plants = now.plants.map(({ unit }) => plantOnDay(unit, now.histories.get(unit.id) ?? [], day));
    const row = lineUp(plants, 'treatment', now.groups);
    const ages = new Set(plants.flatMap(({ age }) => age ?? []));
    const [age] = ages;
    return (
      <figure key={one} className="report-line-up">
        <figcaption>
          <b>{lineUpTitle('treatment', ages.size === 1 ? (age ?? null) : null, shortDay(one))}</b>{' '}
          {lineUpCounts(plants)}
        </figcaption>
        <LineUpDrawing
          row={row}
          scale={scale}
          style={now.style}
          habit={experiment.crop?.habit ?? 'upright'}
          styles={styles}
          hidesTreatments={false}
          texts={new Map(plants.map((plant) => [plant.unit.id, plantText(plant, now.style, shortDay)]))}
        />
        <p className="visually-hidden">
          {allOf(
            row.map((plant) =>
              say('plantLabelHidden', {
                number: plant.unit.number,
                state: plantText(plant, now.style, shortDay),
              }),
            ),
          )}
        </p>
      </figure>
    );
  });
}

function ChosenPictures({ hasNames }: { hasNames: boolean }) {
  const { experiment } = useExperiment();
  const found = useLessonDocument();
  const entries = useQuery(journalQuery(experiment.id)).data ?? [];
  const chosen = new Set(
    found?.document.boards.flatMap(({ kind, entryIds }) => (kind === 'pictures' ? entryIds : [])),
  );
  return (
    <EntryList
      entries={entries.filter(({ id, isHidden }) => !isHidden && chosen.has(id))}
      hasNames={hasNames}
    />
  );
}

/** For readers who know statistics: how it was done, and every pair with n and exact p. */
function Methods({ now }: { now: LessonNow }) {
  const { experiment, variable } = useExperiment();
  const { shown } = now;
  if (!shown) return null;
  const { comparison } = shown;
  const nameOf = (id: string): string => now.groups.find((group) => group.id === id)?.name ?? '';
  const countOf = (id: string): number =>
    comparison.groups.find(({ groupId }) => groupId === id)?.points.length ?? 0;
  return (
    <>
      <h3>{say('methods')}</h3>
      <p>
        {say('methodsText', {
          pots: experiment.units.length,
          crop: experiment.cropName,
          treatments: now.groups.length,
          containers: experiment.containers.length,
          variable: variable.name,
          step: variable.step,
          unit: variable.unit,
          day: longDay(now.day),
        })}{' '}
        {comparison.words.counting}
      </p>
      <table className="report-table">
        <thead>
          <tr>
            <th scope="col">{say('pair')}</th>
            <th scope="col">n</th>
            <th scope="col">{say('difference')}</th>
            <th scope="col">{say('interval95')}</th>
            <th scope="col">p</th>
            <th scope="col">{say('test')}</th>
          </tr>
        </thead>
        <tbody>
          {comparison.pairs.map(({ firstId, secondId, difference, test }) => (
            <tr key={`${firstId} ${secondId}`}>
              <th scope="row">{say('minus', { second: nameOf(secondId), first: nameOf(firstId) })}</th>
              <td>{say('nOfBoth', { second: countOf(secondId), first: countOf(firstId) })}</td>
              <td>
                {difference.defined
                  ? computedText(difference.value, now.style)
                  : undefinedWords(difference.reason)}
              </td>
              <td>
                {test.defined && test.value.interval
                  ? say('fromToInterval', {
                      low: computedText(test.value.interval.low, now.style),
                      high: computedText(test.value.interval.high, now.style),
                    })
                  : '–'}
              </td>
              <td>{test.defined ? pText(test.value.p) : undefinedWords(test.reason)}</td>
              <td>{test.defined ? TEST_NAMES[test.value.method].name : '–'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** Conclusions that the teacher left in; a tick before each, which is not printed. */
function OurWords({ hasNames }: { hasNames: boolean }) {
  const { experiment } = useExperiment();
  const conclusions = useQuery(conclusionsQuery(experiment.id)).data ?? [];
  const [leftOut, setLeftOut] = useState<ReadonlySet<string>>(new Set());
  if (conclusions.length === 0) return null;
  const toggle = (id: string): void => {
    const next = new Set(leftOut);
    if (!next.delete(id)) next.add(id);
    setLeftOut(next);
  };
  return (
    <section>
      <h2>{say('ourWords')}</h2>
      <ul className="our-words">
        {conclusions.map(({ id, claim, evidence, reasoning, observer }) => (
          <li key={id} className={leftOut.has(id) ? 'is-left-out' : ''}>
            <label className="not-printed">
              <input type="checkbox" checked={!leftOut.has(id)} onChange={() => toggle(id)} />{' '}
              {say('inTheReport')}
            </label>
            <blockquote>
              <p>{claim}</p>
              {evidence !== '' && <p>{evidence}</p>}
              {reasoning !== '' && <p>{reasoning}</p>}
              {hasNames && observer !== '' && <footer>{observer}</footer>}
            </blockquote>
          </li>
        ))}
      </ul>
    </section>
  );
}
