import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { ThrottlerStorage } from '@nestjs/throttler';
import { DataSource } from 'typeorm';
import { Clock } from '../shared/index.ts';

type Tally = Awaited<ReturnType<ThrottlerStorage['increment']>>;

/** Counts tries in the database, so that several servers count together and a restart forgets nothing. */
@Injectable()
export class AttemptsStorage implements ThrottlerStorage {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  async increment(key: string, ttl: number, limit: number, _block: number, name: string): Promise<Tally> {
    const now = this.clock.now();
    const bucket = `${name}:${key}`.slice(0, 120);
    const ends = new Date(now.getTime() + ttl);
    await this.source.query(
      `INSERT INTO sign_in_attempts (bucket, hits, window_ends_at) VALUES (?, 1, ?)
       ON DUPLICATE KEY UPDATE
         hits = IF(window_ends_at <= ?, 1, hits + 1),
         window_ends_at = IF(window_ends_at <= ?, ?, window_ends_at)`,
      [bucket, ends, now, now, ends],
    );
    const [row] = await this.source.query<{ hits: number; window_ends_at: Date }[]>(
      'SELECT hits, window_ends_at FROM sign_in_attempts WHERE bucket = ?',
      [bucket],
    );
    const totalHits = row?.hits ?? 1;
    const timeToExpire = Math.ceil(((row?.window_ends_at ?? ends).getTime() - now.getTime()) / 1000);
    return { totalHits, timeToExpire, isBlocked: totalHits > limit, timeToBlockExpire: timeToExpire };
  }
}
