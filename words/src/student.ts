import texts from './en/student.ts';
import { sayer } from './say.ts';

/** Says the texts of student by their codes. */
export const say = sayer(texts);
