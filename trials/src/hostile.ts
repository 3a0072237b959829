import { startTemporaryApplication, type TemporaryApplication } from '@bright-sprout/scripts';
import { v7 as uuid } from 'uuid';
import type { Answer, Client } from './client.ts';
import { type HostileFile, hostileFiles } from './hostile-files.ts';
import { memoryMb } from './machine.ts';
import type { Outcome } from './report.ts';
import { dayFromToday, makeSchool, type School, warm } from './school.ts';

const MOST_MS = 3000;
const MOST_MB = 400;
const MOST_HEALTH_MS = 250;
const ATTEMPTS = 3;
const SHORT_TAKES = 3;

const MAPPING = {
  shape: 'long',
  roles: ['unit', 'value'],
  hasTreatmentRow: false,
  variables: [{ source: '1', name: 'height', kind: 'length', unit: 'cm', counting: 'so_far' }],
  words: [],
  zeros: { before: 'not_emerged', after: 'value' },
  dateOrder: 'dmy',
  decimalMark: 'either',
  sownOn: null,
  observedOn: '2026-01-05',
  control: '',
};

/**
 * Sends each hostile file by itself. It must be answered in words within three seconds and with at most 400 MB more
 * memory, and others must be answered meanwhile.
 * @param args `--short` for every third file
 */
export async function tryHostileFiles(args: readonly string[] = []): Promise<Outcome[]> {
  const files = hostileFiles().filter((_, index) => !args.includes('--short') || index % SHORT_TAKES === 1);
  const application = await startTemporaryApplication(LIMITS);
  try {
    const school = await makeSchool(application.address, 1);
    const outcomes: Outcome[] = [];
    await warm(school);
    for (const file of files) outcomes.push(await tryPatiently(application, school, file));
    return outcomes;
  } finally {
    await application.stop();
  }
}

/** Settings under which limits on tries do not stand in the way of a trial. */
export const LIMITS = { BRIGHT_SPROUT_SIGN_IN_TRIES: '100000', BRIGHT_SPROUT_WRITES_A_MINUTE: '10000000' };

/** What a file does to the server it does each time; what the machine does meanwhile it does not. */
async function tryPatiently(
  application: TemporaryApplication,
  school: School,
  file: HostileFile,
): Promise<Outcome> {
  let outcome = await tryFile(application, school, file);
  for (let again = 1; again < ATTEMPTS && outcome.faults.length > 0; again += 1) {
    outcome = await tryFile(application, school, file);
  }
  return outcome;
}

async function tryFile(
  application: TemporaryApplication,
  school: School,
  file: HostileFile,
): Promise<Outcome> {
  const { teacher } = school;
  const upload = await teacher.sendFile(file.bytes());
  const before = memoryMb(application.serverPid());
  let mostMb = before;
  let slowestMs = 0;
  let healthMs = 0;
  let isDone = false;
  const watch = async (): Promise<void> => {
    while (!isDone) {
      mostMb = Math.max(mostMb, memoryMb(application.serverPid()));
      slowestMs = Math.max(slowestMs, (await teacher.send('GET', '/session')).ms);
      const health = await teacher.send('GET', '/health');
      healthMs = Math.max(healthMs, health.status === 200 ? health.ms : Infinity);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  };
  const watching = watch();
  const answer = await send(teacher, school, file, upload);
  isDone = true;
  await watching;
  const moreMb = Math.round(mostMb - before);
  const isRefused = answer.status >= 400 && answer.status < 500;
  const faults = [
    ...(isRefused || isRead(file, answer) ? [] : [`answered ${answer.status}`]),
    ...(answer.ms > MOST_MS ? [`took ${Math.round(answer.ms)} ms`] : []),
    ...(moreMb > MOST_MB ? [`took ${moreMb} MB more`] : []),
    ...(healthMs > MOST_HEALTH_MS ? [`health was not told within ${MOST_HEALTH_MS} ms`] : []),
    ...(slowestMs > MOST_MS ? [`held others up for ${Math.round(slowestMs)} ms`] : []),
  ];
  const figures = {
    status: answer.status,
    ms: Math.round(answer.ms),
    'MB more': moreMb,
    'others waited ms': Math.round(slowestMs),
    'health ms': Math.round(healthMs),
  };
  return { name: file.name, figures, faults };
}

/** Some are only odd, and may be read as what they are. */
function isRead(file: HostileFile, answer: Answer): boolean {
  return answer.status === 200 && ['sheet', 'bundle', 'tidy'].includes(file.kind);
}

function send(
  teacher: Client,
  { experiment }: School,
  { kind }: HostileFile,
  upload: { uploadId: string; size: number },
): Promise<Answer> {
  const body = { fileName: 'hostile', ...upload };
  switch (kind) {
    case 'tidy':
      return teacher.send('PUT', `/files/${uuid()}`, body);
    case 'table':
      return teacher.send('PUT', `/files/${uuid()}/table`, { ...body, mapping: MAPPING });
    case 'sheet':
      return teacher.send('POST', '/files/sheets', upload);
    case 'bundle':
      return teacher.send('PUT', `/files/${uuid()}/bundle`, body);
    case 'picture':
      return teacher.send('PUT', `/experiments/${experiment.id}/journal/${uuid()}`, {
        unitId: null,
        happenedOn: dayFromToday(0),
        kind: 'photo',
        note: '',
        picture: upload,
      });
  }
}
