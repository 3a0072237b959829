import type { RegisterRequest, SignInRequest, TeacherView } from './teacher.ts';
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
  signOut: route({
    method: 'DELETE',
    path: '/session',
    summary: 'Sign out on this device',
    access: 'teacher',
  }),
} as const;
