import texts from './en/experiments.ts';
import { sayer } from './say.ts';

/** Says the texts of experiments by their codes. */
export const say = sayer(texts);
