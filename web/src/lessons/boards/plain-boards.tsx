import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/lessons';
import { NO_SHOW_REASONS } from '@bright-sprout/core/shared';
import { type Board, notUpReasons, watchedRows } from '@bright-sprout/core/lessons';
import {
  boardTitle,
  firstsText,
  NO_SHOW_WORDS,
  notUpReasonText,
  notUpText,
  plantText,
} from '@bright-sprout/core/words';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import Table from 'react-bootstrap/Table';
import { Film, seriesOf } from '../../photos/index.ts';
import { careQuery, journalQuery, photosQuery } from '../../shared/api/index.ts';
import { useExperiment } from '../../shared/experiment/index.ts';
import { shortDay } from '../../shared/ui/index.ts';
import { EntryFigure } from '../entry-figure.tsx';
import { GrowthRows } from '../growth-rows.tsx';
import type { LessonNow } from '../lesson-now.ts';

/** What a board is drawn from. */
export interface BoardProps {
  readonly board: Board;
  readonly now: LessonNow;
}

/** What was asked, changed, kept the same, measured and guessed. */
export function QuestionBoard({ now }: BoardProps) {
  const { experiment } = useExperiment();
  return (
    <div className="question-board">
      <h2 className="board-question">{experiment.question}</h2>
      <QuestionFacts now={now} />
    </div>
  );
}

/** What was changed, kept the same, measured and guessed, each under its name. */
export function QuestionFacts({ now }: { now: LessonNow }) {
  const { experiment, variable } = useExperiment();
  const { plan } = experiment;
  const changed = experiment.factors.map(({ name, levels }) =>
    say('changedLevels', { name, levels: allOf(levels) }),
  );
  const most = [...now.guesses].sort((a, b) => b.guesses - a.guesses);
  return (
    <dl className="question-facts">
      {changed.length > 0 && (
        <div>
          <dt>{say('whatWeChanged')}</dt>
          <dd>{changed.join('; ')}</dd>
        </div>
      )}
      {plan && plan.constants.length > 0 && (
        <div>
          <dt>{say('whatWeKeptTheSame')}</dt>
          <dd>{allOf(plan.constants)}</dd>
        </div>
      )}
      <div>
        <dt>{say('whatWeMeasured')}</dt>
        <dd>
          {say('variableOfPots', {
            variable: variable.name,
            pots: experiment.units.length,
            ifCrop: experiment.cropName === '' ? 'no' : 'yes',
            crop: experiment.cropName,
          })}
        </dd>
      </div>
      {most.length > 0 && (
        <div>
          <dt>{say('whatWeGuessed')}</dt>
          <dd>{most.map(({ choice, guesses }) => say('choiceTimes', { choice, guesses })).join(', ')}</dd>
        </div>
      )}
      {most.length === 0 && experiment.hypothesis !== '' && (
        <div>
          <dt>{say('whatWeGuessed')}</dt>
          <dd>{experiment.hypothesis}</dd>
        </div>
      )}
    </dl>
  );
}

/** One or two marked pots with every reading and its change, filled in as the class reads it out. */
export function WatchBoard({ board, now }: BoardProps) {
  const chosen = now.plants.filter(({ unit }) => board.unitIds.includes(unit.id));
  if (chosen.length === 0) return <p>{say('choosePotsToWatch')}</p>;
  return (
    <>
      <h2>{boardTitle('two_to_watch', now.level)}</h2>
      <div className="watch-tables">
        {chosen.map((one) => {
          const rows = watchedRows(now.histories.get(one.unit.id) ?? [], now.day);
          return (
            <section key={one.unit.id} aria-label={say('potNumber', { number: one.unit.number })}>
              <h3>
                {say('potNumber', { number: one.unit.number })}{' '}
                <small>{plantText(one, now.style, shortDay)}</small>
              </h3>
              <Table size="sm" className="watch-table">
                <GrowthRows rows={rows} style={now.style} />
              </Table>
            </section>
          );
        })}
      </div>
    </>
  );
}

/** First up, tallest, shortest, grown most, nearest to the mark; and what may hold back those that are not up. */
export function FirstsBoard({ now }: BoardProps) {
  const { experiment } = useExperiment();
  const { firsts, style, level, mark } = now;
  const { crop, plan } = experiment;
  const noted = useNotedReasons(firsts.notUp);
  const ages = now.plants
    .filter(({ plant }) => plant.state === 'not_emerged')
    .flatMap(({ age }) => age ?? []);
  const facts = {
    age: Math.min(...ages),
    usual: crop?.daysToEmergence ?? null,
    rate: crop?.germinationPercent == null ? null : crop.germinationPercent / 100,
    temperatureC: plan?.conditions.temperatureC ?? 20,
    wantsC: plan && crop ? crop.temperatureC : null,
    hasSoil: plan?.conditions.hasSoil ?? true,
  };
  return (
    <>
      <h2>{boardTitle('firsts', level)}</h2>
      <ul className="firsts">
        {firstsText(firsts, style, mark).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {firsts.notUp.length > 0 && ages.length > 0 && (
        <section className="not-up">
          <h3>{notUpText(firsts)}</h3>
          <ul>
            {noted.map((line) => (
              <li key={line}>
                <b>{line}</b>
              </li>
            ))}
            {notUpReasons(facts).map((reason) => (
              <li key={reason}>{notUpReasonText(reason, facts)}</li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

/** What the class noted of why pots did not come up by the shown day, a line for each reason. */
function useNotedReasons(notUp: readonly { readonly id: string; readonly number: number }[]): string[] {
  const { experiment, day } = useExperiment();
  const care = useQuery(careQuery(experiment.id)).data ?? [];
  const last = new Map(
    care
      .filter(({ kind, isUndone, happenedOn }) => kind === 'cause' && !isUndone && happenedOn <= day)
      .flatMap(({ unitIds, reason }) => (unitIds ?? []).map((id) => [id, reason] as const)),
  );
  return NO_SHOW_REASONS.flatMap((reason) => {
    const pots = notUp.filter(({ id }) => last.get(id) === reason).map(({ number }) => number);
    const said = { reason: NO_SHOW_WORDS[reason], n: pots.length, pots: allOf(pots) };
    return pots.length === 0 ? [] : [say('weNoted', said)];
  });
}

/** Chosen drawings, photos and sentences of the journal. */
export function PicturesBoard({ board, now }: BoardProps) {
  const { experiment } = useExperiment();
  const entries = useQuery(journalQuery(experiment.id)).data ?? [];
  const chosen = entries.filter(({ id, isHidden }) => !isHidden && board.entryIds.includes(id));
  return (
    <>
      <h2>{boardTitle('pictures', now.level)}</h2>
      <BoardFilm />
      {chosen.length === 0 && <p className="board-none">{say('choosePictures')}</p>}
      <ul className="board-pictures">
        {chosen.map((entry) => (
          <li key={entry.id}>
            <EntryFigure entry={entry} hasNames={false} />
          </li>
        ))}
      </ul>
    </>
  );
}

/** The film of the first container that was photographed from above, where there is one. */
function BoardFilm() {
  const { experiment } = useExperiment();
  const photos = useQuery(photosQuery(experiment.id)).data;
  const film = useMemo(() => {
    const all = experiment.containers.map((container) => ({
      container,
      series: seriesOf(photos ?? [], 'above', container).filter(({ hasPicture }) => hasPicture),
    }));
    return all.find(({ series }) => series.length > 1 && series.some(({ corners }) => corners));
  }, [experiment.containers, photos]);
  return film ? <Film seen={film.container} series={film.series} isOnBoard /> : null;
}

/** The teacher's own words. */
export function OwnWordsBoard({ board }: BoardProps) {
  return (
    <div className="own-words">
      <h2>{board.title === '' ? say('boardOwnWords') : board.title}</h2>
      {board.text.split('\n').map((line, index) => (
        <p key={index}>{line}</p>
      ))}
    </div>
  );
}
