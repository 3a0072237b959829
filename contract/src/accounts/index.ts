export { accountRoutes } from './routes.ts';
export { RegisterRequest, SignInRequest, type TeacherView } from './teacher.ts';
