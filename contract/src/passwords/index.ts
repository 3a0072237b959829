import { LEAST_PASSWORD } from '../shared/index.ts';
import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';

/** A password of this strength or more is taken: one below is common, or as easily guessed as a common one. */
const LEAST_STRENGTH = 2;

/** How many characters are looked at: who types more has more than enough. */
const LOOKED_AT = 80;

const OUR_OWN = ['bright', 'sprout', 'brightsprout', 'teacher', 'school', 'garden', 'plants'];

let made: ZxcvbnFactory | undefined;

/** Made when a password is first judged: ranking its words takes longer than starting a thread that judges none. */
function estimator(): ZxcvbnFactory {
  made ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });
  return made;
}

/** How hard a password is to guess, from 0 (common) to 4, by a list of common ones and the patterns people use (Wheeler 2016). */
export function passwordStrength(password: string, about: readonly string[] = []): 0 | 1 | 2 | 3 | 4 {
  return estimator().check(password.slice(0, LOOKED_AT), [...OUR_OWN, ...about]).score;
}

/** True of a new password that is long enough and not among those that are guessed first. */
export function isStrongPassword(password: string, about: readonly string[] = []): boolean {
  return password.length >= LEAST_PASSWORD && passwordStrength(password, about) >= LEAST_STRENGTH;
}
