import type { OwnedParam, Right } from '@bright-sprout/contract/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { hashOf, type KnownTeacher, SessionsService } from '../accounts/index.ts';
import { Clock, prepared } from '../shared/index.ts';
import { RightsService } from '../sharing/index.ts';

/** The row that a path names. */
export interface OwnedRow {
  readonly param: OwnedParam;
  readonly id: string;
}

/** Who makes a request, and what that teacher may do with the row that it names. */
export interface Caller {
  readonly teacher: KnownTeacher;
  readonly right: Right | null;
  /** When the password was last given in this session. */
  readonly confirmedAt: Date | null;
}

interface CallerRow {
  sessionId: string;
  expiresAt: Date;
  revokedAt: Date | null;
  lastSeenAt: Date;
  createdAt: Date;
  confirmedAt: Date | null;
  teacherId: string;
  email: string;
  displayName: string;
  timeZone: string;
  isDemo: number;
  ownerId: string | null;
}

const TABLES = {
  experimentId: 'experiment',
  classId: 'school_class',
  lotId: 'seed_lot',
  templateId: 'plan_template',
  sizeId: 'container_size',
} as const satisfies Record<OwnedParam, string>;

type Table = (typeof TABLES)[OwnedParam];

const callerOf = (table: Table): string => `
  SELECT s.id AS sessionId, s.expires_at AS expiresAt, s.revoked_at AS revokedAt, s.last_seen_at AS lastSeenAt,
         s.created_at AS createdAt, s.confirmed_at AS confirmedAt,
         t.id AS teacherId, t.email, t.display_name AS displayName, t.time_zone AS timeZone, t.is_demo AS isDemo,
         o.teacher_id AS ownerId
  FROM session s
  JOIN teacher t ON t.id = s.teacher_id
  LEFT JOIN ${table} o ON o.id = ?
  WHERE s.token_hash = ?`;

/** Finds the caller of a request in one step, as every request begins with it. */
@Injectable()
export class CallersService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly sessions: SessionsService,
    private readonly rights: RightsService,
    private readonly clock: Clock,
  ) {}

  /** The caller behind a session token; undefined when it is unknown, expired or revoked. */
  async find(token: string, owned: OwnedRow | undefined): Promise<Caller | undefined> {
    if (token === '') return undefined;
    const query = callerOf(TABLES[owned?.param ?? 'experimentId']);
    const [row] = await prepared<CallerRow[]>(this.source, query, [owned?.id ?? null, hashOf(token)]);
    if (row?.revokedAt !== null || row.expiresAt <= this.clock.now()) return undefined;
    await this.sessions.extend({ ...row, id: row.sessionId });
    const { teacherId, email, displayName, timeZone, isDemo } = row;
    return {
      teacher: { id: teacherId, email, displayName, timeZone, isDemo: isDemo === 1 },
      right: await this.#rightOf(row, owned),
      confirmedAt: row.confirmedAt,
    };
  }

  /** What a teacher may do with the row; one's own is known without asking again, as nearly every request is for one. */
  async #rightOf({ teacherId, ownerId }: CallerRow, owned: OwnedRow | undefined): Promise<Right | null> {
    if (!owned || ownerId === null) return null;
    if (ownerId === teacherId) return 'own';
    if (owned.param === 'experimentId') return this.rights.toExperiment(teacherId, owned.id);
    return owned.param === 'classId' ? this.rights.toClass(teacherId, owned.id) : null;
  }
}
