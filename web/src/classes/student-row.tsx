import { say } from '@bright-sprout/words/classes';
import type { ClassView, RosterRequest } from '@bright-sprout/contract/classes';
import { X } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Avatar, AVATAR_NAMES } from './avatars.tsx';

/** A student's picture, name and team. */
export function StudentRow({
  student,
  schoolClass,
  onChange,
  onRemove,
}: {
  student: ClassView['students'][number];
  schoolClass: ClassView;
  onChange: (changes: Partial<RosterRequest['students'][number]>) => void;
  onRemove: () => void;
}) {
  return (
    <li>
      <label className="avatar-choice">
        <Avatar name={student.avatar} />
        <select
          aria-label={say('pictureOf', { displayName: student.displayName })}
          value={student.avatar}
          onChange={({ target }) => onChange({ avatar: target.value })}
        >
          {AVATAR_NAMES.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </select>
      </label>
      <NameEntry
        label={say('displayNameOf', { displayName: student.displayName })}
        value={student.displayName}
        onKeep={(displayName) => onChange({ displayName })}
      />
      <Form.Select
        size="sm"
        value={student.teamId ?? ''}
        aria-label={say('teamOf', { displayName: student.displayName })}
        onChange={({ target }) => onChange({ teamId: target.value === '' ? null : target.value })}
      >
        <option value="">{say('noTeam')}</option>
        {schoolClass.teams.map((team) => (
          <option key={team.id} value={team.id}>
            {team.name}
          </option>
        ))}
      </Form.Select>
      {schoolClass.asksPin && <PinEntry student={student} onKeep={(pin) => onChange({ pin })} />}
      <Button
        variant="light"
        size="sm"
        aria-label={say('removeForGood', { displayName: student.displayName })}
        onClick={onRemove}
      >
        <X size={15} aria-hidden="true" />
      </Button>
    </li>
  );
}

/** A student's PIN, to be read out or changed. */
function PinEntry({
  student,
  onKeep,
}: {
  student: ClassView['students'][number];
  onKeep: (pin: string) => void;
}) {
  const [pin, setPin] = useState(student.pin ?? '');
  return (
    <Form.Control
      size="sm"
      className="pin-entry"
      value={pin}
      maxLength={4}
      inputMode="numeric"
      autoComplete="off"
      aria-label={say('pinOf', { displayName: student.displayName })}
      onChange={({ target }) => setPin(target.value.replaceAll(/\D/g, ''))}
      onBlur={() => (pin.length === 4 ? pin !== student.pin && onKeep(pin) : setPin(student.pin ?? ''))}
    />
  );
}

/** A name that is kept when it is left. */
export function NameEntry({
  label,
  value,
  onKeep,
}: {
  label: string;
  value: string;
  onKeep: (value: string) => void;
}) {
  const [text, setText] = useState(value);
  const keep = (): void => {
    if (text.trim() === '') setText(value);
    else if (text.trim() !== value) onKeep(text.trim());
  };
  return (
    <Form.Control
      size="sm"
      value={text}
      maxLength={40}
      aria-label={label}
      autoComplete="off"
      onChange={({ target }) => setText(target.value)}
      onBlur={keep}
      onKeyDown={(event) => {
        if (event.key === 'Enter') keep();
      }}
    />
  );
}
