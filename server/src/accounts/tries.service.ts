import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { Clock, retried } from '../shared/index.ts';

/** How often something may be tried in a time. */
export interface TriesLimit {
  /** What is limited; begins the key of each count. */
  readonly name: string;
  readonly tries: number;
  readonly windowMs: number;
}

/** What became of a try. */
export interface TryTaken {
  readonly isAllowed: boolean;
  /** How many were taken by now, this one among them. */
  readonly taken: number;
  /** When tries count anew, in milliseconds since 1970. */
  readonly endsAt: number;
  /** Milliseconds until tries count anew. */
  readonly waitMs: number;
}

/**
 * Counts one try and tells how many there were: a single statement, so that it is whole on any connection of a pool,
 * and servers that share a database count together.
 */
const TAKE = `
  INSERT INTO sign_in_attempts (\`key\`, points, expire) VALUES (?, 1, ?)
  ON DUPLICATE KEY UPDATE points = IF(expire <= ?, 1, points + 1), expire = IF(expire <= ?, VALUES(expire), expire)
  RETURNING points, expire`;

const GIVE_BACK = 'UPDATE sign_in_attempts SET points = points - 1 WHERE `key` = ? AND points > 0';
const FORGET = 'DELETE FROM sign_in_attempts WHERE expire <= ? LIMIT 500';

/** Old counts are removed at each so many tries. */
const FORGET_EVERY = 200;

/** Counts tries in the database. */
@Injectable()
export class TriesService {
  #taken = 0;

  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /** Counts a try against a key before it is made, so that tries at once count too. */
  async take({ name, tries, windowMs }: TriesLimit, key: string): Promise<TryTaken> {
    const now = this.clock.now().getTime();
    this.#taken += 1;
    if (this.#taken % FORGET_EVERY === 0) await retried(() => this.source.query(FORGET, [now]));
    const [row] = await retried(() =>
      this.source.query<{ points: number; expire: string | number }[]>(TAKE, [
        `${name}:${key}`,
        now + windowMs,
        now,
        now,
      ]),
    );
    const { points, expire } = row as { points: number; expire: string | number };
    return {
      isAllowed: points <= tries,
      taken: points,
      endsAt: Number(expire),
      waitMs: Math.max(0, Number(expire) - now),
    };
  }

  /** Takes back a try that turned out to be right. */
  async giveBack({ name }: TriesLimit, key: string): Promise<void> {
    await retried(() => this.source.query(GIVE_BACK, [`${name}:${key}`]));
  }
}
