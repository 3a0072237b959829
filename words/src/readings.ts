import texts from './en/readings.ts';
import { sayer } from './say.ts';

/** Says the texts of readings by their codes. */
export const say = sayer(texts);
