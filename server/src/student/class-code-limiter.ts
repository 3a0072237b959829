import { say } from '@bright-sprout/words/refusals';
import { Inject, Injectable } from '@nestjs/common';
import { type TriesLimit, TriesService } from '../accounts/index.ts';
import { ApiError, type Settings, SETTINGS } from '../shared/index.ts';
import { SlowLane } from './slow-lane.ts';

/** Wrong codes that an address may try for each sign-in try: a class shares one address, and children mistype. */
const WRONG_CODES_PER_TRY = 8;

/** Between two tries of an address that tried too many wrong codes: a code of 26⁶ is not found at that pace. */
export const SLOW_MS = 1500;

/** Tries of one address that wait at a time: a class of the largest size. */
const MOST_WAITING = 60;

/** Limits wrong class codes by address, and wrong PINs by student. Each try is counted before it is made. */
@Injectable()
export class ClassCodeLimiter {
  readonly #byAddress: TriesLimit;
  readonly #byStudent: TriesLimit;
  readonly #byDevice: TriesLimit;
  readonly #slow: SlowLane;

  constructor(
    private readonly tries: TriesService,
    @Inject(SETTINGS) { signInTries, signInWindowMs: windowMs }: Settings,
  ) {
    this.#byAddress = { name: 'class-code', tries: signInTries * WRONG_CODES_PER_TRY, windowMs };
    this.#byStudent = { name: 'pin', tries: signInTries, windowMs };
    this.#byDevice = { name: 'pin-device', tries: signInTries, windowMs };
    this.#slow = new SlowLane(SLOW_MS, MOST_WAITING);
  }

  /**
   * Joins by a code, which counts unless it turns out to be right. An address that tried too many goes on slowly, one try
   * after the other, so that a whole school is never kept out by one of its own.
   * @throws ApiError `too_many_tries` where too many wait already
   */
  async join<T>(address: string, attempt: () => Promise<T>): Promise<T> {
    const { isAllowed } = await this.tries.take(this.#byAddress, address);
    const run = (): Promise<T> => this.#counted(this.#byAddress, address, 'wrong_code', attempt);
    if (isAllowed) return run();
    const waited = this.#slow.run(address, run);
    if (!waited) throw tooMany();
    return waited;
  }

  /**
   * Chooses a student by a PIN, which counts unless it turns out to be right: against the student, or against the device
   * alone where the student was at it before, so that what others try keeps nobody out who is already in.
   * @throws ApiError `too_many_tries`
   */
  async choose<T>(
    { studentId, deviceId, wasHere }: { studentId: string; deviceId: string; wasHere: boolean },
    attempt: () => Promise<T>,
  ): Promise<T> {
    const [limit, key] = wasHere ? [this.#byDevice, deviceId] : [this.#byStudent, studentId];
    const { isAllowed } = await this.tries.take(limit, key);
    if (!isAllowed) throw tooMany();
    return this.#counted(limit, key, 'wrong_pin', attempt);
  }

  async #counted<T>(limit: TriesLimit, key: string, wrong: string, attempt: () => Promise<T>): Promise<T> {
    try {
      const done = await attempt();
      await this.tries.giveBack(limit, key);
      return done;
    } catch (thrown) {
      const isWrong = thrown instanceof ApiError && thrown.body.code === wrong;
      if (!isWrong) await this.tries.giveBack(limit, key);
      throw thrown;
    }
  }
}

function tooMany(): ApiError {
  return new ApiError('too_many_tries', say('tooManyWrongCodesFromHereWait'));
}
