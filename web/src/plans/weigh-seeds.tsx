import { Said } from '../shared/ui/index.ts';
import { say } from '@bright-sprout/words/plans';
import { weightOfSeeds } from '@bright-sprout/core/amounts';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { usePlanEditor } from './plan-editor.tsx';

/** From how many seeds a place it is easier to weigh than to count. */
export const MANY_SEEDS = 30;
const USUALLY_COUNTED = 50;
const GRAM_DIGITS = 2;

/** What the seeds of a place weigh, by a few that were counted and weighed. */
export function WeighSeeds() {
  const { plan } = usePlanEditor();
  const [seeds, setSeeds] = useState(String(USUALLY_COUNTED));
  const [grams, setGrams] = useState('');
  const counted = { seeds: Number(seeds), grams: Number(grams) };
  const isKnown = counted.seeds >= 1 && counted.grams > 0;
  return (
    <div className="form-row weigh-seeds">
      <Form.Group controlId="weigh-seeds">
        <Form.Label>{say('countOut')}</Form.Label>
        <span className="number-entry">
          <Form.Control
            type="number"
            min={1}
            value={seeds}
            onChange={({ target }) => setSeeds(target.value)}
          />
          <span>{say('seedsUnit')}</span>
        </span>
      </Form.Group>
      <Form.Group controlId="weigh-grams">
        <Form.Label>{say('theyWeigh')}</Form.Label>
        <span className="number-entry">
          <Form.Control
            type="number"
            min={0}
            step="any"
            value={grams}
            onChange={({ target }) => setGrams(target.value)}
          />
          <span>g</span>
        </span>
      </Form.Group>
      <p className="weighed" aria-live="polite">
        {isKnown ? (
          <Said
            by={say}
            code="seedsWeigh"
            values={{
              seeds: plan.seedsPerUnit,
              grams: Number(weightOfSeeds(plan.seedsPerUnit, counted).toPrecision(GRAM_DIGITS)),
            }}
          />
        ) : (
          say('weighInsteadOfCounting')
        )}
      </p>
    </div>
  );
}
