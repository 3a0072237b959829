import { expect, test } from '@jest/globals';
import { type OutboxItem, upToDate } from './outbox-item.ts';

const WAITING = {
  id: 'a',
  owner: 'class c',
  experimentId: 'e',
  studentId: 's',
  madeAt: '2026-05-04T09:00:00.000Z',
  label: 'Ada',
  reading: null,
  picture: null,
  problem: null,
  params: {},
};

test.each([
  ['a choice of who is here', { route: 'chooseTile', body: { studentId: 's' } }, { route: 'chooseStudent' }],
  [
    'care with words',
    { route: 'keepOwnCare', body: { kind: 'note', words: 'Moved' } },
    { route: 'keepOwnCare', body: { kind: 'note', note: 'Moved' } },
  ],
  [
    'a sentence with a picture in its request',
    { route: 'keepOwnEntry', body: { kind: 'words', words: 'A bud.', picture: 'abc' } },
    { body: { kind: 'note', note: 'A bud.', picture: null }, picture: 'abc' },
  ],
])('%s that an earlier version wrote down is sent as it is now', (_, older, now) => {
  const item = upToDate({ ...WAITING, ...older } as OutboxItem);
  expect(item).toMatchObject({ ...WAITING, ...now });
  expect(JSON.stringify(item.body)).not.toContain('words');
});

test('states by their older words are those of now, sent and shown', () => {
  const reading = { id: 'a', state: 'not_up' };
  const item = {
    ...WAITING,
    route: 'keepReading',
    body: { state: 'up', value: 31 },
    reading,
  } as unknown as OutboxItem;
  expect(upToDate(item)).toMatchObject({
    body: { state: 'emerged', value: 31 },
    reading: { state: 'not_emerged' },
  });
});

test('what is as it is now stays as it is', () => {
  const item = { ...WAITING, route: 'keepOwnCare', body: { kind: 'watered', note: '' } } as OutboxItem;
  expect(upToDate(item)).toBe(item);
});
