import type { ChangedThing } from '@bright-sprout/core/shared';
import type { ChangeEvent, ReadPot } from '@bright-sprout/contract/live';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ReadingsService } from '../readings/index.ts';
import { Clock } from '../shared/index.ts';

/** How often the database is asked while anybody listens. */
const ASK_MS = 500;
/** Rows up to this old are asked for, as servers' clocks differ and a row is seen when its transaction ends. */
const LOOK_BACK_MS = 10_000;

// Every id is a uuid and every mark a number: a UNION has one type a column, and what does not fit becomes NULL.
const SAVED = `
  SELECT 'readings' AS thing, r.id AS id, u.experiment_id AS experimentId, 1 AS isRow, 0 AS mark
    FROM reading r JOIN unit u ON u.id = r.unit_id WHERE r.recorded_at > ?
  UNION ALL
  SELECT 'readings', s.id, u.experiment_id, 0, 0
    FROM set_aside s JOIN reading r ON r.id = s.reading_id JOIN unit u ON u.id = r.unit_id WHERE s.recorded_at > ?
  UNION ALL
  SELECT 'care', id, experiment_id, 0, 0 FROM care_event WHERE recorded_at > ?
  UNION ALL
  SELECT 'journal', id, experiment_id, 0, 0 FROM journal_entry WHERE recorded_at > ?
  UNION ALL
  SELECT 'photos', id, experiment_id, 0, 0 FROM photo WHERE recorded_at > ?
  UNION ALL
  SELECT 'sowing', t.unit_id, u.experiment_id, 0, CRC32(t.item)
    FROM sowing_tick t JOIN unit u ON u.id = t.unit_id WHERE t.recorded_at > ?
  UNION ALL
  SELECT 'lesson', experiment_id, experiment_id, 0, UNIX_TIMESTAMP(shown_at) FROM lesson WHERE shown_at > ?
  UNION ALL
  SELECT 'poll', id, experiment_id, 0, UNIX_TIMESTAMP(changed_at) FROM poll WHERE changed_at > ?
  UNION ALL
  SELECT 'votes', v.id, p.experiment_id, 0, 0 FROM vote v JOIN poll p ON p.id = v.poll_id WHERE v.recorded_at > ?`;

/** How often {@link SAVED} asks for a time. */
const TIMES_IN_SAVED = 9;

interface SavedRow {
  thing: ChangedThing;
  id: string;
  experimentId: string;
  /** 1 for a new reading, which can be told whole. */
  isRow: number;
  /** Tells two changes of one row apart. */
  mark: number | string;
}

/** More new readings of an experiment than these at once are fetched by who wants them. */
const MOST_TOLD = 60;

/** Who listens: a teacher hears of readings whole, a device only that they were made. */
export type Audience = 'teacher' | 'device';

/** Takes the data of an event, made once for all who hear it. */
type Listener = (data: string) => void;

interface Listening {
  readonly experimentIds: ReadonlySet<string>;
  readonly audience: Audience;
}

/** One event as each audience hears it. */
interface News extends Record<Audience, string> {
  readonly experimentId: string;
}

/**
 * Tells listeners what was saved in experiments, by this server or another: the database is where they meet.
 * Nothing is asked while nobody listens.
 */
@Injectable()
export class ChangesFeed implements OnModuleDestroy {
  readonly #listeners = new Map<Listener, Listening>();
  readonly #told = new Map<string, number>();
  #timer: NodeJS.Timeout | undefined;
  #isAsking = false;

  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly readings: ReadingsService,
    private readonly clock: Clock,
  ) {}

  /** Calls `listener` once for each thing saved in one of the experiments, until the function given back is called. */
  async listen(
    experimentIds: ReadonlySet<string>,
    audience: Audience,
    listener: Listener,
  ): Promise<() => void> {
    if (this.#listeners.size === 0) for (const row of await this.#saved()) this.#remember(row);
    this.#listeners.set(listener, { experimentIds, audience });
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
    const fresh = rows.filter((row) => !this.#told.has(keyOf(row)));
    for (const row of fresh) this.#remember(row);
    this.#forget();
    const news = await this.#newsOf(fresh);
    this.#isAsking = false;
    for (const one of news) {
      for (const [listener, { experimentIds, audience }] of this.#listeners) {
        if (experimentIds.has(one.experimentId)) listener(one[audience]);
      }
    }
  }

  /** One event for each experiment and kind of thing; new readings are looked up once for all who hear of them. */
  async #newsOf(rows: readonly SavedRow[]): Promise<News[]> {
    const heard = new Set([...this.#listeners.values()].flatMap(({ experimentIds }) => [...experimentIds]));
    const groups = new Map<string, SavedRow[]>();
    for (const row of rows) {
      if (!heard.has(row.experimentId)) continue;
      const key = `${row.thing} ${row.experimentId}`;
      groups.set(key, [...(groups.get(key) ?? []), row]);
    }
    const tellable = [...groups.values()].filter(isTellable).flat();
    const found = await this.readings.byIds(tellable.map(({ id }) => id)).catch(() => []);
    const readings = new Map(found.map((reading) => [reading.id, reading]));
    return [...groups.values()].map((group) => newsOf(group, readings));
  }

  #saved(): Promise<SavedRow[]> {
    const since = new Date(this.clock.now().getTime() - LOOK_BACK_MS);
    return this.source.query<SavedRow[]>(SAVED, Array<Date>(TIMES_IN_SAVED).fill(since));
  }

  #remember(row: SavedRow): void {
    this.#told.set(keyOf(row), this.clock.now().getTime());
  }

  #forget(): void {
    const until = this.clock.now().getTime() - 2 * LOOK_BACK_MS;
    for (const [key, at] of this.#told) if (at < until) this.#told.delete(key);
  }
}

function isTellable(group: readonly SavedRow[]): boolean {
  return group.length <= MOST_TOLD && group.every(({ isRow }) => isRow === 1);
}

/** A group of rows of one thing and experiment as an event; with its readings when all of them are known. */
function newsOf(group: readonly SavedRow[], known: ReadonlyMap<string, ReadingView>): News {
  const [{ thing, experimentId }] = group as [SavedRow];
  const event: ChangeEvent = { experimentId, thing };
  const readings = group.flatMap(({ id }) => known.get(id) ?? []);
  if (readings.length < group.length) {
    const data = JSON.stringify(event);
    return { experimentId, teacher: data, device: data };
  }
  const read = readings.map(({ unitId, variableId, observedOn, state, supersedesId }): ReadPot => ({
    unitId,
    variableId,
    observedOn,
    state,
    isCorrection: supersedesId !== null,
  }));
  return {
    experimentId,
    teacher: JSON.stringify({ ...event, readings } satisfies ChangeEvent),
    device: JSON.stringify({ ...event, read } satisfies ChangeEvent),
  };
}

function keyOf({ thing, id, mark }: SavedRow): string {
  return `${thing} ${id} ${mark}`;
}
