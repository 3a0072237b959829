export { accountRoutes } from './routes.ts';
export * from './teacher.ts';
