import { say } from '@bright-sprout/words/imports';
import type { TableAnswer, TableQuestion } from '@bright-sprout/core/imports';
import Button from 'react-bootstrap/Button';
import { longDay } from '../shared/ui/index.ts';

/** The key of a question among those of its table. */
export function questionKey({ id, source }: TableQuestion): string {
  return `${id} ${source}`;
}

/** What a person has to say of a table where two readings of it fit; nothing is chosen before. */
export function TableQuestions({
  questions,
  answers,
  onAnswer,
}: {
  questions: readonly TableQuestion[];
  answers: ReadonlyMap<string, string>;
  onAnswer: (question: TableQuestion, value: string) => void;
}) {
  return questions.map((question) => (
    <fieldset key={questionKey(question)} className="table-question">
      <legend>{questionText(question)}</legend>
      {question.answers.map((answer) => {
        const isChosen = answers.get(questionKey(question)) === answer.value;
        return (
          <Button
            key={answer.value}
            variant={isChosen ? 'primary' : 'outline-primary'}
            aria-pressed={isChosen}
            onClick={() => onAnswer(question, answer.value)}
          >
            {answerText(question, answer)}
          </Button>
        );
      })}
    </fieldset>
  ));
}

function questionText({ id, example, name, isNamed }: TableQuestion): string {
  switch (id) {
    case 'year':
      return say('askYear');
    case 'names':
      return say('askNames', { example });
    case 'decimal_mark':
      return say('askDecimalMark', { example });
    case 'date_order':
      return say('askDateOrder', { example });
    case 'measured':
      return say('askMeasured', { name, example, isNamed: isNamed ? 'yes' : 'no' });
    case 'counting':
      return say('askCounting', { name });
  }
}

const MEASURED: Readonly<Record<string, string>> = {
  mm: say('millimetres'),
  cm: say('centimetres'),
  in: say('inchesWhole'),
  seeds_up: say('seedsThatCameUp'),
  number: say('anotherNumber'),
};

const COUNTED: Readonly<Record<string, string>> = {
  so_far: say('allThatCameUpByThen'),
  new: say('onlyNewOnes'),
  standing: say('allThatStandThereThatDay'),
};

function answerText({ id }: TableQuestion, { value, from, to }: TableAnswer): string {
  switch (id) {
    case 'year':
      return value;
    case 'names':
      return value === 'treatment' ? say('letterIsTreatment', { treatment: from }) : say('letterIsPlace');
    case 'decimal_mark':
      return from;
    case 'date_order':
      return say('fromDayToDay', { first: longDay(from), last: longDay(to) });
    case 'measured':
      return MEASURED[value] ?? value;
    case 'counting':
      return COUNTED[value] ?? value;
  }
}
