import type { ClassRequest, ClassView, RosterRequest, SavedClass } from './class.ts';
import { change, own, teacher } from '../shared/index.ts';

/** Classes, teams and students. */
export const classRoutes = {
  classes: teacher.get('/classes', 'The teacher’s classes with their rosters').answers<ClassView[]>(),
  saveClass: teacher
    .put('/classes/:newClassId', 'Keep a class, new or changed; its roster stays')
    .takes<ClassRequest>('ClassRequest')
    .answers<SavedClass>(),
  saveRoster: change
    .put('/classes/:classId/roster', 'Keep the whole roster; students left out are removed for good')
    .takes<RosterRequest>('RosterRequest')
    .answers<ClassView>(),
  newCode: change
    .post('/classes/:classId/code', 'Give the class a new code; the old one no longer works')
    .answers<ClassView>(),
  keptOfClass: own
    .get('/classes/:classId/kept.json', 'Everything that is kept of the students of a class')
    .sends('application/json'),
  removeClass: own.remove('/classes/:classId', 'Remove a class with its roster; experiments stay').grave(),
} as const;
