import type { ROUTES } from './index.ts';

type AnswerOf<One> = One extends { readonly answer?: { readonly type?: infer Answer } } ? Answer : never;

/** What each operation answers, in a list of one. Its schemas are made from this type, so that no answer is described twice. */
export type Answers = { readonly [Name in keyof typeof ROUTES]: AnswerOf<(typeof ROUTES)[Name]> };
