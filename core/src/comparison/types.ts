import type { CalendarDay, Outcome, UndefinedReason } from '../shared/index.ts';
import type { Description, Interval, PairDifference, WelchAnova, WelchT } from '../statistics/index.ts';

/** How a unit with nothing up yet enters a comparison: as a value of 0, or not at all. */
export const NOT_UP_RULES = ['not-up-is-zero', 'only-up'] as const;
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

/** An experimental unit: the pot, cell or bag that a treatment was applied to. */
export interface ComparedUnit {
  readonly id: string;
  readonly number: number;
  readonly groupId: string;
  readonly sowedOn: CalendarDay | null;
}

/** Why a unit has no value in a comparison. */
export type LeftOutReason =
  'not_up' | 'up_without_value' | 'dead' | 'removed' | 'not_read' | 'too_few_values';

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
  readonly test: Outcome<PairDifference>;
}

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

/** The test over all treatments that have values. */
export type OverallTest =
  | { readonly kind: 'welch-t'; readonly result: Outcome<WelchT> }
  | { readonly kind: 'welch-anova'; readonly result: Outcome<WelchAnova> }
  | { readonly kind: 'none'; readonly reason: UndefinedReason };

/** A whole comparison of treatments on one day, over units. All values are in the variable's base unit. */
export interface Comparison {
  readonly day: CalendarDay;
  /** Days since sowing, when all units that were read share it. */
  readonly age: number | null;
  readonly rule: NotUpRule;
  readonly summary: Summary;
  readonly groups: readonly TreatmentGroup[];
  readonly overall: OverallTest;
  readonly pairs: readonly TreatmentPair[];
  /** Index into `pairs` of the one that answers first: the largest difference, from the control if there is one. */
  readonly mainPair: number | null;
  readonly controlId: string | null;
  readonly unitCurves: readonly UnitCurve[];
  readonly treatmentCurves: readonly TreatmentCurve[];
}
