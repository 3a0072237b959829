import { plannedBlocks } from '../comparison/index.ts';
import { comparedGroups, levelAmount, type Plan, plannedUnits, treatmentsOf } from '../design/index.ts';
import { type PlanSurroundings, treatmentGrowth } from '../calendar/index.ts';
import {
  addDays,
  calendarDay,
  randomGenerator,
  daysBetween,
  defined,
  notDefined,
  type Outcome,
} from '../shared/index.ts';
import {
  classroomFrom,
  growExperiment,
  type GrownUnit,
  type GrowthSetting,
  MISSED_READINGS,
  NO_EFFECT,
  type LayoutPlace,
  layoutPlaceOf,
} from '../simulate/index.ts';
import {
  binomialTerms,
  describe,
  LIKELY,
  type PlannedComparison,
  plannedPower,
  visibleChange,
} from '../statistics/index.ts';

/** What the planned comparison is likely to show, against plants without the change. Heights only. */
export interface VisibleDifference {
  /** So much taller, as a share. */
  readonly more: number;
  /** So much shorter, as a share; `null` where not even that is sure to show. */
  readonly less: number | null;
  /** `more` in mm. */
  readonly mm: number;
  /** Units expected to have a height on each side. */
  readonly units: number;
}

/**
 * The smallest differences that 8 of 10 classes of a plan would see, by the test that the comparison will make: from how
 * units of the plan stand on the lesson day, grown by the very model that a rehearsal grows its classes by.
 */
export function visibleDifference(plan: Plan, surroundings: PlanSurroundings): Outcome<VisibleDifference> {
  const stand = expectedStand(plan, surroundings);
  if (!stand.defined) return stand;
  const { meanMm } = stand.value;
  const planned = plannedComparison(plan, stand.value, plan.replicates);
  const found = visibleChange(planned);
  if (!found.defined) return found;
  const { more, less } = found.value;
  return defined({
    more,
    less: less.defined ? less.value : null,
    mm: more * meanMm,
    units: sownUnits(plan) * stand.value.filled,
  });
}

const MOST_REPLICATES = 30;

/** The fewest replicates with which plants taller by a share are likely to show; `null` beyond 30. */
export function replicatesToSee(plan: Plan, surroundings: PlanSurroundings, share: number): number | null {
  const stand = expectedStand(plan, surroundings);
  if (!stand.defined) return null;
  const isSeen = (replicates: number): boolean =>
    plannedPower(plannedComparison(plan, stand.value, replicates), share) >= LIKELY;
  let [few, enough] = [plan.replicates, MOST_REPLICATES];
  if (enough <= few || !isSeen(enough)) return null;
  while (enough - few > 1) {
    const middle = Math.floor((few + enough) / 2);
    if (isSeen(middle)) enough = middle;
    else few = middle;
  }
  return enough;
}

/** How units of a plan stand on the lesson day. */
interface ExpectedStand {
  /** Share of units that have a height. */
  readonly filled: number;
  readonly meanMm: number;
  /** SD ÷ mean of units treated alike, as they are read. */
  readonly cv: number;
}

/** So many units are grown to know how they will stand: their spread is then known to within about 1 in 100. */
const GROWN = 4000;
const GROWN_SEED = 2027;

/** Grows units of the first treatment, in rooms as a rehearsal draws them, and reads them on the lesson day. */
function expectedStand(plan: Plan, surroundings: PlanSurroundings): Outcome<ExpectedStand> {
  if (plan.measure.variable !== 'height') return notDefined('not_a_height');
  const [first] = treatmentGrowth(plan, surroundings);
  if (!first) return notDefined('no_values');
  if (!first.setting.defined) return first.setting;
  return standOf({
    setting: { ...first.setting.value, plantRule: plan.plantRule },
    seeds: first.seeds,
    keep: first.treatment.settings.plants,
    age: daysBetween(first.sowOn, plan.lessonOn),
    places: plannedUnits(plan).map((unit) => layoutPlaceOf(unit, plan.containers[unit.container])),
  });
}

/** What units stand by on the lesson day. */
interface Standing {
  readonly setting: GrowthSetting;
  readonly seeds: number;
  readonly keep: number;
  readonly age: number;
  readonly places: readonly LayoutPlace[];
}

const known = new Map<string, Outcome<ExpectedStand>>();
const MOST_KNOWN = 64;
const ANY_DAY = calendarDay('2000-01-03');

/** Kept for the last few plans: what is typed elsewhere in a plan grows nothing anew. */
function standOf(standing: Standing): Outcome<ExpectedStand> {
  const key = JSON.stringify(standing);
  const kept = known.get(key);
  if (kept) return kept;
  const { setting, seeds, keep, age } = standing;
  const units = unitsInRooms(standing).map((unit) => ({ ...unit, seeds, keep }));
  const grown = growExperiment(setting, units, ANY_DAY, [addDays(ANY_DAY, age)], GROWN_SEED);
  const heights = grown.flatMap(({ mm }) => mm ?? []);
  const { mean, sd } = describe(heights);
  const filled = (heights.length / units.length) * (1 - MISSED_READINGS);
  const stand: Outcome<ExpectedStand> =
    mean.defined && sd.defined && mean.value > 0
      ? defined({ filled, meanMm: mean.value, cv: sd.value / mean.value })
      : notDefined('no_values');
  if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value ?? '');
  known.set(key, stand);
  return stand;
}

/** Units of as many classes as it takes, each class in a room of its own. */
function unitsInRooms({ places, setting }: Standing): Pick<GrownUnit, 'number' | 'effect' | 'readerOffMm'>[] {
  const classes = Math.max(1, Math.ceil(GROWN / Math.max(1, places.length)));
  return Array.from({ length: classes }, (_, at) => {
    const room = classroomFrom(randomGenerator(at), setting.scale);
    return places.map((place, index) => ({
      number: at * places.length + index + 1,
      effect: { ...NO_EFFECT, finalHeight: room.growthAt(place) },
      readerOffMm: room.readerOffMm(index + 1),
    }));
  }).flat();
}

/** Units sown of the compared group that has the fewest. */
function sownUnits(plan: Plan, replicates = plan.replicates): number {
  return Math.min(...comparedGroups(plan).map((group) => group.treatments.length)) * replicates;
}

/** The comparison that a plan is likely to end in. */
function plannedComparison(plan: Plan, stand: ExpectedStand, replicates: number): PlannedComparison {
  const groups = comparedGroups(plan);
  const { units, chance } = unitsWithValue(sownUnits(plan, replicates), stand.filled);
  return {
    groups: groups.length,
    units,
    cells: treatmentsOf(plan).length,
    blocks: plan.layoutMethod === 'blocks' ? replicates : new Set(plannedBlocks(plannedUnits(plan))).size,
    hasControl: groups.some((group) => group.isControl),
    questions: questionsAsked(plan),
    tested: chance ** 2,
    cv: stand.cv,
  };
}

/** What the answer asks at once: of each factor and of their interaction, or of amounts and of their trend. */
function questionsAsked({ factors }: Plan): number {
  const [first] = factors;
  if (!first) return 1;
  if (factors.length > 1) return factors.length + 1;
  const amounts = new Set(first.levels.map((level) => levelAmount(first.aspect, level)));
  return amounts.size > 2 && !amounts.has(null) && first.aspect !== 'age' ? 2 : 1;
}

/**
 * The number of units that counts in the error of a mean, 1 ÷ E[1 ÷ n] over the classes with two or more, and the chance
 * of that.
 */
function unitsWithValue(sown: number, filled: number): { units: number; chance: number } {
  const terms = binomialTerms(sown, filled);
  let [chance, inverse] = [0, 0];
  terms.forEach((term, count) => {
    if (count < 2) return;
    chance += term;
    inverse += term / count;
  });
  return { units: chance > 0 ? chance / inverse : 0, chance };
}
