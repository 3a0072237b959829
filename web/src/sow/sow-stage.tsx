import { SowingRequest, sowRoutes } from '@bright-sprout/contract/sow';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useMutation } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import { useKeepExperiment } from '../plan/index.ts';
import { call } from '../shared/api/index.ts';
import { TreatmentKey, useExperiment } from '../shared/experiment/index.ts';
import { Pot, Sill, usePotLabel } from '../shared/sill/index.ts';
import { FailureNote, fieldMessage, longDay } from '../shared/ui/index.ts';

/** Sow: the day the seeds went in. */
export default function SowStage() {
  const { experiment } = useExperiment();
  const keep = useKeepExperiment();
  const label = usePotLabel();
  const isSown = experiment.status !== 'draft';
  const { register, handleSubmit, formState } = useForm<SowingRequest>({
    resolver: classValidatorResolver(SowingRequest),
    values: { sowedOn: isSown ? experiment.sowOn : experiment.today },
  });
  const sow = useMutation({
    mutationFn: (body: SowingRequest) =>
      call(sowRoutes.sowAll, { params: { experimentId: experiment.id }, body }),
    onSuccess: keep,
  });
  const problem = formState.errors.sowedOn?.message ?? fieldMessage(sow.error, 'sowedOn');
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
                  isSown
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
              :{' '}
              <b>
                {units.length * seedsPerUnit} seeds of {experiment.cropName}
              </b>
              .
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
        <Form noValidate onSubmit={(event) => void handleSubmit((body) => sow.mutate({ ...body }))(event)}>
          <Form.Group controlId="sowedOn" className="mb-3">
            <Form.Label>{isSown ? 'Put the day right' : `All ${units.length} pots were sown on`}</Form.Label>
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
              size={isSown ? 'sm' : 'lg'}
              variant={isSown ? 'light' : 'primary'}
              disabled={sow.isPending}
            >
              {isSown ? 'Change the day for all pots' : `Mark all ${units.length} pots as sown`}
            </Button>
            {isSown && (
              <Link className="btn btn-primary" to="../record">
                Go to Record
              </Link>
            )}
          </div>
        </Form>
        {!isSown && <p className="quiet">From then on, pots and treatments stay as they are.</p>}
      </section>
    </div>
  );
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
