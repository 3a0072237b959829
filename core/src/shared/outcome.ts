/** Why a figure has no value. Each code is worded once, in `words`. */
export type UndefinedReason =
  | 'no-values'
  | 'one-value'
  | 'too-few-groups'
  | 'group-too-small'
  | 'no-spread'
  | 'first-reading'
  | 'reference-is-zero'
  | 'one-category'
  | 'nothing-germinates'
  | 'too-many-needed'
  | 'kinds-differ'
  | 'no-crop-figures'
  | 'temperature-outside'
  | 'not-a-height'
  | 'ages-are-the-change'
  | 'missing-cells'
  | 'no-residual'
  | 'table-too-large'
  | 'too-few-points'
  | 'not-bent-yet'
  | 'no-growth'
  | 'no-fit'
  | 'not-above-zero'
  | 'none-up'
  | 'no-seed-count'
  | 'needs-lengths'
  | 'uneven-checks'
  | 'no-packet-rate'
  | 'half-never-reached'
  | 'one-crop'
  | 'one-team'
  | 'not-crossed'
  | 'no-blocks'
  | 'seeds-share-pots'
  | 'ordered-scores'
  | 'too-many-pairs'
  | 'nobody-read-twice'
  | 'one-class';

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
