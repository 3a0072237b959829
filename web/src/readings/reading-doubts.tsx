import { say } from '@bright-sprout/words/readings';
import type { VariableView } from '@bright-sprout/contract/plans';
import { doubts, type JustRead } from '@bright-sprout/core/growth';
import { doubtWords } from '@bright-sprout/core/words';
import Button from 'react-bootstrap/Button';
import { recentDay } from '../shared/ui/index.ts';
import { ChangeNote } from './change-note.tsx';
import './readings.scss';

/** What a height says beside the last one, and what speaks against it, while the plant is still there. */
export function ReadingDoubts({
  read,
  variable,
  onLookAgain,
  onNotUp,
}: {
  read: JustRead;
  variable: VariableView;
  /** The reader goes back to the plant; what is kept then is marked as read again. */
  onLookAgain: () => void;
  /** Keeps that nothing is up yet, in place of a 0. */
  onNotUp: () => void;
}) {
  const found = doubts(read);
  const isDoubted = found.some(({ code }) => code !== 'other_day');
  return (
    <>
      {!found.some(({ code }) => code === 'shrank') && (
        <ChangeNote history={read.history} day={read.day} valueMm={read.valueMm} variable={variable} />
      )}
      {found.map((doubt) => (
        <p key={doubt.code} className="note-attention">
          {doubtWords(doubt, read.scale, (day) => recentDay(day, read.today))}
        </p>
      ))}
      {found.some(({ code }) => code === 'never_up') && (
        <Button className="look-again" onClick={onNotUp}>
          {say('yesNotUpYet')}
        </Button>
      )}
      {isDoubted && (
        <Button variant="light" className="look-again" onClick={onLookAgain}>
          {say('lookAgain')}
        </Button>
      )}
    </>
  );
}
