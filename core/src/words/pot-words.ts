import { say } from '@bright-sprout/words/plan-statements';
import { seedsIn, sowingDepth } from '../amounts/index.ts';
import {
  type Aspect,
  type Crop,
  differingAspects,
  type Dose,
  type Plan,
  type PlanTreatment,
  type SeedLot,
  type SeedPosition,
  type StartForm,
} from '../design/index.ts';
import { SOWING_ITEMS, type SowingItem } from '../shared/index.ts';
import { LIGHT_WORDS } from './plan-words.ts';

/** What is put in, where it is no seed. */
export const START_FORM_WORDS: Record<Exclude<StartForm, 'seed'>, string> = {
  seedlings: say('seedlingWord'),
  paper_pots: say('paperPotWord'),
  bought: say('youngPlantWord'),
  divided: say('dividedPieceWord'),
  cuttings: say('cuttingWord'),
};

/** How a seed lies, for labels and sowing day. */
export const POSITION_WORDS: Record<Exclude<SeedPosition, 'any'>, string> = {
  flat: say('lyingFlat'),
  on_side: say('onItsSide'),
  point_up: say('pointUp'),
  point_down: say('pointDown'),
};

/** What goes into the pots of a treatment: its own crop, seeds and depth, and what makes it different. */
export interface PotSowing {
  /** Empty where the crop is not known. */
  readonly crop: string;
  /** What is put in, in its crop's words: `seed`, `clove`, `tuber piece`. */
  readonly propagule: string;
  readonly seeds: number;
  /** In mm; `null` where nothing gives a figure. */
  readonly depthMm: number | null;
  /** What is given or set for it alone: `10 mL compost tea + 1 tablet lime, in shade`; empty for nothing. */
  readonly gets: string;
  /** The same as it is done on sowing day: a dose that was mixed in days before is not given again. */
  readonly sowingGets: string;
  /** What is ticked on sowing day: giving the treatment only where there is something to give or set. */
  readonly items: readonly SowingItem[];
}

/** A dose as it is measured out: `10 mL compost tea`, `2 tablets`. */
export function doseText({ material, amount, unit }: Dose): string {
  return say('doseOf', { amount, unit, material });
}

/** What goes into the pots of a treatment, for labels, kits and sowing day. */
export function potSowing(
  plan: Plan,
  { settings }: PlanTreatment,
  known: { readonly crops: readonly Crop[]; readonly lots: readonly SeedLot[] },
): PotSowing {
  const varied = new Set<Aspect>(plan.factors.flatMap(differingAspects));
  const doses = settings.doses.map(doseText).join(' + ');
  const others = [
    varied.has('medium') && settings.medium,
    varied.has('water') && say('waterOf', { waterMl: settings.waterMl }),
    varied.has('light') && LIGHT_WORDS[settings.light],
    varied.has('cover') && say(settings.isCovered ? 'coveredPot' : 'openPot'),
    varied.has('temperature') && say('atDegrees', { temperatureC: settings.temperatureC }),
  ];
  const { startsAs = 'seed', position = 'any' } = plan.conditions;
  const crop = known.crops.find(({ id }) => id === settings.cropId);
  const lies = position === 'any' ? '' : POSITION_WORDS[position];
  const isMixedIn = plan.conditions.reactionDays > 0 && doses !== '';
  const dosesNow = isMixedIn ? say('isInTheMixAlready', { doses }) : doses;
  const isGiven = (!isMixedIn && doses !== '') || others.some((part) => part !== false && part !== '');
  return {
    crop: crop?.commonName ?? '',
    propagule: startsAs === 'seed' ? (crop?.propagule ?? say('seedWord')) : START_FORM_WORDS[startsAs],
    seeds: seedsIn(plan, settings),
    depthMm: sowingDepth(plan, settings, known),
    gets: joined([lies, doses, ...others]),
    sowingGets: joined([lies, dosesNow, ...others]),
    items: SOWING_ITEMS.filter((item) => item !== 'treatment' || isGiven),
  };
}

function joined(parts: readonly (string | false)[]): string {
  return parts.filter((part) => part !== false && part !== '').join(', ');
}

/** What goes into the pots of an experiment that came without a plan. */
export function sowingWithoutPlan(
  crop: Pick<Crop, 'propagule' | 'sowingDepthMm'> | null,
  cropName: string,
  seeds: number,
): PotSowing {
  return {
    ...{ crop: cropName, propagule: crop?.propagule ?? say('seedWord'), seeds },
    ...{ depthMm: crop?.sowingDepthMm ?? null, gets: '', sowingGets: '', items: SOWING_ITEMS },
  };
}
