// What tests import as `@jest/globals`, from the packages that Jest itself is made of.
import { ModernFakeTimers } from '@jest/fake-timers';
import * as circus from 'jest-circus';
import { jestExpect } from '@jest/expect';
import { ModuleMocker } from 'jest-mock';

const mocker = new ModuleMocker(globalThis);
const timers = new ModernFakeTimers({ config: { fakeTimers: {} }, global: globalThis });

export const { describe, test, it, beforeAll, beforeEach, afterAll, afterEach } = circus;
export const expect = jestExpect;
export const jest = {
  fn: mocker.fn.bind(mocker),
  spyOn: mocker.spyOn.bind(mocker),
  restoreAllMocks: () => mocker.restoreAllMocks(),
  useFakeTimers: (options) => timers.useFakeTimers(options),
  useRealTimers: () => timers.useRealTimers(),
  advanceTimersByTime: (ms) => timers.advanceTimersByTime(ms),
  runOnlyPendingTimers: () => timers.runOnlyPendingTimers(),
};

/** Takes back what a test file left of these. */
export function restore() {
  timers.useRealTimers();
  mocker.restoreAllMocks();
}
