import { expect, test } from '@jest/globals';
import { SlowLane } from './slow-lane.ts';

test('one key runs one after the other, keys beside each other, and a failure stops nobody', async () => {
  const lane = new SlowLane(1, 5);
  const order: string[] = [];
  let running = 0;
  const work = (name: string) => async () => {
    running += 1;
    expect(running).toBeLessThanOrEqual(2);
    await new Promise((resolve) => setTimeout(resolve, 5));
    order.push(name);
    running -= 1;
    if (name === 'a2') throw new Error('no');
    return name;
  };
  const runs = ['a1', 'a2', 'a3', 'b1'].map((name) => lane.run(name.slice(0, 1), work(name))!);
  const ended = await Promise.allSettled(runs);
  expect(ended.map(({ status }) => status)).toEqual(['fulfilled', 'rejected', 'fulfilled', 'fulfilled']);
  expect(order.filter((name) => name.startsWith('a'))).toEqual(['a1', 'a2', 'a3']);
});

test('only so many wait, and there is room again once they are through', async () => {
  const lane = new SlowLane(1, 2);
  const first = [lane.run('a', () => Promise.resolve(1))!, lane.run('a', () => Promise.resolve(2))!];
  expect(lane.run('a', () => Promise.resolve(3))).toBeUndefined();
  await Promise.all(first);
  await new Promise((resolve) => setTimeout(resolve, 5));
  expect(await lane.run('a', () => Promise.resolve(4))).toBe(4);
});
