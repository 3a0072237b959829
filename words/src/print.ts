import texts from './en/print.ts';
import { sayer } from './say.ts';

/** Says the texts of print by their codes. */
export const say = sayer(texts);
