import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { answering, type Answer, type Asked } from '../app/testing/answering.ts';
import { MakerProvider } from '../shared/outbox/index.ts';
import { VoteSheet } from './vote-sheet.tsx';

const POLL = {
  id: 'p',
  experimentId: 'e',
  prompt: 'Which is tallest?',
  choices: ['Plain', 'Half'],
  ownChoice: null,
};

beforeEach(() => localStorage.clear());
afterEach(cleanup);

function show(polls: object[], vote: Answer = {}): Asked[] {
  const asked = answering({ 'GET /api/device/polls': polls, 'PUT /api/device/votes/': vote });
  const client = new QueryClient({ defaultOptions: { mutations: { networkMode: 'always' } } });
  render(
    <QueryClientProvider client={client}>
      <MakerProvider value={{ owner: 'class k', studentId: 's', displayName: 'Ada' }}>
        <VoteSheet studentId="s" displayName="Ada" />
      </MakerProvider>
    </QueryClientProvider>,
  );
  return asked;
}

describe('the vote on a tablet', () => {
  test('is not there while nobody asks', async () => {
    const asked = show([]);
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(screen.queryByRole('region')).toBeNull();
  });

  test('takes a choice, can be put away and comes back', async () => {
    show([POLL]);
    fireEvent.click(await screen.findByRole('button', { name: 'Half' }));
    expect(await screen.findByText(/Your vote is kept/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Half' }).getAttribute('aria-pressed')).toBe('true');
    fireEvent.click(screen.getByRole('button', { name: 'Later' }));
    expect(screen.queryByRole('region')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'The vote' }));
    expect(screen.getByRole('region', { name: 'The vote' })).toBeTruthy();
  });
});
