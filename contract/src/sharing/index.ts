export { sharingRoutes } from './routes.ts';
export {
  INVITATION_DAYS,
  type InvitationView,
  SHARED_RIGHTS,
  type SharedRight,
  type SharedView,
  ShareRequest,
  type ShareView,
  type TakenView,
} from './shares.ts';
