import type { ShowingRequest, ShowingView } from '@bright-sprout/contract/lessons';
import type { Board } from '@bright-sprout/core/lessons';
import { useEffect, useState } from 'react';
import { useExperiment } from '../shared/experiment/index.ts';
import { useLessonDocument } from './use-lesson.ts';
import { useShowing } from './use-showing.ts';

/** A lesson that is given: what is shown, and how to go on. */
export interface GivenLesson {
  readonly boards: readonly Board[];
  readonly board: Board;
  /** Place of the board among those shown, from 0. */
  readonly at: number;
  readonly showing: ShowingView;
  readonly error: unknown;
  change: (changes: Partial<ShowingRequest>) => void;
  go: (by: number) => void;
  end: () => void;
}

/** The lesson that is given now, with the boards that are shown; `null` when none is, undefined while it is fetched. */
export function useGivenLesson(): GivenLesson | null | undefined {
  const { experiment } = useExperiment();
  const found = useLessonDocument();
  const { showing, show, end, error } = useShowing(experiment.id);
  if (!found) return undefined;
  const boards = found.document.boards.filter(({ isHidden }) => !isHidden);
  const board = boards.find(({ id }) => id === showing?.boardId) ?? boards[0];
  if (!showing || !board) return null;
  const at = boards.indexOf(board);
  const change = (changes: Partial<ShowingRequest>): void => show({ ...showing, ...changes });
  return {
    boards,
    board,
    at,
    showing,
    error,
    change,
    end,
    go: (by) => {
      const next = boards[Math.max(0, Math.min(boards.length - 1, at + by))];
      if (!next || next.id === board.id) return;
      change({ boardId: next.id, isBlank: false, isRevealed: false, order: next.order });
    },
  };
}

const SECOND_MS = 1000;

/** Whole seconds since a moment, counted on. */
export function useSecondsSince(instant: string): number {
  const since = (): number => Math.max(0, Math.floor((Date.now() - Date.parse(instant)) / SECOND_MS));
  const [seconds, setSeconds] = useState(since);
  useEffect(() => {
    const timer = setInterval(() => setSeconds(since()), SECOND_MS);
    return () => clearInterval(timer);
  });
  return seconds;
}
