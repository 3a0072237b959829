import { say } from '@bright-sprout/words/refusals';
import {
  accountRoutes,
  ConfirmRequest,
  PasswordRequest,
  RegisterRequest,
  type RegistrationView,
  type SessionView,
  SignInRequest,
  type TeacherView,
} from '@bright-sprout/contract/accounts';
import { Body, Controller, Header, Inject, Param, Req, Res, StreamableFile } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { createHash, timingSafeEqual } from 'node:crypto';
import { Readable } from 'node:stream';
import type { Request, Response } from 'express';
import { DataSource } from 'typeorm';
import { ApiError, invalidField, Operation, type Settings, SETTINGS } from '../shared/index.ts';
import { AuditService } from './audit.service.ts';
import { clearCookie, cookieOf, setCookie } from './cookies.ts';
import { CurrentTeacher, SESSION_COOKIE, tokenOf } from './current-teacher.ts';
import { deviceName } from './device-name.ts';
import { keptOfTeacher } from './kept-of-teacher.ts';
import { KNOWN_MS, KnownDevicesService } from './known-devices.service.ts';
import { KNOWN_COOKIE, SignInLimiter } from './sign-in-limiter.ts';
import { SESSION_MS, SessionsService } from './sessions.service.ts';
import type { KnownTeacher } from './teacher.entity.ts';
import { TeachersService, teacherView } from './teachers.service.ts';

/** Accounts and sessions. */
@Controller()
export class AccountsController {
  constructor(
    private readonly teachers: TeachersService,
    private readonly sessions: SessionsService,
    private readonly limiter: SignInLimiter,
    private readonly known: KnownDevicesService,
    private readonly audit: AuditService,
    @InjectDataSource() private readonly source: DataSource,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  @Operation(accountRoutes.register)
  async register(
    @Body() body: RegisterRequest,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<TeacherView> {
    if (this.settings.registration === 'closed')
      throw new ApiError('registration_closed', say('registrationClosed'));
    const teacher = await this.limiter.guard(request, body.email, () => {
      this.#holdInvitation(body.invitation ?? '');
      return this.teachers.register(body);
    });
    await this.audit.note('registered', teacher.id);
    return this.#welcome(teacher, request, response);
  }

  @Operation(accountRoutes.registration)
  registration(): RegistrationView {
    return { registration: this.settings.registration };
  }

  @Operation(accountRoutes.signIn)
  async signIn(
    @Body() body: SignInRequest,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<TeacherView> {
    const teacher = await this.limiter.guard(request, body.email, async () => {
      const found = await this.teachers.find(body);
      if (found) return found;
      await this.audit.note('sign_in_refused', (await this.teachers.idOf(body.email)) ?? null);
      throw new ApiError('wrong_sign_in', say('thisEMailAddressAndPasswordDo'));
    });
    await this.audit.note('signed_in', teacher.id);
    return this.#welcome(teacher, request, response);
  }

  @Operation(accountRoutes.whoAmI)
  whoAmI(@CurrentTeacher() teacher: KnownTeacher): TeacherView {
    return teacherView(teacher);
  }

  @Operation(accountRoutes.changePassword)
  async changePassword(
    @Body() { current, password }: PasswordRequest,
    @CurrentTeacher() teacher: KnownTeacher,
    @Req() request: Request,
  ): Promise<void> {
    await this.#recognise(teacher, current, 'current', request);
    await this.teachers.setPassword(teacher, password);
    await this.sessions.revokeOthers(teacher.id, tokenOf(request));
    await this.sessions.confirm(tokenOf(request));
    await this.audit.note('password_changed', teacher.id);
  }

  @Operation(accountRoutes.confirmPassword)
  async confirmPassword(
    @Body() { password }: ConfirmRequest,
    @CurrentTeacher() teacher: KnownTeacher,
    @Req() request: Request,
  ): Promise<void> {
    await this.#recognise(teacher, password, 'password', request);
    await this.sessions.confirm(tokenOf(request));
  }

  @Operation(accountRoutes.sessions)
  allSessions(@CurrentTeacher() teacher: KnownTeacher, @Req() request: Request): Promise<SessionView[]> {
    return this.sessions.of(teacher.id, tokenOf(request));
  }

  @Operation(accountRoutes.endSession)
  async endSession(
    @Param('sessionId') sessionId: string,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<void> {
    await this.sessions.revokeOne(teacher.id, sessionId);
    await this.audit.note('signed_out', teacher.id, sessionId);
  }

  @Operation(accountRoutes.endOtherSessions)
  async endOtherSessions(@CurrentTeacher() teacher: KnownTeacher, @Req() request: Request): Promise<void> {
    await this.sessions.revokeOthers(teacher.id, tokenOf(request));
    await this.audit.note('signed_out_everywhere', teacher.id);
  }

  @Operation(accountRoutes.keptOfTeacher)
  @Header('Content-Disposition', 'attachment; filename="account.json"')
  async kept(@CurrentTeacher() { id }: KnownTeacher): Promise<StreamableFile> {
    await this.audit.note('exported', id, id);
    const kept = Readable.from(keptOfTeacher(this.source, id), { objectMode: false });
    return new StreamableFile(kept, { type: 'application/json' });
  }

  @Operation(accountRoutes.removeAccount)
  async removeAccount(
    @CurrentTeacher() teacher: KnownTeacher,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    await this.teachers.remove(teacher.id);
    await this.audit.note('account_removed', teacher.id);
    clearCookie(request, response, SESSION_COOKIE);
    clearCookie(request, response, KNOWN_COOKIE);
  }

  @Operation(accountRoutes.signOut)
  async signOut(@Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<void> {
    await this.sessions.revoke(tokenOf(request));
    clearCookie(request, response, SESSION_COOKIE);
  }

  /** @throws ApiError `invalid_fields` at the field where the password is wrong; `too_many_tries` */
  async #recognise(teacher: KnownTeacher, password: string, field: string, request: Request): Promise<void> {
    await this.limiter.guard(request, teacher.email, async () => {
      if (await this.teachers.find({ email: teacher.email, password })) return;
      await this.audit.note('confirm_refused', teacher.id);
      throw invalidField(field, say('passwordIsWrong'));
    });
  }

  /** Hashes are of one length, so that the time it takes tells nothing of what was right. */
  #holdInvitation(given: string): void {
    if (this.settings.registration !== 'invitation') return;
    const [asked, told] = [this.settings.invitation, given.trim()].map((text) =>
      createHash('sha256').update(text).digest(),
    ) as [Buffer, Buffer];
    if (!timingSafeEqual(asked, told)) throw invalidField('invitation', say('invitationIsAnother'));
  }

  async #welcome(teacher: KnownTeacher, request: Request, response: Response): Promise<TeacherView> {
    const token = await this.sessions.open(teacher.id, deviceName(request.get('user-agent')));
    setCookie(request, response, SESSION_COOKIE, token, SESSION_MS);
    const known = await this.known.remember(cookieOf(request, KNOWN_COOKIE), teacher.id);
    setCookie(request, response, KNOWN_COOKIE, known, KNOWN_MS);
    return teacherView(teacher);
  }
}
