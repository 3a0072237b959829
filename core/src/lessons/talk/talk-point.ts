import type { CalendarDay } from '../../shared/index.ts';

/**
 * Something in a class's own data to talk about. Pots are named by number and groups by id; values are in the variable's
 * base unit, ages and spans in days, shares from 0 to 1.
 */
export type TalkPoint =
  | { readonly code: 'shrank'; readonly pot: number; readonly from: number; readonly to: number }
  | { readonly code: 'stood_still'; readonly pots: readonly number[]; readonly grew: number }
  | { readonly code: 'slowed'; readonly before: number; readonly now: number; readonly pots: number }
  | { readonly code: 'sped_up'; readonly before: number; readonly now: number; readonly pots: number }
  | { readonly code: 'late_caught_up'; readonly pot: number; readonly late: number }
  | { readonly code: 'early_fell_behind'; readonly pot: number }
  | {
      readonly code: 'far_from_rest';
      readonly pot: number;
      readonly value: number;
      readonly groupId: string;
      readonly low: number;
      readonly high: number;
    }
  | { readonly code: 'tie_tallest'; readonly pots: readonly number[]; readonly value: number }
  | {
      readonly code: 'same_height_apart';
      readonly pot: number;
      readonly other: number;
      readonly value: number;
      readonly groupId: string;
      readonly otherGroupId: string;
    }
  | { readonly code: 'mark_passed'; readonly passed: number; readonly pots: number; readonly mark: number }
  | { readonly code: 'mark_not_passed'; readonly mark: number; readonly tallest: number }
  | { readonly code: 'none_up'; readonly age: number; readonly looked: number }
  | { readonly code: 'up_together'; readonly pots: number; readonly age: number; readonly within: number }
  | { readonly code: 'up_spread'; readonly first: number; readonly last: number; readonly pots: number }
  | { readonly code: 'never_up'; readonly pots: readonly number[]; readonly up: number }
  | { readonly code: 'died'; readonly pots: readonly number[] }
  | { readonly code: 'removed'; readonly pots: readonly number[] }
  | { readonly code: 'packet_kept'; readonly up: number; readonly sown: number; readonly rate: number }
  | { readonly code: 'packet_differed'; readonly up: number; readonly sown: number; readonly rate: number }
  | { readonly code: 'later_than_usual'; readonly age: number; readonly usual: number }
  | { readonly code: 'earlier_than_usual'; readonly age: number; readonly usual: number }
  | {
      readonly code: 'overlap';
      readonly pot: number;
      readonly groupId: string;
      readonly other: number;
      readonly otherGroupId: string;
    }
  | { readonly code: 'apart'; readonly lowId: string; readonly highId: string }
  | { readonly code: 'few_pots'; readonly groupId: string; readonly pots: number }
  | { readonly code: 'one_pot'; readonly pot: number }
  | { readonly code: 'spread_differs'; readonly wideId: string; readonly narrowId: string }
  | { readonly code: 'middle_most'; readonly groupId: string }
  | { readonly code: 'control_most'; readonly groupId: string }
  | { readonly code: 'survivors_only'; readonly groupId: string; readonly left: number; readonly of: number }
  | { readonly code: 'nearer_the_light'; readonly more: boolean; readonly near: number; readonly far: number }
  | { readonly code: 'ages_differ'; readonly youngest: number; readonly oldest: number }
  | {
      readonly code: 'readers_differ';
      readonly pot: number;
      readonly first: number;
      readonly second: number;
      readonly day: CalendarDay;
    }
  | { readonly code: 'readers_agree'; readonly pairs: number; readonly within: number }
  | {
      readonly code: 'days_missed';
      readonly days: number;
      readonly from: CalendarDay;
      readonly to: CalendarDay;
    }
  | { readonly code: 'pots_not_read'; readonly pots: readonly number[] }
  | { readonly code: 'round_numbers'; readonly round: number; readonly readings: number }
  | {
      readonly code: 'guess_other';
      readonly choice: string;
      readonly guesses: number;
      readonly groupId: string;
    }
  | { readonly code: 'guess_came_true'; readonly choice: string; readonly guesses: number }
  | { readonly code: 'guess_split'; readonly guesses: number; readonly most: number };

export type TalkCode = TalkPoint['code'];

/** A talking point of one code. */
export type TalkOf<Code extends TalkCode> = Extract<TalkPoint, { readonly code: Code }>;
