import { type Plan, sowingDayOf, treatmentsOf } from '../design/index.ts';
import {
  classDayFrom,
  classDayUpTo,
  isClassDay,
  planCalendar,
  type PlanSurroundings,
  readiness,
  sowingAdvice,
} from '../calendar/index.ts';
import { addDays, type CalendarDay, daysBetween } from '../shared/index.ts';
import type { Finding, Mend } from './finding.ts';

/** Chance of being ready below which a plan is weak, and below which its lesson has nothing to show. */
const READY_ENOUGH = 0.8;
const HARDLY_READY = 0.2;
/** A lesson sooner than this after the sowing has no day to read on before it. */
const FEWEST_DAYS = 5;
/** An earlier day is offered where it brings so much more chance. */
const LEAST_GAIN = 0.05;

/** Faults of the dates: the wrong order, days without class, nothing to show at the lesson, dry weekends. Once sown, the sowing day is no longer judged. */
export function dateFindings(
  plan: Plan,
  surroundings: PlanSurroundings,
  today: CalendarDay,
  isSown: boolean,
): Finding[] {
  if (plan.lessonOn <= plan.sowOn) {
    return [{ severity: 'stops', facts: { code: 'dates_crossed' }, mend: null }];
  }
  return [
    ...(isSown ? [] : offDays(plan, surroundings, today)),
    ...(isSown ? [] : preparation(plan, surroundings, today)),
    ...sortedInTime(plan, surroundings),
    ...lessonReady(plan, surroundings, today),
    ...helpers(plan, surroundings),
  ];
}

function offDays(plan: Plan, surroundings: PlanSurroundings, today: CalendarDay): Finding[] {
  const isLadder = plan.factors.some((factor) => factor.aspect === 'age');
  const sowing = isLadder ? ladderDays(plan, today) : sowingDay(plan, surroundings, today);
  if (isClassDay(plan.lessonOn, plan.calendar)) return sowing;
  const lessonOn = classDayFrom(plan.lessonOn, plan.calendar);
  return [
    ...sowing,
    {
      severity: 'look',
      facts: { code: 'off_class_day', what: 'lesson', day: plan.lessonOn },
      mend: dateMend(plan, { lessonOn }),
    },
  ];
}

function sowingDay(plan: Plan, surroundings: PlanSurroundings, today: CalendarDay): Finding[] {
  if (plan.sowOn < today) {
    const mend = laterMend(plan, surroundings, classDayFrom(today, plan.calendar));
    return [{ severity: 'look', facts: { code: 'sowing_is_past', day: plan.sowOn }, mend }];
  }
  if (isClassDay(plan.sowOn, plan.calendar)) return [];
  const mend = laterMend(plan, surroundings, classDayFrom(plan.sowOn, plan.calendar));
  return [{ severity: 'look', facts: { code: 'off_class_day', what: 'sowing', day: plan.sowOn }, mend }];
}

/** An age ladder is sown on several days: the first must be to come, and each a class day. */
function ladderDays(plan: Plan, today: CalendarDay): Finding[] {
  const days = treatmentsOf(plan).map((treatment) => sowingDayOf(plan, treatment));
  const first = days.reduce((early, day) => (day < early ? day : early));
  if (first < today) {
    const lessonOn = classDayFrom(addDays(plan.lessonOn, daysBetween(first, today)), plan.calendar);
    const facts = { code: 'sowing_is_past', day: first } as const;
    return [{ severity: 'stops', facts, mend: dateMend(plan, { lessonOn }) }];
  }
  const off = days.find((day) => !isClassDay(day, plan.calendar));
  if (off === undefined) return [];
  const factors = plan.factors.map((factor) => ({
    ...factor,
    levels: factor.levels.map((level) => ({ ...level, ageDays: classAge(plan, level.ageDays) })),
  }));
  const facts = { code: 'off_class_day', what: 'sowing', day: off } as const;
  return [{ severity: 'look', facts, mend: { changes: { factors }, cost: { units: 0, seeds: 0, days: 0 } } }];
}

const PREPARATION = ['sort', 'cold', 'treat_mix', 'soak'] as const;

/** What must be done before sowing and would have to be begun before today: sowing moves, and the lesson by as much where it would come too early. */
function preparation(plan: Plan, surroundings: PlanSurroundings, today: CalendarDay): Finding[] {
  if (plan.sowOn < today) return [];
  const { tasks } = planCalendar(plan, surroundings);
  const late = PREPARATION.flatMap((task) => {
    const day = tasks.find(({ code }) => code === task)?.day;
    return day !== undefined && day < today ? [{ task, day }] : [];
  });
  const first = late.sort((a, b) => (a.day < b.day ? -1 : 1))[0];
  if (!first) return [];
  const wait = daysBetween(first.day, plan.sowOn);
  const sowOn = classDayFrom(addDays(classDayFrom(today, plan.calendar), wait), plan.calendar);
  const severity = first.task === 'cold' ? 'stops' : 'weakens';
  const facts = { code: 'preparation_past', ...first } as const;
  return [{ severity, facts, mend: laterMend(plan, surroundings, sowOn) }];
}

/** Sowing on a later day; the lesson moves by as much where it would come too early. */
function laterMend(plan: Plan, surroundings: PlanSurroundings, sowOn: CalendarDay): Mend | null {
  const alone = dateMend(plan, { sowOn });
  const [now, then] = [readiness(plan, surroundings), readiness(plan, surroundings, sowOn)];
  const isAsReady =
    !now.defined || !then.defined || then.value.chance >= Math.min(now.value.chance, READY_ENOUGH);
  const isInOrder = addDays(sowOn, FEWEST_DAYS) <= plan.lessonOn;
  if (alone && isAsReady && isInOrder) return alone;
  const lessonOn = classDayFrom(addDays(plan.lessonOn, daysBetween(plan.sowOn, sowOn)), plan.calendar);
  return dateMend(plan, { sowOn, lessonOn });
}

/** Seeds are sorted before they are soaked, chilled or sown. */
function sortedInTime(plan: Plan, surroundings: PlanSurroundings): Finding[] {
  const sortOn = plan.kind === 'sorting' ? (plan.sortOn ?? null) : null;
  if (sortOn === null) return [];
  const { tasks } = planCalendar(plan, surroundings);
  const next = tasks
    .filter(({ code }) => ['cold', 'soak', 'sow'].includes(code))
    .map(({ day }) => day)
    .sort()[0];
  if (next === undefined || sortOn <= next) return [];
  return [
    {
      severity: 'stops',
      facts: { code: 'sorted_too_late', day: next },
      mend: { changes: { sortOn: null }, cost: { units: 0, seeds: 0, days: 0 } },
    },
  ];
}

/** An age whose sowing day is the class day on or before the one wanted. */
function classAge(plan: Plan, ageDays: number | null): number | null {
  if (ageDays === null) return null;
  return daysBetween(classDayUpTo(addDays(plan.lessonOn, -ageDays), plan.calendar), plan.lessonOn);
}

/** A change of dates; none when it would put the lesson before the sowing. */
function dateMend(plan: Plan, changes: Partial<Pick<Plan, 'sowOn' | 'lessonOn'>>): Mend | null {
  const after = { ...plan, ...changes };
  if (after.lessonOn <= after.sowOn) return null;
  // Both moved by as much is one move, not two.
  const days = daysBetween(plan.sowOn, after.sowOn) || daysBetween(plan.lessonOn, after.lessonOn);
  return { changes, cost: { units: 0, seeds: 0, days } };
}

function lessonReady(plan: Plan, surroundings: PlanSurroundings, today: CalendarDay): Finding[] {
  const found = readiness(plan, surroundings);
  if (!found.defined || found.value.chance >= READY_ENOUGH) return [];
  const { chance } = found.value;
  const advice = sowingAdvice(plan, surroundings, today);
  const latest = advice.defined ? (advice.value.latest ?? null) : null;
  const best = advice.defined ? advice.value.recommended : undefined;
  const isLadder = plan.factors.some((factor) => factor.aspect === 'age');
  const then = best === undefined ? found : readiness(plan, surroundings, best);
  const isBetter = then.defined && then.value.chance >= chance + LEAST_GAIN;
  const helps = best !== undefined && best < plan.sowOn && !isLadder && isBetter;
  return [
    {
      severity: chance < HARDLY_READY ? 'stops' : 'weakens',
      facts: { code: 'not_ready_by_lesson', chance, latest },
      mend: helps ? dateMend(plan, { sowOn: best }) : null,
    },
  ];
}

function helpers(plan: Plan, surroundings: PlanSurroundings): Finding[] {
  if (plan.calendar.helper !== '') return [];
  const days = planCalendar(plan, surroundings)
    .tasks.filter((task) => task.needsHelper)
    .map((task) => task.day);
  if (days.length === 0) return [];
  return [{ severity: 'look', facts: { code: 'helper_missing', days }, mend: null }];
}
