import { json, request, route } from '../shared/index.ts';
import type { InvitationView, ShareRequest, ShareView, TakenView } from './shares.ts';

/** Co-teachers: who else may see or change a class or an experiment. */
export const sharingRoutes = {
  sharesOfClass: route({
    method: 'GET',
    path: '/classes/:classId/shares',
    summary: 'Who else may see or change a class, and who is invited',
    access: 'own',
    answer: json<ShareView[]>(),
  }),
  shareClass: route({
    method: 'PUT',
    path: '/classes/:classId/shares/:newShareId',
    summary: 'Invite a co-teacher to a class, or change what one may do',
    access: 'own',
    body: request<ShareRequest>('ShareRequest'),
    answer: json<ShareView>(),
  }),
  endShareOfClass: route({
    method: 'DELETE',
    path: '/classes/:classId/shares/:shareId',
    summary: 'Take back an invitation, or what a co-teacher of a class may do',
    access: 'own',
  }),
  leaveClass: route({
    method: 'DELETE',
    path: '/classes/:classId/share',
    summary: 'Leave a class that another teacher shared',
    access: 'see',
  }),
  sharesOfExperiment: route({
    method: 'GET',
    path: '/experiments/:experimentId/shares',
    summary: 'Who else may see or change an experiment, and who is invited',
    access: 'own',
    answer: json<ShareView[]>(),
  }),
  shareExperiment: route({
    method: 'PUT',
    path: '/experiments/:experimentId/shares/:newShareId',
    summary: 'Invite a co-teacher to an experiment, or change what one may do',
    access: 'own',
    body: request<ShareRequest>('ShareRequest'),
    answer: json<ShareView>(),
  }),
  endShareOfExperiment: route({
    method: 'DELETE',
    path: '/experiments/:experimentId/shares/:shareId',
    summary: 'Take back an invitation, or what a co-teacher of an experiment may do',
    access: 'own',
  }),
  leaveExperiment: route({
    method: 'DELETE',
    path: '/experiments/:experimentId/share',
    summary: 'Leave an experiment that another teacher shared',
    access: 'see',
  }),
  invitation: route({
    method: 'GET',
    path: '/invitations/:codeKey',
    summary: 'What a code invites to',
    access: 'teacher',
    answer: json<InvitationView>(),
  }),
  takeInvitation: route({
    method: 'PUT',
    path: '/invitations/:codeKey/taken',
    summary: 'Take an invitation; taking it again changes nothing',
    access: 'teacher',
    answer: json<TakenView>(),
  }),
} as const;
