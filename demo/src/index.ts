import type { Dose, SeedLot } from '@bright-sprout/core/design';
import { addDays, type CalendarDay } from '@bright-sprout/core/shared';
import { type GrowthSetting, NO_EFFECT } from '@bright-sprout/core/simulate';
import { crossed } from './crossed.ts';
import {
  classDayAfter,
  classDays,
  classDaysBefore,
  type DemoExperiment,
  type DemoPlan,
  grownExperiment,
  plannedExperiment,
  wholePlan,
} from './experiments.ts';
import { photographed } from './photographed.ts';

export { type DemoPhoto } from './photographed.ts';
export { demoCare, demoSamples } from './care.ts';
export { DEMO_ENTRIES, demoDrawing, type DemoEntry, type DemoPicture } from './drawings.ts';
export { DEMO_CONCLUSIONS, demoGuesses } from './ideas.ts';
export { type DemoExperiment } from './experiments.ts';
export { DEMO_CLASS, DEMO_EMAIL, DEMO_STUDENTS, DEMO_TEACHER, DEMO_TEAMS } from './school.ts';

const READ_DAYS = 18;

/**
 * The experiments of the made-up school, dated from `today`: one in full growth with a day missed and two
 * pots still to read, one just planned, one finished, one with crossed factors, one that is photographed, and last year's run of the finished
 * one. The same day gives the same school.
 */
export function demoExperiments(today: CalendarDay): DemoExperiment[] {
  return [
    growing(today),
    planned(today),
    finished(today),
    crossed(today),
    photographed(today),
    finished(addDays(today, -364), LAST_YEAR_SEED),
  ];
}

function growing(today: CalendarDay): DemoExperiment {
  const lastRead = classDaysBefore(addDays(today, 1), 1);
  const sowOn = classDaysBefore(lastRead, READ_DAYS + 1);
  const plan: DemoPlan = {
    question: 'Does seaweed feed make zinnias taller?',
    crop: 'Zinnia',
    hypothesis: 'We think a full dose of seaweed feed makes the tallest zinnias.',
    factor: 'Seaweed feed',
    aspect: 'additive',
    levels: [
      { name: 'Plain water', isControl: true, dose: seaweed(0), effect: NO_EFFECT },
      {
        name: 'Half dose',
        isControl: false,
        dose: seaweed(1),
        effect: { ...NO_EFFECT, growthRate: 1.05, finalHeight: 1.12 },
      },
      {
        name: 'Full dose',
        isControl: false,
        dose: seaweed(2),
        effect: { germination: 0.95, emergenceTime: 1.15, growthRate: 0.88, finalHeight: 0.55 },
      },
    ],
    replicates: 4,
    container: 'egg_carton',
    scale: { unit: 'cm', step: 0.1 },
    seedsPerUnit: 1,
    sowOn,
    lessonOn: classDayAfter(lastRead, 4),
    seed: GROWING_SEED,
    changes: {
      prediction: {
        prompt: 'Which pots will hold the tallest zinnias on the lesson day?',
        choices: ['Plain water', 'Half dose', 'Full dose', 'No difference that we can see'],
      },
    },
  };
  const setting: GrowthSetting = {
    germination: 0.9,
    daysToEmergence: { min: 5, max: 10 },
    finalHeightMm: 118,
    ratePerDay: 0.26,
    daysToFastest: 11,
    plantCv: 0.14,
    deathPerDay: 0.006,
    scale: plan.scale,
  };
  const days = classDays(sowOn, lastRead).filter((_, index) => index !== MISSED_DAY);
  const unread = today === lastRead ? [9, 12] : [];
  return {
    status: 'growing',
    hypothesis: plan.hypothesis,
    plan: wholePlan(plan),
    experiment: grownExperiment(plan, setting, days, unread),
  };
}

/** Seed with which one pot stays empty and one plant dies. */
const GROWING_SEED = 136;

/** Index of the class day on which nobody read: a school trip. */
const MISSED_DAY = 12;

function planned(today: CalendarDay): DemoExperiment {
  const sowOn = classDayAfter(today, 3);
  const plan: DemoPlan = {
    question: 'Do turnips mind a sandy mix?',
    crop: 'Turnip',
    hypothesis: 'Sand lets water through fast, so we think turnips in sand stay smaller.',
    factor: 'Sand in the mix',
    aspect: 'medium',
    levels: [
      { name: 'No sand', isControl: true, medium: 'seed-starting mix', effect: NO_EFFECT },
      {
        name: 'Half sand',
        isControl: false,
        medium: 'half seed-starting mix, half washed sand',
        effect: NO_EFFECT,
      },
    ],
    replicates: 5,
    container: 'flat',
    scale: { unit: 'mm', step: 1 },
    seedsPerUnit: 2,
    sowOn,
    lessonOn: classDayAfter(sowOn, 24),
    seed: 11,
    changes: {
      goal: { share: 0.8, heightMm: 40 },
      constants: ['seed of one packet', 'flats of one size', '8 mL of water a cell', 'the same window'],
      prediction: {
        prompt: 'In which pots will the turnips be taller on the lesson day?',
        choices: ['No sand', 'Half sand', 'No difference that we can see'],
      },
    },
  };
  return {
    status: 'draft',
    hypothesis: plan.hypothesis,
    plan: wholePlan(plan),
    experiment: plannedExperiment(plan, null),
  };
}

const THIS_YEAR_SEED = 12;
const LAST_YEAR_SEED = 23;

function finished(today: CalendarDay, seed = THIS_YEAR_SEED): DemoExperiment {
  const sowOn = classDaysBefore(today, 48);
  const lessonOn = classDayAfter(sowOn, 28);
  const plan: DemoPlan = {
    question: 'Do paper hoods make cucumbers stretch?',
    crop: 'Cucumber',
    hypothesis: 'Under the hood there is less light, so we think the plants reach up for it.',
    factor: 'Light',
    aspect: 'light',
    levels: [
      { name: 'Open window', isControl: true, light: 'bright', effect: NO_EFFECT },
      {
        name: 'Paper hood',
        isControl: false,
        light: 'shade',
        effect: { germination: 1, emergenceTime: 1, growthRate: 1.12, finalHeight: 1.45 },
      },
    ],
    replicates: 7,
    container: 'cups',
    scale: { unit: 'in', step: 0.25 },
    seedsPerUnit: 1,
    sowOn,
    lessonOn,
    seed,
    changes: {
      prediction: {
        prompt: 'Where will the cucumbers be taller?',
        choices: ['Open window', 'Paper hood', 'No difference that we can see'],
      },
    },
  };
  const setting: GrowthSetting = {
    germination: 0.93,
    daysToEmergence: { min: 5, max: 10 },
    finalHeightMm: 140,
    ratePerDay: 0.3,
    daysToFastest: 9,
    plantCv: 0.2,
    deathPerDay: 0.001,
    scale: plan.scale,
  };
  return {
    status: 'finished',
    hypothesis: plan.hypothesis,
    plan: wholePlan(plan),
    experiment: grownExperiment(plan, setting, classDays(sowOn, lessonOn), []),
  };
}

function seaweed(amount: number): Dose {
  return { material: 'seaweed feed', amount, unit: 'mL' };
}

/** The packets in the inventory of the made-up school. */
export function demoSeedLots(today: CalendarDay): Omit<SeedLot, 'id'>[] {
  return [
    {
      cropId: 'turnip',
      name: 'Turnips from the school fair',
      germinationPercent: 85,
      depthMm: 10,
      daysToEmergence: { min: 4, max: 9 },
      spacingMm: 100,
      seedsPerPacket: 200,
      packedOn: addDays(today, -820),
      tests: [{ on: addDays(today, -40), sown: 20, up: 14 }],
    },
    {
      cropId: 'zinnia',
      name: 'Zinnias, red packet',
      germinationPercent: 80,
      depthMm: 6,
      daysToEmergence: { min: 5, max: 10 },
      spacingMm: 200,
      seedsPerPacket: 40,
      packedOn: addDays(today, -300),
      tests: [],
    },
  ];
}
