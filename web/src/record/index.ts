export { ChangeNote } from './change-note.tsx';
export { lengthProblemText } from './length-problem.ts';
export { Ruler } from './ruler.tsx';
export { rulerLength } from './ruler-marks.ts';
