import type { FirstLoad } from './page.ts';
import type { RehearsalBench } from './rehearsal.ts';
import { median, type Pair, quantile } from './timing.ts';

/** What was measured at one size of the database; `first` is the API, `second` bare SQL. */
export interface Row {
  readonly readings: number;
  readonly save: Pair;
  readonly compare: Pair;
}

/** The measurements as a page. */
export function reportText(rows: readonly Row[], load: FirstLoad, rehearsed: RehearsalBench): string {
  return `# Measurements

\`npm run bench\` wrote this. Times are medians in ms; both sides took turns in one run on one database, which flushes at every commit.

| readings in the database | save a reading through the API | bare committed INSERT | ratio | API, 99 of 100 below | compare an experiment through the API | fetch its rows by SQL | ratio |
|---|---|---|---|---|---|---|---|
${rows.map(line).join('\n')}

The experiment compared has 12 pots read on 18 days; its answer holds every curve, interval and pair.

First load in Chromium, processor slowed down 4 times, no cache, JavaScript gzipped:

| | |
|---|---|
| JavaScript until the sign-in can be used | ${kilobytes(load.doorBytes)} |
| JavaScript from there to a pot that can be read, all stages fetched ahead, charts not needed | ${kilobytes(load.recordBytes)} |
| address to a usable sign-in | ${median(load.doorMs).toFixed(0)} ms |
| sign-in to a usable shelf | ${median(load.shelfMs).toFixed(0)} ms |

Rehearsal in the worker of a page, Chromium at full speed: ${rehearsed.classes} classes of a plan of ${rehearsed.units} units and ${rehearsed.days} days, each grown, read every day and compared.

| | |
|---|---|
| time | ${median(rehearsed.ms).toFixed(0)} ms |
| classes a second | ${((rehearsed.classes / median(rehearsed.ms)) * 1000).toFixed(0)} |
| longest task of the page’s own thread meanwhile | ${rehearsed.longestTaskMs === 0 ? 'none of 50 ms or more' : `${rehearsed.longestTaskMs.toFixed(0)} ms`} |
`;
}

function line({ readings, save, compare }: Row): string {
  const cells = [
    String(readings),
    ms(median(save.first)),
    ms(median(save.second)),
    ratio(save),
    ms(quantile(save.first, 0.99)),
    ms(median(compare.first)),
    ms(median(compare.second)),
    ratio(compare),
  ];
  return `| ${cells.join(' | ')} |`;
}

function ms(time: number): string {
  return time.toFixed(2);
}

function ratio({ first, second }: Pair): string {
  return (median(first) / median(second)).toFixed(1);
}

function kilobytes(bytes: number): string {
  return `${(bytes / 1000).toFixed(0)} kB`;
}
