import { MutationCache, QueryCache, QueryClient } from '@tanstack/react-query';
import { ApiFailure, sessionQuery, keys } from '../shared/api/index.ts';

const FRESH_MS = 5000;

/** The store of fetched data; an ended session brings the sign-in back. */
export function makeQueryClient(): QueryClient {
  const onError = (error: unknown): void => {
    if (error instanceof ApiFailure && error.body.code === 'not_joined') {
      if (client.getQueryData(keys.ofDevice('class')))
        void client.resetQueries({ queryKey: keys.ofDevice('class') });
    }
    if (error instanceof ApiFailure && error.body.code === 'not_signed_in') {
      if (client.getQueryData(sessionQuery.queryKey))
        void client.resetQueries({ queryKey: sessionQuery.queryKey });
    }
  };
  const client: QueryClient = new QueryClient({
    queryCache: new QueryCache({ onError }),
    mutationCache: new MutationCache({ onError }),
    defaultOptions: {
      queries: {
        staleTime: FRESH_MS,
        retry: (count, error) =>
          count < 2 &&
          !(
            error instanceof ApiFailure &&
            error.body.code !== 'server_error' &&
            error.body.code !== 'database_unavailable'
          ),
      },
      mutations: { networkMode: 'always' },
    },
  });
  return client;
}
