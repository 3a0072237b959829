import { say as sayApp } from '@bright-sprout/words/app';
import { afterEach, describe, expect, test } from '@jest/globals';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { App } from './app.tsx';
import { makeQueryClient } from './query-client.ts';
import { type Answer, answering, TEACHER } from './testing/answering.ts';

afterEach(cleanup);

function open(path: string, answers: Record<string, Answer>) {
  const asked = answering(answers);
  const queryClient = makeQueryClient();
  render(
    <QueryClientProvider client={queryClient}>
      <MemoryRouter initialEntries={[path]}>
        <App />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return asked;
}

describe('the application', () => {
  test('asks who is not signed in to sign in, whatever the address', async () => {
    open('/experiments/e/plan', { 'GET /api/session': { refused: 401, code: 'not_signed_in' } });
    expect(await screen.findByRole('heading', { name: 'Sign in' })).toBeTruthy();
  });

  test('does not take a server that fails for being signed out, and tries again when asked', async () => {
    const asked = open('/', { 'GET /api/session': { refused: 503, code: 'database_unavailable' } });
    const again = await screen.findByRole('button', { name: 'Try again' });
    expect(screen.queryByLabelText('Password')).toBeNull();
    const before = asked.length;
    fireEvent.click(again);
    await screen.findByRole('button', { name: 'Try again' });
    expect(asked.length).toBeGreaterThan(before);
  });

  test('says that nothing is at an address, with the places that there are', async () => {
    open('/nowhere', { 'GET /api/session': TEACHER });
    expect(await screen.findByText(sayApp('thereIsNothingAtThisAddress'))).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Shelf' }).getAttribute('href')).toBe('/');
  });

  test('says that an experiment of somebody else is not on the shelf', async () => {
    open('/experiments/e/plan', {
      'GET /api/session': TEACHER,
      'GET /api/experiments/e': { refused: 404, code: 'not_found' },
    });
    expect(
      await screen.findByRole('heading', { name: sayApp('thisExperimentIsNotOnYourShelf') }),
    ).toBeTruthy();
    expect(screen.getByRole('link', { name: 'To the shelf' })).toBeTruthy();
  });
});
