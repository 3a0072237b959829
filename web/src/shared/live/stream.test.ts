import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { listenTo } from './stream.ts';

/** A stream that the test opens, breaks and talks through. */
class FakeSource {
  static all: FakeSource[] = [];
  isClosed = false;
  readonly #listeners = new Map<string, (event: { data: string }) => void>();

  constructor(readonly address: string) {
    FakeSource.all.push(this);
  }

  addEventListener(name: string, listener: (event: { data: string }) => void): void {
    this.#listeners.set(name, listener);
  }

  close(): void {
    this.isClosed = true;
  }

  say(name: string, data = '{}'): void {
    this.#listeners.get(name)?.({ data });
  }
}

const real = globalThis.EventSource;
let heard: string[] = [];
let stop: () => void = () => undefined;

beforeEach(() => {
  jest.useFakeTimers();
  FakeSource.all = [];
  heard = [];
  globalThis.EventSource = FakeSource as unknown as typeof EventSource;
  stop = listenTo('/api/x', {
    onOpen: () => heard.push('open'),
    onChange: ({ thing }) => heard.push(thing),
    onStale: (isStale) => heard.push(isStale ? 'stale' : 'fresh'),
  });
});
afterEach(() => {
  stop();
  jest.useRealTimers();
  globalThis.EventSource = real;
});

const newest = (): FakeSource => FakeSource.all.at(-1)!;

describe('a stream', () => {
  test('tells of its opening and of changes', () => {
    newest().say('open');
    newest().say('change', '{"experimentId":"e","thing":"care"}');
    expect(heard.filter((word) => word !== 'fresh')).toEqual(['open', 'care']);
  });

  test('that is refused is opened again, after pauses that grow, and tells of it', () => {
    const pauses: number[] = [];
    for (let attempt = 0; attempt < 6; attempt += 1) {
      const before = FakeSource.all.length;
      newest().say('error');
      expect(newest().isClosed).toBe(true);
      let waited = 0;
      while (FakeSource.all.length === before) {
        jest.advanceTimersByTime(250);
        waited += 250;
      }
      pauses.push(waited);
    }
    expect(pauses.at(-1)!).toBeGreaterThan(4 * pauses[0]!);
    newest().say('open');
    newest().say('error');
    const before = FakeSource.all.length;
    jest.advanceTimersByTime(1100);
    expect(FakeSource.all.length).toBe(before + 1);
    newest().say('open');
    expect(heard.filter((word) => word === 'open')).toHaveLength(2);
  });

  test('without a beat for long counts as stale and is opened again; a beat makes it fresh', () => {
    newest().say('open');
    jest.advanceTimersByTime(15_000);
    newest().say('beat');
    jest.advanceTimersByTime(50_000);
    expect(heard).not.toContain('stale');
    jest.advanceTimersByTime(5000);
    expect(heard.at(-1)).toBe('stale');
    expect(FakeSource.all.length).toBe(2);
    newest().say('open');
    expect(heard.slice(-2)).toEqual(['fresh', 'open']);
  });

  test('that was stopped stays so', () => {
    stop();
    newest().say('error');
    jest.advanceTimersByTime(120_000);
    expect(FakeSource.all).toHaveLength(1);
  });
});
