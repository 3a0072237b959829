import texts from './en/plans.ts';
import { sayer } from './say.ts';

/** Says the texts of plans by their codes. */
export const say = sayer(texts);
