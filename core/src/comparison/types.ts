import type { CalendarDay, NoShowReason, Outcome } from '../shared/index.ts';
import type { Description, Interval, Share, SpreadModel } from '../statistics/index.ts';
import type { TestMethod, TestOutcome } from './test-line.ts';

/** How a unit with nothing up yet enters a comparison: as a value of 0, or not at all. */
export const NOT_UP_RULES = ['not_up_is_zero', 'only_up'] as const;
export type NotUpRule = (typeof NOT_UP_RULES)[number];

/** What a unit is summed up by: its value on the day, or one figure of all its values up to that day. */
export const SUMMARIES = ['day', 'final', 'growth_per_day', 'relative_growth', 'area'] as const;
export type Summary = (typeof SUMMARIES)[number];

/** A treatment, or another way of sorting units, as far as a comparison needs it. */
export interface ComparedGroup {
  readonly id: string;
  readonly name: string;
  readonly isControl: boolean;
}

/** Why a unit did not come up, as the class found it on a day. */
export interface NoShow {
  readonly reason: NoShowReason;
  readonly day: CalendarDay;
}

/** An experimental unit: the pot, cell or bag that a treatment was applied to. */
export interface ComparedUnit {
  readonly id: string;
  readonly number: number;
  readonly groupId: string;
  readonly sownOn: CalendarDay | null;
  /** Left out or `null` where nobody said. */
  readonly noShow?: NoShow | null;
}

/** Why a unit has no value in a comparison. */
export const LEFT_OUT_REASONS = [
  'not_emerged',
  'up_without_value',
  'dead',
  'removed',
  'not_read',
  'read_long_ago',
  'too_few_values',
] as const;
export type LeftOutReason = (typeof LEFT_OUT_REASONS)[number];

/** How many units of a treatment were found how. `measured` includes those counted as 0. */
export interface UnitCounts {
  readonly units: number;
  readonly measured: number;
  readonly countedAsZero: number;
  readonly leftOut: readonly {
    readonly unitId: string;
    readonly number: number;
    readonly reason: LeftOutReason;
  }[];
}

/** One treatment on the chosen day. */
export interface TreatmentGroup {
  readonly groupId: string;
  readonly points: readonly { readonly unitId: string; readonly number: number; readonly value: number }[];
  readonly counts: UnitCounts;
  readonly description: Description;
}

/** Two treatments: second minus first; the control, where there is one, is first. */
export interface TreatmentPair {
  readonly firstId: string;
  readonly secondId: string;
  /** mean(second) − mean(first), also where the sample is too small for more. */
  readonly difference: Outcome<number>;
  /** `difference` ÷ mean(first). */
  readonly relative: Outcome<number>;
  readonly test: Outcome<PairTest>;
}

/** Two groups judged by the model of the design, allowing for all that are compared beside them. */
export interface PairTest {
  /** Second minus first, by the model: over blocks and over what else was changed. */
  readonly difference: number;
  /** Simultaneous 95 % interval; it leaves out 0 just when p is below 0.05. Absent for ordered scores. */
  readonly interval: Interval | null;
  readonly t: number | null;
  readonly df: number | null;
  readonly p: number;
  readonly method: TestMethod;
}

/** What one factor of a crossed design does, over all levels of the others. */
export interface FactorQuestion {
  /** Index of the factor. */
  readonly factor: number;
  readonly name: string;
  /** Its levels. */
  readonly groups: readonly ComparedGroup[];
  readonly pairs: readonly TreatmentPair[];
}

/** What one factor does at one level of another. */
export interface WithinLevel {
  readonly level: ComparedGroup;
  readonly difference: Outcome<number>;
  readonly test: Outcome<PairTest>;
}

/** What a factor does at each level of another. */
export interface Within {
  /** Name of the factor that does it, the first of the plan. */
  readonly asked: string;
  /** Name of the factor that it may depend on. */
  readonly other: string;
  /** The levels of `asked` that are compared. */
  readonly firstId: string;
  readonly secondId: string;
  readonly levels: readonly WithinLevel[];
}

/** Whether what one factor of a crossed design does depends on another. */
export interface Together {
  /** Names of those that do so the most. */
  readonly factors: readonly string[];
  readonly test: TestOutcome;
  /** Where two do so: what the one does at each level of the other. */
  readonly within: Within | null;
}

/** Something that is told of an amount. */
export interface DoseClaim {
  /** 1 for more, −1 for less. */
  readonly sign: number;
  /** Allowing for the other claims of the answer. */
  readonly p: number;
  /** The amount that it is told of. */
  readonly groupId: string;
}

/** What more of one thing does, where treatments are amounts of it. */
export interface DoseQuestion {
  /** Name of the factor. */
  readonly factor: string;
  /** Treatments from the least amount to the most. */
  readonly groupIds: readonly string[];
  /** Values rise or fall with the amount. */
  readonly trend: DoseClaim | null;
  /** An amount between the least and the most is above both, or below both. */
  readonly turning: DoseClaim | null;
}

/** How many seeds came up where all were treated the same, beside what the packet says. */
export interface SeedsAnswer {
  readonly up: number;
  readonly sown: number;
  /** What is stated, 0–1; `null` where nothing is. */
  readonly rate: number | null;
  /** Whether such seeds would come up so. */
  readonly test: TestOutcome;
  /** Share that came up, with its 95 % interval. */
  readonly share: Outcome<Share>;
}

/** What became of the units of a group. */
export interface Fate {
  readonly groupId: string;
  /** Units that anybody looked at, without those removed. */
  readonly looked: number;
  /** Of those, units that were ever up. */
  readonly cameUp: number;
  /** Numbers of the units that are dead. */
  readonly dead: readonly number[];
  /** Numbers of the units that have not come up. */
  readonly notUp: readonly number[];
  /** Reasons noted for units that have not come up, by the numbers of the units. */
  readonly reasons: readonly { readonly reason: NoShowReason; readonly numbers: readonly number[] }[];
}

/** Death and never coming up as outcomes. */
export interface Fates {
  readonly groups: readonly Fate[];
  /** Whether the share that died differs, of those that came up. */
  readonly dead: TestOutcome;
  /** Whether the share that came up differs. */
  readonly up: TestOutcome;
}

/** What a comparison answers first. */
export type Lead =
  | { readonly kind: 'fate'; readonly fate: 'dead' | 'up' }
  | { readonly kind: 'together' }
  | { readonly kind: 'dose' }
  | { readonly kind: 'factor'; readonly question: number; readonly pair: number }
  | { readonly kind: 'pair'; readonly pair: number };

/** One unit over time; `age` is days since its own sowing. */
export interface UnitCurve {
  readonly unitId: string;
  readonly groupId: string;
  readonly points: readonly { readonly age: number; readonly value: number }[];
}

/** A treatment's mean over time, by age. */
export interface TreatmentCurve {
  readonly groupId: string;
  readonly points: readonly {
    readonly age: number;
    readonly n: number;
    readonly mean: number;
    readonly interval: Outcome<Interval>;
  }[];
}

/** A whole comparison of treatments on one day, over units. All values are in the variable's base unit. */
export interface Comparison {
  readonly day: CalendarDay;
  /** Days since sowing, when all units that were read share it. */
  readonly age: number | null;
  readonly rule: NotUpRule;
  readonly summary: Summary;
  readonly groups: readonly TreatmentGroup[];
  /** All groups at once, by the model of the design; two groups by their pair. */
  readonly overall: TestOutcome;
  /** How the model takes the spread of units; `null` without a model. */
  readonly spread: SpreadModel | null;
  /** Groups with pots that spread more than the others, so that they are judged by their own. */
  readonly ownSpread: readonly string[];
  /** Blocks are a term of the model. */
  readonly hasBlocks: boolean;
  readonly pairs: readonly TreatmentPair[];
  /** Index into `pairs` of the largest difference of those that can be told apart, else of all; from the control if there is one. */
  readonly mainPair: number | null;
  /** What each factor of a crossed design does; empty for other designs. */
  readonly questions: readonly FactorQuestion[];
  readonly together: Together | null;
  /** What the amount does, where treatments are amounts of one thing. */
  readonly dose: DoseQuestion | null;
  /** Seeds counted where all were treated the same; else `null`. */
  readonly seeds: SeedsAnswer | null;
  readonly fates: Fates;
  readonly lead: Lead | null;
  readonly controlId: string | null;
  readonly unitCurves: readonly UnitCurve[];
  readonly treatmentCurves: readonly TreatmentCurve[];
}
