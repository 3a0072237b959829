export { accountRoutes } from './routes.ts';
export {
  ConfirmRequest,
  PasswordRequest,
  RegisterRequest,
  REGISTRATIONS,
  type Registration,
  type RegistrationView,
  type SessionView,
  SignInRequest,
  type TeacherView,
} from './teacher.ts';
