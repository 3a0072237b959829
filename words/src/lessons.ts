import texts from './en/lessons.ts';
import { sayer } from './say.ts';

/** Says the texts of lessons by their codes. */
export const say = sayer(texts);
