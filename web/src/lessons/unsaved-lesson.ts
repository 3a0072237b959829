import type { LessonDocument } from '@bright-sprout/contract/lessons';

const PREFIX = 'bright-sprout.unsaved-lesson.';
const FORMAT = 1;

/** A lesson as it was changed and not saved, with the version that the change was made on. */
export interface UnsavedLesson {
  readonly version: number;
  readonly document: LessonDocument;
}

/** Keeps a changed lesson on this device until it is saved, so that leaving the page loses nothing. */
export function keepUnsavedLesson(experimentId: string, unsaved: UnsavedLesson): void {
  try {
    localStorage.setItem(PREFIX + experimentId, JSON.stringify({ format: FORMAT, ...unsaved }));
  } catch {
    // A full or closed store must not stop anybody from typing.
  }
}

/** What was changed and not saved the last time; undefined when there is nothing, or it cannot be read. */
export function unsavedLessonOf(experimentId: string): UnsavedLesson | undefined {
  try {
    const text = localStorage.getItem(PREFIX + experimentId);
    const kept = JSON.parse(text ?? 'null') as (UnsavedLesson & { format: number }) | null;
    return kept?.format === FORMAT ? { version: kept.version, document: kept.document } : undefined;
  } catch {
    return undefined;
  }
}

/** Forgets a lesson that was saved, unless it was changed again since. */
export function forgetUnsavedLesson(experimentId: string, saved: LessonDocument): void {
  const kept = unsavedLessonOf(experimentId);
  if (kept && JSON.stringify(kept.document) !== JSON.stringify(saved)) return;
  try {
    localStorage.removeItem(PREFIX + experimentId);
  } catch {
    // What cannot be reached holds nothing.
  }
}
