import type { PlanPart } from '@bright-sprout/core/design';
import { ApiFailure } from '../shared/api/index.ts';

/** What is wrong with a part of the plan, in words. */
export interface PlanProblem {
  readonly part: PlanPart;
  readonly message: string;
}

/** The first thing that is wrong with each part, as the form found it or the server did. */
export function problemsOf(errors: object, failure: unknown): PlanProblem[] {
  const found = new Map<string, string>();
  for (const [part, error] of Object.entries(errors)) {
    const message = firstMessage(error);
    if (message !== undefined) found.set(part, message);
  }
  const fields = failure instanceof ApiFailure ? failure.body.fields : [];
  for (const { field, message } of fields) {
    const [part = ''] = field.split('.');
    if (!found.has(part)) found.set(part, message);
  }
  return [...found].map(([part, message]) => ({ part: part as PlanPart, message }));
}

/** The words of the first error in a tree of them. */
function firstMessage(error: unknown): string | undefined {
  if (typeof error !== 'object' || error === null || error instanceof Node) return undefined;
  const { message } = error as { message?: unknown };
  if (typeof message === 'string' && message !== '') return message;
  for (const [key, inner] of Object.entries(error)) {
    const found = key === 'ref' ? undefined : firstMessage(inner);
    if (found !== undefined) return found;
  }
  return undefined;
}
