import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { type DeviceStore, memoryStore, type OutboxItem } from '../offline/index.ts';
import { ApiFailure, timeFor } from '../api/index.ts';
import { Outbox } from './outbox.ts';

const real = globalThis.fetch;
/** What the network does with each request: a status, a code of a refusal, or nothing at all. */
let answers: (number | string)[] = [];
let open: (() => void)[] = [];
let limits: AbortSignal[] = [];
let sent: { path: string; body: Record<string, unknown> }[] = [];

const CODES: Record<number, string> = {
  400: 'invalid_fields',
  401: 'not_joined',
  409: 'no_student',
  429: 'too_many_tries',
  503: 'database_unavailable',
  507: 'storage_full',
};

beforeEach(() => {
  answers = [];
  sent = [];
  limits = [];
  globalThis.fetch = ((path: string, init: RequestInit) => {
    const answer = answers[sent.length] ?? 200;
    const body = init.body;
    sent.push({
      path,
      body:
        typeof body === 'string'
          ? (JSON.parse(body) as Record<string, unknown>)
          : { bytes: (body as Uint8Array).length },
    });
    if (init.signal) limits.push(init.signal);
    if (answer === 'lost') return Promise.reject(new TypeError('Failed to fetch'));
    if (typeof body !== 'string' && answer === 200)
      return Promise.resolve(new Response(null, { status: 204 }));
    const code = typeof answer === 'string' ? answer : CODES[answer];
    const content = code ? { code, message: `Refused: ${code}.`, fields: [] } : { id: 'kept' };
    return Promise.resolve(Response.json(content, { status: typeof answer === 'number' ? answer : 409 }));
  }) as unknown as typeof fetch;
});
afterEach(() => {
  for (const close of open) close();
  open = [];
  globalThis.fetch = real;
});

function item(id: string, changes: object = {}): OutboxItem {
  return {
    id,
    owner: 'class c',
    experimentId: 'e',
    route: 'keepPot',
    params: { readingId: id },
    body: { state: 'not_emerged' },
    studentId: 's',
    madeAt: '2026-05-04T09:00:00.000Z',
    label: 'Pot 1',
    reading: null,
    picture: null,
    problem: null,
    ...changes,
  } as OutboxItem;
}

describe('the outbox', () => {
  test('sends at once and keeps nothing, saying who made it and when by this clock', async () => {
    const outbox = new Outbox(memoryStore());
    expect(await outbox.put(item('a'))).toEqual({ isSent: true, answer: { id: 'kept' } });
    expect(outbox.items()).toEqual([]);
    expect(sent[0]).toMatchObject({
      path: '/api/device/readings/a',
      body: { state: 'not_emerged', made: { studentId: 's', madeAt: '2026-05-04T09:00:00.000Z' } },
    });
    expect(Date.parse((sent[0]!.body.made as { sentAt: string }).sentAt)).toBeGreaterThan(0);
  });

  test.each([
    ['lost'],
    ['server_error'],
    ['database_unavailable'],
    ['storage_full'],
    ['too_busy'],
    ['took_too_long'],
    ['not_signed_in'],
    ['not_joined'],
    ['no_student'],
    ['too_many_tries'],
    ['upload_incomplete'],
  ] as const)('keeps what could not be sent: %s', async (answer) => {
    const store = memoryStore();
    const outbox = new Outbox(store);
    answers = [answer];
    expect(await outbox.put(item('a'))).toEqual({ isSent: false });
    expect((await store.items()).map(({ id, problem }) => [id, problem])).toEqual([['a', null]]);
  });

  test('a refusal is said where it was typed, and is not kept', async () => {
    const outbox = new Outbox(memoryStore());
    answers = [400];
    await expect(outbox.put(item('a'))).rejects.toBeInstanceOf(ApiFailure);
    expect(outbox.items()).toEqual([]);
  });

  test('a refusal that comes late keeps the item with its words, to be tried again or given up', async () => {
    const outbox = new Outbox(memoryStore());
    answers = ['lost', 400, 200];
    await outbox.put(item('a'));
    const close = opened(outbox, 'class c');
    await outbox.flush();
    expect(outbox.items()[0]?.problem).toBe('Refused: invalid_fields.');
    await outbox.flush();
    expect(sent).toHaveLength(2);
    await outbox.retry(outbox.items()[0]!);
    expect(outbox.items()).toEqual([]);
    close();
  });

  test('what belongs to another is not sent', async () => {
    const outbox = new Outbox(memoryStore());
    answers = ['lost', 'lost'];
    await outbox.put(item('a'));
    await outbox.put(item('b', { owner: 'teacher t', studentId: null }));
    const close = opened(outbox, 'teacher t');
    await outbox.flush();
    close();
    expect(outbox.items().map(({ id }) => id)).toEqual(['a']);
    await outbox.flush();
    expect(outbox.items()).toHaveLength(1);
    await outbox.discard('a');
    expect(outbox.items()).toEqual([]);
  });

  test('goes out in the order it was made, and stops at the first that finds no way', async () => {
    const outbox = new Outbox(memoryStore());
    answers = Array(50).fill('lost');
    await outbox.put(item('b', { madeAt: '2026-05-04T09:02:00.000Z' }));
    await outbox.put(item('a', { madeAt: '2026-05-04T09:01:00.000Z' }));
    const close = opened(outbox, 'class c');
    await settled(outbox);
    expect(new Set(sent.slice(1).map(({ path }) => path))).toEqual(new Set(['/api/device/readings/a']));
    answers = [];
    await outbox.flush();
    await settled(outbox);
    close();
    expect(sent.slice(-2).map(({ path }) => path)).toEqual([
      '/api/device/readings/a',
      '/api/device/readings/b',
    ]);
    expect(outbox.items()).toEqual([]);
  });

  test('opening it sends what waits, and who closes it late does not close it for the next', async () => {
    const outbox = new Outbox(memoryStore());
    answers = Array(3).fill('lost');
    await outbox.put(item('a'));
    sent = [];
    answers = [];
    const closeFirst = opened(outbox, 'teacher t');
    const closeNext = opened(outbox, 'class c');
    closeFirst();
    await settled(outbox);
    expect(sent.map(({ path }) => path)).toEqual(['/api/device/readings/a']);
    answers = [200, 'lost'];
    await outbox.put(item('b'));
    answers = [];
    await outbox.flush();
    closeNext();
    expect(sent.at(-1)?.path).toBe('/api/device/readings/b');
    expect(outbox.items()).toEqual([]);
  });

  test('of the pages of one browser only that with the lock sends', async () => {
    const asked: unknown[] = [];
    let isFree = false;
    const locks = {
      request: (name: string, options: object, work: (lock: object | null) => unknown) => {
        asked.push([name, options]);
        return Promise.resolve(work(isFree ? {} : null));
      },
    };
    Object.defineProperty(navigator, 'locks', { value: locks, configurable: true });
    try {
      const outbox = new Outbox(memoryStore());
      answers = Array(3).fill('lost');
      await outbox.put(item('a'));
      sent = [];
      answers = [];
      const close = opened(outbox, 'class c');
      await settled(outbox);
      expect([sent.length, asked[0]]).toEqual([0, ['outbox', { ifAvailable: true }]]);
      isFree = true;
      await outbox.flush();
      close();
      expect(sent.map(({ path }) => path)).toEqual(['/api/device/readings/a']);
    } finally {
      Reflect.deleteProperty(navigator, 'locks');
    }
  });

  test('two pages over one store send the same ids, which the server stores once', async () => {
    const store = memoryStore();
    const [one, other] = [new Outbox(store), new Outbox(store)];
    answers = ['lost'];
    await one.put(item('a'));
    const closes = [opened(one, 'class c'), opened(other, 'class c')];
    await Promise.all([one.flush(), other.flush()]);
    for (const close of closes) close();
    expect(new Set(sent.map(({ path }) => path)).size).toBe(1);
    expect(await store.items()).toEqual([]);
  });

  test('says what was stored late', async () => {
    const outbox = new Outbox(memoryStore());
    const late: string[] = [];
    outbox.onSent(({ id }) => late.push(id));
    answers = ['lost'];
    await outbox.put(item('a'));
    const close = opened(outbox, 'class c');
    await outbox.flush();
    close();
    expect(late).toEqual(['a']);
  });

  test('behind others that wait an item keeps its place, and its answer is still taken over', async () => {
    const outbox = new Outbox(memoryStore());
    const close = opened(outbox, 'class c');
    await settled(outbox);
    answers = ['lost'];
    await outbox.put(item('a'));
    const taken: unknown[] = [];
    const next = item('b', { madeAt: '2026-05-04T09:01:00.000Z' });
    expect(await outbox.put(next, (answer) => taken.push(answer))).toEqual({ isSent: false });
    await settled(outbox);
    close();
    expect(sent.map(({ path }) => path.at(-1))).toEqual(['a', 'a', 'b']);
    expect([taken, outbox.items()]).toEqual([[{ id: 'kept' }], []]);
  });

  test('what is on its way is not sent a second time meanwhile', async () => {
    const outbox = new Outbox(memoryStore());
    const close = opened(outbox, 'class c');
    await outbox.flush();
    const network = globalThis.fetch;
    let answer = (): void => undefined;
    globalThis.fetch = ((path: string, init: RequestInit) =>
      new Promise((resolve) => {
        answer = () => resolve(network(path, init));
        sent.push({ path, body: {} });
      })) as unknown as typeof fetch;
    const put = outbox.put(item('a'));
    await waitUntil(() => sent.length > 0);
    await outbox.flush();
    expect(sent.map(({ path }) => path)).toEqual(['/api/device/readings/a']);
    answer();
    expect(await put).toEqual({ isSent: true, answer: { id: 'kept' } });
    close();
  });

  test.each(['tick', 'tickPot', 'chooseStudent', 'keepPrediction', 'keepOwnPrediction', 'keepOwnVote'])(
    'a change of mind passes none that is on its way: %s',
    async (route) => {
      const outbox = new Outbox(memoryStore());
      opened(outbox, 'class c');
      await settled(outbox);
      const first = heldAtTheServer();
      const put = outbox.put(item('a', { route }));
      await waitUntil(() => first.isAsked());
      const later = item('b', { route, madeAt: '2026-05-04T09:01:00.000Z' });
      expect(await outbox.put(later)).toEqual({ isSent: false });
      await settled(outbox);
      expect(first.passed()).toBe(0);
      first.answer();
      expect(await put).toMatchObject({ isSent: true });
      await waitUntil(() => outbox.items().length === 0);
      expect(first.passed()).toBe(1);
    },
  );

  test('a reading does not wait for another that is on its way', async () => {
    const outbox = new Outbox(memoryStore());
    const first = heldAtTheServer();
    const put = outbox.put(item('a'));
    await waitUntil(() => first.isAsked());
    expect(await outbox.put(item('b', { madeAt: '2026-05-04T09:01:00.000Z' }))).toMatchObject({
      isSent: true,
    });
    const tick = item('c', { route: 'tick', madeAt: '2026-05-04T09:02:00.000Z' });
    expect(await outbox.put(tick)).toMatchObject({ isSent: true });
    first.answer();
    await put;
  });

  test('what was refused holds nothing up', async () => {
    const outbox = new Outbox(memoryStore());
    answers = ['lost', 400];
    await outbox.put(item('a'));
    opened(outbox, 'class c');
    await settled(outbox);
    expect(await outbox.put(item('b', { madeAt: '2026-05-04T09:01:00.000Z' }))).toMatchObject({
      isSent: true,
    });
  });

  test.each(['no_student', 'upload_incomplete', 'took_too_long'])(
    'an item that is alone in its trouble lets the others go: %s',
    async (code) => {
      const outbox = new Outbox(memoryStore());
      answers = ['lost', 'lost', code, 200];
      await outbox.put(item('a'));
      await outbox.put(item('b', { madeAt: '2026-05-04T09:01:00.000Z' }));
      opened(outbox, 'class c');
      await waitUntil(() => outbox.items().length === 1);
      expect(outbox.items().map(({ id }) => id)).toEqual(['a']);
    },
  );

  test('what was made at one moment goes in one order, whatever the store gives', async () => {
    const store = memoryStore();
    for (const id of ['c', 'a', 'b']) await store.putItem(item(id));
    const outbox = new Outbox({ ...store, items: async () => [...(await store.items())].reverse() });
    await waitUntil(() => outbox.items().length === 3);
    expect(outbox.items().map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  });

  test('is tried again as soon as the browser says that the network is back, until it is closed', async () => {
    const outbox = new Outbox(memoryStore());
    answers = ['lost', 'lost', 200];
    await outbox.put(item('a'));
    const close = opened(outbox, 'class c');
    await waitUntil(() => sent.length === 2);
    await settledOnce();
    globalThis.dispatchEvent(new Event('online'));
    await waitUntil(() => outbox.items().length === 0);
    close();
    answers = Array(9).fill('lost');
    await outbox.put(item('b'));
    const count = sent.length;
    globalThis.dispatchEvent(new Event('online'));
    await settledOnce();
    expect(sent).toHaveLength(count);
  });

  test('what is asked for while it sends is sent as well', async () => {
    const store = memoryStore();
    const outbox = new Outbox(store);
    opened(outbox, 'class c');
    await settled(outbox);
    await store.putItem(item('a'));
    const first = heldAtTheServer();
    const flushing = outbox.flush();
    await waitUntil(() => first.isAsked());
    await store.putItem(item('b', { madeAt: '2026-05-04T09:01:00.000Z' }));
    void outbox.flush();
    first.answer();
    await flushing;
    await waitUntil(() => outbox.items().length === 0);
    expect(first.passed()).toBe(1);
  });

  test('another page hears what changes here, and one that went away hears nothing', async () => {
    const store = memoryStore();
    const [here, there] = [new Outbox(store), new Outbox(store)];
    const heard: number[] = [];
    const leave = there.subscribe(() => heard.push(there.items().length));
    const closeThere = opened(there, 'teacher t');
    opened(here, 'class c');
    answers = Array(9).fill('lost');
    await here.put(item('a'));
    await waitUntil(() => heard.includes(1));
    leave();
    const count = heard.length;
    await here.put(item('b'));
    await waitUntil(() => there.items().length === 2);
    expect(heard).toHaveLength(count);
    closeThere();
    await here.put(item('c'));
    await settledOnce();
    expect(there.items()).toHaveLength(2);
  });

  test('who closes late does not silence the next', async () => {
    const store = memoryStore();
    const [here, there] = [new Outbox(store), new Outbox(store)];
    const closeFirst = opened(here, 'teacher t');
    opened(here, 'class c');
    opened(there, 'teacher t');
    closeFirst();
    answers = Array(9).fill('lost');
    await here.put(item('a'));
    await waitUntil(() => there.items().length === 1);
  });

  test('works where pages cannot speak to each other', async () => {
    const channel = globalThis.BroadcastChannel;
    Reflect.deleteProperty(globalThis, 'BroadcastChannel');
    try {
      const outbox = new Outbox(memoryStore());
      answers = ['lost'];
      await outbox.put(item('a'));
      const close = opened(outbox, 'class c');
      await settled(outbox);
      close();
      expect(outbox.items()).toEqual([]);
    } finally {
      globalThis.BroadcastChannel = channel;
    }
  });

  test('who asks no longer hears nothing of what is stored late', async () => {
    const outbox = new Outbox(memoryStore());
    const late: string[] = [];
    const leave = outbox.onSent(({ id }) => late.push(id));
    leave();
    answers = ['lost'];
    await outbox.put(item('a'));
    opened(outbox, 'class c');
    await settled(outbox);
    expect([late, outbox.items()]).toEqual([[], []]);
  });

  test.each(['chooseStudent', 'keepPractice'])('says by itself who is meant: %s', async (route) => {
    const outbox = new Outbox(memoryStore());
    await outbox.put(item('a', { route }));
    expect(sent[0]?.body).not.toHaveProperty('made');
  });

  test('trying again sends the very same id', async () => {
    const outbox = new Outbox(memoryStore());
    const close = opened(outbox, 'class c');
    await settled(outbox);
    answers = ['lost', 'lost', 200];
    await outbox.put(item('a'));
    await outbox.flush();
    await outbox.flush();
    close();
    expect(sent.map(({ path }) => path)).toEqual(Array(3).fill('/api/device/readings/a'));
  });
});

describe('a device that refuses to write', () => {
  function refusing(): DeviceStore {
    const full = (): Promise<never> => Promise.reject(new DOMException('full', 'QuotaExceededError'));
    return { ...memoryStore(), putItem: full, keep: full };
  }

  test('holds what was made in memory, says so, and sends it when it can', async () => {
    const outbox = new Outbox(refusing());
    answers = ['lost'];
    expect(await outbox.put(item('a'))).toEqual({ isSent: false });
    expect([outbox.items().map(({ id }) => id), outbox.isUnsafe()]).toEqual([['a'], true]);
    const close = opened(outbox, 'class c');
    await settled(outbox);
    close();
    expect(sent.at(-1)?.path).toBe('/api/device/readings/a');
    expect([outbox.items(), outbox.isUnsafe()]).toEqual([[], false]);
  });

  test('that cannot even be read goes on with what it knew', async () => {
    const outbox = new Outbox({ ...refusing(), items: () => Promise.reject(new Error('closed')) });
    answers = ['lost', 'lost'];
    await outbox.put(item('a'));
    await outbox.put(item('b'));
    expect(outbox.items().map(({ id }) => id)).toEqual(['a', 'b']);
  });

  test('keeps the words of a refusal that comes late', async () => {
    const outbox = new Outbox(refusing());
    answers = ['lost', 400];
    await outbox.put(item('a'));
    const close = opened(outbox, 'class c');
    await settled(outbox);
    close();
    expect(outbox.items()[0]?.problem).toBe('Refused: invalid_fields.');
  });
});

describe('a picture', () => {
  const BYTES = 150_000;
  const picture = btoa('x'.repeat(BYTES));
  const entry = (id: string) =>
    item(id, { route: 'keepOwnEntry', params: { entryId: id }, body: { kind: 'photo' }, picture });

  test('waits in the list and goes out in parts, then by its name', async () => {
    const outbox = new Outbox(memoryStore());
    const close = opened(outbox, 'class c');
    await settled(outbox);
    expect(await outbox.put(entry('p'))).toEqual({ isSent: false });
    await settled(outbox);
    close();
    expect(sent.slice(0, -1).map(({ body }) => body.bytes)).toEqual([65_536, 65_536, BYTES - 131_072]);
    const { uploadId } = sent.at(-1)!.body.picture as { uploadId: string };
    expect(sent[1]!.path).toBe(`/api/device/uploads/${uploadId}/parts/65536`);
    expect(sent.at(-1)).toMatchObject({
      path: '/api/device/journal/p',
      body: { kind: 'photo', picture: { size: BYTES } },
    });
  });

  test('that finds no way holds no reading up, and goes on where it stopped, over a reload too', async () => {
    const store = memoryStore();
    const before = new Outbox(store);
    const closeBefore = opened(before, 'class c');
    await settled(before);
    answers = [200, ...Array(50).fill('lost')];
    await before.put(entry('p'));
    await settled(before);
    answers = [];
    expect(before.progressOf('p')).toBeCloseTo(65_536 / BYTES);
    await before.put(item('r', { madeAt: '2026-05-04T09:30:00.000Z' }));
    expect(before.items().map(({ id }) => id)).toEqual(['p']);
    closeBefore();
    const after = new Outbox(store);
    sent = [];
    answers = [];
    const close = opened(after, 'class c');
    await settled(after);
    close();
    expect(sent.map(({ path }) => path.split('/').slice(-2).join('/'))).toEqual([
      'parts/65536',
      'parts/131072',
      'journal/p',
    ]);
  });

  test('is not tried while a reading finds no way', async () => {
    const outbox = new Outbox(memoryStore());
    answers = Array(50).fill('lost');
    await outbox.put(entry('p'));
    await outbox.put(item('r', { madeAt: '2026-05-04T09:30:00.000Z' }));
    sent = [];
    const close = opened(outbox, 'class c');
    await settled(outbox);
    close();
    expect(new Set(sent.map(({ path }) => path))).toEqual(new Set(['/api/device/readings/r']));
  });

  test('is tried after all else that waits', async () => {
    const outbox = new Outbox(memoryStore());
    answers = Array(20).fill('lost');
    await outbox.put(entry('p'));
    await outbox.put(item('r', { madeAt: '2026-05-04T09:30:00.000Z' }));
    sent = [];
    answers = [];
    const close = opened(outbox, 'class c');
    await settled(outbox);
    close();
    expect(sent[0]?.path).toBe('/api/device/readings/r');
    expect(sent.at(-1)?.path).toBe('/api/device/journal/p');
  });

  test('of which the server lost parts is sent anew', async () => {
    const outbox = new Outbox(memoryStore());
    const close = opened(outbox, 'class c');
    await settled(outbox);
    globalThis.fetch = wrapped(globalThis.fetch, 'upload_incomplete');
    await outbox.put(entry('p'));
    await settled(outbox);
    await outbox.flush();
    await settled(outbox);
    close();
    expect(sent.filter(({ path }) => path.endsWith('/parts/0'))).toHaveLength(2);
    expect(outbox.items()).toEqual([]);
  });

  test('whose entry has to wait keeps the parts that arrived, and tells how far each came', async () => {
    const outbox = new Outbox(memoryStore());
    const close = opened(outbox, 'class c');
    await settled(outbox);
    const seen = new Set<number>();
    outbox.subscribe(() => seen.add(outbox.progressOf('p') ?? -1));
    globalThis.fetch = wrapped(globalThis.fetch, 'too_busy');
    await outbox.put(entry('p'));
    await settled(outbox);
    await outbox.flush();
    await settled(outbox);
    close();
    expect(sent.filter(({ path }) => path.endsWith('/parts/0'))).toHaveLength(1);
    expect([...seen]).toEqual(expect.arrayContaining([0, 65_536 / BYTES, 131_072 / BYTES, 1]));
    expect(outbox.items()).toEqual([]);
  });

  test('as an earlier version of this page wrote it down is still sent', async () => {
    const store = memoryStore();
    await store.putItem(item('p', { route: 'keepOwnEntry', params: { entryId: 'p' }, body: { picture } }));
    const outbox = new Outbox(store);
    const close = opened(outbox, 'class c');
    await settled(outbox);
    close();
    expect(sent.at(-1)?.body.picture).toMatchObject({ size: BYTES });
  });
});

test('time limits grow with what is sent', () => {
  expect(timeFor(65_536)).toBeGreaterThan(timeFor(0) + 20_000);
});

/** Holds the next request until it is told to answer; those after it pass. */
function heldAtTheServer(): { isAsked: () => boolean; answer: () => void; passed: () => number } {
  const network = globalThis.fetch;
  let release: (() => void) | undefined;
  let passed = 0;
  globalThis.fetch = ((path: string, init: RequestInit) => {
    if (release) {
      passed += 1;
      return network(path, init);
    }
    return new Promise((resolve) => {
      release = () => resolve(network(path, init));
    });
  }) as typeof fetch;
  return { isAsked: () => release !== undefined, answer: () => release?.(), passed: () => passed };
}

/** Opens an outbox, which is closed after the test whatever happens. */
function opened(outbox: Outbox, owner: string): () => void {
  const close = outbox.openFor(owner);
  open.push(close);
  return close;
}

/** Waits until nothing is being sent. */
async function settled(outbox: Outbox): Promise<void> {
  for (let round = 0; round < 4; round += 1) {
    await outbox.flush();
    await new Promise((resolve) => setTimeout(resolve, 0));
  }
}

/** Waits until what was begun without waiting has been done. */
function settledOnce(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, 20));
}

/** Refuses the first request of an entry with a code. */
function wrapped(inner: typeof fetch, code: string): typeof fetch {
  let isFirst = true;
  return ((path: string, init: RequestInit) => {
    if (!path.includes('/journal/') || !isFirst) return inner(path, init);
    isFirst = false;
    return Promise.resolve(Response.json({ code, message: 'x', fields: [] }, { status: 409 }));
  }) as typeof fetch;
}

async function waitUntil(holds: () => boolean): Promise<void> {
  while (!holds()) await new Promise((resolve) => setTimeout(resolve, 1));
}
