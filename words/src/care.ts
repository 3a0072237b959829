import texts from './en/care.ts';
import { sayer } from './say.ts';

/** Says the texts of care by their codes. */
export const say = sayer(texts);
