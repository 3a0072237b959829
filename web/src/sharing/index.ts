export { CoTeachers } from './co-teachers.tsx';
export { SharedNote } from './shared-note.tsx';
