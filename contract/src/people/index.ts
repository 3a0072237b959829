export { peopleRoutes } from './routes.ts';
export { RegisterRequest, SignInRequest, TeacherView } from './teacher.ts';
