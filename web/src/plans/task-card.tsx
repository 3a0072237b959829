import { say } from '@bright-sprout/words/plans';
import type { ScheduledTask } from '@bright-sprout/core/calendar';
import { TASK_WORDS } from '@bright-sprout/core/words';
import { X } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { longDay } from '../shared/ui/index.ts';
import type { TaskSave } from './week-board.tsx';

/** One task: when, done by whom, and back to the plan's own day. */
export function TaskCard({
  task,
  today,
  onChange,
  onClose,
}: {
  task: ScheduledTask;
  today: string;
  onChange: (changes: Partial<TaskSave>) => void;
  onClose: () => void;
}) {
  const [who, setWho] = useState(task.who);
  const words = task.title || TASK_WORDS[task.code];
  return (
    <section className="task-card" aria-label={words}>
      <h3>
        {words} <small>{longDay(task.day)}</small>
      </h3>
      {task.wantedOn !== task.day && !task.isMoved && (
        <p className="quiet">{say('meantForMovedToADayWith', { wantedOn: longDay(task.wantedOn) })}</p>
      )}
      {task.needsHelper && <p className="note-attention">{say('nobodyIsInClassOnThisDay')}</p>}
      <div className="form-row">
        <Form.Check
          type="checkbox"
          id={`done-${task.key}`}
          label={say('done')}
          checked={task.doneOn !== null}
          onChange={({ target }) => onChange({ doneOn: target.checked ? today : null })}
        />
        <Form.Control
          value={who}
          maxLength={60}
          placeholder={say('byWhom')}
          aria-label={say('byWhom2')}
          onChange={({ target }) => setWho(target.value)}
          onBlur={() => who !== task.who && onChange({ who })}
        />
        <Form.Control
          type="date"
          value={task.day}
          aria-label={say('on')}
          onChange={({ target }) => target.value && onChange({ movedTo: target.value })}
        />
        {task.isMoved && (
          <Button variant="light" size="sm" onClick={() => onChange({ movedTo: null })}>
            {say('backToThePlansDay')}
          </Button>
        )}
        {task.code === 'own' && (
          <Button
            variant="light"
            size="sm"
            onClick={() => {
              onChange({ movedTo: null, doneOn: null, who: '', title: '' });
              onClose();
            }}
          >
            {say('takeItAway')}
          </Button>
        )}
        <Button variant="light" size="sm" aria-label={say('close')} onClick={onClose}>
          <X size={15} aria-hidden="true" />
        </Button>
      </div>
    </section>
  );
}
