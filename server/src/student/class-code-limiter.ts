import { say } from '@bright-sprout/words/refusals';
import { Inject, Injectable } from '@nestjs/common';
import { type TriesLimit, TriesService, type TryTaken } from '../accounts/index.ts';
import { ApiError, type Settings, SETTINGS } from '../shared/index.ts';
import { SlowLane } from './slow-lane.ts';

/** Wrong codes that an address may try for each sign-in try: a class shares one address, and children mistype. */
const WRONG_CODES_PER_TRY = 8;

/**
 * Between two tries of an address that tried too many wrong codes. A class of 30 that joins while one of its school
 * keeps 60 wrong ones on their way is in within two seconds.
 */
export const PACE_MS = 15;

/** Wrong codes of an address in a day, beyond which it goes on slowly: of 26⁶ codes, one in 6 000 is tried by then. */
const WRONG_CODES_A_DAY = 50_000;
const DAY_MS = 86_400_000;

/** Between two tries beyond that, and between two of devices that came while PINs of their class were being guessed. */
export const SLOW_MS = 1500;

/** Tries of one key that wait at a time: several classes. */
const MOST_WAITING = 400;

/** Wrong PINs that all devices of a class may try for each try of one: some in each class of children mistype. */
const WRONG_PINS_PER_TRY = 20;

/** Wrong tries of a day, this one among them, with which a device goes on while others of its class guess. */
const TRIES_BESIDE_A_GUESSER = 1;

/** Who chooses a student by a PIN, and where. */
export interface PinTry {
  readonly deviceId: string;
  readonly classId: string;
  readonly studentId: string;
  /** Whether the student was at the device before. */
  readonly wasHere: boolean;
  readonly joinedAt: Date;
}

/**
 * Limits wrong class codes by address, and wrong PINs by device, so that one who guesses waits and nobody else does.
 * Each try is counted before it is made.
 */
@Injectable()
export class ClassCodeLimiter {
  readonly #byAddress: TriesLimit;
  readonly #byAddressAndDay: TriesLimit;
  readonly #byDevice: TriesLimit;
  readonly #byDeviceAndDay: TriesLimit;
  readonly #byClass: TriesLimit;
  readonly #byStudentAndDay: TriesLimit;
  readonly #paced = new SlowLane(PACE_MS, MOST_WAITING);
  readonly #slow = new SlowLane(SLOW_MS, MOST_WAITING);
  readonly #guessed = new Map<string, { readonly since: number; readonly endsAt: number }>();

  constructor(
    private readonly tries: TriesService,
    @Inject(SETTINGS) { signInTries, signInWindowMs: windowMs }: Settings,
  ) {
    this.#byAddress = { name: 'class-code', tries: signInTries * WRONG_CODES_PER_TRY, windowMs };
    this.#byAddressAndDay = { name: 'class-code-day', tries: WRONG_CODES_A_DAY, windowMs: DAY_MS };
    this.#byDevice = { name: 'pin-device', tries: signInTries, windowMs };
    this.#byDeviceAndDay = { name: 'pin-device-day', tries: signInTries, windowMs: DAY_MS };
    this.#byClass = { name: 'pin-class', tries: signInTries * WRONG_PINS_PER_TRY, windowMs };
    this.#byStudentAndDay = {
      name: 'pin-student',
      tries: signInTries * WRONG_PINS_PER_TRY,
      windowMs: DAY_MS,
    };
  }

  /**
   * Joins by a code, which counts unless it turns out to be right. An address that tried too many goes on at a pace, one
   * try after the other, so that a whole school is never kept out by one of its own.
   * @throws ApiError `too_many_tries` where too many wait already
   */
  async join<T>(address: string, attempt: () => Promise<T>): Promise<T> {
    const limits = [this.#byAddress, this.#byAddressAndDay];
    const [recent, today] = await Promise.all(limits.map((limit) => this.tries.take(limit, address)));
    const spent = limits.map((limit) => ({ limit, key: address }));
    const run = (): Promise<T> => this.#counted(spent, 'wrong_code', attempt);
    if (recent?.isAllowed) return run();
    const waited = (today?.isAllowed ? this.#paced : this.#slow).run(address, run);
    return waited ?? this.#refused(spent);
  }

  /**
   * Chooses a student by a PIN, which counts against the device unless it turns out to be right. Where the PINs of a
   * class are being guessed, its devices of before that go on where they guessed nothing; those that came since go on slowly,
   * and none of them beyond a day's wrong PINs of one student.
   * @throws ApiError `too_many_tries`
   */
  async choose<T>(pin: PinTry, attempt: () => Promise<T>): Promise<T> {
    const own = { limit: this.#byDevice, key: pin.deviceId };
    const { isAllowed } = await this.tries.take(own.limit, own.key);
    if (!isAllowed) throw tooMany();
    if (pin.wasHere) return this.#counted([own], 'wrong_pin', attempt);
    const ofDay = { limit: this.#byDeviceAndDay, key: pin.deviceId };
    const { taken } = await this.tries.take(ofDay.limit, ofDay.key);
    const ofClass = { limit: this.#byClass, key: pin.classId };
    const ofStudent = { limit: this.#byStudentAndDay, key: pin.studentId };
    const spent = [own, ofDay, ofClass, ofStudent];
    const inClass = await this.tries.take(ofClass.limit, ofClass.key);
    const run = (): Promise<T> => this.#counted(spent, 'wrong_pin', attempt);
    const today = await this.tries.take(ofStudent.limit, ofStudent.key);
    const guessedSince = Math.min(
      this.#guessedSince(pin.classId, inClass),
      this.#guessedSince(pin.studentId, today),
    );
    const isOfBefore = pin.joinedAt.getTime() <= guessedSince && taken <= TRIES_BESIDE_A_GUESSER;
    if ((inClass.isAllowed && today.isAllowed) || isOfBefore) return run();
    const waited = today.isAllowed ? this.#slow.run(pin.classId, run) : undefined;
    return waited ?? this.#refused([ofClass, ofStudent]);
  }

  /** Refuses what was not compared, and takes it back from counts that others share. */
  async #refused(spent: Spent): Promise<never> {
    for (const { limit, key } of spent) await this.tries.giveBack(limit, key);
    throw tooMany();
  }

  /** Since when the PINs of a class, or of a student, are being guessed, as this server saw it; now where they are not. */
  #guessedSince(key: string, { isAllowed, endsAt }: TryTaken): number {
    const now = Date.now();
    if (isAllowed) this.#guessed.delete(key);
    else if ((this.#guessed.get(key)?.endsAt ?? 0) < endsAt) this.#guessed.set(key, { since: now, endsAt });
    return this.#guessed.get(key)?.since ?? now;
  }

  async #counted<T>(spent: Spent, wrong: string, attempt: () => Promise<T>): Promise<T> {
    const giveBack = async (): Promise<void> => {
      for (const { limit, key } of spent) await this.tries.giveBack(limit, key);
    };
    try {
      const done = await attempt();
      await giveBack();
      return done;
    } catch (thrown) {
      const isWrong = thrown instanceof ApiError && thrown.body.code === wrong;
      if (!isWrong) await giveBack();
      throw thrown;
    }
  }
}

/** Counts that a try was taken from. */
type Spent = readonly { readonly limit: TriesLimit; readonly key: string }[];

function tooMany(): ApiError {
  return new ApiError('too_many_tries', say('tooManyWrongCodesFromHereWait'));
}
