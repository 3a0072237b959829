import { say } from '@bright-sprout/words/readings';
import type { UnitView } from '@bright-sprout/contract/plans';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, useSearchParams } from 'react-router';
import { CareView } from '../care/index.ts';
import {
  IfMayChange,
  TreatmentKey,
  treatmentOf,
  unreadUnits,
  useExperiment,
} from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { Pot, UnitLayout, usePotLabel } from '../shared/layout/index.ts';
import { shortDay } from '../shared/ui/index.ts';
import { CountPanel } from './count-panel.tsx';
import { FastSheet } from './fast-sheet.tsx';
import { HistoryView } from './history-view.tsx';
import { ProgressView } from './progress-view.tsx';
import { ReadingPanel } from './reading-panel.tsx';
import { ScorePanel } from './score-panel.tsx';
import { TogetherView, useMarked } from './together-view.tsx';
import './readings.scss';

const VIEWS = [
  { view: 'pots', name: say('potByPot') },
  { view: 'together', name: say('together') },
  { view: 'sheet', name: say('fastSheet') },
  { view: 'progress', name: say('progress') },
  { view: 'care', name: say('care') },
  { view: 'history', name: say('history') },
] as const;

const PANELS = { length: ReadingPanel, count: CountPanel, number: CountPanel, score: ScorePanel } as const;

/** Record: choose a pot on the layout and read it, or type fast, see who is done, note care, look back. */
export default function RecordStage() {
  const { experiment, findings, variable, day } = useExperiment();
  const label = usePotLabel();
  const [search] = useSearchParams();
  const unread = unreadUnits(experiment, findings, day);
  const [carePots, setCarePots] = useState<readonly string[]>([]);
  const [marked, toggleMarked] = useMarked();
  const { chosen, point, goOn } = useChosenPot(unread);
  const view = VIEWS.find((one) => one.view === search.get('view'))?.view ?? 'pots';

  if (experiment.status === 'draft' || !chosen)
    return <NothingToRead words={say('nothingIsSownYet')} link="sow" linkText={say('goToSow')} />;

  const done = experiment.units.length - unread.length;
  const Panel = PANELS[variable.kind];
  const isCare = view === 'care';
  const isTogether = view === 'together';
  const isToggled = isCare || isTogether;
  const isChosen = (unit: UnitView): boolean =>
    isTogether
      ? marked.includes(unit.id)
      : isCare
        ? carePots.includes(unit.id)
        : (view === 'pots' || view === 'history') && unit.id === chosen.id;
  const choose = (unit: UnitView): void => {
    if (isTogether) toggleMarked(unit.id);
    else if (!isCare) point(unit.id);
    else if (carePots.includes(unit.id)) setCarePots(carePots.filter((id) => id !== unit.id));
    else setCarePots([...carePots, unit.id]);
  };
  return (
    <div className={view === 'sheet' ? 'stage stage-sheet' : 'stage'}>
      <div className="layout-column">
        <ViewLinks view={view} />
        {(view === 'pots' || isTogether) && <VariableLinks />}
        <UnitLayout
          experiment={experiment}
          label={isToggled ? say('theSillChoosePots') : say('theSillChooseAPotToRead')}
          isSmall={view === 'sheet'}
          activeUnitId={isToggled ? undefined : chosen.id}
          renderUnit={(unit, tabIndex) => (
            <button
              type="button"
              className={view === 'sheet' ? 'mini-pot' : isChosen(unit) ? 'pot is-chosen' : 'pot'}
              data-unit={unit.id}
              tabIndex={tabIndex}
              aria-label={label(unit)}
              {...(isToggled ? { 'aria-pressed': isChosen(unit) } : { 'aria-current': isChosen(unit) })}
              onClick={() => (view === 'sheet' ? focusRow(unit) : choose(unit))}
            >
              {view === 'sheet' ? (
                <TreatmentMark style={treatmentOf(experiment, unit).style} size={14} />
              ) : (
                <Pot unit={unit} unreadText={say('toRead')} />
              )}
            </button>
          )}
          footer={<p>{say('ofDoneOn', { done, unitsCount: experiment.units.length, day: shortDay(day) })}</p>}
        />
        {view !== 'sheet' && <TreatmentKey treatments={experiment.treatments} />}
        {isCare && carePots.length > 0 && (
          <Button variant="light" size="sm" onClick={() => setCarePots([])}>
            {say('allPotsAgain')}
          </Button>
        )}
      </div>
      {view === 'pots' && (
        <Panel
          key={`${chosen.id} ${variable.id} ${day}`}
          unit={chosen}
          nextUnit={nextUnread(experiment.units, unread, chosen)}
          onKept={goOn}
        />
      )}
      {isTogether && (
        <IfMayChange>
          <TogetherView
            marked={marked.flatMap((id) => experiment.units.find((unit) => unit.id === id) ?? [])}
            panel={Panel}
          />
        </IfMayChange>
      )}
      {view === 'sheet' && <FastSheet key={day} />}
      {view === 'progress' && <ProgressView />}
      {isCare && (
        <IfMayChange>
          <CareView chosenIds={carePots} />
        </IfMayChange>
      )}
      {view === 'history' && (
        <IfMayChange>
          <HistoryView key={chosen.id} unit={chosen} />
        </IfMayChange>
      )}
    </div>
  );
}

/** What is chosen on the layout, and how it came to be. */
interface Choice {
  readonly id: string | undefined;
  readonly day: string;
  /** Somebody pointed at it; otherwise it is the next pot to read. */
  readonly isPointed: boolean;
  /** Counts the choices, so that a reading kept late does not move who has pointed elsewhere since. */
  readonly turn: number;
}

/** The chosen pot: one that was pointed at stays, else the first that is unread when the day is opened. */
function useChosenPot(unread: readonly UnitView[]): {
  chosen: UnitView | undefined;
  point: (id: string) => void;
  goOn: () => void;
} {
  const { experiment, day } = useExperiment();
  const first = (): Choice => ({ id: unread[0]?.id, day, isPointed: false, turn: 0 });
  const [choice, setChoice] = useState(first);
  if (choice.day !== day) setChoice(choice.isPointed ? { ...choice, day } : first());
  const chosen = experiment.units.find(({ id }) => id === choice.id) ?? experiment.units[0];
  return {
    chosen,
    point: (id) => setChoice((now) => ({ ...now, id, isPointed: true, turn: now.turn + 1 })),
    goOn: () => {
      const next = chosen && nextUnread(experiment.units, unread, chosen);
      setChoice((now) =>
        now.turn === choice.turn && next
          ? { ...now, id: next.id, isPointed: false, turn: now.turn + 1 }
          : now,
      );
    },
  };
}

/** Which variable is read pot by pot, where the plan has several. */
function VariableLinks() {
  const { experiment, variable } = useExperiment();
  const [search, setSearch] = useSearchParams();
  if (experiment.variables.length < 2) return null;
  const show = (id: string): void => {
    const wanted = new URLSearchParams(search);
    wanted.set('variable', id);
    setSearch(wanted, { replace: true });
  };
  return (
    <div className="view-links" role="group" aria-label={say('whatIsRead')}>
      {experiment.variables.map(({ id, name }) => (
        <button
          key={id}
          type="button"
          className={id === variable.id ? 'pill is-on' : 'pill'}
          aria-pressed={id === variable.id}
          onClick={() => show(id)}
        >
          {name}
        </button>
      ))}
    </div>
  );
}

/** Goes to a pot's row of the fast sheet. */
function focusRow(unit: UnitView): void {
  document.querySelector<HTMLInputElement>(`[aria-label^="Pot ${unit.number}, "][data-cell]`)?.focus();
}

function ViewLinks({ view }: { view: string }) {
  const { experiment } = useExperiment();
  const [search, setSearch] = useSearchParams();
  const show = (next: string): void => {
    const wanted = new URLSearchParams(search);
    wanted.set('view', next);
    setSearch(wanted, { replace: true });
  };
  return (
    <div className="view-links" role="group" aria-label={say('waysToRecord')}>
      {VIEWS.map((one) => (
        <Button
          key={one.view}
          size="sm"
          variant={one.view === view ? 'primary' : 'light'}
          aria-pressed={one.view === view}
          onClick={() => show(one.view)}
        >
          {one.name}
        </Button>
      ))}
      <Link
        className="btn btn-light btn-sm"
        to={{ pathname: `/experiments/${experiment.id}/pictures`, search: search.toString() }}
      >
        {say('picturesOfContainers')}
      </Link>
    </div>
  );
}

/** The next unit to read after `from` in walking order, starting over at the end. */
function nextUnread(
  units: readonly UnitView[],
  unread: readonly UnitView[],
  from: UnitView,
): UnitView | undefined {
  const others = unread.filter((unit) => unit.id !== from.id);
  return others.find((unit) => units.indexOf(unit) > units.indexOf(from)) ?? others[0];
}

function NothingToRead({ words, link, linkText }: { words: string; link: string; linkText: string }) {
  return (
    <div className="panel empty-panel">
      <h2>{words}</h2>
      <p className="quiet">{say('onceTheSeedsAreInTheSoil')}</p>
      <Link className="btn btn-primary" to={`../${link}`}>
        {linkText}
      </Link>
    </div>
  );
}
