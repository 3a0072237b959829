import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { memoryStore, type OutboxItem } from '../offline/index.ts';
import { ApiFailure } from '../api/index.ts';
import { Outbox } from './outbox.ts';

const real = globalThis.fetch;
let answers: (number | 'lost')[] = [];
let sent: { path: string; body: Record<string, unknown> }[] = [];

beforeEach(() => {
  answers = [];
  sent = [];
  globalThis.fetch = ((path: string, init: RequestInit) => {
    const answer = answers[sent.length] ?? 200;
    sent.push({ path, body: JSON.parse(init.body as string) as Record<string, unknown> });
    if (answer === 'lost') return Promise.reject(new TypeError('Failed to fetch'));
    const code = { 400: 'invalid_fields', 401: 'not_joined', 409: 'no_tile', 503: 'database_unavailable' }[
      answer
    ];
    const body = code ? { code, message: `Refused: ${code}.`, fields: [] } : { id: 'kept' };
    return Promise.resolve(Response.json(body, { status: answer }));
  }) as unknown as typeof fetch;
});
afterEach(() => {
  globalThis.fetch = real;
});

function item(id: string, changes: Partial<OutboxItem> = {}): OutboxItem {
  return {
    id,
    owner: 'class c',
    experimentId: 'e',
    route: 'keepPot',
    params: { readingId: id },
    body: { state: 'not_up' },
    studentId: 's',
    madeAt: '2026-05-04T09:00:00.000Z',
    label: 'Pot 1',
    reading: null,
    problem: null,
    ...changes,
  };
}

describe('the outbox', () => {
  test('sends at once and keeps nothing, saying who made it and when by this clock', async () => {
    const outbox = new Outbox(memoryStore());
    expect(await outbox.put(item('a'))).toEqual({ isSent: true, answer: { id: 'kept' } });
    expect(outbox.items()).toEqual([]);
    expect(sent[0]).toMatchObject({
      path: '/api/door/readings/a',
      body: { state: 'not_up', made: { studentId: 's', madeAt: '2026-05-04T09:00:00.000Z' } },
    });
    expect(Date.parse((sent[0]!.body.made as { sentAt: string }).sentAt)).toBeGreaterThan(0);
  });

  test.each([['lost'], [503], [401], [409]] as const)('keeps what could not be sent: %s', async (answer) => {
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
    const close = outbox.openFor('class c');
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
    const close = outbox.openFor('teacher t');
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
    answers = ['lost', 'lost', 'lost'];
    await outbox.put(item('b', { madeAt: '2026-05-04T09:02:00.000Z' }));
    await outbox.put(item('a', { madeAt: '2026-05-04T09:01:00.000Z' }));
    const close = outbox.openFor('class c');
    await outbox.flush();
    expect(sent.at(2)?.path).toBe('/api/door/readings/a');
    await outbox.flush();
    close();
    expect(sent.slice(-2).map(({ path }) => path)).toEqual(['/api/door/readings/a', '/api/door/readings/b']);
    expect(outbox.items()).toEqual([]);
  });

  test('two pages over one store send the same ids, which the server stores once', async () => {
    const store = memoryStore();
    const [one, other] = [new Outbox(store), new Outbox(store)];
    answers = ['lost'];
    await one.put(item('a'));
    const closes = [one.openFor('class c'), other.openFor('class c')];
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
    const close = outbox.openFor('class c');
    await outbox.flush();
    close();
    expect(late).toEqual(['a']);
  });
});
