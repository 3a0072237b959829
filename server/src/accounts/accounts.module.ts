import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountsController } from './accounts.controller.ts';
import { Session } from './session.entity.ts';
import { SessionsService } from './sessions.service.ts';
import { Teacher } from './teacher.entity.ts';
import { TeachersService } from './teachers.service.ts';
import { TriesService } from './tries.service.ts';

/** Accounts, sessions and the limit on sign-in tries. */
@Module({
  imports: [TypeOrmModule.forFeature([Teacher, Session])],
  controllers: [AccountsController],
  providers: [TeachersService, SessionsService, TriesService],
  exports: [TeachersService, SessionsService, TriesService],
})
export class AccountsModule {}
