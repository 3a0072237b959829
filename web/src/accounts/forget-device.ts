import type { QueryClient } from '@tanstack/react-query';
import { sessionQuery } from '../shared/api/index.ts';
import { forgetQueries } from '../shared/offline/index.ts';

/** Takes everything of an account off this device, and begins anew. */
export async function forgetDevice(queries: QueryClient): Promise<void> {
  await forgetQueries();
  queries.clear();
  forgetStored(sessionStorage);
  forgetStored(localStorage);
  void queries.invalidateQueries({ queryKey: sessionQuery.queryKey });
  window.location.assign('/');
}

const OURS = 'bright-sprout.';

/** A plan or a lesson that could not be sent yet waits for its teacher to come back. */
const UNSENT = 'unsaved';

/** Choices, half-typed cells and plans: what a browser keeps under our name. */
function forgetStored(store: Storage): void {
  for (const name of Object.keys(store))
    if (name.startsWith(OURS) && !name.includes(UNSENT)) store.removeItem(name);
}
