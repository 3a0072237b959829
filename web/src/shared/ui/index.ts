export { Choice, choicesOf } from './choice.tsx';
export { ClaimNotes } from './claim-notes.tsx';
export { inDaysText, longDay, monthOf, recentDay, shortDay } from './dates.ts';
export { FailureNote, fieldMessage } from './failure-note.tsx';
export { Logo } from './logo.tsx';
export { Said } from './said.tsx';
export { StageBoundary } from './stage-boundary.tsx';
export { useRemembered } from './remembered.ts';
export { QrCode } from './qr-code.tsx';
