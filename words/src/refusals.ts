import texts from './en/refusals.ts';
import { sayer } from './say.ts';

/** Says the texts of refusals by their codes. */
export const say = sayer(texts);
