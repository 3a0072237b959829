import { buildIfChanged, ROOT } from '@bright-sprout/scripts';
import { report } from './report.ts';

const TRIALS = {
  hostile: async () => report('hostile files', await (await import('./hostile.ts')).tryHostileFiles()),
  fuzz: async (args: readonly string[]) =>
    report('made-up requests', await (await import('./fuzz.ts')).tryRequests(args)),
  faults: async (args: readonly string[]) =>
    report('faults', await (await import('./faults.ts')).tryFaults(args)),
  dates: async (args: readonly string[]) => (await import('./dates.ts')).tryDates(args),
} as const;

const [name = '', ...args] = process.argv.slice(2);
if (!(name in TRIALS)) {
  console.error(`"${name}" is no trial. There are: ${Object.keys(TRIALS).join(', ')}`);
  process.exit(2);
}
await buildIfChanged(ROOT);
process.exitCode = await TRIALS[name as keyof typeof TRIALS](args);
