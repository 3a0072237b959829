export { CurrentTeacher, type KnownRequest, SESSION_COOKIE, tokenOf } from './current-teacher.ts';
export { AccountsModule } from './accounts.module.ts';
export { Session } from './session.entity.ts';
export { hashOf, SessionsService } from './sessions.service.ts';
export { SignInAttempts } from './sign-in-attempts.entity.ts';
export { type KnownTeacher, Teacher } from './teacher.entity.ts';
export { type TriesLimit, TriesService, type TryTaken } from './tries.service.ts';
export { TeachersService } from './teachers.service.ts';
