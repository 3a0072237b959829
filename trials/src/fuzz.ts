import { startTemporaryApplication, type TemporaryApplication } from '@bright-sprout/scripts';
import fc from 'fast-check';
import mysql from 'mysql2/promise';
import { v7 as uuid } from 'uuid';
import { type Answer, Client } from './client.ts';
import { LIMITS } from './hostile.ts';
import { atOnce, memoryMb, pidOfDatabase, secondsOf } from './machine.ts';
import type { Outcome } from './report.ts';
import {
  type ApiOperation,
  type Description,
  type KnownIds,
  type MadeRequest,
  operationsOf,
  requestsOf,
} from './requests.ts';
import { makeSchool, type School, warm } from './school.ts';

const REQUESTS = 100_000;
const ROUND = 2000;
const AT_ONCE = 8;
/** A request that took longer is tried again alone. */
const SLOW_MS = 2000;
const MOST_CPU_MS = 2000;
const MOST_MS = 30_000;
const ATTEMPTS = 3;
const MOST_MORE_MB = 300;

/** Streams of news have no end, and who signs out or leaves takes the caller away. */
const LEFT_OUT: readonly string[] = ['changes', 'classChanges', 'signOut', 'leave'];

/**
 * Sends seeded requests made from the API's description: none may be answered with 5xx or take over two seconds of
 * processor time, and memory stays level.
 * @param args `--requests N`, `--seed N`
 */
export async function tryRequests(args: readonly string[]): Promise<Outcome[]> {
  const wanted = numberOf(args, '--requests', REQUESTS);
  const seed = numberOf(args, '--seed', 20_261_128);
  const application = await startTemporaryApplication(LIMITS);
  try {
    const description = await new Client(application.address).must<Description>('GET', '/openapi.json');
    const operations = operationsOf(description).filter(({ operationId }) => !LEFT_OUT.includes(operationId));
    const tally: Tally = { sent: 0, answered: new Map(), slowestMs: 0, slow: new Map(), bad: new Map() };
    let levelMb = 0;
    for (let round = 0; tally.sent < wanted; round += 1) {
      const school = await makeSchool(application.address, 1);
      if (round === 0) await warm(school);
      const requests = made(
        operations,
        description,
        knownIds(school),
        Math.min(ROUND, wanted - tally.sent),
        seed + round,
      );
      await atOnce(requests, AT_ONCE, (request) => sendOne(school, request, tally));
      await tryAlone(application, school, tally);
      const mb = memoryMb(application.serverPid());
      if (round === 1) levelMb = mb;
      console.log(
        `${tally.sent} requests, ${tally.bad.size} kinds of faults, slowest ${Math.round(tally.slowestMs)} ms, ${Math.round(mb)} MB`,
      );
    }
    const moreMb = levelMb === 0 ? 0 : Math.round(memoryMb(application.serverPid()) - levelMb);
    const of = (from: number): number =>
      [...tally.answered].reduce(
        (sum, [status, count]) => (Math.floor(status / 100) === from ? sum + count : sum),
        0,
      );
    const figures = {
      requests: tally.sent,
      '2xx': of(2),
      '4xx': of(4),
      '5xx': of(5),
      'no answer': of(0),
      'slowest ms': Math.round(tally.slowestMs),
      'MB more': moreMb,
    };
    const faults = [...tally.bad.values()];
    if (moreMb > MOST_MORE_MB) faults.push(`memory grew by ${moreMb} MB`);
    if (of(2) < tally.sent / 20) faults.push('hardly any request was a good one: the trial tries nothing');
    return [{ name: `seed ${seed}`, figures, faults }];
  } finally {
    await application.stop();
  }
}

function made(
  operations: readonly ApiOperation[],
  description: Description,
  known: KnownIds,
  count: number,
  seed: number,
): MadeRequest[] {
  const each = Math.ceil(count / operations.length);
  const all = operations.flatMap((operation, index) =>
    fc.sample(requestsOf(operation, description, known), { seed: seed * 1000 + index, numRuns: each }),
  );
  // Reads and writes of all kinds go side by side; what takes the experiment away comes last.
  const isEnd = ({ method }: MadeRequest): number => (method === 'DELETE' ? 1 : 0);
  return all
    .map((request, index) => ({ request, key: (index * 7919) % all.length }))
    .sort((a, b) => isEnd(a.request) - isEnd(b.request) || a.key - b.key)
    .slice(0, count)
    .map(({ request }) => request);
}

interface Tally {
  sent: number;
  answered: Map<number, number>;
  slowestMs: number;
  /** The first slow one of each operation. */
  slow: Map<string, MadeRequest>;
  /** What must not be, by operation and status. */
  bad: Map<string, string>;
}

function send(school: School, { method, path, body, type, who }: MadeRequest): Promise<Answer> {
  const clients = [new Client(school.teacher.address), school.teacher, school.tablets[0] ?? school.teacher];
  const sent = body === undefined ? undefined : JSON.stringify(body);
  return (clients[who] ?? school.teacher).send(method, path, sent, type);
}

async function sendOne(school: School, request: MadeRequest, tally: Tally): Promise<void> {
  const answer = await send(school, request);
  tally.sent += 1;
  tally.answered.set(answer.status, (tally.answered.get(answer.status) ?? 0) + 1);
  tally.slowestMs = Math.max(tally.slowestMs, answer.ms);
  if (answer.status >= 500 || answer.status === 0) tellBad(tally, request, `${answer.status}`);
  else if (answer.ms > SLOW_MS && !tally.slow.has(request.operationId))
    tally.slow.set(request.operationId, request);
}

/** What is slow by itself takes processor time by itself; what only waited for a busy machine does not. */
async function tryAlone(application: TemporaryApplication, school: School, tally: Tally): Promise<void> {
  if (tally.slow.size === 0) return;
  const root = await mysql.createConnection(application.rootUrl);
  const pids = [application.serverPid(), await pidOfDatabase(root)];
  await root.end();
  const cpuMs = (): number => pids.reduce((sum, pid) => sum + secondsOf(pid) * 1000, 0);
  for (const request of tally.slow.values()) {
    let least = { cpuMs: Infinity, ms: Infinity };
    for (let attempt = 0; attempt < ATTEMPTS; attempt += 1) {
      const before = cpuMs();
      const { ms } = await send(school, request);
      least = { cpuMs: Math.min(least.cpuMs, cpuMs() - before), ms: Math.min(least.ms, ms) };
    }
    const told = `${Math.round(least.ms)} ms, ${Math.round(least.cpuMs)} ms of processor time`;
    console.log(`slow, alone: ${request.method} ${request.path.slice(0, 200)}: ${told}`);
    if (least.cpuMs > MOST_CPU_MS || least.ms > MOST_MS) tellBad(tally, request, told);
  }
  tally.slow.clear();
}

function tellBad(tally: Tally, { operationId, method, path, body, who }: MadeRequest, what: string): void {
  const sent = body === undefined ? 'no body' : JSON.stringify(body).slice(0, 600);
  const key = `${operationId} ${what}`;
  if (!tally.bad.has(key)) tally.bad.set(key, `${method} ${path.slice(0, 200)} as ${who}: ${what}, ${sent}`);
}

function knownIds(school: School): KnownIds {
  const { experiment, classId } = school;
  return {
    newExperimentId: [],
    experimentId: [experiment.id],
    classId: [classId],
    unitId: experiment.units.slice(0, 5).map(({ id }) => id),
    variableId: experiment.variables.map(({ id }) => id),
    treatmentId: experiment.treatments.map(({ id }) => id),
    containerId: experiment.containers.map(({ id }) => id),
    studentId: [],
    readingId: [uuid(), uuid()],
    supersedesId: [],
    cropId: ['oat', 'lettuce', 'radish'],
  };
}

function numberOf(args: readonly string[], name: string, otherwise: number): number {
  const at = args.indexOf(name);
  const value = Number(args[at + 1]);
  return at >= 0 && Number.isInteger(value) && value > 0 ? value : otherwise;
}
