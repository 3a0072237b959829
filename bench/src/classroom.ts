import { cpuSeconds, type TemporaryApplication } from '@bright-sprout/scripts';
import type mysql from 'mysql2/promise';
import { v7 as uuid } from 'uuid';
import { INSERT, insertValues } from './bare-insert.ts';
import type { ApiClient } from './client.ts';
import { type Heard, tabletStream } from './tablet-stream.ts';

const STUDENTS = 60;
const READINGS = 20;
/** Each student keeps a reading about every so often, so that the class takes most of a minute. */
const PAUSE_MS = 2400;
const INSERTS = 300;

/** Sixty students reading at once. */
export interface ClassroomBench {
  readonly students: number;
  readonly readings: number;
  readonly seconds: number;
  readonly lost: number;
  readonly doubled: number;
  /** Times of a student's save, in ms. */
  readonly saves: number[];
  /** Times of a bare committed INSERT on one connection while the class reads, in ms. */
  readonly inserts: number[];
  /** News that all tablets together heard, and how often they fetched their pots because of it. */
  readonly heard: Heard;
  /** Share of one core that the server took, 1 for all of it; undefined where the system does not tell. */
  readonly serverShare: number | undefined;
}

interface Experiment {
  readonly today: string;
  readonly units: readonly { readonly id: string }[];
  readonly variables: readonly { readonly id: string }[];
}

/**
 * Lets a whole year group read within a minute, the streams of all tablets open, bare INSERTs into a second experiment
 * going on meanwhile.
 */
export async function classroom(
  application: TemporaryApplication,
  teacher: ApiClient,
  connection: mysql.Connection,
): Promise<ClassroomBench> {
  const classId = uuid();
  const days = { meetingDays: [1, 2, 3, 4, 5, 6, 7], holidays: [] };
  const about = { name: 'Bench', readingLevel: '8-10', timeZone: 'UTC', ...days };
  const { code } = (await teacher.put(`/classes/${classId}`, about)) as { code: string };
  const students = Array.from({ length: STUDENTS }, (_, index) => ({
    id: uuid(),
    displayName: `S${index}`,
    avatar: 'snail',
    teamId: null,
  }));
  await teacher.put(`/classes/${classId}/roster`, { teams: [], students });
  const path = `/experiments/${uuid()}`;
  const experiment = await sownExperiment(teacher, path);
  await teacher.put(`${path}/class`, { classId, units: [] });
  const bare = await sownExperiment(teacher, `/experiments/${uuid()}`);
  const devices = await Promise.all(students.map(({ id }) => joined(application, code, id)));

  const heard: Heard = { news: 0, fetches: 0 };
  const closers = await Promise.all(devices.map((cookie) => tabletStream(application, cookie, heard)));
  const cpuBefore = cpuSeconds(application.serverPid());
  const saves: number[] = [];
  const sent: string[] = [];
  const started = performance.now();
  const reading = async (cookie: string, index: number): Promise<void> => {
    await pause((PAUSE_MS * index) / STUDENTS);
    for (let turn = 0; turn < READINGS; turn += 1) {
      const id = uuid();
      const unitId = experiment.units[(index + turn) % experiment.units.length]?.id;
      const body = { ...readingOf(experiment), unitId };
      const before = performance.now();
      await send(application, 'PUT', `/device/readings/${id}`, cookie, body);
      saves.push(performance.now() - before);
      sent.push(id);
      if (turn < READINGS - 1) await pause(PAUSE_MS);
    }
  };
  const inserts: number[] = [];
  const inserting = async (): Promise<void> => {
    for (let turn = 0; turn < INSERTS; turn += 1) {
      const unitId = bare.units[turn % bare.units.length]?.id;
      const before = performance.now();
      await connection.execute(INSERT, insertValues(unitId, bare.variables[0]?.id, bare.today));
      inserts.push(performance.now() - before);
      await pause((PAUSE_MS * READINGS) / INSERTS);
    }
  };
  await Promise.all([...devices.map(reading), inserting()]);
  const seconds = (performance.now() - started) / 1000;
  const cpuAfter = cpuSeconds(application.serverPid());
  for (const close of closers) close();
  const stored = ((await teacher.get(`${path}/readings`)) as { id: string }[]).map(({ id }) => id);
  await teacher.remove(path);
  return {
    students: STUDENTS,
    readings: sent.length,
    seconds,
    lost: sent.filter((id) => !stored.includes(id)).length,
    doubled: stored.length - new Set(stored).size,
    saves,
    inserts,
    heard,
    serverShare:
      cpuBefore === undefined || cpuAfter === undefined ? undefined : (cpuAfter - cpuBefore) / seconds,
  };
}

async function sownExperiment(teacher: ApiClient, path: string): Promise<Experiment> {
  const experiment = (await teacher.put(path, { question: 'Read by all?', cropId: 'oat' })) as Experiment;
  await teacher.put(`${path}/sowing`, { sownOn: experiment.today });
  return experiment;
}

function readingOf(experiment: Experiment): object {
  return {
    variableId: experiment.variables[0]?.id,
    observedOn: experiment.today,
    state: 'emerged',
    value: 12.5,
    entered: '1.25',
    unitOfMeasure: 'cm',
    precision: 0.1,
  };
}

/** The cookie of a device on which a student chose a picture. */
async function joined(application: TemporaryApplication, code: string, studentId: string): Promise<string> {
  const device = await send(application, 'POST', '/device', '', { code });
  const cookie = (device.headers.getSetCookie()[0] ?? '').split(';')[0] ?? '';
  await send(application, 'PUT', '/device/student', cookie, { studentId });
  return cookie;
}

async function send(
  application: TemporaryApplication,
  method: string,
  path: string,
  cookie: string,
  body: object,
): Promise<Response> {
  const answer = await fetch(`${application.address}/api${path}`, {
    method,
    headers: { Cookie: cookie, 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${method} ${path} answered ${answer.status}: ${await answer.text()}`);
  await answer.arrayBuffer();
  return answer;
}

function pause(ms: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms));
}
