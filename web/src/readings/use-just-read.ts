import type { UnitView } from '@bright-sprout/contract/plans';
import type { JustRead } from '@bright-sprout/core/growth';
import { calendarDay } from '@bright-sprout/core/shared';
import { useQuery } from '@tanstack/react-query';
import { practiceQuery } from '../shared/api/index.ts';
import { scaleOf, useExperiment, useGrowthFacts } from '../shared/experiment/index.ts';

/** What a height of a unit on the chosen day is judged against. */
export function useJustRead(): (unit: UnitView, valueMm: number) => JustRead {
  const { experiment, readings, findings, variable, day } = useExperiment();
  const practice = useQuery({
    ...practiceQuery(experiment.classId ?? ''),
    enabled: experiment.classId !== null,
  });
  const factsOf = useGrowthFacts();
  const ofDay = readings.filter(
    (reading) => reading.counts && reading.observedOn === day && reading.variableId === variable.id,
  );
  return (unit, valueMm) => ({
    valueMm,
    day: calendarDay(day),
    today: calendarDay(experiment.today),
    history: findings.get(unit.id) ?? [],
    sownOn: unit.sownOn === null ? null : calendarDay(unit.sownOn),
    scale: scaleOf(variable),
    crop: factsOf(unit),
    readingErrorMm: practice.data?.typicalMm ?? null,
    before: ofDay.filter((reading) => reading.unitId !== unit.id).flatMap((reading) => reading.value ?? []),
  });
}
