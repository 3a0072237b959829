import { say } from '@bright-sprout/words/student';
import type { LastReadingView, StudentPotView } from '@bright-sprout/contract/student';
import { scoresOf } from '@bright-sprout/core/design';
import { readText, type StudentWords } from '@bright-sprout/core/words';
import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { styleOf } from '../shared/experiment/index.ts';
import type { Entered } from './use-keep-own.ts';

/** What a question about a number is asked with. */
export interface QuestionProps {
  readonly variable: StudentPotView['variable'];
  readonly last: LastReadingView | null;
  readonly words: StudentWords;
  readonly isBusy: boolean;
  readonly onKeep: (entered: Entered) => void;
}

/** How many? Steps of one. */
export function CountQuestion({
  variable,
  last,
  words,
  isBusy,
  onKeep,
  seedsSown,
}: QuestionProps & { seedsSown: number | null }) {
  const isSeeds = variable.name === 'seeds up';
  const most = isSeeds ? (seedsSown ?? 999) : 999;
  const least = isSeeds ? 1 : 0;
  const [count, setCount] = useState(Math.max(least, last?.value ?? least));
  const step = (by: number): void => setCount(Math.max(least, Math.min(most, count + by)));
  return (
    <div className="student-question">
      <h2>{variable.name === 'leaves' ? words.howManyLeaves : words.howMany}</h2>
      <div className="big-count">
        <Button variant="light" size="lg" aria-label={say('oneLess')} onClick={() => step(-1)}>
          <Minus size={30} aria-hidden="true" />
        </Button>
        <output aria-live="polite">{count}</output>
        <Button variant="light" size="lg" aria-label={say('oneMore')} onClick={() => step(1)}>
          <Plus size={30} aria-hidden="true" />
        </Button>
      </div>
      {last?.value != null && <p>{say('lastTime', { readText: readText(last.value, styleOf(variable)) })}</p>}
      <div className="big-answers">
        <Button
          size="lg"
          disabled={isBusy}
          onClick={() => onKeep({ value: count, unit: variable.unit, text: String(count) })}
        >
          {say('keepIt')}
        </Button>
      </div>
    </div>
  );
}

/** Which of a few? One tap keeps it. */
export function ScoreQuestion({ variable, last, words, isBusy, onKeep }: QuestionProps) {
  const scores = scoresOf(variable.name) ?? [];
  const question = words.score[variable.name as keyof StudentWords['score']];
  return (
    <div className="student-question">
      <h2>{question}</h2>
      <div className="big-answers">
        {scores.map((score, index) => (
          <Button
            key={score}
            size="lg"
            variant="light"
            disabled={isBusy}
            aria-pressed={last?.value === index + 1}
            onClick={() => onKeep({ value: index + 1, unit: variable.unit, text: score })}
          >
            {score}
          </Button>
        ))}
      </div>
      {last?.value != null && <p>{say('lastTime', { readText: readText(last.value, styleOf(variable)) })}</p>}
    </div>
  );
}
