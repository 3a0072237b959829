import { randomInt } from 'node:crypto';
import type { INestApplicationContext } from '@nestjs/common';
import { getDataSourceToken } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { AuditService } from './audit.service.ts';
import { KnownDevicesService } from './known-devices.service.ts';
import { SessionsService } from './sessions.service.ts';
import { Teacher } from './teacher.entity.ts';
import { TeachersService } from './teachers.service.ts';

/** Signs of a new password that nobody confuses when it is read out. */
const SIGNS = 'abcdefghjkmnpqrstuvwxyz23456789';
const GROUPS = 4;
const OF_EACH = 4;

/**
 * Gives an account a new password and ends all its sign-ins: what the keeper of a server does for who lost theirs, as
 * there is no mail.
 * @returns the new password; undefined where there is no such account
 */
export async function resetPassword(
  app: INestApplicationContext,
  email: string,
): Promise<string | undefined> {
  const teacher = await app
    .get<DataSource>(getDataSourceToken())
    .getRepository(Teacher)
    .findOneBy({ email: email.trim() });
  if (!teacher) return undefined;
  const password = newPassword();
  await app.get(TeachersService).setPassword(teacher, password);
  await app.get(SessionsService).revokeOthers(teacher.id, '');
  await app.get(KnownDevicesService).forget(teacher.id);
  await app.get(AuditService).note('password_reset', teacher.id);
  return password;
}

function newPassword(): string {
  const group = (): string => Array.from({ length: OF_EACH }, () => SIGNS[randomInt(SIGNS.length)]).join('');
  return Array.from({ length: GROUPS }, group).join('-');
}
