import { buildIfChanged, ROOT } from '@bright-sprout/scripts';
import { report } from './report.ts';

const TRIALS = {
  hostile: async (args: readonly string[]) =>
    report('hostile files', await (await import('./hostile.ts')).tryHostileFiles(args)),
  fuzz: async (args: readonly string[]) =>
    report('made-up requests', await (await import('./fuzz.ts')).tryRequests(args)),
  faults: async (args: readonly string[]) =>
    report('faults', await (await import('./faults.ts')).tryFaults(args)),
  guesser: async (args: readonly string[]) =>
    report('one that guesses', await (await import('./guesser.ts')).tryGuesser(args)),
  capacity: async () => report('capacity', await (await import('./capacity.ts')).measureCapacity()),
  calibrate: async (args: readonly string[]) => (await import('./calibrate.ts')).calibrate(args),
  dates: async (args: readonly string[]) => (await import('./dates.ts')).tryDates(args),
} as const;

/** What `npm run trials` runs, whole. */
const ALL = ['hostile', 'fuzz', 'faults', 'dates', 'calibrate'] as const;

const [name = '', ...args] = process.argv.slice(2);
if (name !== 'all' && !(name in TRIALS)) {
  console.error(`"${name}" is no trial. There are: all, ${Object.keys(TRIALS).join(', ')}`);
  process.exit(2);
}
// Leaving by exit takes along what was started; a signal alone would not.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => process.exit(130));
await buildIfChanged(ROOT);
for (const one of name === 'all' ? ALL : [name as keyof typeof TRIALS]) {
  const code = await TRIALS[one](args);
  if (code !== 0) process.exitCode = code;
}
