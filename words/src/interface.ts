import texts from './en/interface.ts';
import { sayer } from './say.ts';

/** Says the texts of interface by their codes. */
export const say = sayer(texts);
