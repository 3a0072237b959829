import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { cleanup, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { type Maker, MakerProvider, ownerClass, ownerTeacher, useIdOf, useKeep } from './use-keep.ts';
import { outbox } from './use-outbox.ts';

const TEACHER: Maker = { owner: 'teacher t', studentId: null, displayName: 'Mx Trial' };
const STUDENT: Maker = { owner: 'class c', studentId: 's', displayName: 'Ada' };

let sent: { path: string; body: Record<string, unknown> }[] = [];
let isOnline = true;
const real = globalThis.fetch;

beforeEach(() => {
  sent = [];
  isOnline = true;
  globalThis.fetch = ((path: string, init: RequestInit) => {
    if (!isOnline) return Promise.reject(new TypeError('Failed to fetch'));
    sent.push({ path, body: JSON.parse(init.body as string) as Record<string, unknown> });
    return Promise.resolve(Response.json({ id: 'kept' }));
  }) as unknown as typeof fetch;
});
afterEach(async () => {
  for (const { id } of outbox.items()) await outbox.discard(id);
  cleanup();
  globalThis.fetch = real;
});

function keepAs(maker: Maker) {
  const wrapper = ({ children }: { children: ReactNode }) => (
    <MakerProvider value={maker}>{children}</MakerProvider>
  );
  return renderHook(() => useKeep(), { wrapper }).result.current;
}

const CLAIM = { claim: 'Light.', evidence: '', reasoning: '' };

test('a teacher and a student keep through the same hook; only the student is named with the time', async () => {
  const onAnswer = jest.fn();
  const ofTeacher = {
    experimentId: 'e',
    params: { experimentId: 'e', conclusionId: 'a' },
    label: 'A',
  } as const;
  await keepAs(TEACHER)({ route: 'keepConclusion', body: CLAIM, ...ofTeacher }, onAnswer);
  const ofStudent = { experimentId: 'e', params: { conclusionId: 'b' }, label: 'B' } as const;
  await keepAs(STUDENT)({ route: 'keepOwnConclusion', body: { ...CLAIM, experimentId: 'e' }, ...ofStudent });
  expect(
    sent.map(({ path, body }) => [path, (body.made as { studentId: string } | undefined)?.studentId]),
  ).toEqual([
    ['/api/experiments/e/conclusions/a', undefined],
    ['/api/device/conclusions/b', 's'],
  ]);
  expect(onAnswer).toHaveBeenCalledWith({ id: 'kept' });
});

test('without network it waits here under its owner, with what is needed to send it', async () => {
  isOnline = false;
  const practice = {
    route: 'keepPractice',
    params: { practiceId: 'p' },
    body: { kind: 'plain', seed: 1, readMm: 4 },
  } as const;
  const result = await keepAs(STUDENT)({ ...practice, experimentId: '', label: 'A ruler' });
  expect(result).toEqual({ isSent: false });
  expect(outbox.items()).toMatchObject([{ ...practice, owner: 'class c', studentId: 's', problem: null }]);
});

test('practice is sent as it is: its request knows no maker', async () => {
  await keepAs(STUDENT)({
    route: 'keepPractice',
    params: { practiceId: 'p' },
    body: { kind: 'plain', seed: 1, readMm: 4 },
    experimentId: '',
    label: 'A ruler',
  });
  expect(sent).toEqual([{ path: '/api/device/practice/p', body: { kind: 'plain', seed: 1, readMm: 4 } }]);
});

test('nobody can keep anything where it is not known who makes it', () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  expect(() => renderHook(() => useKeep())).toThrow('useMaker outside a MakerProvider');
  quiet.mockRestore();
});

test('the same content has the same id until it is kept', () => {
  const { of, forget } = renderHook(() => useIdOf()).result.current;
  const first = of({ value: 4 });
  expect([of({ value: 4 }) === first, of({ value: 5 }) === first]).toEqual([true, false]);
  const again = of({ value: 5 });
  forget();
  expect(of({ value: 5 })).not.toBe(again);
});

test('what a teacher, another and a class make are kept apart', () => {
  expect(new Set([ownerTeacher('a'), ownerTeacher('b'), ownerClass('a'), ownerClass('b')]).size).toBe(4);
});
