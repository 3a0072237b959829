import type { UnitView } from '@bright-sprout/contract/plans';
import { useState } from 'react';
import { treatmentOf, useExperiment } from '../shared/experiment/index.ts';
import { type Intent, useKeepReading } from './use-keep-reading.ts';
import { whyNot } from './why-not.ts';

/**
 * What every panel that reads one pot on one day starts from: the readings there are, whether another is being
 * made, and how it is kept.
 * @param onKept called once a reading is kept, unless the panel has gone meanwhile
 */
export function usePotReading(unit: UnitView, onKept: () => void) {
  const { experiment, readings, findings, variable, day } = useExperiment();
  const today = readings.filter(
    (reading) =>
      reading.unitId === unit.id && reading.observedOn === day && reading.variableId === variable.id,
  );
  const [intent, setIntent] = useState<Intent | undefined>(today.length === 0 ? { kind: 'add' } : undefined);
  const keep = useKeepReading(unit, intent, () => {
    setIntent(undefined);
    onKept();
  });
  return {
    treatment: treatmentOf(experiment, unit),
    history: findings.get(unit.id) ?? [],
    today,
    intent,
    setIntent,
    keep,
    cannotRead: whyNot(experiment, unit, day),
  };
}
