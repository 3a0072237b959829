import { say } from '@bright-sprout/words/refusals';
import type { Route } from '@bright-sprout/contract/shared';
import { studentRoutes } from '@bright-sprout/contract/student';
import { type CanActivate, type ExecutionContext, Inject, Injectable } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { ApiError } from './api-error.ts';
import { ROUTE_KEY } from './operation.ts';
import { SETTINGS, type Settings } from './settings.ts';

const MINUTE_S = 60;

/** A class may write as much as that many of its devices may. */
const DEVICES_A_CLASS = 10;

/** What is sent by nobody who is known, by loggers and when a device joins, is far less. */
const SHARE_OF_STRANGERS = 0.4;

const SAFE_METHODS: readonly string[] = ['GET', 'HEAD'];

/** Who was found to make a request, by the guard before this one. */
interface KnownCaller {
  readonly teacher?: { readonly id: string };
  readonly device?: { readonly id: string; readonly classId: string };
}

/**
 * Limits the writes a minute of one teacher, of one tablet and of its class, and of strangers by their address. Who is
 * known is never counted with an address, as a school shares one: what one device sends takes nothing from other classes.
 * A fast sheet of 400 pots that is pasted at once, and a tablet that sends a day's queue, stay far below. Counted in the
 * memory of this process, where nothing is shared: a limit against being run over needs no agreement between servers.
 */
@Injectable()
export class WriteQuota implements CanActivate {
  readonly #ofOne: RateLimiterMemory;
  readonly #ofGroup: RateLimiterMemory;
  readonly #ofStrangers: RateLimiterMemory;

  constructor(
    @Inject(SETTINGS) { writesAMinute }: Settings,
    private readonly reflector: Reflector,
  ) {
    const limiter = (keyPrefix: string, points: number): RateLimiterMemory =>
      new RateLimiterMemory({ keyPrefix, points, duration: MINUTE_S });
    this.#ofOne = limiter('one', writesAMinute);
    this.#ofGroup = limiter('group', writesAMinute * DEVICES_A_CLASS);
    this.#ofStrangers = limiter('strangers', writesAMinute * SHARE_OF_STRANGERS);
  }

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const request = context.switchToHttp().getRequest<Request & KnownCaller>();
    if (SAFE_METHODS.includes(request.method)) return true;
    const { teacher, device } = request;
    const route = this.reflector.get<Route | undefined>(ROUTE_KEY, context.getHandler());
    // Joining has a pace of its own, by which nobody's tries use up what others may send from the same address.
    if (route?.path === studentRoutes.join.path && !teacher && !device) return true;
    try {
      if (device) {
        await this.#ofOne.consume(device.id);
        await this.#ofGroup.consume(device.classId);
      } else if (teacher) {
        await this.#ofOne.consume(teacher.id);
      } else await this.#ofStrangers.consume(request.ip ?? 'unknown');
      return true;
    } catch {
      throw new ApiError('too_many_tries', say('tooMuchWasSentInAMinute'));
    }
  }
}
