import type {
  ConfirmRequest,
  PasswordRequest,
  RegisterRequest,
  RegistrationView,
  SessionView,
  SignInRequest,
  TeacherView,
} from './teacher.ts';
import { anyone, teacher } from '../shared/index.ts';

/** Accounts and sessions. */
export const accountRoutes = {
  register: anyone
    .post('/teachers', 'Open an account and sign in')
    .takes<RegisterRequest>('RegisterRequest', 4_096)
    .answers<TeacherView>(),
  registration: anyone.get('/registration', 'How an account is opened here').answers<RegistrationView>(),
  signIn: anyone
    .post('/session', 'Sign in')
    .takes<SignInRequest>('SignInRequest', 4_096)
    .answers<TeacherView>(),
  whoAmI: teacher.get('/session', 'The teacher who is signed in').answers<TeacherView>(),
  changePassword: teacher
    .put('/teacher/password', 'Set another password; every other sign-in ends')
    .takes<PasswordRequest>('PasswordRequest', 4_096),
  confirmPassword: teacher
    .put('/session/confirmed', 'Give the password once more, before something that cannot be taken back')
    .takes<ConfirmRequest>('ConfirmRequest', 4_096),
  sessions: teacher.get('/sessions', 'The sign-ins of the teacher that go on').answers<SessionView[]>(),
  endSession: teacher.remove('/sessions/:sessionId', 'Sign out on another device'),
  endOtherSessions: teacher.remove('/sessions', 'Sign out everywhere but here'),
  keptOfTeacher: teacher
    .get('/teacher/kept.json', 'Everything that is kept of the teacher, with all classes and experiments')
    .grave()
    .sends('application/json'),
  removeAccount: teacher.remove('/teacher', 'Remove the account with everything in it, for good').grave(),
  signOut: teacher.remove('/session', 'Sign out on this device'),
} as const;
