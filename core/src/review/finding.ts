import type { Aspect, ContainerKind, Plan } from '../design/index.ts';
import type { CalendarDay, UndefinedReason } from '../shared/index.ts';

/** How much a finding matters: the question cannot be answered; the answer is weak; worth a look; take care; as it should be. */
export const SEVERITIES = ['stops', 'weakens', 'look', 'care', 'fine'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** What a layout's treatments can be lined up with. */
export const LINED_UP_WITH = [
  'bright side',
  'row',
  'column',
  'half',
  'container',
  'team',
  'sowing day',
] as const;
export type LinedUpWith = (typeof LINED_UP_WITH)[number];

/** Cautions that the materials of a plan call for; worded once. */
export const CAUTIONS = [
  'soil',
  'acid',
  'alkali',
  'salt',
  'feed',
  'soap',
  'bleach',
  'spirit',
  'treated',
  'bags',
  'glass',
  'lamp',
  'cutting',
  'allergy',
] as const;
export type Caution = (typeof CAUTIONS)[number];

/** What was found, with its figures. */
export type FindingFacts =
  | { readonly code: 'cannot_lay_out'; readonly units: number; readonly places: number }
  | { readonly code: 'nothing_compared' }
  | { readonly code: 'more_than_one_thing'; readonly factor: string; readonly aspects: readonly Aspect[] }
  | { readonly code: 'names_two_things'; readonly level: string }
  | { readonly code: 'no_control'; readonly factor: string }
  | { readonly code: 'too_few_units'; readonly replicates: number; readonly wanted: number }
  | { readonly code: 'seeds_as_replicates'; readonly seeds: number }
  | {
      readonly code: 'lined_up';
      readonly with: LinedUpWith;
      readonly v: number;
      readonly p: number;
    }
  | {
      readonly code: 'smallest_difference';
      readonly replicates: number;
      /** Replicates with which 30 % would show; `null` where that is so already, or needs too many. */
      readonly wanted: number | null;
      /** As a share of plants without the change. */
      readonly more: number;
      readonly less: number | null;
      readonly mm: number;
      readonly units: number;
    }
  | {
      readonly code: 'pots_stay_empty';
      readonly expected: number;
      readonly chanceOfAny: number;
      readonly seeds: number;
      /** What is put in one by one, as `clove`; `null` for seed, of which more are sown. */
      readonly single: string | null;
      /** Units more that make up for those; 0 where they differ too much to stand in for each other. */
      readonly spares: number;
    }
  | { readonly code: 'packet_too_poor' }
  | {
      readonly code: 'not_ready_by_lesson';
      readonly chance: number;
      readonly latest: CalendarDay | null;
    }
  | { readonly code: 'reads_before_up'; readonly up: CalendarDay }
  | { readonly code: 'no_readings' }
  | { readonly code: 'tallest_of_many' }
  | { readonly code: 'reaction_wait'; readonly material: string }
  | { readonly code: 'light_wrong'; readonly crop: string; readonly needs: 'light' | 'dark' }
  | {
      readonly code: 'temperature_wrong';
      readonly crop: string;
      readonly temperatureC: number;
      readonly min: number;
      readonly max: number;
    }
  | {
      readonly code: 'depth_wrong';
      readonly crop: string;
      readonly depthMm: number;
      readonly usualMm: number;
    }
  | { readonly code: 'off_class_day'; readonly what: 'sowing' | 'lesson'; readonly day: CalendarDay }
  | { readonly code: 'sowing_is_past'; readonly day: CalendarDay }
  | {
      readonly code: 'preparation_past';
      readonly task: 'sort' | 'cold' | 'treat_mix' | 'soak';
      readonly day: CalendarDay;
    }
  | {
      readonly code: 'water_far_off';
      readonly waterMl: number;
      readonly cellMl: number;
      readonly usualMl: number;
    }
  | {
      readonly code: 'more_than_sorted';
      readonly level: string;
      readonly wanted: number;
      readonly sorted: number;
    }
  | { readonly code: 'sorted_too_late'; readonly day: CalendarDay }
  | { readonly code: 'sections_share'; readonly factor: string; readonly aspect: Aspect }
  | { readonly code: 'dates_crossed' }
  | { readonly code: 'helper_missing'; readonly days: readonly CalendarDay[] }
  | { readonly code: 'missing_combinations'; readonly count: number }
  | { readonly code: 'aligned_changes'; readonly first: string; readonly second: string }
  | {
      readonly code: 'too_few_of_combination';
      readonly replicates: number;
      /** Units of each level of the change that has the fewest. */
      readonly each: number;
    }
  | {
      readonly code: 'layout_uneven';
      readonly with: LinedUpWith;
      readonly treatment: string;
      /** Units of the treatment in one place, of all that it has. */
      readonly count: number;
      readonly units: number;
    }
  | { readonly code: 'stands_share_container'; readonly stands: number }
  | { readonly code: 'stand_is_treatment'; readonly stands: number }
  | { readonly code: 'stand_has_own_container'; readonly kinds: readonly ContainerKind[] }
  | { readonly code: 'unknown_figures'; readonly crop: string; readonly reason: UndefinedReason }
  | { readonly code: 'crop_caution'; readonly crop: string; readonly text: string }
  | { readonly code: 'unknown_material'; readonly material: string }
  | { readonly code: 'caution'; readonly caution: Caution }
  | { readonly code: 'layout_mixed' };

/** What mending costs, in units, seeds and days more (or fewer). */
export interface MendCost {
  readonly units: number;
  readonly seeds: number;
  readonly days: number;
}

/** A change of the plan that mends a finding. */
export interface Mend {
  readonly changes: Partial<Plan>;
  readonly cost: MendCost;
}

/** One line of the design check. */
export interface Finding {
  readonly severity: Severity;
  readonly facts: FindingFacts;
  readonly mend: Mend | null;
}
