import type { Aspect, Plan } from '../design/index.ts';
import type { CalendarDay, UndefinedReason } from '../shared/index.ts';

/** How much a finding matters: the question cannot be answered; the answer is weak; worth a look; take care; as it should be. */
export const SEVERITIES = ['stops', 'weakens', 'look', 'care', 'fine'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** What a layout's treatments can be lined up with. */
export const LINED_UP_WITH = ['bright side', 'row', 'column', 'container', 'team', 'sowing day'] as const;
export type LinedUpWith = (typeof LINED_UP_WITH)[number];

/** Cautions that the materials of a plan call for; worded once. */
export const CAUTIONS = [
  'soil',
  'acid',
  'alkali',
  'salt',
  'bags',
  'glass',
  'lamp',
  'cutting',
  'allergy',
] as const;
export type Caution = (typeof CAUTIONS)[number];

/** What was found, with its figures. */
export type FindingFacts =
  | { readonly code: 'cannot-lay-out'; readonly units: number; readonly places: number }
  | { readonly code: 'nothing-compared' }
  | { readonly code: 'more-than-one-thing'; readonly factor: string; readonly aspects: readonly Aspect[] }
  | { readonly code: 'names-two-things'; readonly level: string }
  | { readonly code: 'no-control'; readonly factor: string }
  | { readonly code: 'too-few-units'; readonly replicates: number; readonly wanted: number }
  | { readonly code: 'seeds-as-replicates'; readonly seeds: number }
  | {
      readonly code: 'lined-up';
      readonly with: LinedUpWith;
      readonly v: number;
      readonly p: number;
    }
  | {
      readonly code: 'smallest-difference';
      /** As a share of plants without the change. */
      readonly more: number;
      readonly less: number | null;
      readonly mm: number;
      readonly units: number;
    }
  | {
      readonly code: 'pots-stay-empty';
      readonly expected: number;
      readonly chanceOfAny: number;
      readonly seeds: number;
    }
  | { readonly code: 'packet-too-poor' }
  | {
      readonly code: 'not-ready-by-lesson';
      readonly chance: number;
      readonly latest: CalendarDay | null;
    }
  | { readonly code: 'reads-before-up'; readonly up: CalendarDay }
  | { readonly code: 'no-readings' }
  | { readonly code: 'tallest-of-many' }
  | { readonly code: 'reaction-wait'; readonly material: string }
  | { readonly code: 'light-wrong'; readonly crop: string; readonly needs: 'light' | 'dark' }
  | {
      readonly code: 'temperature-wrong';
      readonly crop: string;
      readonly temperatureC: number;
      readonly min: number;
      readonly max: number;
    }
  | {
      readonly code: 'depth-wrong';
      readonly crop: string;
      readonly depthMm: number;
      readonly usualMm: number;
    }
  | { readonly code: 'off-class-day'; readonly what: 'sowing' | 'lesson'; readonly day: CalendarDay }
  | { readonly code: 'sowing-is-past'; readonly day: CalendarDay }
  | { readonly code: 'dates-crossed' }
  | { readonly code: 'helper-missing'; readonly days: readonly CalendarDay[] }
  | { readonly code: 'missing-combinations'; readonly count: number }
  | { readonly code: 'unknown-figures'; readonly crop: string; readonly reason: UndefinedReason }
  | { readonly code: 'crop-caution'; readonly crop: string; readonly text: string }
  | { readonly code: 'caution'; readonly caution: Caution }
  | { readonly code: 'layout-mixed' };

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
