import { randomInt } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeWhole } from './tools.ts';

const SYLLABLES = [
  'ba',
  'de',
  'fi',
  'go',
  'hu',
  'ka',
  'le',
  'mi',
  'no',
  'pu',
  'ra',
  'se',
  'ti',
  'vo',
  'wu',
  'za',
];

/** The demo teacher's password on this machine: made once, kept beside the data. */
export function demoPassword(folder: string): string {
  const path = join(folder, 'demo-password');
  const known = existsSync(path) ? readFileSync(path, 'utf8').trim() : '';
  if (known !== '') return known;
  const word = (): string => Array.from({ length: 3 }, () => SYLLABLES[randomInt(SYLLABLES.length)]).join('');
  const password = `${word()}-${word()}-${word()}`;
  writeWhole(path, password);
  return password;
}
