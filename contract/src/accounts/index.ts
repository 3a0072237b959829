export { accountRoutes } from './routes.ts';
export {
  ConfirmRequest,
  PasswordRequest,
  RegisterRequest,
  type SessionView,
  SignInRequest,
  type TeacherView,
} from './teacher.ts';
