import type { ChangedThing, ChangeEvent } from '@bright-sprout/contract/live';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { Clock } from '../shared/index.ts';

/** How often the database is asked while anybody listens. */
const ASK_MS = 500;
/** Rows up to this old are asked for, as servers' clocks differ and a row is seen when its transaction ends. */
const LOOK_BACK_MS = 10_000;

const SAVED = `
  SELECT 'readings' AS thing, r.id AS id, u.experiment_id AS experimentId
    FROM reading r JOIN unit u ON u.id = r.unit_id WHERE r.recorded_at > ?
  UNION ALL
  SELECT 'readings', s.id, u.experiment_id
    FROM set_aside s JOIN reading r ON r.id = s.reading_id JOIN unit u ON u.id = r.unit_id WHERE s.set_at > ?
  UNION ALL
  SELECT 'care', id, experiment_id FROM care_event WHERE recorded_at > ?
  UNION ALL
  SELECT 'journal', id, experiment_id FROM journal_entry WHERE recorded_at > ?
  UNION ALL
  SELECT 'sowing', CONCAT(t.unit_id, t.item), u.experiment_id
    FROM sowing_tick t JOIN unit u ON u.id = t.unit_id WHERE t.ticked_at > ?`;

interface SavedRow {
  thing: ChangedThing;
  id: string;
  experimentId: string;
}

type Listener = (event: ChangeEvent) => void;

/**
 * Tells listeners what was saved in experiments, by this server or another: the database is where they meet.
 * Nothing is asked while nobody listens.
 */
@Injectable()
export class ChangesFeed implements OnModuleDestroy {
  readonly #listeners = new Map<Listener, ReadonlySet<string>>();
  readonly #told = new Map<string, number>();
  #timer: NodeJS.Timeout | undefined;
  #isAsking = false;

  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /** Calls `listener` once for each thing saved in one of the experiments, until the function given back is called. */
  async listen(experimentIds: ReadonlySet<string>, listener: Listener): Promise<() => void> {
    if (this.#listeners.size === 0) for (const row of await this.#saved()) this.#remember(row);
    this.#listeners.set(listener, experimentIds);
    this.#timer ??= setInterval(() => void this.#ask(), ASK_MS);
    return () => {
      this.#listeners.delete(listener);
      if (this.#listeners.size === 0) this.#stop();
    };
  }

  onModuleDestroy(): void {
    this.#listeners.clear();
    this.#stop();
  }

  #stop(): void {
    clearInterval(this.#timer);
    this.#timer = undefined;
  }

  /** Asks once at a time: a database that answers slowly is not asked more for it. */
  async #ask(): Promise<void> {
    if (this.#isAsking) return;
    this.#isAsking = true;
    const rows = await this.#saved().catch(() => []);
    this.#isAsking = false;
    const fresh = rows.filter((row) => !this.#told.has(keyOf(row)));
    for (const row of fresh) this.#remember(row);
    this.#forget();
    const events = new Map(
      fresh.map(({ thing, experimentId }) => [`${thing} ${experimentId}`, { thing, experimentId }]),
    );
    for (const event of events.values()) {
      for (const [listener, wanted] of this.#listeners) if (wanted.has(event.experimentId)) listener(event);
    }
  }

  #saved(): Promise<SavedRow[]> {
    const since = new Date(this.clock.now().getTime() - LOOK_BACK_MS);
    return this.source.query<SavedRow[]>(SAVED, [since, since, since, since, since]);
  }

  #remember(row: SavedRow): void {
    this.#told.set(keyOf(row), this.clock.now().getTime());
  }

  #forget(): void {
    const until = this.clock.now().getTime() - 2 * LOOK_BACK_MS;
    for (const [key, at] of this.#told) if (at < until) this.#told.delete(key);
  }
}

function keyOf({ thing, id }: SavedRow): string {
  return `${thing} ${id}`;
}
