import { say as sayAccounts } from '@bright-sprout/words/accounts';
import { afterEach, describe, expect, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { type Answer, answering, TEACHER } from '../app/testing/answering.ts';
import { sessionQuery } from '../shared/api/index.ts';
import { SignInPage } from './sign-in-page.tsx';

afterEach(cleanup);

function open(answers: Record<string, Answer>) {
  const asked = answering(answers);
  const client = new QueryClient({ defaultOptions: { mutations: { retry: false } } });
  render(
    <QueryClientProvider client={client}>
      <SignInPage />
    </QueryClientProvider>,
  );
  return { asked, client };
}

const type = (label: RegExp | string, value: string): void => {
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
};
const press = (name: string): void => {
  fireEvent.submit(screen.getByRole('button', { name }).closest('form')!);
};

describe('opening an account', () => {
  const ask = (registration: string) => {
    const { asked } = open({ 'GET /api/registration': { registration }, 'POST /api/teachers': TEACHER });
    fireEvent.click(screen.getByRole('button', { name: sayAccounts('newHereOpenAnAccount') }));
    return asked;
  };

  test('by invitation asks for it and sends it', async () => {
    const asked = ask('invitation');
    await screen.findByLabelText(/^Invitation/);
    type(/^Invitation/, 'warm frame 7');
    press('Open an account');
    await waitFor(() => expect(asked.at(-1)?.body).toMatchObject({ invitation: 'warm frame 7' }));
  });

  test('that is closed says so, and has nothing to fill in', async () => {
    ask('closed');
    expect(await screen.findByText(/New accounts are closed here/)).toBeTruthy();
    expect(screen.queryByLabelText('E-mail')).toBeNull();
  });
});

describe('the sign-in', () => {
  test('sends what was typed, and the teacher is known to the page', async () => {
    const { asked, client } = open({ 'POST /api/session': TEACHER, 'PUT /api/session': TEACHER });
    type('E-mail', 'sage@school.example');
    type('Password', 'a long password');
    press('Sign in');
    await waitFor(() => expect(client.getQueryData(sessionQuery.queryKey)).toMatchObject({ id: 't' }));
    expect(asked.at(-1)?.body).toEqual({ email: 'sage@school.example', password: 'a long password' });
  });

  test('says a refusal once, and what was typed is still there', async () => {
    open({ '': { refused: 401, code: 'wrong_sign_in' } });
    type('E-mail', 'sage@school.example');
    type('Password', 'another password');
    press('Sign in');
    expect(await screen.findAllByText('Refused: wrong_sign_in.')).toHaveLength(1);
    expect(screen.getByLabelText('E-mail')).toHaveProperty('value', 'sage@school.example');
    expect(screen.getByLabelText('Password')).toHaveProperty('value', 'another password');
  });

  test('says that the server did not answer', async () => {
    open({ '': 'lost' });
    type('E-mail', 'sage@school.example');
    press('Sign in');
    expect(await screen.findByText(/did not answer/)).toBeTruthy();
  });
});

describe('a new account', () => {
  test('says what is wrong at the field that it is about, and not once more below', async () => {
    const fields = [{ field: 'password', message: 'Use at least 10 characters.' }];
    const { asked } = open({ '': { refused: 400, code: 'invalid_fields', fields } });
    fireEvent.click(screen.getByRole('button', { name: /Open an account/ }));
    type(/Name your students/, 'Mx Sage');
    type('E-mail', 'sage@school.example');
    type(/Password/, 'short');
    press('Open an account');
    expect(await screen.findByText('Use at least 10 characters.')).toBeTruthy();
    expect(screen.queryByText('Refused: invalid_fields.')).toBeNull();
    expect(asked.at(-1)?.body).toMatchObject({ displayName: 'Mx Sage', timeZone: expect.any(String) });
  });
});
