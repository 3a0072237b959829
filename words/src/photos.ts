import texts from './en/photos.ts';
import { sayer } from './say.ts';

/** Says the texts of photos and what is measured on them by their codes. */
export const say = sayer(texts);
