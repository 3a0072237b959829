import texts from './en/inventory.ts';
import { sayer } from './say.ts';

/** Says the texts of inventory by their codes. */
export const say = sayer(texts);
