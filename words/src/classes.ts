import texts from './en/classes.ts';
import { sayer } from './say.ts';

/** Says the texts of classes by their codes. */
export const say = sayer(texts);
