import type { ClassRequest, ClassView, RosterRequest } from './class.ts';
import { json, request, route } from '../shared/index.ts';

/** Classes, teams and students. */
export const classRoutes = {
  classes: route({
    method: 'GET',
    path: '/classes',
    summary: 'The teacher’s classes with their rosters',
    access: 'teacher',
    answer: json<ClassView[]>(),
  }),
  saveClass: route({
    method: 'PUT',
    path: '/classes/:newClassId',
    summary: 'Keep a class, new or changed; its roster stays',
    access: 'teacher',
    body: request<ClassRequest>('ClassRequest'),
    answer: json<ClassView>(),
  }),
  saveRoster: route({
    method: 'PUT',
    path: '/classes/:classId/roster',
    summary: 'Keep the whole roster; students left out are removed for good',
    access: 'change',
    body: request<RosterRequest>('RosterRequest'),
    answer: json<ClassView>(),
  }),
  newCode: route({
    method: 'POST',
    path: '/classes/:classId/code',
    summary: 'Give the class a new code; the old one no longer works',
    access: 'change',
    answer: json<ClassView>(),
  }),
  keptOfClass: route({
    method: 'GET',
    path: '/classes/:classId/kept.json',
    summary: 'Everything that is kept of the students of a class',
    access: 'own',
    file: 'application/json',
  }),
  removeClass: route({
    method: 'DELETE',
    path: '/classes/:classId',
    summary: 'Remove a class with its roster; experiments stay',
    access: 'own',
    isGrave: true,
  }),
} as const;
