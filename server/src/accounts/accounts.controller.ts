import {
  accountRoutes,
  RegisterRequest,
  SignInRequest,
  type TeacherView,
} from '@bright-sprout/contract/accounts';
import { Body, Controller, Req, Res, UseGuards } from '@nestjs/common';
import type { Request, Response } from 'express';
import { Operation } from '../shared/index.ts';
import { CurrentTeacher, SESSION_COOKIE, tokenOf } from './current-teacher.ts';
import { SignInLimiter } from './sign-in-limiter.ts';
import { SESSION_MS, SessionsService } from './sessions.service.ts';
import type { KnownTeacher } from './teacher.entity.ts';
import { TeachersService, teacherView } from './teachers.service.ts';

/** Accounts and sessions. */
@Controller()
export class AccountsController {
  constructor(
    private readonly teachers: TeachersService,
    private readonly sessions: SessionsService,
  ) {}

  @Operation(accountRoutes.register)
  @UseGuards(SignInLimiter)
  async register(
    @Body() body: RegisterRequest,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<TeacherView> {
    return this.#welcome(await this.teachers.register(body), request, response);
  }

  @Operation(accountRoutes.signIn)
  @UseGuards(SignInLimiter)
  async signIn(
    @Body() body: SignInRequest,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<TeacherView> {
    return this.#welcome(await this.teachers.signIn(body), request, response);
  }

  @Operation(accountRoutes.whoAmI)
  whoAmI(@CurrentTeacher() teacher: KnownTeacher): TeacherView {
    return teacherView(teacher);
  }

  @Operation(accountRoutes.signOut)
  async signOut(@Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<void> {
    await this.sessions.revoke(tokenOf(request));
    response.clearCookie(SESSION_COOKIE, { path: '/' });
  }

  async #welcome(teacher: KnownTeacher, request: Request, response: Response): Promise<TeacherView> {
    const token = await this.sessions.open(teacher.id);
    response.cookie(SESSION_COOKIE, token, {
      httpOnly: true,
      sameSite: 'strict',
      secure: request.secure,
      path: '/',
      maxAge: SESSION_MS,
    });
    return teacherView(teacher);
  }
}
