import type { Plan } from '../design/index.ts';
import {
  addDays,
  type CalendarDay,
  daysBetween,
  defined,
  notDefined,
  type Outcome,
} from '../shared/index.ts';
import { chanceReady, chanceUp } from '../simulate/index.ts';
import { binomialTerms } from '../statistics/index.ts';
import { type ClassDays, classDayUpTo, isClassDay } from './class-days.ts';
import { treatmentGrowth, type PlanSurroundings, type TreatmentGrowth } from './treatment-growth.ts';

/** How ready the sill is likely to be on the lesson day. */
export interface Readiness {
  /** Chance that at least the share of units wanted is up and tall enough. */
  readonly chance: number;
  /** Units expected to be so. */
  readonly expected: number;
  readonly units: number;
}

/**
 * The chance that enough units are ready on the lesson day. A unit is ready when one of its seeds gives a plant
 * of the height wanted; units are independent. An age ladder is judged by its oldest plants.
 * @param sowOn the sowing day, the plan's own when left out
 */
export function readiness(
  plan: Plan,
  surroundings: PlanSurroundings,
  sowOn: CalendarDay = plan.sowOn,
): Outcome<Readiness> {
  const all = treatmentGrowth({ ...plan, sowOn }, surroundings);
  const judged = all.some((growth) => growth.treatment.settings.ageDays !== null) ? oldest(all) : all;
  const chances: number[] = [];
  for (const growth of judged) {
    const one = seedChance(plan, growth);
    if (!one.defined) return one;
    const unit = 1 - (1 - one.value) ** growth.seeds;
    for (let replicate = 0; replicate < plan.replicates; replicate += 1) chances.push(unit);
  }
  if (chances.length === 0) return notDefined('no-values');
  const spread = countDistribution(chances);
  const needed = Math.ceil(plan.goal.share * chances.length - 1e-9);
  return defined({
    chance: Math.min(
      1,
      spread.slice(needed).reduce((sum, term) => sum + term, 0),
    ),
    expected: chances.reduce((sum, chance) => sum + chance, 0),
    units: chances.length,
  });
}

function oldest(growths: readonly TreatmentGrowth[]): TreatmentGrowth[] {
  const first = growths.map((growth) => growth.sowOn).sort()[0];
  return growths.filter((growth) => growth.sowOn === first);
}

/** Chance of one seed to be ready; a crop without a height is judged by whether it is up. */
function seedChance(plan: Plan, growth: TreatmentGrowth): Outcome<number> {
  const days = daysBetween(growth.sowOn, plan.lessonOn);
  if (growth.setting.defined) return defined(chanceReady(days, plan.goal.heightMm, growth.setting.value));
  const rate = growth.facts?.rate;
  if (!growth.window.defined || !rate) return notDefined(growth.setting.reason);
  if (plan.goal.heightMm > 0) return notDefined('no-crop-figures');
  return defined(rate.share * chanceUp(days, growth.window.value));
}

/** P(exactly x of independent units are ready), x = 0 … n (Poisson binomial, by convolution). */
function countDistribution(chances: readonly number[]): number[] {
  const same = chances.every((chance) => chance === chances[0]);
  if (same) return binomialTerms(chances.length, chances[0] as number);
  let terms = [1];
  for (const chance of chances) {
    const next = new Array<number>(terms.length + 1).fill(0);
    terms.forEach((term, count) => {
      next[count] = (next[count] as number) + term * (1 - chance);
      next[count + 1] = (next[count + 1] as number) + term * chance;
    });
    terms = next;
  }
  return terms;
}

/** A day on which the plan could be sown. */
export interface SowingChoice {
  readonly day: CalendarDay;
  readonly chance: number;
}

/** Sowing days worked out backwards from the lesson. */
export interface SowingAdvice {
  /** Class days from the earliest to the day before the lesson. */
  readonly choices: readonly SowingChoice[];
  /** The last day with the chance wanted; undefined when no day has it. */
  readonly latest: CalendarDay | undefined;
  /** A class week before the latest, as plants do not keep to dates; the best there is otherwise. */
  readonly recommended: CalendarDay | undefined;
}

const SLACK_DAYS = 7;
const LONGEST_LEAD = 120;

/**
 * The chance of being ready by the lesson for each class day that is still to come.
 * @param today no day before it is offered
 */
export function sowingAdvice(
  plan: Plan,
  surroundings: PlanSurroundings,
  today: CalendarDay,
): Outcome<SowingAdvice> {
  const rules: ClassDays = plan.calendar;
  const earliest = addDays(plan.lessonOn, -LONGEST_LEAD);
  const from = today > earliest ? today : earliest;
  const choices: SowingChoice[] = [];
  for (let day = from; day < plan.lessonOn; day = addDays(day, 1)) {
    if (!isClassDay(day, rules)) continue;
    const found = readiness(plan, surroundings, day);
    if (!found.defined) return found;
    choices.push({ day, chance: found.value.chance });
  }
  const latest = choices.filter((choice) => choice.chance >= plan.chance).at(-1)?.day;
  return defined({ choices, latest, recommended: recommendedDay(choices, latest, rules) });
}

function recommendedDay(
  choices: readonly SowingChoice[],
  latest: CalendarDay | undefined,
  rules: ClassDays,
): CalendarDay | undefined {
  const first = choices[0]?.day;
  if (latest === undefined || first === undefined) return first;
  const earlier = classDayUpTo(addDays(latest, -SLACK_DAYS), rules);
  return earlier < first ? first : earlier;
}
