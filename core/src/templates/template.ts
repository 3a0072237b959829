import {
  type Aspect,
  begunWith,
  conditionsIn,
  type Conditions,
  type InvestigationKind,
  PLAIN_LEVEL,
  type Plan,
  type PlanFactor,
  type PlanLevel,
  startPlan,
  type StartWish,
  usualWaterMl,
} from '../design/index.ts';

/** A plan to start from, without dates and data. */
export interface StartingTemplate {
  readonly id: string;
  readonly kind: InvestigationKind;
  readonly cropId: string;
  readonly question: string;
  /** What it is good for, in a line. */
  readonly about: string;
  /** Days from sowing to the lesson. */
  readonly days: number;
  /** What it sets beyond the defaults of its kind. */
  readonly changes: Omit<Partial<Plan>, 'conditions'> & { readonly conditions?: Partial<Conditions> };
}

/** The plan that a template begins; what its container is filled with and how much water it gets follow its container. */
export function planFromTemplate(
  { kind, changes: { conditions, ...changes } }: Pick<StartingTemplate, 'kind' | 'changes'>,
  wish: Omit<StartWish, 'kind'>,
): Plan {
  const started = startPlan({ ...wish, kind });
  const [before] = started.containers;
  const [container] = changes.containers ?? started.containers;
  const inContainer =
    before && container ? conditionsIn(container.kind, before, started.conditions) : started.conditions;
  const isFilled = inContainer.hasSoil && container !== undefined;
  const waterMl = isFilled ? usualWaterMl(container.cellMl) : inContainer.waterMl;
  return begunWith(started, { ...changes, conditions: { ...inContainer, waterMl, ...conditions } });
}

/** A change with its levels. */
export function factor(
  name: string,
  aspect: Aspect,
  levels: readonly (Partial<PlanLevel> & { name: string })[],
): PlanFactor {
  return { name, aspect, levels: levels.map((level) => ({ ...PLAIN_LEVEL, ...level })) };
}

/** What a level is given. */
export function dose(
  material: string,
  amount: number,
  unit: NonNullable<PlanLevel['dose']>['unit'],
): Pick<PlanLevel, 'dose'> {
  return { dose: { material, amount, unit } };
}
