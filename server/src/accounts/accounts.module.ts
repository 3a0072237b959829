import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountsController } from './accounts.controller.ts';
import { AuditService } from './audit.service.ts';
import { KnownDevice } from './known-device.entity.ts';
import { KnownDevicesService } from './known-devices.service.ts';
import { SignInLimiter } from './sign-in-limiter.ts';
import { Session } from './session.entity.ts';
import { SessionsService } from './sessions.service.ts';
import { Teacher } from './teacher.entity.ts';
import { TeachersService } from './teachers.service.ts';
import { TriesService } from './tries.service.ts';

/** Accounts, sessions and the limit on sign-in tries. */
@Module({
  imports: [TypeOrmModule.forFeature([Teacher, Session, KnownDevice])],
  controllers: [AccountsController],
  providers: [
    TeachersService,
    SessionsService,
    TriesService,
    SignInLimiter,
    KnownDevicesService,
    AuditService,
  ],
  exports: [TeachersService, SessionsService, TriesService, AuditService, KnownDevicesService],
})
export class AccountsModule {}
