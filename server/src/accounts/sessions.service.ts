import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { LessThan, Repository } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { Clock } from '../shared/index.ts';
import { Session } from './session.entity.ts';

/** How long a sign-in lasts without use. */
export const SESSION_MS = 14 * 86_400_000;

const REFRESH_MS = 60 * 60_000;

/** Opens, extends and revokes sessions. */
@Injectable()
export class SessionsService {
  constructor(
    @InjectRepository(Session) private readonly sessions: Repository<Session>,
    private readonly clock: Clock,
  ) {}

  /** Opens a session and gives the token for the cookie; only its hash is stored. What is over is swept out. */
  async open(teacherId: string): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    const now = this.clock.now();
    await this.sessions.delete({ expiresAt: LessThan(now) });
    await this.sessions.insert({
      id: uuid(),
      tokenHash: hashOf(token),
      teacherId,
      createdAt: now,
      lastSeenAt: now,
      expiresAt: new Date(now.getTime() + SESSION_MS),
    });
    return token;
  }

  /** Moves the end of a session that is in use; at most once an hour. */
  async extend(sessionId: string, lastSeenAt: Date): Promise<void> {
    const now = this.clock.now();
    if (now.getTime() - lastSeenAt.getTime() <= REFRESH_MS) return;
    const expiresAt = new Date(now.getTime() + SESSION_MS);
    await this.sessions.update(sessionId, { lastSeenAt: now, expiresAt });
  }

  /** Ends the session of a token. */
  async revoke(token: string): Promise<void> {
    await this.sessions.update({ tokenHash: hashOf(token) }, { revokedAt: this.clock.now() });
  }
}

/** What is stored of a session token: its SHA-256. */
export function hashOf(token: string): Buffer {
  return createHash('sha256').update(token).digest();
}
