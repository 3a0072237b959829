import { say } from '@bright-sprout/words/plan-statements';
import {
  type GivenDose,
  isInWater,
  unitPlanOf,
  type KnownSeed,
  type Aspect,
  type Crop,
  differingAspects,
  type Dose,
  type Plan,
  type PlanTreatment,
  type PlanContainer,
  type UnitPlan,
  type SeedPosition,
  type SetIn,
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

/** How deep a young plant is set in, where it is deeper than it stood. */
export const SET_IN_WORDS: Record<Exclude<SetIn, 'as_it_stood'>, string> = {
  to_first_leaves: say('upToItsFirstLeaves'),
  two_thirds: say('twoThirdsOfTheStemInTheSoil'),
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
  /** Water at each watering in mL; 0 where nothing is watered. */
  readonly waterMl: number;
}

/** A dose as it is measured out: `10 mL of compost tea`, `2 tablets of lime`, `5 mL of feed in each litre of its water`. */
export function doseText({ material, amount, unit }: Dose): string {
  if (!isInWater({ unit })) return say('doseOf', { amount, unit, material });
  return say('doseInWater', { dose: say('doseOf', { amount, unit: unit.slice(0, -2), material }) });
}

/** A dose as it is to be taken on sowing day. */
function doseOnSowingDay(dose: GivenDose): string {
  return dose.when === 'before' ? say('isInTheMixAlready', { doses: doseText(dose) }) : doseText(dose);
}

/** What is put in, in its crop's words: `seed`, `clove`, `young plant`. */
export function propaguleWord(startsAs: StartForm, crop: Pick<Crop, 'propagule'> | undefined): string {
  return startsAs === 'seed' ? (crop?.propagule ?? say('seedWord')) : START_FORM_WORDS[startsAs];
}

/** What goes into the pots of a treatment in a container, for labels, kits and sowing day. */
export function potSowing(
  plan: Plan,
  treatment: PlanTreatment,
  container: PlanContainer | undefined,
  known: KnownSeed,
): PotSowing {
  const unit = unitPlanOf(plan, treatment, container, known);
  const varied = new Set<Aspect>(plan.factors.flatMap(differingAspects));
  const isSealed = unit.closing === 'sealed';
  const water = isSealed ? unit.wettingMl : unit.waterMl;
  const others = [
    varied.has('medium') && unit.medium,
    varied.has('water') && say(isSealed ? 'waterOnce' : 'waterOf', { waterMl: water }),
    varied.has('light') && LIGHT_WORDS[unit.light],
    varied.has('cover') && !isSealed && say(unit.closing === 'open' ? 'openPot' : 'coveredPot'),
    varied.has('temperature') && say('atDegrees', { temperatureC: unit.temperatureC }),
  ];
  const lies = [
    unit.position === 'any' ? '' : POSITION_WORDS[unit.position],
    unit.setIn === 'as_it_stood' ? '' : SET_IN_WORDS[unit.setIn],
  ];
  const isGiven =
    unit.doses.some(({ when }) => when !== 'before') || others.some((part) => part !== false && part !== '');
  return {
    crop: unit.crop?.commonName ?? '',
    propagule: propaguleWord(unit.startsAs, unit.crop),
    seeds: unit.seeds,
    depthMm: unit.depthMm,
    gets: joined([...lies, unit.doses.map(doseText).join(' + '), ...others]),
    sowingGets: joined([...lies, unit.doses.map(doseOnSowingDay).join(' + '), ...others]),
    items: SOWING_ITEMS.filter((item) => isTicked(item, unit, isGiven)),
    waterMl: unit.waterMl,
  };
}

/** Giving is ticked where something is given or set, a depth where there is soil to be deep in. */
function isTicked(item: SowingItem, { filling, depthMm }: UnitPlan, isGiven: boolean): boolean {
  if (item === 'treatment') return isGiven;
  return item !== 'depth' || filling === 'mix' || depthMm !== null;
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
    waterMl: 0,
  };
}
