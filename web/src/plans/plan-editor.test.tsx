import type { ExperimentView, PlanDocument } from '@bright-sprout/contract/plans';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { act, cleanup, screen, waitFor } from '@testing-library/react';
import { useEffect } from 'react';
import { type PlanEditor, usePlanEditor } from './plan-editor.tsx';
import { draftOf, renderPart } from './testing/render-part.tsx';

beforeEach(() => localStorage.clear());
afterEach(cleanup);

let editor: PlanEditor;

/** Shows how the plan stands, and lets the test change it. */
function Probe() {
  const shown = usePlanEditor();
  useEffect(() => {
    editor = shown;
  });
  return (
    <p>
      {shown.state}, {shown.plan.question}, {shown.plan.hypothesis}, {shown.conflict.join()}
    </p>
  );
}

/** A server that holds one plan and takes only changes of its version, each when it is let. */
class SlowServer {
  #now: ExperimentView;
  readonly #waiting: (() => void)[] = [];
  refused = 0;

  constructor(experiment: ExperimentView) {
    this.#now = experiment;
    globalThis.fetch = ((path: string, init?: RequestInit) => {
      if (init?.method !== 'PUT') return Promise.resolve(Response.json(this.#now));
      return new Promise<Response>((resolve) => {
        const body = JSON.parse(init.body as string) as PlanDocument & { version: number };
        this.#waiting.push(() => resolve(this.#take(body)));
      });
    }) as unknown as typeof fetch;
  }

  get question(): string {
    return this.#now.plan?.question ?? '';
  }

  /** Answers the request that waits longest. */
  async answer(): Promise<void> {
    await waitFor(() => expect(this.#waiting.length).toBeGreaterThan(0));
    await act(() => Promise.resolve(this.#waiting.shift()?.()));
  }

  /** Another window changes the plan. */
  change(changes: Partial<PlanDocument>): void {
    this.#now = {
      ...this.#now,
      plan: { ...(this.#now.plan as PlanDocument), ...changes },
      version: this.#now.version + 1,
    };
  }

  #take({ version, ...plan }: PlanDocument & { version: number }): Response {
    if (version !== this.#now.version) {
      this.refused += 1;
      return Response.json({ code: 'changed_elsewhere', message: 'Changed.', fields: [] }, { status: 409 });
    }
    this.change(plan);
    return Response.json(this.#now);
  }
}

function open(): SlowServer {
  const draft = draftOf('one_factor');
  renderPart(<Probe />, draft);
  return new SlowServer(draft);
}

test('what is typed on while a save is on its way is saved on top of it, and nobody is asked', async () => {
  const server = open();
  for (const question of ['One?', 'Two?', 'Three?']) act(() => editor.apply({ question }));
  for (let time = 0; time < 3; time += 1) await server.answer();
  await screen.findByText('saved, Three?, ,');
  expect([server.question, server.refused]).toEqual(['Three?', 0]);
});

test('another part that another window changed is taken in with the next save', async () => {
  const server = open();
  server.change({ hypothesis: 'Theirs.' });
  act(() => editor.apply({ question: 'Mine?' }));
  await server.answer();
  await server.answer();
  await screen.findByText('saved, Mine?, Theirs.,');
  expect(server.refused).toBe(1);
});

test('the same part is asked, and what was chosen stands', async () => {
  const server = open();
  server.change({ question: 'Theirs?' });
  act(() => editor.apply({ question: 'Mine?' }));
  await server.answer();
  await screen.findByText('failed, Mine?, , question');
  act(() => editor.settle('theirs'));
  await server.answer();
  await server.answer();
  await screen.findByText('saved, Theirs?, ,');
});
