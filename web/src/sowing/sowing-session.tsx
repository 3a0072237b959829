import { say } from '@bright-sprout/words/sowing';
import { SOWING_ITEMS, type SowingItem } from '@bright-sprout/core/shared';
import type { UnitView } from '@bright-sprout/contract/plans';
import { sowingRoutes, type TickRequest, type TickView } from '@bright-sprout/contract/sowing';
import { SOWING_ITEM_WORDS, deepText } from '@bright-sprout/core/words';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Check } from 'lucide-react';
import { useEffect, useRef } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useForm } from 'react-hook-form';
import { StepTimer, useKeepExperiment } from '../plans/index.ts';
import { call, ticksQuery } from '../shared/api/index.ts';
import { treatmentOf, useExperiment, usePotSowing } from '../shared/experiment/index.ts';
import { TakeBack } from './take-back.tsx';
import { useKeep, useWithWaitingTicks } from '../shared/outbox/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { Said, FailureNote, fieldMessage, shortDay } from '../shared/ui/index.ts';

const NO_TICKS: readonly TickView[] = [];

/** What is ticked of each unit, kept up to date while tablets tick. */
export function useTicks(): readonly TickView[] {
  const { experiment } = useExperiment();
  return useWithWaitingTicks(useQuery(ticksQuery(experiment.id)).data ?? NO_TICKS, experiment.id);
}

/** Tells whether everything of a unit's sowing is ticked. */
export function useIsReady(ticks: readonly TickView[]): (unit: UnitView) => boolean {
  const sowingOf = usePotSowing();
  return (unit) =>
    sowingOf(unit).items.every((item) => ticks.some((tick) => tick.unitId === unit.id && tick.item === item));
}

/** The steps of sowing day, large enough for the back of the room when they are thrown on the wall. */
export function SowingSteps() {
  const { experiment } = useExperiment();
  const wall = useRef<HTMLDivElement>(null);
  const steps = (experiment.plan?.steps ?? []).filter((step) => step.when === 'sowing');
  useEffect(() => {
    const element = wall.current;
    return () => void (document.fullscreenElement === element && document.exitFullscreen());
  }, []);
  if (steps.length === 0) return null;
  return (
    <div ref={wall} className="sowing-wall">
      <ol className="sowing-steps">
        {steps.map((step) => (
          <li key={step.id}>
            {step.text} {step.minutes !== null && <StepTimer minutes={step.minutes} />}
          </li>
        ))}
      </ol>
      <Button variant="light" size="sm" onClick={() => void wall.current?.requestFullscreen()}>
        {say('showTheStepsLarge')}
      </Button>
    </div>
  );
}

/** Ticks of one unit, and what was different when it was sown. */
export function UnitSowing({ unit, ticks }: { unit: UnitView; ticks: readonly TickView[] }) {
  const { experiment } = useExperiment();
  const tick = useTick();
  const { crop, propagule, seeds, depthMm, sowingGets, items } = usePotSowing()(unit);
  const section = useRef<HTMLElement>(null);
  // On a phone the panel lies below the pots: what was tapped is shown.
  useEffect(() => {
    section.current?.scrollIntoView({ block: 'nearest' });
  }, [unit.id]);
  return (
    <section ref={section} className="unit-sowing" aria-label={say('sowingOfPot', { number: unit.number })}>
      <h3>
        <TreatmentMark style={treatmentOf(experiment, unit).style} size={18} />{' '}
        <Said
          by={say}
          code="pot"
          values={{
            number: unit.number,
            treatmentOf: treatmentOf(experiment, unit).name,
          }}
        />
      </h3>
      <p className="quiet">
        {say('seeds', {
          seedsSown: seeds,
          propagule,
          ofCrop: crop && say('ofCrop', { crop: crop.toLowerCase() }),
          deepText: deepText(depthMm),
        })}
      </p>
      {sowingGets && (
        <p>
          <b>{say('itGets', { gets: sowingGets })}</b>
        </p>
      )}
      <div className="tick-row">
        {items.map((item) => {
          const done = ticks.find((one) => one.unitId === unit.id && one.item === item);
          return (
            <button
              key={item}
              type="button"
              className="tick"
              aria-pressed={done !== undefined}
              title={done && say('by', { by: done.by })}
              onClick={() => tick.mutate({ unitIds: [unit.id], item, isDone: !done })}
            >
              <Check size={16} aria-hidden="true" /> {SOWING_ITEM_WORDS[item]}
            </button>
          );
        })}
      </div>
      <FailureNote error={tick.error} />
      <TakeBack units={[unit]} />
      <ExceptionForm key={`${unit.id} ${unit.seedsSown} ${unit.sowingNote}`} unit={unit} />
    </section>
  );
}

/** Ticks an item for every pot at once. */
export function TickAll({ units, ticks }: { units: readonly UnitView[]; ticks: readonly TickView[] }) {
  const { experiment } = useExperiment();
  const tick = useTick();
  const sowingOf = usePotSowing();
  const unitsWith = (item: SowingItem): UnitView[] =>
    units.filter((unit) => sowingOf(unit).items.includes(item));
  const missing = (item: SowingItem): string[] =>
    unitsWith(item)
      .filter((unit) => !ticks.some((one) => one.unitId === unit.id && one.item === item))
      .map(({ id }) => id);
  return (
    <div className="tick-all" role="group" aria-label={say('tickForAllPots')}>
      {SOWING_ITEMS.filter((item) => unitsWith(item).length > 0).map((item) => {
        const left = missing(item);
        const all = unitsWith(item).length;
        return (
          <Button
            key={item}
            size="sm"
            variant="light"
            disabled={left.length === 0 || tick.isPending}
            onClick={() => tick.mutate({ unitIds: left, item, isDone: true })}
          >
            {say('of', {
              sowingItemWords: SOWING_ITEM_WORDS[item],
              unitsCount: all - left.length,
              unitsCount2: all,
            })}
          </Button>
        );
      })}
      {experiment.classId !== null && experiment.sowOn > experiment.today && ticks.length === 0 && (
        <p className="quiet">{say('tabletsSowFromOnOrAsSoon', { sowOn: shortDay(experiment.sowOn) })}</p>
      )}
    </div>
  );
}

function useTick() {
  const { experiment } = useExperiment();
  const queries = useQueryClient();
  const keep = useKeep();
  return useMutation({
    mutationFn: (body: TickRequest) =>
      keep(
        {
          route: 'tick',
          experimentId: experiment.id,
          params: { experimentId: experiment.id },
          body,
          label: say('sowingPots', {
            sowingItemWords: SOWING_ITEM_WORDS[body.item],
            unitIdsCount: body.unitIds.length,
          }),
        },
        (ticks) => queries.setQueryData(ticksQuery(experiment.id).queryKey, ticks),
      ),
  });
}

/** A pot with four seeds, or one that was dropped: said here, so that nobody has to remember it. */
function ExceptionForm({ unit }: { unit: UnitView }) {
  const { experiment } = useExperiment();
  const keepExperiment = useKeepExperiment();
  const { register, handleSubmit, formState } = useForm({
    defaultValues: { seedsSown: unit.seedsSown ?? experiment.seedsPerUnit, note: unit.sowingNote },
  });
  const keep = useMutation({
    mutationFn: (body: { seedsSown: number; note: string }) =>
      call(sowingRoutes.noteSowing, {
        params: { experimentId: experiment.id },
        body: { ...body, unitId: unit.id },
      }),
    onSuccess: keepExperiment,
  });
  const problem = fieldMessage(keep.error, 'seedsSown') ?? fieldMessage(keep.error, 'note');
  return (
    <Form
      noValidate
      className="form-row"
      onSubmit={(event) => void handleSubmit((body) => keep.mutate(body))(event)}
    >
      <Form.Group controlId="really-sown" className="plan-field">
        <Form.Label>{say('seedsReallyIn')}</Form.Label>
        <Form.Control
          {...register('seedsSown', { valueAsNumber: true })}
          type="number"
          min={0}
          isInvalid={problem !== undefined}
        />
      </Form.Group>
      <Form.Group controlId="sowing-note" className="plan-field is-wide">
        <Form.Label>{say('anythingDifferent')}</Form.Label>
        <Form.Control {...register('note')} maxLength={300} autoComplete="off" />
      </Form.Group>
      <Button type="submit" variant="light" size="sm" disabled={!formState.isDirty || keep.isPending}>
        {say('noteIt')}
      </Button>
      {problem && <p className="field-problem">{problem}</p>}
      {!problem && <FailureNote error={keep.error} />}
    </Form>
  );
}
