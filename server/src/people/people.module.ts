import { createHash } from 'node:crypto';
import { Module } from '@nestjs/common';
import { ThrottlerModule } from '@nestjs/throttler';
import { TypeOrmModule } from '@nestjs/typeorm';
import type { Request } from 'express';
import { Clock, type Settings, SETTINGS } from '../shared/index.ts';
import { DataSource } from 'typeorm';
import { AttemptsStorage } from './attempts-storage.ts';
import { PeopleController } from './people.controller.ts';
import { Session } from './session.entity.ts';
import { SessionsService } from './sessions.service.ts';
import { SignInAttempts } from './sign-in-attempts.entity.ts';
import { Teacher } from './teacher.entity.ts';
import { TeachersService } from './teachers.service.ts';

/** A classroom shares one address, so an address may try more often than an account. */
const TRIES_PER_ADDRESS = 6;

/** Accounts, sessions and the limit on sign-in tries. */
@Module({
  imports: [
    TypeOrmModule.forFeature([Teacher, Session, SignInAttempts]),
    ThrottlerModule.forRootAsync({
      inject: [SETTINGS, DataSource, Clock],
      useFactory: (settings: Settings, source: DataSource, clock: Clock) => ({
        storage: new AttemptsStorage(source, clock),
        throttlers: [
          {
            name: 'account',
            ttl: settings.signInWindowMs,
            limit: settings.signInTries,
            getTracker: accountOf,
          },
          { name: 'address', ttl: settings.signInWindowMs, limit: settings.signInTries * TRIES_PER_ADDRESS },
        ],
      }),
    }),
  ],
  controllers: [PeopleController],
  providers: [TeachersService, SessionsService],
  exports: [TeachersService, SessionsService],
})
export class PeopleModule {}

function accountOf(request: Record<string, unknown>): string {
  const body = (request as unknown as Request).body as { email?: unknown } | undefined;
  const email = typeof body?.email === 'string' ? body.email.trim().toLowerCase() : '';
  return createHash('sha256').update(email).digest('hex');
}
