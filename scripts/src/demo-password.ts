import { randomInt } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

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
  if (existsSync(path)) return readFileSync(path, 'utf8').trim();
  const word = (): string => Array.from({ length: 3 }, () => SYLLABLES[randomInt(SYLLABLES.length)]).join('');
  const password = `${word()}-${word()}-${word()}`;
  writeFileSync(path, password, { mode: 0o600 });
  return password;
}
