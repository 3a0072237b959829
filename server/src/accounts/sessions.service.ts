import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { SessionView } from '@bright-sprout/contract/accounts';
import { IsNull, LessThan, MoreThan, Not, Repository } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { Clock } from '../shared/index.ts';
import { Session } from './session.entity.ts';

/** How long a sign-in lasts without use. */
export const SESSION_MS = 14 * 86_400_000;

/** The longest that a sign-in lasts however much it is used. */
export const LONGEST_SESSION_MS = 90 * 86_400_000;

/** How long a password that was given counts as just given. */
export const CONFIRMED_MS = 10 * 60_000;

const REFRESH_MS = 60 * 60_000;

/** Opens, extends and revokes sessions. */
@Injectable()
export class SessionsService {
  constructor(
    @InjectRepository(Session) private readonly sessions: Repository<Session>,
    private readonly clock: Clock,
  ) {}

  /** Opens a session and gives the token for the cookie; only its hash is stored. What is over is swept out. */
  async open(teacherId: string, device: string): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    const now = this.clock.now();
    await this.sessions.delete({ expiresAt: LessThan(now) });
    await this.sessions.insert({
      id: uuid(),
      tokenHash: hashOf(token),
      teacherId,
      device,
      createdAt: now,
      lastSeenAt: now,
      confirmedAt: now,
      expiresAt: new Date(now.getTime() + SESSION_MS),
    });
    return token;
  }

  /** Moves the end of a session that is in use; at most once an hour, and never beyond its longest. */
  async extend({
    id: sessionId,
    lastSeenAt,
    createdAt,
  }: Pick<Session, 'id' | 'lastSeenAt' | 'createdAt'>): Promise<void> {
    const now = this.clock.now();
    if (now.getTime() - lastSeenAt.getTime() <= REFRESH_MS) return;
    const expiresAt = new Date(
      Math.min(now.getTime() + SESSION_MS, createdAt.getTime() + LONGEST_SESSION_MS),
    );
    await this.sessions.update(sessionId, { lastSeenAt: now, expiresAt });
  }

  /** Whether the session of a token goes on. */
  goesOn(token: string): Promise<boolean> {
    return this.sessions.existsBy({
      tokenHash: hashOf(token),
      revokedAt: IsNull(),
      expiresAt: MoreThan(this.clock.now()),
    });
  }

  /** Ends the session of a token. */
  async revoke(token: string): Promise<void> {
    await this.sessions.update({ tokenHash: hashOf(token) }, { revokedAt: this.clock.now() });
  }

  /** The sign-ins of a teacher that go on, the newest first. */
  async of(teacherId: string, token: string): Promise<SessionView[]> {
    const open = { teacherId, revokedAt: IsNull(), expiresAt: MoreThan(this.clock.now()) };
    const rows = await this.sessions.find({ where: open, order: { lastSeenAt: 'DESC', id: 'DESC' } });
    const own = hashOf(token);
    return rows.map(({ id, device, createdAt, lastSeenAt, tokenHash }) => ({
      ...{ id, device, isThis: tokenHash.equals(own) },
      ...{ createdAt: createdAt.toISOString(), lastSeenAt: lastSeenAt.toISOString() },
    }));
  }

  /** Ends one sign-in of a teacher; none of anybody else. */
  async revokeOne(teacherId: string, id: string): Promise<void> {
    await this.sessions.update({ id, teacherId }, { revokedAt: this.clock.now() });
  }

  /** Ends every sign-in of a teacher but that of a token. */
  async revokeOthers(teacherId: string, token: string): Promise<void> {
    const others = { teacherId, tokenHash: Not(hashOf(token)), revokedAt: IsNull() };
    await this.sessions.update(others, { revokedAt: this.clock.now() });
  }

  /** Notes that the password was just given again. */
  async confirm(token: string): Promise<void> {
    await this.sessions.update({ tokenHash: hashOf(token) }, { confirmedAt: this.clock.now() });
  }
}

/** What is stored of a session token: its SHA-256. */
export function hashOf(token: string): Buffer {
  return createHash('sha256').update(token).digest();
}
