export { ChangeNote } from './change-note.tsx';
export { EntryNotes } from './entry-notes.tsx';
export { heightProblem, lengthProblemText } from './length-problem.ts';
export { ReadingDoubts } from './reading-doubts.tsx';
export { Ruler } from './ruler.tsx';
export { rulerLength, rulerMarks } from './ruler-marks.ts';
export { SetAside, useAct } from './set-aside.tsx';
