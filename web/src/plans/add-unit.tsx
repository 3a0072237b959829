import { say } from '@bright-sprout/words/plans';
import { planRoutes } from '@bright-sprout/contract/plans';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { v7 as uuid } from 'uuid';
import { call } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { useKeepExperiment } from './use-save-plan.ts';

/** Adds a pot in a free place once the others are sown. */
export function AddUnit() {
  const { experiment } = useExperiment();
  const keep = useKeepExperiment();
  const free = experiment.containers.flatMap((container) =>
    Array.from({ length: container.rows * container.columns }, (_, index) => ({
      containerId: container.id,
      row: Math.floor(index / container.columns) + 1,
      column: (index % container.columns) + 1,
    })).filter(
      (place) =>
        !experiment.units.some(
          (unit) =>
            unit.containerId === place.containerId && unit.row === place.row && unit.column === place.column,
        ),
    ),
  );
  const [treatmentId, setTreatmentId] = useState(experiment.treatments[0]?.id ?? '');
  const [sownOn, setSownOn] = useState(experiment.today);
  const add = useMutation({
    mutationFn: (place: (typeof free)[number]) =>
      call(planRoutes.addUnit, {
        params: { experimentId: experiment.id, newUnitId: uuid() },
        body: { treatmentId, ...place, sownOn },
      }),
    onSuccess: keep,
  });
  const [first] = free;
  if (!first) return <p className="quiet">{say('everyPlaceIsTakenSoNoPot')}</p>;
  return (
    <fieldset className="factors">
      <legend>{say('addAPot')}</legend>
      <div className="form-row">
        <Form.Select
          value={treatmentId}
          aria-label={say('treatmentOfTheNewPot')}
          onChange={(event) => setTreatmentId(event.target.value)}
        >
          {experiment.treatments.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </Form.Select>
        <Form.Control
          type="date"
          value={sownOn}
          max={experiment.today}
          aria-label={say('sownOn')}
          onChange={(event) => setSownOn(event.target.value)}
        />
        <Button variant="light" disabled={add.isPending} onClick={() => add.mutate(first)}>
          {say('addItToTheFirstFreePlace')}
        </Button>
      </div>
      <FailureNote error={add.error} />
    </fieldset>
  );
}
