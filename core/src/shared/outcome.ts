/** Why a figure has no value. Each code is worded once, in `words`. */
export type UndefinedReason =
  | 'no_values'
  | 'one_value'
  | 'too_few_groups'
  | 'group_too_small'
  | 'no_spread'
  | 'first_reading'
  | 'reference_is_zero'
  | 'one_category'
  | 'all_alike'
  | 'nothing_germinates'
  | 'too_many_needed'
  | 'kinds_differ'
  | 'seeds_decided'
  | 'no_crop_figures'
  | 'begun_elsewhere'
  | 'nobody_knows_so_late'
  | 'temperature_outside'
  | 'not_a_height'
  | 'ages_are_the_change'
  | 'missing_cells'
  | 'no_residual'
  | 'table_too_large'
  | 'too_few_points'
  | 'not_bent_yet'
  | 'no_growth'
  | 'no_fit'
  | 'not_above_zero'
  | 'none_up'
  | 'no_seed_count'
  | 'needs_lengths'
  | 'uneven_checks'
  | 'no_packet_rate'
  | 'half_never_reached'
  | 'one_crop'
  | 'one_team'
  | 'not_crossed'
  | 'no_blocks'
  | 'seeds_share_pots'
  | 'ordered_scores'
  | 'too_many_pairs'
  | 'nobody_read_twice'
  | 'one_class'
  | 'corners_cross'
  | 'too_oblique'
  | 'too_dark'
  | 'too_bright'
  | 'coloured_light'
  | 'no_two_humps'
  | 'marks_too_close';

/** A figure that is defined, or the reason why it is not. Never NaN, never a stand-in 0. */
export type Outcome<T> =
  | { readonly defined: true; readonly value: T }
  | { readonly defined: false; readonly reason: UndefinedReason };

/** Wraps a value that exists. */
export function defined<T>(value: T): Outcome<T> {
  return { defined: true, value };
}

/** States why there is no value. */
export function notDefined(reason: UndefinedReason): { defined: false; reason: UndefinedReason } {
  return { defined: false, reason };
}

/** The value, or `fallback` when it is undefined. For drawing and tests; words use the reason. */
export function valueOr<T, F>(outcome: Outcome<T>, fallback: F): T | F {
  return outcome.defined ? outcome.value : fallback;
}
