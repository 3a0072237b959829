import type { DrawnValues, Say } from '@bright-sprout/words/say';
import { Fragment, type ReactNode } from 'react';

/** A text of a catalogue with parts that are drawn otherwise, such as a link within a sentence. */
export function Said<Code extends string>({
  by,
  code,
  values,
}: {
  readonly by: Say<Code>;
  readonly code: NoInfer<Code>;
  readonly values: DrawnValues<ReactNode>;
}): ReactNode {
  const parts = by.parts<ReactNode>(code, values);
  return parts.map((part, at) => <Fragment key={at}>{part}</Fragment>);
}
