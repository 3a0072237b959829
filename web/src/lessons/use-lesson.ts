import { lessonRoutes, type LessonDocument, type LessonView } from '@bright-sprout/contract/lessons';
import { type Board, DRAFTED_BOARDS, draftLesson } from '@bright-sprout/core/lessons';
import { READING_LEVELS, type ReadingLevel } from '@bright-sprout/core/words';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { v5 as uuidOf } from 'uuid';
import { ApiFailure, call, classesQuery, journalQuery, lessonQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { forgetUnsavedLesson, keepUnsavedLesson, unsavedLessonOf } from './unsaved-lesson.ts';

const SAVE_AFTER_MS = 700;
const MOST_UNDO = 100;

/** So many pictures and sentences stand on a board that nobody chose. */
const MOST_DRAFTED_PICTURES = 4;
const MOST_DRAFTED_NOTES = 2;

/** A lesson that is open for changes. */
export interface OpenLesson {
  readonly document: LessonDocument;
  /** How the last change stands. */
  readonly state: 'saved' | 'saving' | 'failed' | 'changed_elsewhere';
  readonly error: unknown;
  change: (next: LessonDocument) => void;
  undo: (() => void) | undefined;
  redo: (() => void) | undefined;
  /** After a conflict: keeps what is here, or takes what is there. */
  resolve: (which: 'mine' | 'theirs') => void;
  retry: () => void;
}

interface Kept {
  readonly past: readonly LessonDocument[];
  readonly now: LessonDocument;
  readonly future: readonly LessonDocument[];
}

/** The lesson as it is kept, or the draft that the plan and the data make; undefined while it is fetched. */
export function useLessonDocument(): { view: LessonView; document: LessonDocument } | undefined {
  const { experiment, readings } = useExperiment();
  const view = useQuery(lessonQuery(experiment.id)).data;
  const classes = useQuery(classesQuery).data;
  const journal = useQuery(journalQuery(experiment.id)).data;
  if (!view) return undefined;
  if (view.document) return { view, document: view.document };
  if (!classes || !journal) return undefined;
  const level = classes.find(({ id }) => id === experiment.classId)?.readingLevel ?? '11-13';
  const values = readings.filter(({ counts, value }) => counts && value != null);
  const treatmentOf = new Map(experiment.units.map((unit) => [unit.id, unit.treatmentId]));
  const comparedGroups = new Set(values.map(({ unitId }) => treatmentOf.get(unitId))).size;
  const { boards } = draftLesson(
    {
      comparedGroups,
      canJudgeLuck: comparedGroups > 1,
      hasReadings: readings.length > 0,
      hasGuessChoices: (experiment.plan?.prediction.choices.length ?? 0) > 1,
      talkPoints: readings.length,
      pictures: journal.length,
      isYoungest: level === '5-7',
    },
    (kind) => uuidOf(`${experiment.id} ${kind}`, DRAFTED_BOARDS),
  );
  const seen = journal.filter(({ isHidden }) => !isHidden);
  const chosen = [
    ...seen.filter(({ hasPicture }) => hasPicture).slice(-MOST_DRAFTED_PICTURES),
    ...seen.filter(({ hasPicture }) => !hasPicture).slice(-MOST_DRAFTED_NOTES),
  ];
  return {
    view,
    document: {
      level: levelOf(level),
      boards: boards.map((board) =>
        sendable(board.kind === 'pictures' ? { ...board, entryIds: chosen.map(({ id }) => id) } : board),
      ),
    },
  };
}

function levelOf(level: string): ReadingLevel {
  return READING_LEVELS.find((one) => one === level) ?? '11-13';
}

/** A board as it crosses the wire. */
export function sendable(board: Board): LessonDocument['boards'][number] {
  return {
    ...board,
    unitIds: [...board.unitIds],
    entryIds: [...board.entryIds],
    talkCodes: [...board.talkCodes],
  };
}

/** The version of each lesson that this page saved last: a page that is left still saves when the next is open. */
const savedHere = new Map<string, number>();

/** Opens a lesson for changes: each is saved by itself a moment later, and can be taken back. */
export function useOpenLesson(experimentId: string, view: LessonView, begun: LessonDocument): OpenLesson {
  const queries = useQueryClient();
  const [unsaved] = useState(() => unsavedLessonOf(experimentId));
  const [kept, setKept] = useState<Kept>({ past: [], now: unsaved?.document ?? begun, future: [] });
  const version = useRef(unsaved?.version ?? view.version);
  const saved = useRef(view.document ?? begun);
  const save = useMutation({
    scope: { id: `lesson-${experimentId}` },
    mutationFn: async (document: LessonDocument) => {
      const answer = await call(lessonRoutes.saveLesson, {
        params: { experimentId },
        body: { ...document, version: Math.max(version.current, savedHere.get(experimentId) ?? 0) },
      });
      savedHere.set(experimentId, answer.version);
      version.current = answer.version;
      saved.current = document;
      forgetUnsavedLesson(experimentId, document);
      queries.setQueryData(lessonQuery(experimentId).queryKey, answer);
    },
  });
  const { mutate, isPending, error } = save;
  const { now } = kept;
  useEffect(() => {
    if (now === saved.current) return;
    keepUnsavedLesson(experimentId, { version: version.current, document: now });
    const timer = setTimeout(() => mutate(now), SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [experimentId, now, mutate]);
  // Leaving the page at once still saves.
  const last = useRef(now);
  useEffect(() => {
    last.current = now;
  }, [now]);
  useEffect(
    () => () => {
      if (last.current !== saved.current) mutate(last.current);
    },
    [mutate],
  );
  // What this device kept of the last visit is shown first; what the server answers then takes its place.
  useEffect(() => {
    const { document } = view;
    if (view.version <= version.current || !document || last.current !== saved.current) return;
    version.current = view.version;
    saved.current = document;
    setKept({ past: [], now: document, future: [] });
  }, [view]);
  const change = useCallback(
    (next: LessonDocument) =>
      setKept((before) => ({ past: [...before.past, before.now].slice(-MOST_UNDO), now: next, future: [] })),
    [],
  );
  const step = (to: 'undo' | 'redo'): void =>
    setKept(({ past, now: present, future }) => {
      const next = to === 'undo' ? past.at(-1) : future[0];
      if (!next) return { past, now: present, future };
      return to === 'undo'
        ? { past: past.slice(0, -1), now: next, future: [present, ...future] }
        : { past: [...past, present], now: next, future: future.slice(1) };
    });
  const isConflict = error instanceof ApiFailure && error.body.code === 'changed_elsewhere';
  const resolve = (which: 'mine' | 'theirs'): void => {
    void queries.query({ ...lessonQuery(experimentId), staleTime: 0 }).then((theirs) => {
      version.current = theirs.version;
      if (which === 'mine' || !theirs.document) return mutate(now);
      saved.current = theirs.document;
      forgetUnsavedLesson(experimentId, now);
      save.reset();
      setKept((before) => ({
        past: [...before.past, before.now],
        now: theirs.document as LessonDocument,
        future: [],
      }));
    });
  };
  return {
    document: now,
    state: isConflict ? 'changed_elsewhere' : error ? 'failed' : isPending ? 'saving' : 'saved',
    error,
    change,
    undo: kept.past.length > 0 ? () => step('undo') : undefined,
    redo: kept.future.length > 0 ? () => step('redo') : undefined,
    resolve,
    retry: () => mutate(now),
  };
}
