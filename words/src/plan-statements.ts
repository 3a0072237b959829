import texts from './en/plan-statements.ts';
import { sayer } from './say.ts';

/** Says the texts of plan statements by their codes. */
export const say = sayer(texts);
