import { isBegun, kindsOfUnit, type Plan, type UnitPlan } from '../design/index.ts';
import { addDays, type CalendarDay, daysBetween } from '../shared/index.ts';
import { classDayFrom, classDayUpTo, isClassDay } from './class-days.ts';
import { type PlanSurroundings, treatmentGrowth, type TreatmentGrowth } from './treatment-growth.ts';

/** What a task of the calendar is. */
export const TASK_CODES = [
  'sort',
  'cold',
  'treat_mix',
  'soak',
  'kits',
  'sow',
  'first_check',
  'uncover',
  'read',
  'water',
  'thin',
  'pot_on',
  'harden',
  'plant_out',
  'harvest',
  'lesson',
  'own',
] as const;
export type TaskCode = (typeof TASK_CODES)[number];

/** Something due on a day. `key` stays the same when the plan's dates change. */
export interface CalendarTask {
  readonly key: string;
  readonly code: TaskCode;
  readonly day: CalendarDay;
  /** Day that the rule gave before it was moved to a class day. */
  readonly wantedOn: CalendarDay;
  /** True when nobody is in class on the day, so that somebody must be named. */
  readonly needsHelper: boolean;
  /** Codes of the treatments it is for; empty for all. */
  readonly treatments: readonly string[];
}

/** The days in which seedlings are expected, over all treatments. */
export interface EmergenceBand {
  readonly from: CalendarDay;
  readonly to: CalendarDay;
}

/** The calendar of a plan. */
export interface PlanCalendar {
  readonly tasks: readonly CalendarTask[];
  readonly emergence: EmergenceBand | undefined;
  /** The same for each sowing day, in order of sowing; one for most plans, several for an age ladder. */
  readonly bands: readonly EmergenceBand[];
}

const THIN_AFTER = 14;
const THIN_AFTER_UP = 2;
const POT_ON_AFTER_UP = 10;
const POT_ON_AFTER_ROOT = 3;
const HARDEN_DAYS = 7;
const MOST_TASKS = 400;
const UNKNOWN_FIRST_CHECK = 4;
const BEGUN_FIRST_CHECK = 1;

type Put = (
  code: TaskCode,
  wantedOn: CalendarDay,
  day: CalendarDay,
  more?: Partial<Pick<CalendarTask, 'key' | 'needsHelper' | 'treatments'>>,
) => void;

/**
 * Every task of a plan by day: what comes before sowing, sowing, first check, uncovering, reading, watering,
 * thinning, potting on, hardening off, planting out, harvest and lesson. Tasks are moved to class days: what
 * must be done before sowing to an earlier one, what follows to a later one, watering to an earlier one; a
 * break longer than a plant can wait gets waterings for a helper. Closed bags are not watered before their plants are
 * potted on.
 */
export function planCalendar(plan: Plan, surroundings: PlanSurroundings): PlanCalendar {
  const growths = treatmentGrowth(plan, surroundings);
  const tasks: CalendarTask[] = [];
  const put: Put = (code, wantedOn, day, more = {}) => {
    tasks.push({ key: code, code, day, wantedOn, needsHelper: false, treatments: [], ...more });
  };
  const from = (day: CalendarDay): CalendarDay => classDayFrom(day, plan.calendar);
  const sowings = [...new Set(growths.map((growth) => growth.sowOn))].sort();
  const firstSowing = sowings[0] ?? plan.sowOn;
  const band = emergenceBand(growths);
  const bands = sowings.flatMap((day) => emergenceBand(growths.filter(({ sowOn }) => sowOn === day)) ?? []);
  const unknown = isBegun(plan) ? BEGUN_FIRST_CHECK : UNKNOWN_FIRST_CHECK;
  const firstCheck = from(band ? addDays(band.from, -1) : addDays(firstSowing, unknown));

  putPreparation(plan, firstSowing, put);
  sowings.forEach((day, index) => {
    const own = growths.filter((growth) => growth.sowOn === day).map(({ treatment }) => treatment.code);
    const isAll = sowings.length === 1;
    put('sow', day, day, { key: isAll ? 'sow' : `sow-${index + 1}`, treatments: isAll ? [] : own });
  });
  if (firstCheck < plan.lessonOn) put('first_check', firstCheck, firstCheck);
  const units = kindsOfUnit(plan, surroundings);
  if (units.some(({ closing }) => closing === 'until_up') && band) {
    const middle = addDays(band.from, Math.round(daysBetween(band.from, band.to) / 2));
    put('uncover', middle, from(middle));
  }
  readingDays(plan, firstCheck).forEach((day, index) => put('read', day, day, { key: `read-${index + 1}` }));
  const pottingOn = putLater(plan, growths, units, firstSowing, band, put);
  const wateredFrom = units.some(({ closing }) => closing !== 'sealed') ? firstSowing : pottingOn;
  if (wateredFrom !== undefined) putWatering(plan, wateredFrom, put);
  put('lesson', plan.lessonOn, plan.lessonOn);
  return {
    tasks: tasks.sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0)),
    emergence: band,
    bands,
  };
}

function emergenceBand(growths: readonly TreatmentGrowth[]): EmergenceBand | undefined {
  const days = growths.flatMap(({ sowOn, window }) =>
    window.defined
      ? [addDays(sowOn, Math.floor(window.value.min)), addDays(sowOn, Math.ceil(window.value.max))]
      : [],
  );
  const sorted = days.sort();
  const [first, last] = [sorted[0], sorted.at(-1)];
  return first && last ? { from: first, to: last } : undefined;
}

function putPreparation(plan: Plan, firstSowing: CalendarDay, put: Put): void {
  const { coldDays, reactionDays, soakHours } = plan.conditions;
  const before = (days: number): [CalendarDay, CalendarDay] => {
    const wanted = addDays(firstSowing, -days);
    return [wanted, classDayUpTo(wanted, plan.calendar)];
  };
  const begun = Math.max(coldDays, soakHours > 0 ? Math.ceil(soakHours / 24) : 0);
  const sortOn = plan.sortOn ?? null;
  if (plan.kind === 'sorting')
    put('sort', ...(sortOn === null ? before(begun + 1) : ([sortOn, sortOn] as const)));
  if (coldDays > 0) put('cold', ...before(coldDays));
  if (reactionDays > 0) put('treat_mix', ...before(reactionDays));
  if (soakHours > 0) put('soak', ...before(Math.ceil(soakHours / 24)));
  put('kits', ...before(1));
}

/** The days on which every unit is read: by the plan's rhythm, on class days, up to the lesson. */
export function readingDays(plan: Plan, firstCheck: CalendarDay): CalendarDay[] {
  const { rhythm } = plan.calendar;
  const days: CalendarDay[] = [];
  let count = 0;
  let nextWeekly = firstCheck;
  for (let day = firstCheck; day <= plan.lessonOn && days.length < MOST_TASKS; day = addDays(day, 1)) {
    if (!isClassDay(day, plan.calendar)) continue;
    const isDue = rhythm === 'class_days' || (rhythm === 'every_other' ? count % 2 === 0 : day >= nextWeekly);
    if (isDue) days.push(day);
    if (isDue && rhythm === 'weekly') nextWeekly = addDays(day, 7);
    count += 1;
  }
  return days;
}

/** Waterings on class days, each as late as the plants can wait; helpers in breaks too long for that. */
function putWatering(plan: Plan, firstSowing: CalendarDay, put: Put): void {
  const every = plan.calendar.waterEveryDays;
  let last = firstSowing;
  for (let count = 1; count <= MOST_TASKS; count += 1) {
    const wanted = addDays(last, every);
    if (wanted >= plan.lessonOn) return;
    const earlier = classDayUpTo(wanted, plan.calendar);
    const nextClass = classDayFrom(wanted, plan.calendar);
    const canWait = daysBetween(last, nextClass) <= every + 1;
    const day = earlier > last ? earlier : canWait ? nextClass : wanted;
    if (day >= plan.lessonOn) return;
    put('water', wanted, day, {
      key: `water-${count}`,
      needsHelper: !isClassDay(day, plan.calendar),
    });
    last = day;
  }
}

/** @returns the day of potting on; undefined where nothing is potted on */
function putLater(
  plan: Plan,
  growths: readonly TreatmentGrowth[],
  units: readonly UnitPlan[],
  firstSowing: CalendarDay,
  band: EmergenceBand | undefined,
  put: Put,
): CalendarDay | undefined {
  const from = (day: CalendarDay): CalendarDay => classDayFrom(day, plan.calendar);
  const allUp = band?.to ?? addDays(firstSowing, THIN_AFTER);
  if (units.some(({ isThinned }) => isThinned)) putThinning(plan, growths, put);
  const potting = pottingDay(plan, growths, addDays(allUp, POT_ON_AFTER_UP));
  if (plan.calendar.potsOn) put('pot_on', potting, from(potting));
  const frost = plan.calendar.lastFrostOn;
  const safe = frost === null ? null : addDays(frost, 1);
  const out = safe === null ? null : from(safe > allUp ? safe : addDays(allUp, HARDEN_DAYS));
  if (safe !== null && out !== null) {
    put('harden', addDays(out, -HARDEN_DAYS), classDayUpTo(addDays(out, -HARDEN_DAYS), plan.calendar));
    put('plant_out', safe, out);
  }
  const harvest = growths.flatMap(({ crop, sowOn }) =>
    crop?.daysToHarvestOrFlower
      ? [
          addDays(
            crop.harvestFrom === 'transplanting' ? (out ?? potting) : sowOn,
            crop.daysToHarvestOrFlower.min,
          ),
        ]
      : [],
  );
  const first = harvest.sort()[0];
  if (plan.calendar.isHarvested && first) put('harvest', first, from(first));
  return plan.calendar.potsOn ? from(potting) : undefined;
}

/** Thinning of what was sown on each day, two weeks later or once all are up; none that would come after the lesson. */
function putThinning(plan: Plan, growths: readonly TreatmentGrowth[], put: Put): void {
  const sowings = [...new Set(growths.map(({ sowOn }) => sowOn))].sort();
  sowings.forEach((sowOn, index) => {
    const own = growths.filter((growth) => growth.sowOn === sowOn);
    const twoWeeks = addDays(sowOn, THIN_AFTER);
    const onceUp = addDays(emergenceBand(own)?.to ?? twoWeeks, THIN_AFTER_UP);
    const wanted = onceUp > twoWeeks ? onceUp : twoWeeks;
    const day = classDayFrom(wanted, plan.calendar);
    if (day >= plan.lessonOn) return;
    const isAll = sowings.length === 1;
    put('thin', wanted, day, {
      key: isAll ? 'thin' : `thin-${index + 1}`,
      treatments: isAll ? [] : own.map(({ treatment }) => treatment.code),
    });
  });
}

/** Seedlings on towel or cotton are potted on soon after their roots show; others with their first true leaves. */
function pottingDay(plan: Plan, growths: readonly TreatmentGrowth[], inSoil: CalendarDay): CalendarDay {
  if (plan.conditions.hasSoil) return inSoil;
  const roots = growths.flatMap(({ crop, sowOn }) =>
    crop?.daysToRadicle ? [addDays(sowOn, crop.daysToRadicle.max + POT_ON_AFTER_ROOT)] : [],
  );
  return roots.sort().at(-1) ?? inSoil;
}
