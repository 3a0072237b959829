import texts from './en/app.ts';
import { sayer } from './say.ts';

/** Says the texts of app by their codes. */
export const say = sayer(texts);
