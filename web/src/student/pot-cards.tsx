import { say } from '@bright-sprout/words/student';
import type { StudentPotView } from '@bright-sprout/contract/student';
import { findingText } from '../shared/experiment/index.ts';
import { PlantFromSide, PotFromSide, TreatmentMark } from '../shared/plants/index.ts';

/** Seedlings of a few millimetres are not drawn as tall as the card. */
const SHORTEST_SCALE_MM = 60;

/** The pots as cards to choose from; those of several experiments stand under the questions. */
export function PotCards({
  pots,
  onOpen,
}: {
  pots: readonly StudentPotView[];
  onOpen: (unitId: string) => void;
}) {
  const tallest = Math.max(SHORTEST_SCALE_MM, ...pots.map((pot) => heightOf(pot) ?? 0));
  const questions = new Map(pots.map(({ experimentId, question }) => [experimentId, question]));
  return [...questions].map(([experimentId, question]) => (
    <section key={experimentId} aria-label={question}>
      {questions.size > 1 && <h2 className="pot-cards-of">{question}</h2>}
      <ul className="pot-cards">
        {pots
          .filter((pot) => pot.experimentId === experimentId)
          .map((pot) => (
            <li key={pot.unitId}>
              <PotCard pot={pot} tallest={tallest} onOpen={() => onOpen(pot.unitId)} />
            </li>
          ))}
      </ul>
    </section>
  ));
}

/** The last height known of a pot, in mm; `null` where there is none. */
function heightOf({ own, last, variable }: StudentPotView): number | null {
  return variable.kind === 'length' ? (own?.value ?? last?.value ?? null) : null;
}

/** A pot with its plant, drawn to one scale with the others. */
function PotCard({ pot, tallest, onOpen }: { pot: StudentPotView; tallest: number; onOpen: () => void }) {
  const now = pot.own
    ? findingText(pot.own, pot.variable)
    : pot.isReadToday
      ? say('measuredToday')
      : say('toRead');
  return (
    <button type="button" className={pot.isReadToday ? 'pot-card is-read' : 'pot-card'} onClick={onOpen}>
      <span className="pot-card-number">
        <TreatmentMark style={pot.style} size={22} /> {pot.number}
      </span>
      <PotDrawing pot={pot} tallest={tallest} />
      <span>{pot.treatment}</span>
      <b>{now}</b>
    </button>
  );
}

const CARD_TALL = 150;
const CARD_SOIL = 112;

/** The plant at its last height beside those of the other cards; a pot without one is a pot. */
function PotDrawing({ pot, tallest }: { pot: StudentPotView; tallest: number }) {
  const height = heightOf(pot);
  const state = pot.own?.state ?? pot.last?.state;
  const isGone = state === 'dead' || state === 'removed';
  return (
    <svg className="pot-card-drawing" viewBox={`-60 0 120 ${CARD_TALL}`} aria-hidden="true">
      <g transform={`translate(0 ${CARD_SOIL})`} opacity={isGone ? 0.4 : 1}>
        {height !== null && !isGone && (
          <PlantFromSide height={(height / tallest) * (CARD_SOIL - 8)} habit={pot.habit} />
        )}
        <PotFromSide width={44} depth={34} />
      </g>
    </svg>
  );
}
