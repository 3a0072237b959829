import texts from './en/comparison.ts';
import { sayer } from './say.ts';

/** Says the texts of comparison by their codes. */
export const say = sayer(texts);
