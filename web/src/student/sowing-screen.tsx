import { SOWING_ITEMS, type SowingItem } from '@bright-sprout/contract/sow';
import { studentRoutes, type SowingPotView, type StudentSowingView } from '@bright-sprout/contract/student';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ArrowLeft, Check } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import { StepTimer } from '../plan/index.ts';
import { call } from '../shared/api/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { sowingQuery } from './queries.ts';

const ITEM_WORDS: Readonly<Record<SowingItem, string>> = {
  seeds: 'Seeds in',
  depth: 'Depth right',
  treatment: 'Treatment given',
  label: 'Label in place',
};

/** Sowing day on a tablet: the steps, and ticks for the team's own pots. */
export function SowingScreen({ sowing, onBack }: { sowing: StudentSowingView; onBack: () => void }) {
  const queries = useQueryClient();
  const tick = useMutation({
    mutationFn: (body: { unitIds: string[]; item: SowingItem; isDone: boolean }) =>
      call(studentRoutes.tickPot, { body }),
    onSuccess: () => queries.invalidateQueries({ queryKey: sowingQuery.queryKey }),
  });
  const done = sowing.pots.filter((pot) => SOWING_ITEMS.every((item) => pot.ticked.includes(item))).length;
  return (
    <main className="sowing-screen">
      <Button variant="light" aria-label="Back to my pots" onClick={onBack}>
        <ArrowLeft size={20} aria-hidden="true" />
      </Button>
      <h1>Sowing day</h1>
      <p>{sowing.question}</p>
      <ol className="sowing-steps">
        {sowing.steps.map((step) => (
          <li key={step.text}>
            {step.text} {step.minutes !== null && <StepTimer minutes={step.minutes} />}
          </li>
        ))}
      </ol>
      <p className="caution-box">Nobody tastes seeds or soil. Wash your hands when you are done.</p>
      <FailureNote error={tick.error} />
      <p aria-live="polite">
        <b>
          {done} of {sowing.pots.length} pots are ready.
        </b>
      </p>
      <ul className="sowing-pots">
        {sowing.pots.map((pot) => (
          <li key={pot.unitId}>
            <PotTicks
              pot={pot}
              onTick={(item, isDone) => tick.mutate({ unitIds: [pot.unitId], item, isDone })}
            />
          </li>
        ))}
      </ul>
    </main>
  );
}

function PotTicks({
  pot,
  onTick,
}: {
  pot: SowingPotView;
  onTick: (item: SowingItem, isDone: boolean) => void;
}) {
  const depth =
    pot.depthMm === null ? '' : pot.depthMm === 0 ? ', on the surface' : `, ${pot.depthMm} mm deep`;
  return (
    <section className="pot-ticks" aria-label={`Pot ${pot.number}`}>
      <h2>
        <TreatmentMark style={pot.style} size={22} /> {pot.number} <small>{pot.treatment}</small>
      </h2>
      <p>
        {pot.seeds} {pot.seeds === 1 ? 'seed' : 'seeds'}
        {depth}
        {pot.note && ` · ${pot.note}`}
      </p>
      <div className="tick-row">
        {SOWING_ITEMS.map((item) => {
          const isDone = pot.ticked.includes(item);
          return (
            <button
              key={item}
              type="button"
              className="tick"
              aria-pressed={isDone}
              onClick={() => onTick(item, !isDone)}
            >
              <Check size={20} aria-hidden="true" /> {ITEM_WORDS[item]}
            </button>
          );
        })}
      </div>
    </section>
  );
}
