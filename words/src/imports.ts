import texts from './en/imports.ts';
import { sayer } from './say.ts';

/** Says the texts of imports by their codes. */
export const say = sayer(texts);
