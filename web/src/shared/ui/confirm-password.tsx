import { say } from '@bright-sprout/words/interface';
import { accountRoutes } from '@bright-sprout/contract/accounts';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { ApiFailure, call } from '../api/index.ts';
import { FailureNote, fieldMessage } from './failure-note.tsx';

/** True where the server asks for the password again before it does something. */
export function isUnconfirmed(error: unknown): boolean {
  return error instanceof ApiFailure && error.body.code === 'confirm_password';
}

/** Asks for the password once more, before what is grave; then goes on with it. */
export function ConfirmPassword({ onConfirmed }: { onConfirmed: () => void }) {
  const [password, setPassword] = useState('');
  const confirm = useMutation({
    mutationFn: () => call(accountRoutes.confirmPassword, { body: { password } }),
    onSuccess: onConfirmed,
  });
  const problem = fieldMessage(confirm.error, 'password');
  return (
    <Form
      noValidate
      className="confirm-password"
      onSubmit={(event) => {
        event.preventDefault();
        confirm.mutate();
      }}
    >
      <Form.Group controlId="confirm-password">
        <Form.Label>{say('yourPasswordAgain')}</Form.Label>
        <Form.Control
          type="password"
          autoComplete="current-password"
          value={password}
          isInvalid={problem !== undefined}
          onChange={({ target }) => setPassword(target.value)}
        />
        {problem && (
          <p className="field-problem" role="alert">
            {problem}
          </p>
        )}
      </Form.Group>
      {!problem && <FailureNote error={confirm.error} />}
      <Button type="submit" disabled={confirm.isPending || password === ''}>
        {say('goOn')}
      </Button>
    </Form>
  );
}
