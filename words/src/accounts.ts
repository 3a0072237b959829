import texts from './en/accounts.ts';
import { sayer } from './say.ts';

/** Says the texts of accounts by their codes. */
export const say = sayer(texts);
