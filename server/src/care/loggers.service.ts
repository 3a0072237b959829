import { say } from '@bright-sprout/words/refusals';
import { randomBytes } from 'node:crypto';
import type { SamplePart, SensorDayView } from '@bright-sprout/contract/care';
import { type Sensor, SENSORS } from '@bright-sprout/core/simulate';
import { dayInZone } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { hashOf } from '../accounts/index.ts';
import { ApiError, Clock } from '../shared/index.ts';
import { Logger, LoggerSample } from './care.entities.ts';

const HOURS = `
  SELECT sensor, DATE_FORMAT(sampled_at, '%Y-%m-%dT%H:00:00Z') AS hour, COUNT(*) AS n, SUM(value) AS total,
         MIN(value) AS least, MAX(value) AS most
  FROM logger_sample WHERE experiment_id = ? GROUP BY sensor, hour ORDER BY hour`;

interface HourRow {
  sensor: Sensor;
  hour: string;
  n: string;
  total: number;
  least: number;
  most: number;
}

/** Loggers on the windowsill, and what they measured. */
@Injectable()
export class LoggersService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /** A new key for the logger of an experiment; only its hash is stored, and the old key no longer works. */
  async newKey(experimentId: string): Promise<string> {
    const key = randomBytes(24).toString('base64url');
    const logger = { experimentId, keyHash: hashOf(key), createdAt: this.clock.now() };
    await this.source.getRepository(Logger).upsert(logger, ['experimentId']);
    return key;
  }

  /**
   * The experiment of a key.
   * @throws ApiError `wrong_code`
   */
  async experimentOf(key: string): Promise<string> {
    const logger = await this.source.getRepository(Logger).findOneBy({ keyHash: hashOf(key) });
    if (!logger) throw new ApiError('wrong_code', say('noLoggerHasThisKeyMakeA'));
    return logger.experimentId;
  }

  /** Keeps values; those of a sensor and second that are there already stay. */
  async keep(experimentId: string, samples: readonly SamplePart[]): Promise<void> {
    await this.source
      .getRepository(LoggerSample)
      .createQueryBuilder()
      .insert()
      .values(
        samples.map(({ sensor, value, sampledAt }) => ({
          experimentId,
          sensor,
          value,
          sampledAt: new Date(sampledAt),
        })),
      )
      .orIgnore()
      .execute();
  }

  /** Mean, least and most of each sensor on each day of a time zone. */
  async days(experimentId: string, timeZone: string): Promise<SensorDayView[]> {
    const hours = await this.source.query<HourRow[]>(HOURS, [experimentId]);
    const byDay = new Map<string, { n: number; total: number; least: number; most: number }>();
    for (const { sensor, hour, n, total, least, most } of hours) {
      const key = `${sensor} ${dayInZone(Date.parse(hour), timeZone)}`;
      const known = byDay.get(key) ?? { n: 0, total: 0, least, most };
      byDay.set(key, {
        n: known.n + Number(n),
        total: known.total + total,
        least: Math.min(known.least, least),
        most: Math.max(known.most, most),
      });
    }
    return [...byDay].map(([key, { n, total, least, most }]) => {
      const sensor = SENSORS.find((name) => key.startsWith(`${name} `)) ?? SENSORS[0];
      return { sensor, day: key.slice(sensor.length + 1), mean: total / n, least, most };
    });
  }
}
