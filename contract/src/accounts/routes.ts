import type {
  ConfirmRequest,
  PasswordRequest,
  RegisterRequest,
  RegistrationView,
  SessionView,
  SignInRequest,
  TeacherView,
} from './teacher.ts';
import { json, request, route } from '../shared/index.ts';

/** Accounts and sessions. */
export const accountRoutes = {
  register: route({
    method: 'POST',
    path: '/teachers',
    summary: 'Open an account and sign in',
    access: 'anyone',
    body: request<RegisterRequest>('RegisterRequest'),
    answer: json<TeacherView>(),
    maxBytes: 4_096,
  }),
  registration: route({
    method: 'GET',
    path: '/registration',
    summary: 'How an account is opened here',
    access: 'anyone',
    answer: json<RegistrationView>(),
  }),
  signIn: route({
    method: 'POST',
    path: '/session',
    summary: 'Sign in',
    access: 'anyone',
    body: request<SignInRequest>('SignInRequest'),
    answer: json<TeacherView>(),
    maxBytes: 4_096,
  }),
  whoAmI: route({
    method: 'GET',
    path: '/session',
    summary: 'The teacher who is signed in',
    access: 'teacher',
    answer: json<TeacherView>(),
  }),
  changePassword: route({
    method: 'PUT',
    path: '/teacher/password',
    summary: 'Set another password; every other sign-in ends',
    access: 'teacher',
    body: request<PasswordRequest>('PasswordRequest'),
    maxBytes: 4_096,
  }),
  confirmPassword: route({
    method: 'PUT',
    path: '/session/confirmed',
    summary: 'Give the password once more, before something that cannot be taken back',
    access: 'teacher',
    body: request<ConfirmRequest>('ConfirmRequest'),
    maxBytes: 4_096,
  }),
  sessions: route({
    method: 'GET',
    path: '/sessions',
    summary: 'The sign-ins of the teacher that go on',
    access: 'teacher',
    answer: json<SessionView[]>(),
  }),
  endSession: route({
    method: 'DELETE',
    path: '/sessions/:sessionId',
    summary: 'Sign out on another device',
    access: 'teacher',
  }),
  endOtherSessions: route({
    method: 'DELETE',
    path: '/sessions',
    summary: 'Sign out everywhere but here',
    access: 'teacher',
  }),
  removeAccount: route({
    method: 'DELETE',
    path: '/teacher',
    summary: 'Remove the account with everything in it, for good',
    access: 'teacher',
    isGrave: true,
  }),
  signOut: route({
    method: 'DELETE',
    path: '/session',
    summary: 'Sign out on this device',
    access: 'teacher',
  }),
} as const;
