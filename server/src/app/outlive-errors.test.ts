import { EventEmitter } from 'node:events';
import { Logger } from '@nestjs/common';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { outliveErrors } from './outlive-errors.ts';

beforeAll(() => Logger.overrideLogger(false));
afterAll(() => Logger.overrideLogger(['error', 'warn']));

/** A process that only notes how it would end. */
class FakeProcess extends EventEmitter {
  readonly exits: number[] = [];

  exit(code: number): void {
    this.exits.push(code);
  }
}

test('an error outside any request ends nothing; one after the other without end is given up', () => {
  const process = new FakeProcess();
  outliveErrors(process as unknown as NodeJS.Process);
  for (let at = 0; at < 30; at += 1) {
    process.emit(at % 2 === 0 ? 'uncaughtException' : 'unhandledRejection', new Error('of a timer'));
  }
  expect(process.exits).toEqual([]);
  process.emit('uncaughtException', 'not even an error');
  expect(process.exits).toEqual([70]);
});
