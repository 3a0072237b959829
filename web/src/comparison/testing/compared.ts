import type { ComparisonView } from '@bright-sprout/contract/comparison';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import {
  compareTreatments,
  type Design,
  emergencePart,
  grouped,
  growthPart,
  teamsPart,
  treatmentsPart,
} from '@bright-sprout/core/comparison';
import { unitDays } from '@bright-sprout/core/growth';
import { addDays, calendarDay } from '@bright-sprout/core/shared';
import { comparisonWords } from '@bright-sprout/core/words';

export const SOWN = calendarDay('2026-05-04');
export const STYLE = { kind: 'length', scale: { unit: 'cm', step: 0.1 }, isHeight: true } as const;
export const VARIABLE = { id: 'height', name: 'height', kind: 'length', unit: 'cm', step: 0.1 } as const;
const AGES = [5, 7, 9, 11, 13, 15, 17, 19];
const LEVELS = ['Plain', 'Some <b>', 'Much'];

/** Two factors of 3 and 2 levels, 3 pots each, in 3 teams. */
export const DESIGN: Design = {
  factors: [
    { name: 'Feed', levels: LEVELS.map((name, at) => ({ name, isControl: at === 0, amount: at })) },
    {
      name: 'Light',
      levels: ['Sun', 'Shade'].map((name, at) => ({ name, isControl: at === 0, amount: null })),
    },
  ],
  treatments: LEVELS.flatMap((feed, a) =>
    ['Sun', 'Shade'].map((light, b) => ({
      id: `t${a}${b}`,
      name: `${feed} · ${light}`,
      isControl: a + b === 0,
      levels: [a, b],
      crop: 'Oat',
      plants: 1,
    })),
  ),
  units: Array.from({ length: 18 }, (_, at) => ({
    id: `u${at + 1}`,
    number: at + 1,
    treatmentId: `t${Math.floor(at / 6)}${Math.floor(at / 3) % 2}`,
    sownOn: SOWN,
    block: '',
    team: ['Newt', 'Heron', 'Otter'][at % 3] ?? '',
    seedsSown: 1,
  })),
};

const FACTS = DESIGN.units.flatMap((unit, at) =>
  AGES.map((age) => {
    const isUp = age > 5 && at !== 17;
    const end = 70 + 10 * Math.floor(at / 6) + 4 * (at % 3);
    const value = end / (1 + Math.exp(-0.4 * (age - 11))) + ((at * 5 + age) % 3) / 5;
    return {
      unitId: unit.id,
      day: addDays(SOWN, age),
      state: isUp ? ('emerged' as const) : ('not_emerged' as const),
      value: isUp ? value : null,
      observer: unit.team,
    };
  }),
);

/** Readings as the server sends them. */
export const READINGS: ReadingView[] = FACTS.map((fact, at) => ({
  id: `r${at}`,
  unitId: fact.unitId,
  variableId: VARIABLE.id,
  observedOn: fact.day,
  state: fact.state,
  value: fact.value,
  entered: '',
  unitOfMeasure: 'cm',
  precision: 0.1,
  observer: fact.observer,
  recordedAt: `${fact.day}T10:00:00.000Z`,
  supersedesId: null,
  isReread: false,
  counts: true,
  setAside: null,
}));

/** The whole comparison of day 19, as the server would send it. */
export function compared(by: 'treatment' | 'factor-0' = 'treatment'): ComparisonView {
  const { groups, units } = grouped(DESIGN, by);
  const day = addDays(SOWN, 19);
  const comparison = compareTreatments({
    treatments: groups,
    units,
    readings: FACTS,
    day,
    rule: 'only_up',
    design: DESIGN,
    by,
  });
  const histories = unitDays(FACTS);
  const words = comparisonWords({ comparison, treatments: groups, style: STYLE, level: '11-13' });
  return {
    ...comparison,
    variableId: VARIABLE.id,
    readDays: [...new Set(FACTS.map((fact) => fact.day))],
    setAside: 0,
    names: groups,
    words: { ...words, counting: 'Each pot counts once.' },
    design: { factors: DESIGN.factors, treatments: DESIGN.treatments },
    isShareOfSown: false,
    treatments: treatmentsPart(
      comparison,
      DESIGN,
      new Map(units.map((unit) => [unit.id, unit.id !== 'u18'])),
      'II',
    ),
    growth: growthPart(comparison, new Map(units.map((unit) => [unit.id, SOWN])), null),
    emergence: emergencePart(comparison, DESIGN, units, {
      histories,
      counts: null,
      packetRate: null,
      isLength: true,
    }),
    teams: teamsPart(comparison, DESIGN, FACTS),
  };
}

/** The experiment that is compared. */
export function experimentOf(changes: Partial<ExperimentView> = {}): ExperimentView {
  return {
    id: 'e',
    version: 1,
    status: 'growing',
    classId: null,
    shared: null,
    question: 'Does feed help in the shade?',
    hypothesis: '',
    crop: null,
    cropName: 'Oat',
    sowOn: SOWN,
    lessonOn: addDays(SOWN, 21),
    today: addDays(SOWN, 19),
    studyId: null,
    closedDays: [],
    layoutSeed: 1,
    seedsPerUnit: 1,
    plan: null,
    tasks: [],
    factors: DESIGN.factors.map((factor) => ({
      name: factor.name,
      levels: factor.levels.map((level) => level.name),
    })),
    treatments: DESIGN.treatments.map(({ id, name, isControl }, style) => ({
      id,
      code: id,
      name,
      isControl,
      style,
    })),
    containers: [{ id: 'c', kind: 'cups', rows: 3, columns: 6, name: '', brightSide: 'top' }],
    units: DESIGN.units.map((unit, at) => ({
      id: unit.id,
      number: unit.number,
      containerId: 'c',
      row: 1 + Math.floor(at / 6),
      column: 1 + (at % 6),
      treatmentId: unit.treatmentId,
      replicate: 1,
      block: '',
      team: unit.team,
      teamId: null,
      sowOn: null,
      sownOn: SOWN,
      seedsSown: 1,
      sowingNote: '',
    })),
    variables: [VARIABLE],
    ...changes,
  };
}
