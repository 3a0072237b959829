import { say } from '@bright-sprout/words/student';
import type { StudentPotView } from '@bright-sprout/contract/student';
import type { ReadingState } from '@bright-sprout/core/shared';
import type { StudentWords } from '@bright-sprout/core/words';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { PlantFromSide, PotFromSide } from '../shared/plants/index.ts';

/**
 * Ends a pot for today with a state in place of a value. A death, and nothing where something stood, is asked about once.
 * @returns how to end it, and what is asked or said meanwhile; `null` while nothing is
 */
export function useEnding({
  pot,
  words,
  isBusy,
  store,
  onDone,
}: {
  pot: StudentPotView;
  words: StudentWords;
  isBusy: boolean;
  store: (state: ReadingState, onStored: () => void) => void;
  onDone: () => void;
}): { readonly end: (state: ReadingState) => void; readonly question: ReactNode } {
  const [ending, setEnding] = useState<ReadingState>();
  const [isThanked, setIsThanked] = useState(false);
  const endSurely = (state: ReadingState): void =>
    store(state, () => (state === 'dead' ? setIsThanked(true) : onDone()));
  const end = (state: ReadingState): void => (isAskedAgain(state, pot) ? setEnding(state) : endSurely(state));
  const question = isThanked ? (
    <DeadThanks words={words} onDone={onDone} />
  ) : ending ? (
    <EndQuestion
      {...{ pot, words, isBusy, state: ending }}
      onSure={() => endSurely(ending)}
      onBack={() => setEnding(undefined)}
    />
  ) : null;
  return { end, question };
}

/** True of an answer that a slip of the finger should not give: a death, or nothing up where something stood. */
function isAskedAgain(state: ReadingState, { last }: Pick<StudentPotView, 'last'>): boolean {
  return state === 'dead' || (state === 'not_emerged' && last?.state === 'emerged');
}

/** Asks once more, with the plant as it stood last time. */
function EndQuestion({
  pot,
  state,
  words,
  isBusy,
  onSure,
  onBack,
}: {
  pot: StudentPotView;
  state: ReadingState;
  words: StudentWords;
  isBusy: boolean;
  onSure: () => void;
  onBack: () => void;
}) {
  const heading = useFocus();
  return (
    <div className="student-question">
      <LastTime pot={pot} />
      <h2 ref={heading} tabIndex={-1}>
        {state === 'dead' ? words.isItDead : words.isItGone}
      </h2>
      <div className="big-answers">
        <Button size="lg" variant="light" onClick={onBack}>
          {say('lookAgain')}
        </Button>
        <Button size="lg" disabled={isBusy} onClick={onSure}>
          {state === 'dead' ? words.dead : words.notYet}
        </Button>
      </div>
    </div>
  );
}

/** What a child hears whose plant has died: thanks, and that it is a result. */
function DeadThanks({ words, onDone }: { words: StudentWords; onDone: () => void }) {
  const heading = useFocus();
  return (
    <div className="student-question" role="status">
      <h2 ref={heading} tabIndex={-1}>
        {words.deadThanks}
      </h2>
      <div className="big-answers">
        <Button size="lg" onClick={onDone}>
          {say('onToTheNext')}
        </Button>
      </div>
    </div>
  );
}

function LastTime({ pot }: { pot: StudentPotView }) {
  return (
    <svg className="question-pot" viewBox="-90 -60 180 150" aria-hidden="true">
      <PlantFromSide height={pot.last?.state === 'emerged' ? 44 : 14} habit={pot.habit} />
      <PotFromSide width={120} depth={84} />
    </svg>
  );
}

/** What is new on the page is heard, and keys go on from there. */
function useFocus() {
  const ref = useRef<HTMLHeadingElement>(null);
  useEffect(() => ref.current?.focus(), []);
  return ref;
}
