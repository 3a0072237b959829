import { useState } from 'react';
import { Field } from './form-fields.tsx';
import { PasswordMeter } from './password-meter.tsx';

/** A password that is chosen now, with how hard it is to guess. */
export function NewPassword({
  label,
  error,
  about,
}: {
  label: string;
  error: unknown;
  /** Names and addresses that make it easier to guess. */
  about: readonly string[];
}) {
  const [typed, setTyped] = useState('');
  return (
    <>
      <Field
        id="password"
        label={label}
        type="password"
        autoComplete="new-password"
        error={error}
        onChange={setTyped}
      />
      <PasswordMeter password={typed} about={about} />
    </>
  );
}
