import texts from './en/sharing.ts';
import { sayer } from './say.ts';

/** Says the texts about co-teachers by their codes. */
export const say = sayer(texts);
