import { say as sayStudent } from '@bright-sprout/words/student';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useRef } from 'react';
import { ReadAloud } from './read-aloud.tsx';

function Page() {
  const page = useRef<HTMLElement>(null);
  return (
    <main ref={page}>
      <h1>Pot 3</h1>
      <h2>Can you see a root?</h2>
      <div className="big-answers">
        <button type="button">Yes</button>
        <button type="button">Not yet</button>
      </div>
      <ReadAloud of={page} />
    </main>
  );
}

let voices: object[];
const speak = jest.fn<(what: { text: string }) => void>();
const cancel = jest.fn();
const listeners = new EventTarget();

beforeEach(() => {
  voices = [];
  speak.mockClear();
  Object.assign(window, {
    SpeechSynthesisUtterance: class {
      constructor(readonly text: string) {}
    },
    speechSynthesis: {
      getVoices: () => voices,
      addEventListener: listeners.addEventListener.bind(listeners),
      removeEventListener: listeners.removeEventListener.bind(listeners),
      speak,
      cancel,
    },
  });
});
afterEach(() => {
  cleanup();
  Reflect.deleteProperty(window, 'speechSynthesis');
});

describe('reading aloud', () => {
  test('is offered once there are voices, and reads question and answers in order', () => {
    render(<Page />);
    expect(screen.queryByRole('button', { name: sayStudent('readAloud') })).toBeNull();
    voices = [{}];
    act(() => void listeners.dispatchEvent(new Event('voiceschanged')));
    fireEvent.click(screen.getByRole('button', { name: sayStudent('readAloud') }));
    expect(speak.mock.calls[0]?.[0].text).toBe('Pot 3. Can you see a root?. Yes. Not yet');
    cleanup();
    expect(cancel).toHaveBeenCalled();
  });

  test('is not there in a browser without voices', () => {
    Reflect.deleteProperty(window, 'speechSynthesis');
    render(<Page />);
    expect(screen.queryByRole('button', { name: sayStudent('readAloud') })).toBeNull();
  });
});
