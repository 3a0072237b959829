import { say } from '@bright-sprout/words/student';
import { SOWING_ITEMS, type SowingItem } from '@bright-sprout/core/shared';
import type { TickRequest, TickView } from '@bright-sprout/contract/sowing';
import type { SowingPotView, StudentSowingView } from '@bright-sprout/contract/student';
import { SOWING_ITEM_WORDS, deepText } from '@bright-sprout/core/words';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ArrowLeft, Check } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import { StepTimer } from '../plans/index.ts';
import { useKeep, useWithWaitingTicks } from '../shared/outbox/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { sowingQuery } from './queries.ts';
import type { AtDevice } from './use-keep-own.ts';

/** Sowing day on a tablet: the steps, and ticks for the team's own pots. */
export function SowingScreen({
  sowing: stored,
  at,
  onBack,
}: {
  sowing: StudentSowingView;
  at: AtDevice;
  onBack: () => void;
}) {
  const queries = useQueryClient();
  const sowing = useWithWaitingPots(stored);
  const keep = useKeep();
  const tick = useMutation({
    mutationFn: (body: TickRequest) =>
      keep(
        {
          route: 'tickPot',
          experimentId: sowing.experimentId,
          params: {},
          body,
          label: `${at.displayName}: ${SOWING_ITEM_WORDS[body.item]}`,
        },
        (ticks) =>
          queries.setQueryData(sowingQuery.queryKey, (known = []) => withTicks(known, sowing, ticks)),
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: sowingQuery.queryKey }),
  });
  const done = sowing.pots.filter((pot) => itemsOf(pot).every((item) => pot.ticked.includes(item))).length;
  return (
    <main className="sowing-screen">
      <Button variant="light" aria-label={say('backToMyPots')} onClick={onBack}>
        <ArrowLeft size={20} aria-hidden="true" />
      </Button>
      <h1>{say('sowingDay')}</h1>
      <p>{sowing.question}</p>
      <ol className="sowing-steps">
        {sowing.steps.map((step) => (
          <li key={step.text}>
            {step.text} {step.minutes !== null && <StepTimer minutes={step.minutes} />}
          </li>
        ))}
      </ol>
      <p className="caution-box">{say('nobodyTastesSeedsOrSoilWashYour')}</p>
      <FailureNote error={tick.error} />
      <p aria-live="polite">
        <b>{say('ofPotsAreReady', { done, potsCount: sowing.pots.length })}</b>
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
  return (
    <section className="pot-ticks" aria-label={say('pot4', { number: pot.number })}>
      <h2>
        <TreatmentMark style={pot.style} size={22} /> {pot.number} <small>{pot.treatment}</small>
      </h2>
      <p>
        {say('seedsOfPot', {
          seeds: pot.seeds,
          propagule: pot.propagule,
          crop: pot.crop.toLowerCase(),
          hasCrop: pot.crop ? 'yes' : 'no',
        })}
        {deepText(pot.depthMm)}
        {pot.note && ` · ${pot.note}`}
      </p>
      {pot.sowingGets && (
        <p>
          <b>{say('potGets', { gets: pot.sowingGets })}</b>
        </p>
      )}
      <div className="tick-row">
        {itemsOf(pot).map((item) => {
          const isDone = pot.ticked.includes(item);
          return (
            <button
              key={item}
              type="button"
              className="tick"
              aria-pressed={isDone}
              onClick={() => onTick(item, !isDone)}
            >
              <Check size={20} aria-hidden="true" /> {SOWING_ITEM_WORDS[item]}
            </button>
          );
        })}
      </div>
    </section>
  );
}

/** What is ticked of a pot; pots that this device kept from an older version do not say. */
function itemsOf({ items = SOWING_ITEMS }: Partial<Pick<SowingPotView, 'items'>>): readonly SowingItem[] {
  return items;
}

/** The pots with the ticks that wait on this device. */
function useWithWaitingPots(sowing: StudentSowingView): StudentSowingView {
  const ticks = sowing.pots.flatMap(({ unitId, ticked }) => ticked.map((item) => ({ unitId, item, by: '' })));
  const shown = useWithWaitingTicks(ticks, sowing.experimentId);
  return ticked(sowing, shown);
}

function ticked(sowing: StudentSowingView, ticks: readonly TickView[]): StudentSowingView {
  return {
    ...sowing,
    pots: sowing.pots.map((pot) => ({
      ...pot,
      ticked: ticks.filter((tick) => tick.unitId === pot.unitId).map((tick) => tick.item),
    })),
  };
}

function withTicks(
  known: readonly StudentSowingView[],
  { experimentId }: StudentSowingView,
  ticks: readonly TickView[],
): StudentSowingView[] {
  return known.map((one) => (one.experimentId === experimentId ? ticked(one, ticks) : one));
}
