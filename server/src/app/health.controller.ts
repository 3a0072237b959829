import { say } from '@bright-sprout/words/refusals';
import { healthRoutes } from '@bright-sprout/contract/routes';
import type { HealthView } from '@bright-sprout/contract/shared';
import { Controller, Inject, type OnModuleDestroy } from '@nestjs/common';
import { ApiError, isConnectionLoss, Operation, type Settings, SETTINGS } from '../shared/index.ts';
import { DatabaseProbe } from './database-probe.ts';
import { StorageGuard, storageFull } from './storage.guard.ts';

/** How long an answer holds: however many ask, the database is asked once. */
const HOLDS_MS = 500;
const PATIENCE_MS = 200;
/** A new server waits so long for its first connection, before it says that it is there. */
const FIRST_PATIENCE_MS = 3000;
/** A database that answered so lately and is slow now is busy, not gone: who is asked to leave for that makes it worse. */
const WELL_FOR_MS = 5000;

/** Tells whether the server can do its work: reach the database, and write to it. */
@Controller()
export class HealthController implements OnModuleDestroy {
  #probe: DatabaseProbe | undefined;
  #wellAt = Number.NEGATIVE_INFINITY;
  #asked: { readonly at: number; readonly isWell: Promise<boolean> } | undefined;

  constructor(
    @Inject(SETTINGS) private readonly settings: Settings,
    private readonly storage: StorageGuard,
  ) {}

  @Operation(healthRoutes.health)
  async health(): Promise<HealthView> {
    if (this.storage.isFull) throw storageFull();
    const now = performance.now();
    if (!this.#asked || now - this.#asked.at > HOLDS_MS) {
      this.#asked = { at: now, isWell: inTime(this.#ask(), now - this.#wellAt < WELL_FOR_MS, PATIENCE_MS) };
    }
    if (await this.#asked.isWell) return { status: 'ok' };
    throw new ApiError('database_unavailable', say('theDatabaseCannotBeReachedOr'));
  }

  /** Opens the connection that it asks by, so that the first who asks is not told of a database that is slow to connect. */
  async warm(): Promise<void> {
    await inTime(this.#ask(), false, FIRST_PATIENCE_MS);
  }

  async onModuleDestroy(): Promise<void> {
    await this.#probe?.end();
  }

  async #ask(): Promise<boolean> {
    this.#probe ??= new DatabaseProbe(this.settings.databaseUrl);
    try {
      const isWell = await this.#probe.canWrite();
      if (isWell) this.#wellAt = performance.now();
      return isWell;
    } catch (thrown) {
      if (!isConnectionLoss(thrown) && !(thrown instanceof Error)) throw thrown;
      return false;
    }
  }
}

/** What is not answered soon is as it was lately; the question itself goes on and frees its connection. */
function inTime(asked: Promise<boolean>, wasWell: boolean, patienceMs: number): Promise<boolean> {
  return new Promise((resolve) => {
    const timer = setTimeout(() => resolve(wasWell), patienceMs);
    const settle = (isWell: boolean): void => {
      clearTimeout(timer);
      resolve(isWell);
    };
    asked.then(settle, () => settle(false));
  });
}
