import { describe, expect, test } from '@jest/globals';
import { of, throwError, defer, lastValueFrom } from 'rxjs';
import { RetryDeadlocks } from './retry-deadlocks.ts';
import { isConnectionLoss, isDeadlock, isDiskFull, retried } from './transactions.ts';

const DEADLOCK = Object.assign(new Error('Deadlock found'), { code: 'ER_LOCK_DEADLOCK' });

/** Fails so many times, then gives its count. */
function failing(times: number, error: Error): () => Promise<number> {
  let calls = 0;
  return () => {
    calls += 1;
    return calls <= times ? Promise.reject(error) : Promise.resolve(calls);
  };
}

describe('work that the database broke off', () => {
  test('is done again after a deadlock, and not without end', async () => {
    expect(await retried(failing(3, DEADLOCK))).toBe(4);
    await expect(retried(failing(50, DEADLOCK))).rejects.toBe(DEADLOCK);
  });

  test('is not done again for another reason', async () => {
    const other = Object.assign(new Error('Duplicate'), { code: 'ER_DUP_ENTRY' });
    await expect(retried(failing(1, other))).rejects.toBe(other);
  });

  test.each(['PUT', 'DELETE', 'GET'])('a %s is done again as a whole', async (method) => {
    expect(await intercepted(method, 2)).toBe(3);
  });

  test('a POST is not: it may not be repeated', async () => {
    await expect(intercepted('POST', 1)).rejects.toBe(DEADLOCK);
  });
});

function intercepted(method: string, failures: number): Promise<unknown> {
  let calls = 0;
  const handle = () =>
    defer(() => {
      calls += 1;
      return calls <= failures ? throwError(() => DEADLOCK) : of(calls);
    });
  const context = { switchToHttp: () => ({ getRequest: () => ({ method }) }) };
  return lastValueFrom(new RetryDeadlocks().intercept(context as never, { handle }));
}

test('what the database says is told apart', () => {
  const error = (code: string, more: object = {}) => Object.assign(new Error(code), { code, ...more });
  expect(isConnectionLoss(error('ER_UNKNOWN_COM_ERROR', { errno: 1047 }))).toBe(true);
  expect(isConnectionLoss(error('ECONNREFUSED'))).toBe(true);
  expect(isConnectionLoss(error('ER_DUP_ENTRY', { errno: 1062 }))).toBe(false);
  expect(isDiskFull(error('ER_RECORD_FILE_FULL'))).toBe(true);
  expect(
    isDiskFull(Object.assign(new Error('Got error 28 "No space left on device"'), { sql: 'INSERT' })),
  ).toBe(true);
  expect(isDiskFull(new Error('the cup is full'))).toBe(false);
  expect(isDeadlock(DEADLOCK)).toBe(true);
});
