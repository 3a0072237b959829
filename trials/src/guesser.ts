import { connect, type Socket } from 'node:net';
import { setTimeout as pause } from 'node:timers/promises';
import { startTemporaryApplication } from '@bright-sprout/scripts';
import { v7 as uuid } from 'uuid';
import { Client } from './client.ts';
import { memoryMb } from './machine.ts';
import type { Outcome } from './report.ts';
import { makeSchool, readingOf, type School } from './school.ts';

const TABLETS = 30;
const SAVE_EVERY_MS = 5000;
const JOIN_EVERY_MS = 3000;
const CODES_AT_ONCE = 64;
const PINS_AT_ONCE = 8;
const STRANGERS_AT_ONCE = 8;
const HALF_BODIES = 200;
/** What somebody with a right code or PIN waits for at most. */
const MOST_WAIT_MS = 2000;

/** What a student waits for, in milliseconds, and how often it was refused. */
interface Tally {
  readonly times: number[];
  refused: number;
}

/**
 * One tablet that guesses codes and PINs, sends with made-up cookies and leaves bodies half sent, beside a class of 30
 * that saves, while others join and choose themselves.
 * @param args minutes, 2 unless said
 */
export async function tryGuesser([minutes = '2']: readonly string[]): Promise<Outcome[]> {
  const application = await startTemporaryApplication({}, true);
  try {
    const school = await makeSchool(application.address, TABLETS);
    const quiet = await atWork(school, application.address, 0.5, () => memoryMb(application.serverPid()));
    const attack = new AbortController();
    const attacked = attackOf(school, application.address, attack.signal);
    await pause(3000);
    const beside = await atWork(school, application.address, Number(minutes), () =>
      memoryMb(application.serverPid()),
    );
    attack.abort();
    const sent = await attacked;
    return [
      { name: 'a class alone', ...quiet },
      {
        name: `beside one that guesses for ${minutes} min`,
        figures: { ...beside.figures, 'tried meanwhile': sent },
        faults: beside.faults,
      },
    ];
  } finally {
    await application.stop();
  }
}

/** A class saves, and every few seconds a tablet joins and a student chooses by a PIN. */
async function atWork(
  { tablets, teacher, experiment, classId, code }: School,
  address: string,
  minutes: number,
  memory: () => number,
): Promise<Omit<Outcome, 'name'>> {
  const { students } = await teacher.must<{ students: { id: string; pin: string }[] }>(
    'PUT',
    `/classes/${classId}`,
    {
      name: 'At work',
      readingLevel: '8-10',
      timeZone: 'UTC',
      asksPin: true,
      meetingDays: [1, 2, 3, 4, 5, 6, 7],
      holidays: [],
    },
  );
  const until = performance.now() + minutes * 60_000;
  const [saves, joins, pins] = [0, 1, 2].map((): Tally => ({ times: [], refused: 0 })) as [
    Tally,
    Tally,
    Tally,
  ];
  let most = 0;
  const everySo = async (ms: number, at: number, work: (turn: number) => Promise<void>): Promise<void> => {
    await pause(at * ms);
    for (let turn = 0; performance.now() < until; turn += 1) {
      const next = performance.now() + ms;
      await work(turn);
      most = Math.max(most, memory());
      await pause(Math.max(0, next - performance.now()));
    }
  };
  const counted = async (
    tally: Tally,
    client: Client,
    method: string,
    path: string,
    body: unknown,
  ): Promise<void> => {
    const { status, ms } = await client.send(method, path, body);
    if (status === 200) tally.times.push(ms);
    else tally.refused += 1;
  };
  await Promise.all([
    ...tablets.map((tablet, at) =>
      everySo(SAVE_EVERY_MS, at / TABLETS, () =>
        counted(saves, tablet, 'PUT', `/device/readings/${uuid()}`, readingOf(experiment, at)),
      ),
    ),
    everySo(JOIN_EVERY_MS, 0.3, () => counted(joins, new Client(address), 'POST', '/device', { code })),
    everySo(JOIN_EVERY_MS, 0.6, (turn) => {
      const student = students[turn % students.length];
      const tablet = tablets[(turn * 7 + 1) % tablets.length];
      if (!student || !tablet) throw new Error('a class without students');
      return counted(pins, tablet, 'PUT', '/device/student', { studentId: student.id, pin: student.pin });
    }),
  ]);
  const figures = {
    ...figuresOf('saves', saves),
    ...figuresOf('joins', joins),
    ...figuresOf('PINs', pins),
    'memory, MB': Math.round(most),
  };
  const faults = Object.entries({ saves, joins, pins }).flatMap(([name, { times, refused }]) => [
    ...(refused > 0 ? [`${refused} ${name} refused`] : []),
    ...(Math.max(...times) > MOST_WAIT_MS
      ? [`${name} waited up to ${Math.max(...times).toFixed(0)} ms`]
      : []),
  ]);
  return { figures, faults };
}

function figuresOf(name: string, { times, refused }: Tally): Record<string, string> {
  const ordered = [...times].sort((a, b) => a - b);
  const at = (share: number): string => (ordered[Math.floor((ordered.length - 1) * share)] ?? 0).toFixed(0);
  return { [name]: `${times.length} (${refused} refused)`, [`${name}, ms`]: `${at(0.5)} / ${at(1)}` };
}

/** Tries all at once until it is told to end, and gives how much it tried. */
async function attackOf(
  { code, classId, teacher }: School,
  address: string,
  end: AbortSignal,
): Promise<string> {
  const classes = await teacher.must<{ id: string; students: { id: string }[] }[]>('GET', '/classes');
  const students = classes.find(({ id }) => id === classId)?.students ?? [];
  const tried = { codes: 0, pins: 0, strangers: 0 };
  const sockets = Array.from({ length: HALF_BODIES }, () => halfBody(address));
  const loop = async (work: () => Promise<void>): Promise<void> => {
    while (!end.aborted) await work();
  };
  const guess = (): string =>
    Array.from({ length: 6 }, () => String.fromCodePoint(65 + Math.floor(Math.random() * 26))).join('');
  await Promise.all([
    ...Array.from({ length: CODES_AT_ONCE }, () =>
      loop(async () => {
        await new Client(address).send('POST', '/device', { code: guess() });
        tried.codes += 1;
      }),
    ),
    ...Array.from({ length: PINS_AT_ONCE }, (_, own) =>
      loop(async () => {
        const device = new Client(address);
        await device.send('POST', '/device', { code });
        for (let at = 0; at < 3 && !end.aborted; at += 1) {
          const studentId = students[(own + at) % students.length]?.id;
          await device.send('PUT', '/device/student', {
            studentId,
            pin: String(Math.floor(Math.random() * 10_000)).padStart(4, '0'),
          });
          tried.pins += 1;
        }
      }),
    ),
    ...Array.from({ length: STRANGERS_AT_ONCE }, () =>
      loop(async () => {
        await new Client(address).send('POST', '/logger-samples', { key: guess().repeat(4), samples: [] });
        tried.strangers += 1;
      }),
    ),
  ]);
  for (const socket of sockets) socket.destroy();
  return `${tried.codes} codes, ${tried.pins} PINs, ${tried.strangers} writes, ${HALF_BODIES} half bodies`;
}

/** A body that states six megabytes, sends some and never ends. */
function halfBody(address: string): Socket {
  const { hostname, port } = new URL(address);
  const socket = connect(Number(port), hostname);
  socket.on('error', () => undefined);
  socket.write(
    `PUT /api/logger-photos/${uuid()} HTTP/1.1\r\nHost: ${hostname}:${port}\r\nContent-Type: application/octet-stream\r\nContent-Length: 6000000\r\n\r\n`,
  );
  socket.write(Buffer.alloc(5_900_000));
  return socket;
}
