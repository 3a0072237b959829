import { say } from '@bright-sprout/words/lessons';
import {
  LINE_UP_ORDERS,
  lineUp,
  type LineUpOrder,
  type PlantOnDay,
  plantStory,
} from '@bright-sprout/core/lessons';
import { lineUpCounts, lineUpTitle, ORDER_WORDS, plantText, storyText } from '@bright-sprout/core/words';
import { useQuery } from '@tanstack/react-query';
import { Eye, EyeOff, Pause, Play } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { addressOf, journalQuery } from '../../shared/api/index.ts';
import { journalRoutes } from '@bright-sprout/contract/journal';
import { useExperiment } from '../../shared/experiment/index.ts';
import { TreatmentMark } from '../../shared/plants/index.ts';
import { shortDay } from '../../shared/ui/index.ts';
import { drawingScale } from '../drawing-scale.ts';
import type { LessonNow } from '../lesson-now.ts';
import { LineUpDrawing, slotsOf, WIDE } from './line-up-drawing.tsx';

/** What is chosen of a row of plants. */
export interface LineUpChoice {
  readonly order: LineUpOrder;
  readonly hidesTreatments: boolean;
}

const PLAY_MS = 420;

/** Today's plants in a row that can be put in another order in front of the class. */
export function LineUpBoard({
  now,
  choice,
  onChoose,
}: {
  now: LessonNow;
  choice: LineUpChoice;
  onChoose: (choice: LineUpChoice) => void;
}) {
  const { experiment } = useExperiment();
  const { plants, groups, histories, style, day, age } = now;
  const [openId, setOpenId] = useState<string>();
  const { order, hidesTreatments } = choice;
  const row = useMemo(() => lineUp(plants, order, groups), [plants, order, groups]);
  const most = useMemo(
    () =>
      Math.max(0, ...[...histories.values()].flatMap((history) => history.map(({ value }) => value ?? 0))),
    [histories],
  );
  const scale = useMemo(() => drawingScale(most, style), [most, style]);
  const styles = useMemo(() => new Map(groups.map((group) => [group.id, group.style])), [groups]);
  const texts = useMemo(
    () => new Map(plants.map((one) => [one.unit.id, plantText(one, style, shortDay)])),
    [plants, style],
  );
  const open = plants.find(({ unit }) => unit.id === openId);
  const orders = LINE_UP_ORDERS.filter(
    (one) =>
      (one !== 'treatment' || (groups.length > 1 && !hidesTreatments)) &&
      (one !== 'team' || plants.some(({ unit }) => unit.team !== '')) &&
      (one !== 'age' || new Set(plants.map((plant) => plant.age)).size > 1 || order === 'age'),
  );
  return (
    <div className="line-up">
      <div className="board-head">
        <h2>{lineUpTitle(order, age, shortDay(day))}</h2>
        <p className="quiet">{lineUpCounts(plants)}</p>
      </div>
      <div className="line-up-shelf">
        <LineUpDrawing
          row={row}
          scale={scale}
          style={style}
          habit={experiment.crop?.habit ?? 'upright'}
          styles={styles}
          hidesTreatments={hidesTreatments}
          texts={texts}
        />
        <Columns
          row={row}
          openId={openId}
          nameOf={(one) => {
            const state = texts.get(one.unit.id) ?? '';
            const treatment = groups.find(({ id }) => id === one.unit.groupId)?.name ?? '';
            return hidesTreatments
              ? say('plantLabelHidden', { number: one.unit.number, state })
              : say('plantLabel', { number: one.unit.number, treatment, state });
          }}
          onOpen={(id) => setOpenId(id === openId ? undefined : id)}
        />
      </div>
      <div aria-live="polite">{open && <Story now={now} one={open} />}</div>
      <div className="board-foot">
        {hidesTreatments ? <span /> : <MarkKey now={now} />}
        <div className="pills" role="group" aria-label={say('putInOrderBy')}>
          {orders.map((one) => (
            <button
              key={one}
              type="button"
              className="pill"
              aria-pressed={one === order}
              onClick={() => onChoose({ ...choice, order: one })}
            >
              {ORDER_WORDS[one]}
            </button>
          ))}
        </div>
        <div className="pills">
          <PlayDays />
          {groups.length > 1 && (
            <button
              type="button"
              className="pill"
              aria-pressed={hidesTreatments}
              onClick={() =>
                onChoose({
                  hidesTreatments: !hidesTreatments,
                  order: !hidesTreatments && order === 'treatment' ? 'height' : order,
                })
              }
            >
              {hidesTreatments ? (
                <Eye size={18} aria-hidden="true" />
              ) : (
                <EyeOff size={18} aria-hidden="true" />
              )}{' '}
              {hidesTreatments ? say('showTreatments') : say('hideTreatments')}
            </button>
          )}
        </div>
      </div>
    </div>
  );
}

/** A button over each plant: a finger, the arrow keys and a screen reader go from plant to plant. */
function Columns({
  row,
  openId,
  nameOf,
  onOpen,
}: {
  row: readonly PlantOnDay[];
  openId: string | undefined;
  nameOf: (one: PlantOnDay) => string;
  onOpen: (id: string) => void;
}) {
  const { slot, x } = slotsOf(row.length);
  const at = Math.max(
    0,
    row.findIndex(({ unit }) => unit.id === openId),
  );
  const step = (event: React.KeyboardEvent<HTMLDivElement>): void => {
    const moves: Record<string, number> = {
      ArrowLeft: -1,
      ArrowRight: 1,
      Home: -row.length,
      End: row.length,
    };
    const move = moves[event.key];
    const buttons = [...event.currentTarget.querySelectorAll('button')];
    const from = buttons.findIndex((button) => button === document.activeElement);
    if (move === undefined || from < 0) return;
    event.preventDefault();
    event.stopPropagation();
    buttons[Math.max(0, Math.min(buttons.length - 1, from + move))]?.focus();
  };
  return (
    <div className="line-up-columns" role="group" aria-label={say('plantsInARow')} onKeyDown={step}>
      {row.map((one, index) => (
        <button
          key={one.unit.id}
          type="button"
          tabIndex={index === at ? 0 : -1}
          aria-label={nameOf(one)}
          aria-expanded={one.unit.id === openId}
          className={one.unit.id === openId ? 'is-open' : ''}
          style={{ left: `${(100 * (x(index) - slot / 2)) / WIDE}%`, width: `${(100 * slot) / WIDE}%` }}
          onClick={() => onOpen(one.unit.id)}
        />
      ))}
    </div>
  );
}

/** The life of a plant in a line, with its photo of the day when there is one. */
function Story({ now, one }: { now: LessonNow; one: PlantOnDay }) {
  const { experiment } = useExperiment();
  const { histories, day, style } = now;
  const { unit } = one;
  const journal = useQuery(journalQuery(experiment.id)).data;
  const photo = journal?.findLast(
    (entry) =>
      entry.unitId === unit.id && entry.happenedOn === day && entry.kind === 'photo' && entry.hasPicture,
  );
  const story = plantStory(unit, histories.get(unit.id) ?? [], day);
  return (
    <div className="plant-story">
      {photo && (
        <img
          src={addressOf(journalRoutes.picture, { experimentId: experiment.id, entryId: photo.id })}
          alt={say('photoOfPot', { number: unit.number, day: shortDay(day) })}
        />
      )}
      <p>
        {story
          ? storyText(story, style, shortDay(unit.sownOn ?? ''))
          : say('plantLabelHidden', { number: unit.number, state: say('plantNotSown') })}
      </p>
    </div>
  );
}

/** Treatments with their marks, large enough for a room. */
export function MarkKey({ now }: { now: LessonNow }) {
  if (now.groups.length < 2) return <span />;
  return (
    <ul className="mark-key" aria-label={say('treatments')}>
      {now.groups.map(({ id, name, style }) => (
        <li key={id}>
          <TreatmentMark style={style} size={22} /> {name}
        </li>
      ))}
    </ul>
  );
}

/** Plays the days from sowing to the day that is open. */
function PlayDays() {
  const { experiment, readings, day, setDay } = useExperiment();
  const [until, setUntil] = useState<string>();
  const timer = useRef<number>(undefined);
  const days = useMemo(() => {
    const read = [...new Set(readings.map(({ observedOn }) => observedOn))];
    return [...new Set([experiment.sowOn, ...read])].sort();
  }, [experiment.sowOn, readings]);
  useEffect(() => {
    if (until === undefined) return;
    const next = days.find((one) => one > day);
    timer.current = window.setTimeout(() => {
      if (next === undefined || next > until) setUntil(undefined);
      else setDay(next);
    }, PLAY_MS);
    return () => window.clearTimeout(timer.current);
  }, [until, day, days, setDay]);
  return (
    <button
      type="button"
      className="pill"
      onClick={() => {
        if (until !== undefined) {
          setDay(until);
          setUntil(undefined);
          return;
        }
        setUntil(day);
        setDay(days[0] ?? day);
      }}
    >
      {until === undefined ? <Play size={18} aria-hidden="true" /> : <Pause size={18} aria-hidden="true" />}{' '}
      {until === undefined ? say('playTheDays') : say('stopPlaying')}
    </button>
  );
}
