import { setTimeout as pause } from 'node:timers/promises';
import { Inject, Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { addressesOf, type Settings, SETTINGS } from '../shared/index.ts';
import { DatabaseProbe } from './database-probe.ts';

const LOOK_MS = 500;
/** A database that is busy answers late; one that has lost power never does. */
const PATIENCE_MS = 2000;

/**
 * Looks whether the address of the database that is used can be written to, where there are several, and goes on to the
 * next when it cannot: when it was killed, hangs, or is a node that has lost the others.
 */
@Injectable()
export class DatabaseWatch implements OnApplicationBootstrap, OnModuleDestroy {
  #probe: DatabaseProbe | undefined;
  #timer: NodeJS.Timeout | undefined;
  #isLooking = false;

  constructor(@Inject(SETTINGS) private readonly settings: Settings) {}

  onApplicationBootstrap(): void {
    if (addressesOf(this.settings.databaseUrl).count < 2) return;
    this.#probe = new DatabaseProbe(this.settings.databaseUrl);
    this.#timer = setInterval(() => void this.#look(), LOOK_MS);
  }

  async onModuleDestroy(): Promise<void> {
    clearInterval(this.#timer);
    await this.#probe?.end();
  }

  async #look(): Promise<void> {
    if (this.#isLooking) return;
    this.#isLooking = true;
    const addresses = addressesOf(this.settings.databaseUrl);
    const asked = addresses.current;
    try {
      const late = pause(PATIENCE_MS, false, { ref: false });
      if (!(await Promise.race([this.#probe?.canWrite(), late]))) addresses.turnFrom(asked);
    } catch {
      addresses.turnFrom(asked);
    } finally {
      this.#isLooking = false;
    }
  }
}
