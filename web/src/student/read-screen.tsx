import { say } from '@bright-sprout/words/student';
import type { StudentPotView } from '@bright-sprout/contract/student';
import type { ReadingState } from '@bright-sprout/core/shared';
import type { StudentWords } from '@bright-sprout/core/words';
import { ArrowLeft, Camera } from 'lucide-react';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { findingText } from '../shared/experiment/index.ts';
import { PlantFromSide, PotFromSide, TreatmentMark } from '../shared/plants/index.ts';
import { Said, FailureNote } from '../shared/ui/index.ts';
import { useEnding } from './use-ending.tsx';
import { EntryScreen } from './entry-screen.tsx';
import { LengthQuestion } from './length-question.tsx';
import { ReadAloud } from './read-aloud.tsx';
import { NumberQuestion } from './number-question.tsx';
import { CountQuestion, ScoreQuestion } from './number-questions.tsx';
import { useEyes } from './use-eyes.ts';
import { type AtDevice, type Entered, useKeepPot } from './use-keep-own.ts';

/** Reads one pot, one question at a time. */
export function ReadScreen({
  pot,
  at,
  words,
  before,
  onDone,
  onBack,
}: {
  pot: StudentPotView;
  at: AtDevice;
  words: StudentWords;
  /** Heights that the student gave other pots today. */
  before: readonly number[];
  onDone: () => void;
  onBack: () => void;
}) {
  const [sees, setSees] = useState(pot.own?.state === 'emerged');
  /** Number of the question: 0 for the plan's variable, then the others. */
  const [step, setStep] = useState(0);
  const [isShowing, setIsShowing] = useState(false);
  const isLast = step >= pot.others.length;
  const keep = useKeepPot(pot, at, () => undefined);
  const goOn = (): void => (isLast ? onDone() : setStep(step + 1));
  const other = step === 0 ? undefined : pot.others[step - 1];
  const asked = other ?? { variable: pot.variable, last: pot.last, own: pot.own };
  const { end, question } = useEnding({
    ...{ pot, words, onDone, isBusy: keep.isPending },
    store: (state, onStored) => keep.mutate({ variable: pot.variable, state }, { onSuccess: onStored }),
  });
  const keepValue = (entered: Entered, isReread = false): void =>
    keep.mutate({ variable: asked.variable, state: 'emerged', entered, isReread }, { onSuccess: goOn });
  const page = useRef<HTMLElement>(null);
  useEyes(`${pot.unitId} ${sees} ${step} ${isShowing} ${question !== null}`);
  if (isShowing) {
    return (
      <EntryScreen pot={pot} at={at} onDone={() => setIsShowing(false)} onBack={() => setIsShowing(false)} />
    );
  }
  return (
    <main ref={page} className="read-screen">
      <div className="read-top">
        <Button variant="light" aria-label={say('backToMyPots')} onClick={onBack}>
          <ArrowLeft size={20} aria-hidden="true" />
        </Button>
        <Button variant="light" onClick={() => setIsShowing(true)}>
          <Camera size={20} aria-hidden="true" /> {words.showIt}
        </Button>
        <ReadAloud of={page} />
      </div>
      <h1>
        <TreatmentMark style={pot.style} size={26} />{' '}
        <Said by={say} code="pot3" values={{ number: pot.number, treatment: pot.treatment }} />
      </h1>
      {pot.isClosed && <p className="note-attention">{say('yourTeacherClosedThisDayShowYour')}</p>}
      {asked.own && sees && (
        <p className="note-attention">
          {say('youReadThisPutsItRight', { findingText: findingText(asked.own, asked.variable) })}
        </p>
      )}
      {question ??
        (!sees ? (
          <SproutQuestion
            pot={pot}
            words={words}
            isBusy={keep.isPending}
            onSee={() => setSees(true)}
            onEnd={end}
          />
        ) : asked.variable.kind === 'length' ? (
          <LengthQuestion
            key={asked.variable.id}
            pot={pot}
            day={at.device.today}
            words={words}
            before={before}
            isBusy={keep.isPending}
            onKeep={keepValue}
            onNotUp={() => end('not_emerged')}
          />
        ) : asked.variable.kind === 'score' ? (
          <ScoreQuestion
            key={asked.variable.id}
            variable={asked.variable}
            last={asked.last}
            words={words}
            isBusy={keep.isPending}
            onKeep={keepValue}
          />
        ) : asked.variable.kind === 'number' ? (
          <NumberQuestion
            key={asked.variable.id}
            variable={asked.variable}
            last={asked.last}
            isBusy={keep.isPending}
            onKeep={keepValue}
          />
        ) : (
          <CountQuestion
            key={asked.variable.id}
            variable={asked.variable}
            last={asked.last}
            words={words}
            seedsSown={pot.seedsSown}
            isBusy={keep.isPending}
            onKeep={keepValue}
          />
        ))}
      <FailureNote error={keep.error} />
      {other && (
        <Button variant="light" onClick={goOn}>
          {say('skipThisQuestion')}
        </Button>
      )}
    </main>
  );
}

/** Is there anything to see? If not, that is a reading too. */
function SproutQuestion({
  pot,
  words,
  isBusy,
  onSee,
  onEnd,
}: {
  pot: StudentPotView;
  words: StudentWords;
  isBusy: boolean;
  onSee: () => void;
  onEnd: (state: ReadingState) => void;
}) {
  return (
    <div className="student-question">
      {pot.own && (
        <p className="note-attention">
          {say('youReadThisPutsItRight', { findingText: findingText(pot.own, pot.variable) })}
        </p>
      )}
      <svg className="question-pot" viewBox="-90 -60 180 150" aria-hidden="true">
        <PlantFromSide height={pot.last?.state === 'emerged' ? 44 : 14} habit={pot.habit} />
        <PotFromSide width={120} depth={84} />
      </svg>
      <h2>{words.canYouSee}</h2>
      <div className="big-answers">
        <Button size="lg" onClick={onSee}>
          {words.yes}
        </Button>
        <Button size="lg" variant="light" disabled={isBusy} onClick={() => onEnd('not_emerged')}>
          {words.notYet}
        </Button>
        <Button size="lg" variant="light" disabled={isBusy} onClick={() => onEnd('dead')}>
          {words.dead}
        </Button>
        <Button size="lg" variant="light" disabled={isBusy} onClick={() => onEnd('not_read')}>
          {words.cannotFind}
        </Button>
      </div>
    </div>
  );
}
