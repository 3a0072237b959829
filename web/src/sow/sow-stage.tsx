import type { ExperimentView, UnitView } from '@bright-sprout/contract/plan';
import { SowingRequest, sowRoutes } from '@bright-sprout/contract/sow';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useMutation } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import { useKeepExperiment } from '../plan/index.ts';
import { call } from '../shared/api/index.ts';
import { treatmentOf, TreatmentKey, useExperiment } from '../shared/experiment/index.ts';
import { Pot, Sill, usePotLabel } from '../shared/sill/index.ts';
import { FailureNote, fieldMessage, longDay, shortDay } from '../shared/ui/index.ts';

/** Sow: the day the seeds went in. */
export default function SowStage() {
  const { experiment } = useExperiment();
  const label = usePotLabel();
  const isSown = experiment.status !== 'draft';
  const groups = sowingGroups(experiment);
  const { crop, units, seedsPerUnit } = experiment;
  return (
    <div className="stage">
      <div className="sill-column">
        <Sill
          experiment={experiment}
          label="The sill: pots to sow"
          renderUnit={(unit, tabIndex) => (
            <div
              className="pot"
              data-unit={unit.id}
              tabIndex={tabIndex}
              role="img"
              aria-label={`${label(unit)}, ${unit.seedsSown ?? seedsPerUnit} seeds`}
            >
              <Pot
                unit={unit}
                unreadText={
                  unit.sowedOn !== null
                    ? 'sown'
                    : `${unit.seedsSown ?? seedsPerUnit} ${seedsPerUnit === 1 ? 'seed' : 'seeds'}`
                }
              />
            </div>
          )}
          footer={<TreatmentKey treatments={experiment.treatments} />}
        />
      </div>
      <section className="panel" aria-label="Sow">
        <h2>{isSown ? `Sown on ${longDay(experiment.sowOn)}` : 'Put the seeds in'}</h2>
        {!isSown && (
          <ol className="steps">
            <li>
              Write the pot number and the treatment on each label: <b>{units.length} labels</b>.
            </li>
            <li>
              Put {seedsPerUnit === 1 ? 'one seed' : `${seedsPerUnit} seeds`} in each pot
              {crop?.sowingDepthMm
                ? `, ${crop.sowingDepthMm} mm deep`
                : crop?.sowingDepthMm === 0
                  ? ', on the surface'
                  : ''}
              : <b>{units.reduce((sum, unit) => sum + (unit.seedsSown ?? seedsPerUnit), 0)} seeds</b>.
            </li>
            <li>Set every pot in the place that the sill shows, then give its treatment.</li>
            <li>Wash hands after handling soil and seeds.</li>
          </ol>
        )}
        <aside className="caution-box">
          {crop?.caution && <b>{capital(crop.caution)}. </b>}
          Nobody tastes experimental plants. Treated (coloured) seed is not handled. Your school’s own rules
          come first.
        </aside>
        {groups.map((group) => (
          <SowingForm key={group.sowOn} group={group} isOnly={groups.length === 1} />
        ))}
        {!isSown && <p className="quiet">From then on, pots and treatments stay as they are.</p>}
      </section>
    </div>
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
  const sowedOn = group.units.every((unit) => unit.sowedOn !== null)
    ? (group.units[0]?.sowedOn ?? null)
    : null;
  const { register, handleSubmit, formState } = useForm<SowingRequest>({
    resolver: classValidatorResolver(SowingRequest),
    values: { sowedOn: sowedOn ?? experiment.today },
  });
  const sow = useMutation({
    mutationFn: (body: SowingRequest) =>
      call(sowRoutes.sowAll, {
        params: { experimentId: experiment.id },
        body: isOnly ? body : { ...body, unitIds: group.units.map(({ id }) => id) },
      }),
    onSuccess: keep,
  });
  const problem = formState.errors.sowedOn?.message ?? fieldMessage(sow.error, 'sowedOn');
  const count = group.units.length;
  const which = isOnly ? `All ${count} pots` : `${count} pots of ${group.names.join(', ')}`;
  const id = `sowedOn-${group.sowOn}`;
  return (
    <Form
      noValidate
      className={isOnly ? '' : 'sowing-group'}
      onSubmit={(event) => void handleSubmit((body) => sow.mutate({ ...body }))(event)}
    >
      <Form.Group controlId={isOnly ? 'sowedOn' : id} className="mb-3">
        <Form.Label>
          {sowedOn !== null ? (isOnly ? 'Put the day right' : `${which}: sown`) : `${which} were sown on`}
          {!isOnly && sowedOn === null && <small> planned for {shortDay(group.sowOn)}</small>}
        </Form.Label>
        <Form.Control
          {...register('sowedOn')}
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
      {!fieldMessage(sow.error, 'sowedOn') && <FailureNote error={sow.error} />}
      <div className="button-row">
        <Button
          type="submit"
          size={sowedOn !== null || !isOnly ? 'sm' : 'lg'}
          variant={sowedOn !== null ? 'light' : 'primary'}
          disabled={sow.isPending}
        >
          {sowedOn !== null
            ? isOnly
              ? 'Change the day for all pots'
              : 'Change the day'
            : isOnly
              ? `Mark all ${count} pots as sown`
              : 'Mark these pots as sown'}
        </Button>
        {isOnly && sowedOn !== null && (
          <Link className="btn btn-primary" to="../record">
            Go to Record
          </Link>
        )}
      </div>
    </Form>
  );
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
