import { say } from '@bright-sprout/words/student';
import type { StudentPart } from '@bright-sprout/contract/classes';
import type { DeviceView } from '@bright-sprout/contract/student';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Avatar } from '../classes/index.ts';
import { FailureNote } from '../shared/ui/index.ts';

const PIN_LENGTH = 4;

/** Who is here? Pictures with names, and a PIN where the class asks for one. */
export function AvatarsScreen({
  device,
  isBusy,
  error,
  onChoose,
  onBack,
}: {
  device: DeviceView;
  isBusy: boolean;
  error: unknown;
  onChoose: (id: string, pin?: string) => void;
  onBack: () => void;
}) {
  const [asked, setAsked] = useState<StudentPart>();
  if (asked) {
    return (
      <PinScreen
        student={asked}
        isBusy={isBusy}
        error={error}
        onPin={(pin) => onChoose(asked.id, pin)}
        onBack={() => {
          setAsked(undefined);
          onBack();
        }}
      />
    );
  }
  return (
    <main>
      <h1>{say('whoAreYou')}</h1>
      <FailureNote error={error} />
      {device.students.length === 0 && <p>{say('nobodyIsInThisClassYetAsk')}</p>}
      <ul className="avatar-grid">
        {device.students.map((student) => (
          <li key={student.id}>
            <button
              type="button"
              disabled={isBusy}
              onClick={() => (device.asksPin ? setAsked(student) : onChoose(student.id))}
            >
              <Avatar name={student.avatar} size={44} />
              {student.displayName}
            </button>
          </li>
        ))}
      </ul>
    </main>
  );
}

function PinScreen({
  student,
  isBusy,
  error,
  onPin,
  onBack,
}: {
  student: StudentPart;
  isBusy: boolean;
  error: unknown;
  onPin: (pin: string) => void;
  onBack: () => void;
}) {
  const [pin, setPin] = useState('');
  return (
    <main className="pin-screen">
      <Avatar name={student.avatar} size={56} />
      <h1>{say('typeYourPin', { displayName: student.displayName })}</h1>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          if (pin.length === PIN_LENGTH) onPin(pin);
        }}
      >
        <Form.Control
          value={pin}
          inputMode="numeric"
          autoComplete="off"
          aria-label={say('pin')}
          maxLength={PIN_LENGTH}
          autoFocus
          onChange={({ target }) => setPin(target.value.replaceAll(/\D/g, ''))}
        />
        <Button type="submit" size="lg" disabled={pin.length !== PIN_LENGTH || isBusy}>
          {say('goOn')}
        </Button>
      </Form>
      <FailureNote error={error} />
      <Button variant="light" onClick={onBack}>
        {say('notMe')}
      </Button>
    </main>
  );
}
