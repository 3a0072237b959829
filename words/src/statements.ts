import texts from './en/statements.ts';
import { sayer } from './say.ts';

/** Says the texts of statements by their codes. */
export const say = sayer(texts);
