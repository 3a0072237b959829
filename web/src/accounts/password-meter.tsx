import { say } from '@bright-sprout/words/accounts';
import { LEAST_PASSWORD } from '@bright-sprout/contract/shared';
import { useEffect, useState } from 'react';

const WORDS = [
  say('guessedAtOnce'),
  say('guessedSoon'),
  say('goodEnough'),
  say('good'),
  say('veryGood'),
] as const;

/** How hard a password that is being typed is to guess, in words and as a bar. */
export function PasswordMeter({ password, about }: { password: string; about: readonly string[] }) {
  const [strength, setStrength] = useState<number>();
  const named = about.join('\n');
  useEffect(() => {
    let isOver = false;
    // Its list of common passwords is large, and only who chooses one needs it.
    if (password !== '')
      void import('@bright-sprout/contract/passwords').then(({ passwordStrength }) => {
        if (!isOver) setStrength(passwordStrength(password, named.split('\n')));
      });
    return () => {
      isOver = true;
    };
  }, [password, named]);
  if (password === '' || strength === undefined) return null;
  const isShort = password.length < LEAST_PASSWORD;
  return (
    <p className="password-meter" aria-live="polite">
      <meter min={0} max={4} low={2} high={3} optimum={4} value={isShort ? 0 : strength} aria-hidden="true" />{' '}
      {isShort
        ? say('charactersToGo', { left: LEAST_PASSWORD - password.length })
        : WORDS[strength as 0 | 1 | 2 | 3 | 4]}
    </p>
  );
}
