import { say } from '@bright-sprout/words/sowing';
import type { ExperimentView, UnitView } from '@bright-sprout/contract/plans';
import { SowingRequest, sowingRoutes } from '@bright-sprout/contract/sowing';
import { cautionText, deepText, unitNoun, unitsText } from '@bright-sprout/core/words';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useMutation } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import { useKeepExperiment } from '../plans/index.ts';
import { call } from '../shared/api/index.ts';
import {
  IfMayChange,
  treatmentOf,
  TreatmentKey,
  useExperiment,
  usePotSowing,
} from '../shared/experiment/index.ts';
import { Pot, UnitLayout, usePotLabel } from '../shared/layout/index.ts';
import { Said, FailureNote, fieldMessage, longDay, shortDay } from '../shared/ui/index.ts';
import { TakeBack } from './take-back.tsx';
import { useEarly } from './use-early.tsx';
import { SowingSteps, TickAll, UnitSowing, useIsReady, useTicks } from './sowing-session.tsx';
import './sowing.scss';

/** Sow: the steps of the day, ticks for each pot, and the day the seeds went in. */
export default function SowStage() {
  const { experiment } = useExperiment();
  const label = usePotLabel();
  const ticks = useTicks();
  const isReady = useIsReady(ticks);
  const [chosenId, setChosenId] = useState<string>();
  const isSown = experiment.status !== 'draft';
  const groups = sowingGroups(experiment);
  const { crop, units } = experiment;
  const sowingOf = usePotSowing();
  const [depth = null, ...otherDepths] = new Set(units.map((unit) => sowingOf(unit).depthMm));
  const [seedsPerUnit = 0, ...otherSeeds] = new Set(units.map((unit) => sowingOf(unit).seeds));
  const waiting = units.filter((unit) => unit.sownOn === null);
  const chosen = units.find(({ id }) => id === chosenId);
  const stateOf = (unit: UnitView): string => {
    if (unit.sownOn !== null) return say('sown2');
    if (isReady(unit)) return say('ready');
    return say('seeds2', { seeds: sowingOf(unit).seeds });
  };
  return (
    <div className="stage">
      <div className="layout-column">
        <UnitLayout
          experiment={experiment}
          label={say('theSillPotsToSow')}
          activeUnitId={chosenId}
          renderUnit={(unit, tabIndex) => (
            <button
              type="button"
              className={unit.id === chosenId ? 'pot is-chosen' : 'pot'}
              data-unit={unit.id}
              tabIndex={tabIndex}
              aria-pressed={unit.id === chosenId}
              aria-label={say('seeds3', {
                label: label(unit),
                stateOf: stateOf(unit),
              })}
              onClick={() => setChosenId(unit.id === chosenId ? undefined : unit.id)}
            >
              <Pot unit={unit} unreadText={stateOf(unit)} />
            </button>
          )}
          footer={<TreatmentKey treatments={experiment.treatments} />}
        />
        <p className="print-links">
          <Said
            by={say}
            code="printLabelsAndKitCardsRowMarkers"
            values={{
              link: (parts) => <Link to="../print?sheet=labels">{parts}</Link>,
              link2: (parts) => <Link to="../print?sheet=rows">{parts}</Link>,
              link3: (parts) => <Link to="../print?sheet=recording">{parts}</Link>,
            }}
          />
        </p>
      </div>
      <section className="panel" aria-label={say('sow')}>
        <h2>{isSown ? say('sownOn', { sowOn: longDay(experiment.sowOn) }) : say('putTheSeedsIn')}</h2>
        <IfMayChange>
          {chosen && <UnitSowing unit={chosen} ticks={ticks} />}
          {waiting.length > 0 && (
            <>
              <p>
                <Said
                  by={say}
                  code="labelsSeedsAPotSeedsTapA"
                  values={{
                    unitsCount: units.length,
                    seedsPerUnit,
                    isMixed: otherSeeds.length > 0 ? 'yes' : 'no',
                    otherDepthsCount: otherDepths.length > 0 ? say('eachPotAtItsOwnDepth') : deepText(depth),
                    reduce: units.reduce((sum, unit) => sum + sowingOf(unit).seeds, 0),
                  }}
                />
              </p>
              <SowingSteps />
              <TickAll units={waiting} ticks={ticks} />
            </>
          )}
          <aside className="caution-box">
            {crop?.caution && <b>{cautionText(crop.caution)} </b>}
            {say('nobodyTastesExperimentalPlants')}
          </aside>
          <ReadyForm units={waiting.filter(isReady)} all={waiting.length} />
          {groups.map((group) => (
            <SowingForm key={group.sowOn} group={group} isOnly={groups.length === 1} />
          ))}
          {isSown && <TakeBack units={units} />}
        </IfMayChange>
        {!isSown && <p className="quiet">{say('fromThenOnPotsAndTreatmentsStay')}</p>}
      </section>
    </div>
  );
}

/** Marks the pots that are fully ticked as sown today, while others wait. */
function ReadyForm({ units, all }: { units: readonly UnitView[]; all: number }) {
  const { experiment } = useExperiment();
  const keep = useKeepExperiment();
  const sow = useMutation({
    mutationFn: () =>
      call(sowingRoutes.sowAll, {
        params: { experimentId: experiment.id },
        body: { sownOn: experiment.today, unitIds: units.map(({ id }) => id) },
      }),
    onSuccess: keep,
  });
  const early = useEarly(experiment.today);
  if (units.length === 0 || units.length === all) return null;
  return (
    <>
      {early.note}
      <Button
        variant="light"
        size="sm"
        disabled={sow.isPending}
        onClick={() => early.unlessAsked(() => sow.mutate())}
      >
        {early.note
          ? say('sownAllTheSame')
          : say('markTheReadyPotsAsSownToday', { unitsCount: units.length })}
      </Button>
      <FailureNote error={sow.error} />
    </>
  );
}

/** Units that go in on one day. */
interface SowingGroup {
  readonly sowOn: string;
  readonly units: readonly UnitView[];
  readonly names: readonly string[];
}

/** The units by the day that the plan has for them. */
function sowingGroups(experiment: ExperimentView): SowingGroup[] {
  const dayOf = (unit: UnitView): string => unit.sowOn ?? experiment.sowOn;
  const days = [...new Set(experiment.units.map(dayOf))].sort();
  return days.map((sowOn) => {
    const units = experiment.units.filter((unit) => dayOf(unit) === sowOn);
    const names = new Set(units.map((unit) => treatmentOf(experiment, unit).name));
    return { sowOn, units, names: [...names] };
  });
}

/** Marks the units of one sowing day as sown, or puts their day right. */
function SowingForm({ group, isOnly }: { group: SowingGroup; isOnly: boolean }) {
  const { experiment } = useExperiment();
  const keep = useKeepExperiment();
  const sownOn = group.units.every((unit) => unit.sownOn !== null) ? (group.units[0]?.sownOn ?? null) : null;
  const { register, handleSubmit, formState, watch } = useForm<SowingRequest>({
    resolver: classValidatorResolver(SowingRequest),
    values: { sownOn: sownOn ?? experiment.today },
  });
  const sow = useMutation({
    mutationFn: (body: SowingRequest) =>
      call(sowingRoutes.sowAll, {
        params: { experimentId: experiment.id },
        body: isOnly ? body : { ...body, unitIds: group.units.map(({ id }) => id) },
      }),
    onSuccess: keep,
  });
  const early = useEarly(sownOn === null ? watch('sownOn') : undefined);
  const problem = formState.errors.sownOn?.message ?? fieldMessage(sow.error, 'sownOn');
  const count = group.units.length;
  const noun = unitNoun(experiment.containers);
  const units = unitsText(noun, count);
  const which = isOnly
    ? say('allPots', { noun, count })
    : say('potsOf', { units, names: group.names.join(', ') });
  const id = `sownOn-${group.sowOn}`;
  return (
    <Form
      noValidate
      className={isOnly ? '' : 'sowing-group'}
      onSubmit={(event) =>
        void handleSubmit((body) => early.unlessAsked(() => sow.mutate({ ...body })))(event)
      }
    >
      <Form.Group controlId={isOnly ? 'sownOn' : id} className="mb-3">
        <Form.Label>
          {sownOn !== null
            ? isOnly
              ? say('putTheDayRight')
              : say('sown', { which })
            : say('wereSownOn', { which, count })}
          {!isOnly && sownOn === null && (
            <small> {say('plannedFor', { sowOn: shortDay(group.sowOn) })}</small>
          )}
        </Form.Label>
        <Form.Control
          {...register('sownOn')}
          type="date"
          max={experiment.today}
          className="date-input"
          isInvalid={!!problem}
        />
        {problem && (
          <p className="field-problem" role="alert">
            {problem}
          </p>
        )}
      </Form.Group>
      {!fieldMessage(sow.error, 'sownOn') && <FailureNote error={sow.error} />}
      {early.note}
      <div className="button-row">
        <Button
          type="submit"
          size={sownOn !== null || !isOnly ? 'sm' : 'lg'}
          variant={sownOn !== null ? 'light' : 'primary'}
          disabled={sow.isPending}
        >
          {sownOn !== null
            ? isOnly
              ? say('changeTheDayForAllPots')
              : say('changeTheDay')
            : early.note
              ? say('sownAllTheSame')
              : isOnly
                ? say('markAllPotsAsSown', { count, units })
                : say('markThesePotsAsSown')}
        </Button>
        {isOnly && sownOn !== null && (
          <Link className="btn btn-primary" to="../record">
            {say('goToRecord')}
          </Link>
        )}
      </div>
    </Form>
  );
}
