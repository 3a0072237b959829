import { type EmergencePart, verdictBeside } from '@bright-sprout/core/comparison';
import { isClassDay } from '@bright-sprout/core/calendar';
import { levelAmount, stepsFromBright } from '@bright-sprout/core/design';
import type { UnitDay } from '@bright-sprout/core/growth';
import {
  type Firsts,
  firstsOf,
  type Guessed,
  type LessonUnit,
  type PlantOnDay,
  plantOnDay,
  type TalkPoint,
  talkPoints,
} from '@bright-sprout/core/lessons';
import {
  calendarDay,
  type CalendarDay,
  daysBetween,
  daysFromTo,
  toMillimetres,
} from '@bright-sprout/core/shared';
import type { ReadingLevel, ValueStyle } from '@bright-sprout/core/words';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useComparison, type ShownComparison } from '../comparison/index.ts';
import { predictionsQuery } from '../shared/api/index.ts';
import { findingsOf, type OpenExperiment, styleOf, useExperiment } from '../shared/experiment/index.ts';

/** Everything that the boards of a lesson show on a day. */
export interface LessonNow {
  readonly level: ReadingLevel;
  readonly day: CalendarDay;
  /** Days since sowing; `null` where pots differ in age, or before sowing. */
  readonly age: number | null;
  readonly plants: readonly PlantOnDay[];
  readonly histories: ReadonlyMap<string, readonly UnitDay[]>;
  readonly groups: readonly LessonGroup[];
  readonly style: ValueStyle;
  readonly isHeight: boolean;
  readonly mark: number | null;
  readonly firsts: Firsts;
  readonly talk: readonly TalkPoint[];
  readonly guesses: readonly Guessed[];
  /** Undefined while it is fetched. */
  readonly shown: ShownComparison | undefined;
  readonly error: unknown;
}

/** A treatment, with the number of its colour and mark. */
export interface LessonGroup {
  readonly id: string;
  readonly name: string;
  readonly isControl: boolean;
  readonly style: number;
}

/** Units as a lesson needs them, in the order of their places. */
function lessonUnits({ units, containers }: ExperimentView): LessonUnit[] {
  return units.map((unit) => {
    const container = containers.find(({ id }) => id === unit.containerId);
    return {
      id: unit.id,
      number: unit.number,
      groupId: unit.treatmentId,
      sownOn: unit.sownOn === null ? null : calendarDay(unit.sownOn),
      team: unit.team,
      fromBright: container && container.brightSide !== 'none' ? stepsFromBright(unit, container) : null,
    };
  });
}

/** True when the treatments stand in the order of an amount that was changed. */
function isInOrder({ plan, treatments }: ExperimentView): boolean {
  const [factor, ...others] = plan?.factors ?? [];
  if (!factor || others.length > 0 || factor.levels.length !== treatments.length) return false;
  const amounts = factor.levels.map((level) => levelAmount(factor.aspect, level));
  return amounts.every(
    (amount, at) => amount !== null && (at === 0 || amount > (amounts[at - 1] ?? Infinity)),
  );
}

/** How the packet did, where all pots are treated the same: one figure for all seeds. */
function packetOf(part: EmergencePart | null | undefined, rate: number | null) {
  const [only, ...others] = part?.groups ?? [];
  if (!only || others.length > 0 || rate === null || !only.againstPacket.defined) return null;
  const { up, sown } = only.indices;
  return sown === null
    ? null
    : { up, sown, rate, isUnlike: verdictBeside(only.againstPacket.value) === 'found' };
}

/** Class days from the first reading to a day. */
function classDaysOf({ experiment, readings }: OpenExperiment, day: CalendarDay): CalendarDay[] {
  const [first] = readings.map(({ observedOn }) => observedOn).sort();
  const rules = experiment.plan?.calendar;
  if (first === undefined || !rules || first > day) return [];
  return daysFromTo(calendarDay(first), day).filter((one) => isClassDay(one, rules));
}

/** What the boards show on the day that is open, at a reading level; inside a comparison's choices. */
export function useLessonNow(level: ReadingLevel): LessonNow {
  const open = useExperiment();
  const { experiment, readings, variable } = open;
  const day = calendarDay(open.day);
  const { shown, error } = useComparison(['emergence']);
  const kept = useQuery(predictionsQuery(experiment.id)).data;
  const guesses = useMemo(() => guessed(kept?.map(({ choice }) => choice) ?? []), [kept]);
  const units = useMemo(() => lessonUnits(experiment), [experiment]);
  const histories = useMemo(() => findingsOf(readings, variable.id), [readings, variable]);
  const plants = useMemo(
    () => units.map((unit) => plantOnDay(unit, histories.get(unit.id) ?? [], day)),
    [units, histories, day],
  );
  const groups = useMemo(() => groupsOf(experiment), [experiment]);
  const style = useMemo(() => styleOf(variable), [variable]);
  const { step, wholeUnit, isHeight } = measureOf(style, variable.step);
  const mark = experiment.plan?.referenceMm ?? null;
  const firsts = useMemo(
    () => firstsOf(plants, histories, day, step, mark),
    [plants, histories, day, step, mark],
  );
  const talk = useMemo(
    () =>
      talkPoints({
        day,
        units,
        plants,
        histories,
        groups,
        isOrdered: isInOrder(experiment),
        comparison: shown?.comparison.day === day ? shown.comparison : null,
        readings: readings
          .filter(
            ({ counts, variableId, observedOn }) => counts && variableId === variable.id && observedOn <= day,
          )
          .map(({ unitId, observedOn, state, value, observer }) => ({
            unitId,
            state,
            value: value ?? null,
            observer,
            day: calendarDay(observedOn),
          })),
        isHeight,
        step,
        wholeUnit,
        mark,
        usualDays: experiment.crop?.daysToEmergence ?? null,
        packet: packetOf(shown?.comparison.emergence, shown?.comparison.emergence?.packetRate ?? null),
        classDays: classDaysOf(open, day),
        guesses,
      }),
    [
      day,
      units,
      plants,
      histories,
      groups,
      experiment,
      shown,
      readings,
      variable,
      isHeight,
      step,
      wholeUnit,
      mark,
      open,
      guesses,
    ],
  );
  const age = ageOf(plants, experiment, day);
  return {
    level,
    day,
    age,
    plants,
    histories,
    groups,
    style,
    isHeight,
    mark,
    firsts,
    talk,
    guesses,
    shown,
    error,
  };
}

function guessed(choices: readonly string[]): Guessed[] {
  return [...new Set(choices)].map((choice) => ({
    choice,
    guesses: choices.filter((one) => one === choice).length,
  }));
}

function groupsOf({ treatments }: ExperimentView): LessonGroup[] {
  return treatments.map(({ id, name, isControl, style }) => ({ id, name, isControl, style }));
}

/** What is read to, what one whole unit of the ruler is, and whether heights are read; all in base units. */
function measureOf(style: ValueStyle, step: number): { step: number; wholeUnit: number; isHeight: boolean } {
  if (style.kind !== 'length') return { step, wholeUnit: 1, isHeight: false };
  const { unit } = style.scale;
  return { step: toMillimetres(step, unit), wholeUnit: toMillimetres(1, unit), isHeight: style.isHeight };
}

function ageOf(plants: readonly PlantOnDay[], { sowOn }: ExperimentView, day: CalendarDay): number | null {
  const ages = new Set(plants.flatMap(({ age }) => age ?? []));
  if (ages.size === 0) return day >= sowOn ? daysBetween(calendarDay(sowOn), day) : null;
  const [only] = ages;
  return ages.size === 1 ? (only ?? null) : null;
}
