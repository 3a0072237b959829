import { type ClassView, OFFER_ERASURE_AFTER_DAYS } from '@bright-sprout/contract/classes';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { answering } from '../app/testing/answering.ts';
import { classesQuery } from '../shared/api/index.ts';
import ClassesPage from './classes-page.tsx';
import { CLASS } from './testing/class-view.ts';

afterEach(cleanup);

function show(changes: Partial<ClassView>): void {
  answering({ 'GET /api/network': { origins: [] } });
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  client.setQueryData(classesQuery.queryKey, [{ ...CLASS, ...changes }]);
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <ClassesPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

const daysAgo = (days: number): string => new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10);

const offered = (): boolean => screen.queryByText(/Nothing has been planned in this class since/) !== null;

describe('a class in which nothing was planned', () => {
  test('for longer than names are needed is offered for removal', () => {
    show({ quietSince: daysAgo(OFFER_ERASURE_AFTER_DAYS + 2) });
    expect(offered()).toBe(true);
  });

  test('for less long is not', () => {
    show({ quietSince: daysAgo(OFFER_ERASURE_AFTER_DAYS - 2) });
    expect(offered()).toBe(false);
  });

  test('that another teacher owns is not, as only the owner removes it', () => {
    show({
      quietSince: daysAgo(OFFER_ERASURE_AFTER_DAYS + 2),
      shared: { may: 'change', by: 'Mx Fennel', through: 'class' },
    });
    expect(offered()).toBe(false);
  });
});
