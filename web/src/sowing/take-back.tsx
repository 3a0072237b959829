import { say } from '@bright-sprout/words/sowing';
import type { UnitView } from '@bright-sprout/contract/plans';
import { sowingRoutes } from '@bright-sprout/contract/sowing';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useKeepExperiment } from '../plans/index.ts';
import { call } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';

/** Takes the sowing of pots back that nothing was read of yet, after asking. */
export function TakeBack({ units }: { units: readonly UnitView[] }) {
  const { experiment, readings } = useExperiment();
  const keep = useKeepExperiment();
  const [isAsking, setIsAsking] = useState(false);
  const takingBack = useMutation({
    mutationFn: () =>
      call(sowingRoutes.takeBackSowing, {
        params: { experimentId: experiment.id },
        body: { unitIds: units.map(({ id }) => id) },
      }),
    onSuccess: (saved) => {
      setIsAsking(false);
      keep(saved);
    },
  });
  const ids = new Set(units.map(({ id }) => id));
  const isSown = units.some(({ sownOn }) => sownOn !== null);
  const isRead = readings.some(({ unitId }) => ids.has(unitId));
  if (!isSown || isRead || experiment.status === 'finished') return null;
  const count = units.length;
  if (!isAsking) {
    return (
      <p>
        <Button variant="link" size="sm" onClick={() => setIsAsking(true)}>
          {say('takeSowingBack', { count })}
        </Button>
      </p>
    );
  }
  return (
    <div className="note-attention">
      <p>{say('takeSowingBackSurely', { count })}</p>
      <div className="button-row">
        <Button size="sm" disabled={takingBack.isPending} onClick={() => takingBack.mutate()}>
          {say('takeItBack')}
        </Button>
        <Button size="sm" variant="light" onClick={() => setIsAsking(false)}>
          {say('leaveAsItIs')}
        </Button>
      </div>
      <FailureNote error={takingBack.error} />
    </div>
  );
}
