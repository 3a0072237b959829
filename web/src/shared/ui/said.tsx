import type { DrawnValues, Say } from '@bright-sprout/words/say';
import { Fragment, type ReactNode } from 'react';

/** How tags are drawn that need nothing from who says the text. */
const DRAWN: DrawnValues<ReactNode> = {
  b: (inside) => <b>{inside}</b>,
  small: (inside) => <small>{inside}</small>,
  code: (inside) => <code>{inside}</code>,
};

/** A text of a catalogue with parts that are drawn otherwise, such as a link or strong words within a sentence. */
export function Said<Code extends string>({
  by,
  code,
  values,
}: {
  readonly by: Say<Code>;
  readonly code: NoInfer<Code>;
  readonly values?: DrawnValues<ReactNode>;
}): ReactNode {
  const parts = by.parts<ReactNode>(code, { ...DRAWN, ...values });
  return parts.map((part, at) => <Fragment key={at}>{part}</Fragment>);
}
