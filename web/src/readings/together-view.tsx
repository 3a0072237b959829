import { say } from '@bright-sprout/words/readings';
import type { UnitView } from '@bright-sprout/contract/plans';
import { studentWords } from '@bright-sprout/core/words';
import { useQuery } from '@tanstack/react-query';
import { Projector } from 'lucide-react';
import { type ComponentType, useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { classesQuery } from '../shared/api/index.ts';
import { standingOn, useExperiment } from '../shared/experiment/index.ts';
import { storedJson, storeJson } from '../shared/ui/index.ts';

/** As many pots are read by the whole class at most: the others are read by their own teams. */
export const MOST_TOGETHER = 2;
const USUAL_LEVEL = '8-10';
const MARKED = 'bright-sprout.together.';

const store = (): Storage => localStorage;

/** The pots that this device's class reads together, and how one is marked or no longer marked; the newest two stay. */
export function useMarked(): [marked: readonly string[], toggle: (unitId: string) => void] {
  const { experiment } = useExperiment();
  const name = `${MARKED}${experiment.id}`;
  const [ids, setIds] = useState(() => idsIn(storedJson(store, name)));
  const marked = ids.filter((id) => experiment.units.some((unit) => unit.id === id));
  const toggle = (unitId: string): void => {
    const next = marked.includes(unitId)
      ? marked.filter((id) => id !== unitId)
      : [...marked, unitId].slice(-MOST_TOGETHER);
    storeJson(store, name, next.length === 0 ? undefined : next);
    setIds(next);
  };
  return [marked, toggle];
}

function idsIn(value: unknown): readonly string[] {
  return Array.isArray(value) ? value.filter((id): id is string => typeof id === 'string') : [];
}

/** What reads one pot, whatever is read of it. */
type Panel = ComponentType<{ unit: UnitView; nextUnit: UnitView | undefined; onKept: () => void }>;

/** One or two marked pots, read by the whole class from the front of the room; the rest is read by the children alone. */
export function TogetherView({ marked, panel: Panel }: { marked: readonly UnitView[]; panel: Panel }) {
  const { experiment, findings, variable, day } = useExperiment();
  const [isBig, setIsBig] = useState(false);
  useLetters(isBig);
  const level = useQuery(classesQuery).data?.find(({ id }) => id === experiment.classId)?.readingLevel;
  const words = studentWords(level ?? USUAL_LEVEL, experiment.plan?.conditions.hasSoil === false);
  const isRead = ({ id }: UnitView): boolean => standingOn(findings, id, day).isCurrent;
  const next = marked.find((unit) => !isRead(unit));
  const [first] = marked;
  const shown = next ?? first;
  const others = experiment.units.filter((unit) => !marked.includes(unit) && !isRead(unit)).length;
  if (!shown) {
    return (
      <section className="panel together" aria-label={say('together')}>
        <h2>{say('markAPot')}</h2>
        <p>{say('readingTogetherIs')}</p>
      </section>
    );
  }
  return (
    <div className={isBig ? 'together is-big' : 'together'}>
      <ol className="together-how">
        {variable.kind === 'length' && words.howTo.map((step) => <li key={step}>{step}</li>)}
        {!next && <li>{say('togetherDone', { others })}</li>}
      </ol>
      <Panel
        key={`${shown.id} ${variable.id} ${day}`}
        unit={shown}
        nextUnit={marked.find((unit) => unit !== shown && !isRead(unit))}
        onKept={() => undefined}
      />
      <Button variant="light" size="sm" aria-pressed={isBig} onClick={() => setIsBig(!isBig)}>
        <Projector size={16} aria-hidden="true" /> {isBig ? say('backToTheDesk') : say('largeForTheRoom')}
      </Button>
    </div>
  );
}

/** Letters that are read from the back of a room, while they are wanted. */
function useLetters(isBig: boolean): void {
  useEffect(() => {
    if (!isBig) return;
    document.documentElement.classList.add('is-projected');
    window.scrollTo(0, 0);
    return () => document.documentElement.classList.remove('is-projected');
  }, [isBig]);
}
