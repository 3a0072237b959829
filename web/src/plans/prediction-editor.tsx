import { CHOICE, Said } from '../shared/ui/index.ts';
import { say } from '@bright-sprout/words/plans';
import type { PlanRequest } from '@bright-sprout/contract/plans';
import { Plus, X } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useFormContext } from 'react-hook-form';
import { TextInput } from './fields.tsx';
import { usePlanEditor } from './plan-editor.tsx';

const MOST_CHOICES = 8;

/** What the class is asked to guess before sowing, with answers to choose from. */
export function PredictionEditor() {
  const { register, getValues } = useFormContext<PlanRequest>();
  const { plan, apply, problem } = usePlanEditor();
  const { choices } = plan.prediction;
  const change = (next: string[]): void =>
    apply({ prediction: { ...getValues('prediction'), choices: next } });
  return (
    <details className="prediction">
      <summary>
        <Said by={say} code="theClassGuessesFirstAnswers" values={{ choicesCount: choices.length }} />
      </summary>
      <TextInput name="prediction.prompt" label={say('asked')} />
      <Form.Group controlId="guessing-closes" className="plan-field">
        <Form.Label>{say('guessingCloses')}</Form.Label>
        <Form.Control
          {...register('prediction.closesOn', CHOICE)}
          type="date"
          className="date-input"
          isInvalid={problem('prediction.closesOn') !== undefined}
        />
      </Form.Group>
      <ol>
        {choices.map((_, index) => (
          <li key={index}>
            <Form.Control
              {...register(`prediction.choices.${index}`)}
              aria-label={say('answer', { index: index + 1 })}
              isInvalid={problem(`prediction.choices.${index}`) !== undefined}
              autoComplete="off"
            />
            <Button
              variant="light"
              size="sm"
              aria-label={say('removeAnswer', { index: index + 1 })}
              onClick={() => change(getValues('prediction.choices').filter((__, at) => at !== index))}
            >
              <X size={16} aria-hidden="true" />
            </Button>
          </li>
        ))}
      </ol>
      {problem('prediction.choices') && <p className="field-problem">{problem('prediction.choices')}</p>}
      <Button
        variant="light"
        size="sm"
        disabled={choices.length >= MOST_CHOICES}
        onClick={() =>
          change([...getValues('prediction.choices'), say('answer2', { choicesCount: choices.length + 1 })])
        }
      >
        <Plus size={16} aria-hidden="true" /> {say('anotherAnswer')}
      </Button>
    </details>
  );
}
