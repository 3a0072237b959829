import {
  type Aspect,
  ASPECT_FIELDS,
  containersForStands,
  differingAspects,
  MOST_CONTAINERS,
  placedStands,
  placeCount,
  type Plan,
  type PlanFactor,
  PLAIN_LEVEL,
  treatmentsOf,
  unitsProblem,
  usualContainer,
  seedsIn,
  standsOf,
} from '../design/index.ts';
import type { Finding, Mend } from './finding.ts';

/** Kinds whose question needs no control: they set things side by side, or compare nothing. */
const WITHOUT_CONTROL: readonly Plan['kind'][] = [
  'watch',
  'crops',
  'ages',
  'packet_test',
  'sorting',
  'sections',
  'challenge',
];
/** Kinds in which all pots are treated alike on purpose. */
const MEANT_ALIKE: readonly Plan['kind'][] = ['watch', 'packet_test', 'challenge'];
/** What a crop brings along: how many stand in a pot, and how deep its seed lies. */
const BELONGS_TO_CROP: readonly Aspect[] = ['density', 'depth'];
/** Fewest units a treatment from which plant-to-plant luck can be judged at all. */
export const FEWEST_UNITS = 3;

const NOTHING: Mend['cost'] = { units: 0, seeds: 0, days: 0 };

/** Faults of what is changed and of how many units there are. */
export function designFindings(plan: Plan): Finding[] {
  return [
    ...layoutFits(plan),
    ...plan.factors.flatMap((factor, index) => oneThing(plan, factor, index)),
    ...plan.factors.flatMap((factor, index) => control(plan, factor, index)),
    ...replication(plan),
    ...sharedPans(plan),
    ...alignedChanges(plan),
    ...missingCombinations(plan),
  ];
}

function layoutFits(plan: Plan): Finding[] {
  const problem = unitsProblem(plan);
  if (problem?.code !== 'more_units_than_places') return [];
  const { units, places } = problem;
  const fits = Math.floor(places / treatmentsOf(plan).length);
  const mend = fits >= 1 ? replicatesMend(plan, fits) : null;
  return [{ severity: 'stops', facts: { code: 'cannot_lay_out', units, places }, mend }];
}

function oneThing(plan: Plan, factor: PlanFactor, index: number): Finding[] {
  const others = plan.factors.filter((other) => other !== factor).map((other) => other.aspect);
  const extra = differingAspects(factor).filter(
    (aspect) =>
      aspect !== factor.aspect &&
      !others.includes(aspect) &&
      !(factor.aspect === 'crop' && BELONGS_TO_CROP.includes(aspect)),
  );
  const isMixed = extra.length > 0 && (factor.aspect !== 'other' || extra.length > 1);
  if (isMixed) {
    const cleared: Partial<PlanFactor['levels'][number]> = Object.fromEntries(
      extra.map((aspect) => [ASPECT_FIELDS[aspect] ?? '', PLAIN_LEVEL[ASPECT_FIELDS[aspect] ?? 'dose']]),
    );
    const levels = factor.levels.map((level) => ({ ...level, ...cleared }));
    const aspects = factor.aspect === 'other' ? extra : [factor.aspect, ...extra];
    return [
      {
        severity: 'stops',
        facts: { code: 'more_than_one_thing', factor: factor.name, aspects },
        mend:
          factor.aspect === 'other'
            ? null
            : { changes: withFactor(plan, index, { ...factor, levels }), cost: NOTHING },
      },
    ];
  }
  const double = factor.levels.find((level) => / and | plus |&|\+/i.test(level.name));
  if (!double) return [];
  return [{ severity: 'look', facts: { code: 'names_two_things', level: double.name }, mend: null }];
}

function control(plan: Plan, factor: PlanFactor, index: number): Finding[] {
  if (WITHOUT_CONTROL.includes(plan.kind) || factor.aspect === 'crop' || factor.aspect === 'age') return [];
  if (factor.levels.some((level) => level.isControl)) return [];
  const levels = factor.levels.map((level, at) => ({ ...level, isControl: at === 0 }));
  return [
    {
      severity: 'weakens',
      facts: { code: 'no_control', factor: factor.name },
      mend: { changes: withFactor(plan, index, { ...factor, levels }), cost: NOTHING },
    },
  ];
}

const WIDEST_ROW = 6;

/** What the sections of one pan have in common: its mix, its water, its warmth. */
const SHARED_IN_A_PAN: readonly Aspect[] = ['water', 'additive', 'medium', 'temperature', 'light', 'cover'];

/** A pan for each unit, as large as the sections of one were together. */
function wholePans(plan: Plan): Plan['containers'][number] {
  const sections =
    plan.containers.find(({ kind }) => kind === 'pan_sections') ?? usualContainer('pan_sections');
  const pans = treatmentsOf(plan).length * plan.replicates;
  const columns = Math.min(pans, WIDEST_ROW);
  const { cellMl, brightSide, name } = sections;
  const shape = { rows: Math.ceil(pans / columns), columns, cellMl: cellMl * placeCount(sections) };
  return { kind: 'pots', name, brightSide, ...shape };
}

/** Sections of a pan are units of their own only for what can differ from one to the next. */
function sharedPans(plan: Plan): Finding[] {
  if (!plan.containers.some(({ kind }) => kind === 'pan_sections')) return [];
  return plan.factors
    .filter(({ aspect }) => SHARED_IN_A_PAN.includes(aspect))
    .map(({ name, aspect }) => ({
      severity: 'stops',
      facts: { code: 'sections_share', factor: name, aspect },
      mend: { changes: { containers: [wholePans(plan)] }, cost: NOTHING },
    }));
}

function withFactor(plan: Plan, index: number, factor: PlanFactor): Partial<Plan> {
  return { factors: plan.factors.map((other, at) => (at === index ? factor : other)) };
}

function replication(plan: Plan): Finding[] {
  const treatments = treatmentsOf(plan);
  if (treatments.length < 2) {
    const isMeant = MEANT_ALIKE.includes(plan.kind);
    return isMeant ? [] : [{ severity: 'stops', facts: { code: 'nothing_compared' }, mend: null }];
  }
  if (plan.replicates >= FEWEST_UNITS) return [];
  const most = Math.max(...treatments.map((treatment) => seedsIn(plan, treatment.settings)));
  const mend = replicatesMend(plan, FEWEST_UNITS);
  const { replicates } = plan;
  const each = fewestOfLevel(plan);
  if (plan.factors.length > 1 && each >= FEWEST_UNITS) {
    return [{ severity: 'weakens', facts: { code: 'too_few_of_combination', replicates, each }, mend }];
  }
  if (replicates === 1 && most > 1) {
    return [{ severity: 'stops', facts: { code: 'seeds_as_replicates', seeds: most }, mend }];
  }
  return [
    {
      severity: replicates === 1 ? 'stops' : 'weakens',
      facts: { code: 'too_few_units', replicates, wanted: FEWEST_UNITS },
      mend,
    },
  ];
}

/** Units of the level, of any change, that has the fewest. */
function fewestOfLevel(plan: Plan): number {
  const grown = treatmentsOf(plan).map(({ levels }) => levels);
  const counts = plan.factors.flatMap((_, at) =>
    [...new Set(grown.map((levels) => levels[at]))].map(
      (level) => grown.filter((levels) => levels[at] === level).length * plan.replicates,
    ),
  );
  return Math.min(...counts);
}

/** More units, with containers for those that do not fit. */
export function replicatesMend(plan: Plan, replicates: number): Mend {
  return growingMend(plan, { replicates });
}

/** A change by which more is grown, with more containers of the first kind for what does not fit, and what it costs. */
function growingMend(plan: Plan, changes: Partial<Plan>): Mend {
  const after = { ...plan, ...changes };
  const containers = standsOf(after).length > 1 ? roomByStands(after) : room(after);
  const [before, then] = [plan, after].map(unitsAndSeeds) as [UnitsAndSeeds, UnitsAndSeeds];
  return {
    changes: containers === after.containers ? changes : { ...changes, containers },
    cost: { units: then.units - before.units, seeds: then.seeds - before.seeds, days: 0 },
  };
}

function room(plan: Plan): Plan['containers'] {
  const { units } = unitsAndSeeds(plan);
  const containers = [...plan.containers];
  const [first] = plan.containers;
  const places = (): number => containers.reduce((sum, container) => sum + placeCount(container), 0);
  while (first && places() < units && containers.length < MOST_CONTAINERS) containers.push(first);
  return containers.length > plan.containers.length ? containers : plan.containers;
}

function roomByStands(plan: Plan): Plan['containers'] {
  return placedStands(plan) ? plan.containers : (containersForStands(plan) ?? plan.containers);
}

interface UnitsAndSeeds {
  readonly units: number;
  readonly seeds: number;
}

function unitsAndSeeds(plan: Plan): UnitsAndSeeds {
  const treatments = treatmentsOf(plan);
  const seeds = treatments.reduce((sum, { settings }) => sum + seedsIn(plan, settings), 0);
  return { units: treatments.length * plan.replicates, seeds: seeds * plan.replicates };
}

/** Two changes of which each level of one is grown with one level of the other alone: nobody can say which did it. */
function alignedChanges(plan: Plan): Finding[] {
  const grown = treatmentsOf(plan).map(({ levels }) => levels);
  return plan.factors.flatMap((factor, first) =>
    plan.factors.slice(first + 1).flatMap((other, at): Finding[] => {
      const pairs = grown.map((levels) => [levels[first], levels[first + 1 + at]] as const);
      const [ones, others] = [0, 1].map((side) => new Set(pairs.map((pair) => pair[side])).size) as [
        number,
        number,
      ];
      const together = new Set(pairs.map(([one, two]) => `${one} ${two}`)).size;
      if (ones < 2 || others < 2 || together > Math.max(ones, others)) return [];
      return [
        {
          severity: 'stops',
          facts: { code: 'aligned_changes', first: factor.name, second: other.name },
          mend: growingMend(plan, { leftOut: [] }),
        },
      ];
    }),
  );
}

function missingCombinations(plan: Plan): Finding[] {
  if (plan.factors.length < 2 || alignedChanges(plan).length > 0) return [];
  const all = plan.factors.reduce((count, factor) => count * factor.levels.length, 1);
  const missing = all - treatmentsOf(plan).length;
  if (missing === 0) return [];
  return [
    {
      severity: 'look',
      facts: { code: 'missing_combinations', count: missing },
      mend: growingMend(plan, { leftOut: [] }),
    },
  ];
}
