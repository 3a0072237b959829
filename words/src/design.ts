import texts from './en/design.ts';
import { sayer } from './say.ts';

/** Says the texts of design by their codes. */
export const say = sayer(texts);
