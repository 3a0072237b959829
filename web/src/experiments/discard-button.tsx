import { Said } from '../shared/ui/index.ts';
import { say } from '@bright-sprout/words/experiments';
import { planRoutes } from '@bright-sprout/contract/plans';
import type { ExperimentCard } from '@bright-sprout/contract/experiments';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { call, experimentsQuery } from '../shared/api/index.ts';

/** Takes an experiment away; the same place offers to put it back. */
export function DiscardButton({ card }: { card: ExperimentCard }) {
  const [isOff, setIsOff] = useState(false);
  const queries = useQueryClient();
  const params = { experimentId: card.id };
  const move = useMutation({
    mutationFn: (off: boolean) =>
      off ? call(planRoutes.discard, { params }) : call(planRoutes.putBack, { params }),
    onSuccess: (_, off) => {
      setIsOff(off);
      if (!off) void queries.invalidateQueries({ queryKey: experimentsQuery.queryKey });
    },
  });
  if (isOff) {
    return (
      <p className="taken-off">
        <Said
          by={say}
          code="takenOffTheShelfPutItBack"
          values={{
            press: (parts) => (
              <Button size="sm" variant="light" onClick={() => move.mutate(false)}>
                {parts}
              </Button>
            ),
          }}
        />
      </p>
    );
  }
  return (
    <Button
      size="sm"
      variant="light"
      className="discard"
      aria-label={say('takeOffTheShelf', { question: card.question })}
      onClick={() => move.mutate(true)}
    >
      <Trash2 size={16} aria-hidden="true" />
    </Button>
  );
}
