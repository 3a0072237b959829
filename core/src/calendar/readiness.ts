import { type GerminationRate, overPots, overRates, type Plan } from '../design/index.ts';
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

/** How ready the layout is likely to be on the lesson day. */
export interface Readiness {
  /** Chance that at least the share of units wanted is up and tall enough. */
  readonly chance: number;
  /** Units expected to be so. */
  readonly expected: number;
  readonly units: number;
}

/**
 * The chance that enough units are ready on the lesson day. A unit is ready when one of its seeds gives a plant
 * of the height wanted; seeds of a unit share some of their fate, units of a class the rate of their lot, of which a
 * tested one is known by its posterior only. An age ladder is judged by its oldest plants.
 * @param sowOn the sowing day, the plan's own when left out
 */
export function readiness(
  plan: Plan,
  surroundings: PlanSurroundings,
  sowOn: CalendarDay = plan.sowOn,
): Outcome<Readiness> {
  const all = treatmentGrowth({ ...plan, sowOn }, surroundings);
  const judged = all.some((growth) => growth.treatment.settings.ageDays !== null) ? oldest(all) : all;
  const groups: { readonly rate: GerminationRate; readonly unitAt: (share: number) => number }[] = [];
  for (const growth of judged) {
    const one = chanceOnceUp(plan, growth);
    if (!one.defined) return one;
    const { rate, ready } = one.value;
    const unitAt = (share: number): number =>
      overPots(share, (shareOfPot) => 1 - (1 - shareOfPot * ready) ** growth.seeds);
    groups.push({ rate, unitAt });
  }
  const [first] = groups;
  if (!first) return notDefined('no_values');
  const units = groups.length * plan.replicates;
  const needed = Math.ceil(plan.goal.share * units - 1e-9);
  const isOneLot = new Set(judged.map(({ treatment }) => treatment.settings.cropId)).size === 1;
  const over = (figure: (chances: readonly number[]) => number): number =>
    isOneLot
      ? overRates(first.rate, (share) => figure(groups.map(({ unitAt }) => unitAt(share))))
      : figure(groups.map(({ rate, unitAt }) => overRates(rate, unitAt)));
  return defined({
    chance: Math.min(
      1,
      over((chances) =>
        countDistribution(chances, plan.replicates)
          .slice(needed)
          .reduce((sum, term) => sum + term, 0),
      ),
    ),
    expected: over((chances) => chances.reduce((sum, chance) => sum + chance, 0) * plan.replicates),
    units,
  });
}

/** The height from which a unit counts as ready, in mm: the mark of a challenge, else the goal. */
export function goalHeight({ kind, referenceMm, goal }: Plan): number {
  return kind === 'challenge' && referenceMm !== null ? referenceMm : goal.heightMm;
}

function oldest(growths: readonly TreatmentGrowth[]): TreatmentGrowth[] {
  const first = growths.map((growth) => growth.sowOn).sort()[0];
  return growths.filter((growth) => growth.sowOn === first);
}

/** Chance of a seed that comes up to be ready; a crop without a height is judged by whether it is up. */
function chanceOnceUp(
  plan: Plan,
  growth: TreatmentGrowth,
): Outcome<{ readonly rate: GerminationRate; readonly ready: number }> {
  const days = daysBetween(growth.sowOn, plan.lessonOn);
  const rate = growth.facts?.rate;
  const isGrown = goalHeight(plan) > 0 && !plan.conditions.hasSoil;
  if (isGrown && days > KNOWN_WITHOUT_SOIL_DAYS) return notDefined('nobody_knows_so_late');
  if (growth.setting.defined && rate) {
    const setting = { ...growth.setting.value, germination: 1 };
    return defined({ rate, ready: chanceReady(days, goalHeight(plan), setting) });
  }
  if (!growth.window.defined || !rate) {
    return notDefined(growth.setting.defined ? 'no_packet_rate' : growth.setting.reason);
  }
  if (goalHeight(plan) > 0) return notDefined('no_crop_figures');
  return defined({ rate, ready: chanceUp(days, growth.window.value) });
}

/** P(exactly x of independent units are ready), x = 0 … n: `replicates` of each chance, by convolution. */
function countDistribution(chances: readonly number[], replicates: number): number[] {
  const [first] = chances;
  if (first !== undefined && chances.every((chance) => chance === first)) {
    return binomialTerms(chances.length * replicates, first);
  }
  return chances.reduce<number[]>(
    (before, chance) => {
      const own = binomialTerms(replicates, chance);
      const next = new Array<number>(before.length + replicates).fill(0);
      before.forEach((term, count) =>
        own.forEach((other, more) => {
          next[count + more] = (next[count + more] as number) + term * other;
        }),
      );
      return next;
    },
    [1],
  );
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

/** For so long a seed and water alone feed a plant; of its height after that there are no figures. */
const KNOWN_WITHOUT_SOIL_DAYS = 28;

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
    if (!found.defined && found.reason === 'nobody_knows_so_late') continue;
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
