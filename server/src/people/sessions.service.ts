import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { Clock } from '../shared/index.ts';
import { Session } from './session.entity.ts';
import type { Teacher } from './teacher.entity.ts';

/** How long a sign-in lasts without use. */
export const SESSION_MS = 14 * 86_400_000;

const REFRESH_MS = 60 * 60_000;

/** Opens, finds and revokes sessions. */
@Injectable()
export class SessionsService {
  constructor(
    @InjectRepository(Session) private readonly sessions: Repository<Session>,
    private readonly clock: Clock,
  ) {}

  /** Opens a session and gives the token for the cookie; only its hash is stored. */
  async open(teacherId: string): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    const now = this.clock.now();
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

  /** The teacher behind a token; undefined when it is unknown, expired or revoked. */
  async teacherOf(token: string): Promise<Teacher | undefined> {
    const session = await this.sessions.findOne({
      where: { tokenHash: hashOf(token) },
      relations: { teacher: true },
    });
    const now = this.clock.now();
    if (session?.revokedAt !== null || session.expiresAt <= now) return undefined;
    if (now.getTime() - session.lastSeenAt.getTime() > REFRESH_MS) {
      await this.sessions.update(session.id, {
        lastSeenAt: now,
        expiresAt: new Date(now.getTime() + SESSION_MS),
      });
    }
    return session.teacher;
  }

  /** Ends the session of a token. */
  async revoke(token: string): Promise<void> {
    await this.sessions.update({ tokenHash: hashOf(token) }, { revokedAt: this.clock.now() });
  }
}

function hashOf(token: string): Buffer {
  return createHash('sha256').update(token).digest();
}
