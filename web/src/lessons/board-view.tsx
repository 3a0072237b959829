import type { Board } from '@bright-sprout/core/lessons';
import { AnswerBoard, LuckBoard, NotKnownBoard, TalkBoard } from './boards/answer-boards.tsx';
import { GuessBoard } from './boards/guess-board.tsx';
import { LineUpBoard, type LineUpChoice } from './boards/line-up-board.tsx';
import {
  FirstsBoard,
  OwnWordsBoard,
  PicturesBoard,
  QuestionBoard,
  WatchBoard,
} from './boards/plain-boards.tsx';
import type { LessonNow } from './lesson-now.ts';

/** What of a board changes while it is shown. */
export interface BoardState extends LineUpChoice {
  readonly isRevealed: boolean;
  /** Empty at the desk. */
  readonly begunAt: string;
}

/** One board, whatever it shows. */
export function BoardView({
  board,
  now,
  state,
  onState,
}: {
  board: Board;
  now: LessonNow;
  state: BoardState;
  onState: (changes: Partial<Omit<BoardState, 'begunAt'>>) => void;
}) {
  switch (board.kind) {
    case 'question':
      return <QuestionBoard board={board} now={now} />;
    case 'line_up':
      return <LineUpBoard now={now} choice={state} onChoose={onState} />;
    case 'two_to_watch':
      return <WatchBoard board={board} now={now} />;
    case 'firsts':
      return <FirstsBoard board={board} now={now} />;
    case 'guess':
      return (
        <GuessBoard
          board={board}
          now={now}
          begunAt={state.begunAt}
          isRevealed={state.isRevealed}
          onReveal={(isRevealed) => onState({ isRevealed })}
        />
      );
    case 'answer':
      return <AnswerBoard board={board} now={now} />;
    case 'luck':
      return <LuckBoard board={board} now={now} />;
    case 'not_known':
      return <NotKnownBoard board={board} now={now} />;
    case 'talk':
      return <TalkBoard board={board} now={now} />;
    case 'pictures':
      return <PicturesBoard board={board} now={now} />;
    case 'own_words':
      return <OwnWordsBoard board={board} now={now} />;
  }
}
