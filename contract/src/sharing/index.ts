export { sharingRoutes } from './routes.ts';
export * from './shares.ts';
