import texts from './en/sowing.ts';
import { sayer } from './say.ts';

/** Says the texts of sowing by their codes. */
export const say = sayer(texts);
