import { say } from '@bright-sprout/words/refusals';
import { Inject, Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { type TriesLimit, TriesService } from '../accounts/index.ts';
import { ApiError, type Settings, SETTINGS } from '../shared/index.ts';

/** Wrong codes that an address may try for each sign-in try: a class shares one address, and children mistype. */
const WRONG_CODES_PER_TRY = 8;
const WRONG: readonly string[] = ['wrong_code', 'wrong_pin'];

/** Limits wrong class codes by address; right ones cost nothing, so a whole class joins at once. */
@Injectable()
export class ClassCodeLimiter {
  readonly #limit: TriesLimit;

  constructor(
    private readonly tries: TriesService,
    @Inject(SETTINGS) { signInTries, signInWindowMs: windowMs }: Settings,
  ) {
    this.#limit = { name: 'class-code', tries: signInTries * WRONG_CODES_PER_TRY, windowMs };
  }

  /**
   * Runs `join`, which counts unless it turns out to be right.
   * @throws ApiError `too_many_tries`
   */
  async guard<T>(request: Request, join: () => Promise<T>): Promise<T> {
    const address = request.ip ?? 'unknown';
    const { isAllowed } = await this.tries.take(this.#limit, address);
    if (!isAllowed) throw tooMany();
    try {
      const joined = await join();
      await this.tries.giveBack(this.#limit, address);
      return joined;
    } catch (thrown) {
      const isWrong = thrown instanceof ApiError && WRONG.includes(thrown.body.code);
      if (!isWrong) await this.tries.giveBack(this.#limit, address);
      throw thrown;
    }
  }
}

function tooMany(): ApiError {
  return new ApiError('too_many_tries', say('tooManyWrongCodesFromHereWait'));
}
