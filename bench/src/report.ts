import type { ChartsBench } from './charts.ts';
import type { ClassroomBench } from './classroom.ts';
import type { ComputationBench } from './compare.ts';
import type { ImagingBench } from './imaging.ts';
import type { LessonBench } from './lesson.ts';
import type { FirstVisitBench } from './first-visit.ts';
import type { FirstLoad } from './page.ts';
import type { RehearsalBench } from './rehearsal.ts';
import type { StudyBench } from './study.ts';
import { median, type Pair, quantile } from './timing.ts';

/** What was measured at one size of the database; `first` is the API, `second` bare SQL. */
export interface Row {
  readonly readings: number;
  /** With `least`: the same bare SQL behind HTTP. */
  readonly save: Pair & { readonly least: number[] };
  readonly compare: Pair;
}

/** All that one run measured. */
export interface Measured {
  readonly rows: readonly Row[];
  readonly load: FirstLoad;
  readonly visited: FirstVisitBench;
  readonly rehearsed: RehearsalBench;
  readonly read: ClassroomBench;
  readonly computed: ComputationBench;
  readonly pooled: StudyBench;
  readonly drawn: ChartsBench;
  readonly taught: LessonBench;
  readonly photo: ImagingBench;
}

/** The measurements as a page. */
export function reportText({
  rows,
  load,
  visited,
  rehearsed,
  read,
  computed,
  pooled,
  drawn,
  taught,
  photo,
}: Measured): string {
  return `# Measurements

\`npm run bench\` wrote this. Times are medians in ms; both sides took turns in one run on one database, which flushes at every commit.

| readings in the database | save a reading through the API | bare committed INSERT | ratio | the same INSERT behind HTTP, nothing checked | ratio | API, 99 of 100 below | compare an experiment through the API | fetch its rows by SQL | ratio |
|---|---|---|---|---|---|---|---|---|---|
${rows.map(line).join('\n')}

The experiment compared has 12 pots read on 18 days; its answer holds every curve, interval and pair, and its words.

First load in Chromium, processor slowed down 4 times, no cache, JavaScript gzipped:

| | |
|---|---|
| JavaScript until the sign-in can be used | ${kilobytes(load.deviceBytes)} |
| JavaScript that a pot needs to be read, opened by its address | ${kilobytes(load.recordBytes)} |
| address to a usable sign-in | ${median(load.deviceMs).toFixed(0)} ms |
| sign-in to a usable shelf | ${median(load.experimentsMs).toFixed(0)} ms |

A class that opens its tablets for the first time at once: ${visited.tablets} tablets that each fetch ${visited.files} files, ${(visited.bytes / 1e6).toFixed(2)} MB, from the application and from a bare server of the same files, in turns.

| | |
|---|---|
| processor time of the server | ${median(visited.server).toFixed(1)} s |
| of a bare server that only sends them | ${median(visited.bare).toFixed(1)} s |
| ratio | ${(median(visited.server) / median(visited.bare)).toFixed(1)} |

Rehearsal in the worker of a page, Chromium at full speed: ${rehearsed.classes} classes of a plan of ${rehearsed.units} units and ${rehearsed.days} days, each grown, read every day and compared.

| | |
|---|---|
| time | ${median(rehearsed.ms).toFixed(0)} ms |
| classes a second | ${((rehearsed.classes / median(rehearsed.ms)) * 1000).toFixed(0)} |
| longest task of the page’s own thread meanwhile | ${rehearsed.longestTaskMs === 0 ? 'none of 50 ms or more' : `${rehearsed.longestTaskMs.toFixed(0)} ms`} |

Compare, computed: three variables of 12 pots read on 20 days, every test, curve, index and fit of every tab. R makes the same tests on the same readings in the same run, its start left out.

| | |
|---|---|
| in the core | ${computed.core.toFixed(1)} ms |
| in R | ${computed.r === undefined ? 'no Rscript on this machine' : `${computed.r.toFixed(0)} ms`} |
| ratio, R to core | ${computed.r === undefined ? '–' : (computed.r / computed.core).toFixed(0)} |
| ${computed.fits} logistic fits of 20 points, ${computed.fitted} of them fitted | ${computed.fitsMs.toFixed(0)} ms |

A study of ten classes, ${pooled.readings} readings: pooled through the API, which asks only for readings near the age compared, against the SQL that fetches them all.

| | |
|---|---|
| pooled through the API | ${median(pooled.times.first).toFixed(0)} ms |
| fetched by SQL | ${median(pooled.times.second).toFixed(0)} ms |
| ratio | ${ratio(pooled.times)} |

Charts of ${drawn.units} pots read on ${drawn.days} days, Chromium without a graphics card:

| | |
|---|---|
| from the answer of the server to both charts drawn | ${drawn.drawnMs.toFixed(0)} ms |
| the ribbon scrubbed, a day a frame | ${drawn.framesPerSecond.toFixed(0)} frames a second |
| longest frame | ${drawn.longestFrameMs.toFixed(0)} ms |

Teach, Chromium without a graphics card; ${taught.units} plants in a row:

| | |
|---|---|
| the row put in another order, the slowest order | ${taught.reorderFrames.toFixed(0)} frames a second |
| the days played | ${taught.playFrames.toFixed(0)} frames a second |
| Teach of the demo’s growing experiment opened | ${taught.teachMs.toFixed(0)} ms |
| its Compare opened | ${taught.compareMs.toFixed(0)} ms |

A photo of ${photo.megapixels.toFixed(0)} megapixels and 12 places straightened, parted by Otsu and counted: ${photo.measureMs.toFixed(0)} ms; one plain pass over its bytes: ${photo.passMs.toFixed(0)} ms (${photo.ratio.toFixed(1)} times).

A year group at once: ${read.students} students on devices of their own kept ${read.readings} readings in ${read.seconds.toFixed(0)} s, on a database that flushes at every commit; bare INSERTs on one connection went on meanwhile.

| | |
|---|---|
| lost, doubled | ${read.lost}, ${read.doubled} |
| a student’s save, median | ${ms(median(read.saves))} ms |
| a student’s save, 99 of 100 below | ${ms(quantile(read.saves, 0.99))} ms |
| bare committed INSERT meanwhile, median | ${ms(median(read.inserts))} ms |
| ratio of the medians | ${ratio({ first: read.saves, second: read.inserts })} |
| ratio of 99 of 100 to the median of the INSERT | ${(quantile(read.saves, 0.99) / median(read.inserts)).toFixed(1)} |
| news heard by all tablets | ${read.heard.news} |
| pots fetched because of it | ${read.heard.fetches} |
| share of one core that the server took | ${read.serverShare === undefined ? 'not known' : `${(100 * read.serverShare).toFixed(0)} %`} |
`;
}

function line({ readings, save, compare }: Row): string {
  const cells = [
    String(readings),
    ms(median(save.first)),
    ms(median(save.second)),
    ratio(save),
    ms(median(save.least)),
    ratio({ first: save.least, second: save.second }),
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
