import { own, see, teacher } from '../shared/index.ts';
import type { InvitationView, ShareRequest, ShareView, TakenView } from './shares.ts';

/** Co-teachers: who else may see or change a class or an experiment. */
export const sharingRoutes = {
  sharesOfClass: own
    .get('/classes/:classId/shares', 'Who else may see or change a class, and who is invited')
    .answers<ShareView[]>(),
  shareClass: own
    .put('/classes/:classId/shares/:newShareId', 'Invite a co-teacher to a class, or change what one may do')
    .takes<ShareRequest>('ShareRequest')
    .answers<ShareView>(),
  endShareOfClass: own.remove(
    '/classes/:classId/shares/:shareId',
    'Take back an invitation, or what a co-teacher of a class may do',
  ),
  leaveClass: see.remove('/classes/:classId/share', 'Leave a class that another teacher shared'),
  sharesOfExperiment: own
    .get('/experiments/:experimentId/shares', 'Who else may see or change an experiment, and who is invited')
    .answers<ShareView[]>(),
  shareExperiment: own
    .put(
      '/experiments/:experimentId/shares/:newShareId',
      'Invite a co-teacher to an experiment, or change what one may do',
    )
    .takes<ShareRequest>('ShareRequest')
    .answers<ShareView>(),
  endShareOfExperiment: own.remove(
    '/experiments/:experimentId/shares/:shareId',
    'Take back an invitation, or what a co-teacher of an experiment may do',
  ),
  leaveExperiment: see.remove(
    '/experiments/:experimentId/share',
    'Leave an experiment that another teacher shared',
  ),
  invitation: teacher.get('/invitations/:codeKey', 'What a code invites to').answers<InvitationView>(),
  takeInvitation: teacher
    .put('/invitations/:codeKey/taken', 'Take an invitation; taking it again changes nothing')
    .answers<TakenView>(),
} as const;
