import texts from './en/shared.ts';
import { sayer } from './say.ts';

/** Says the texts of shared by their codes. */
export const say = sayer(texts);
