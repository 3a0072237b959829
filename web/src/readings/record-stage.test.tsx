import { say as sayReadings } from '@bright-sprout/words/readings';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { MemoryRouter } from 'react-router';
import { experimentOf, READINGS, VARIABLE } from '../comparison/testing/compared.ts';
import { readingsQuery } from '../shared/api/index.ts';
import { ExperimentProvider, findingsOf } from '../shared/experiment/index.ts';
import { MakerProvider, outbox, useWithWaiting } from '../shared/outbox/index.ts';
import RecordStage from './record-stage.tsx';

const EXPERIMENT = experimentOf();
const TODAY = EXPERIMENT.today;
const BEFORE = READINGS.filter(({ observedOn }) => observedOn < TODAY);

interface Sent {
  readonly path: string;
  readonly body: Record<string, unknown>;
}

let sent: Sent[] = [];
let release: (() => void)[] = [];
let isHeld = false;

beforeEach(() => {
  sent = [];
  release = [];
  isHeld = false;
  globalThis.fetch = ((path: string, init?: RequestInit) => {
    if ((init?.method ?? 'GET') === 'GET') return Promise.resolve(Response.json([]));
    const body = JSON.parse(init?.body as string) as Record<string, unknown>;
    sent.push({ path, body });
    const kept: ReadingView = {
      ...READINGS[0]!,
      ...(body as unknown as ReadingView),
      id: path.split('/').at(-1)!,
    };
    const answer = (): Response => Response.json(kept);
    return isHeld
      ? new Promise((resolve) => release.push(() => resolve(answer())))
      : Promise.resolve(answer());
  }) as unknown as typeof fetch;
});
afterEach(async () => {
  cleanup();
  for (const item of outbox.items()) await outbox.discard(item.id);
});

/** The stage over readings that change as they do in the application. */
function Opened({ view }: { view: string }) {
  const readings = useWithWaiting(useQuery(readingsQuery('e')).data ?? [], 'e');
  const [day, setDay] = useState<string>(TODAY);
  return (
    <MemoryRouter initialEntries={[`/?view=${view}`]}>
      <button type="button" onClick={() => setDay(EXPERIMENT.sowOn)}>
        the day before
      </button>
      <ExperimentProvider
        value={{
          experiment: EXPERIMENT,
          readings,
          variable: VARIABLE,
          findings: findingsOf(readings, VARIABLE.id),
          day,
          setDay,
        }}
      >
        <RecordStage />
      </ExperimentProvider>
    </MemoryRouter>
  );
}

function open(view = 'pots', readings: readonly ReadingView[] = BEFORE): void {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(readingsQuery('e').queryKey, [...readings]);
  render(
    <QueryClientProvider client={client}>
      <MakerProvider value={{ owner: 'teacher t', studentId: null, displayName: 'Mx Trial' }}>
        <Opened view={view} />
      </MakerProvider>
    </QueryClientProvider>,
  );
}

const pot = (number: number) => screen.getByRole('button', { name: new RegExp(`^Pot ${number}, `) });
const height = () => screen.getByRole('textbox', { name: /How tall/ });
const isAt = (number: number) => screen.getByRole('region', { name: `Read pot ${number}` });
const type = (text: string): void => {
  fireEvent.change(height(), { target: { value: text } });
  fireEvent.submit(height().closest('form')!);
};

describe('reading pot by pot', () => {
  test('opens on the first pot to read, and goes on once a reading is kept', async () => {
    open();
    isAt(1);
    type('7,2');
    await waitFor(() => isAt(2));
    expect(height()).toHaveProperty('value', '');
    expect(sent).toHaveLength(1);
    expect(sent[0]!.body).toMatchObject({ unitId: 'u1', state: 'emerged', value: 72, entered: '7,2' });
    expect(pot(1).getAttribute('aria-label')).toContain('7.2 cm');
  });

  test('who points at a pot while its reading is on its way stays there', async () => {
    isHeld = true;
    open();
    type('7');
    await waitFor(() => expect(release).toHaveLength(1));
    fireEvent.click(pot(1));
    release[0]!();
    await screen.findByRole('button', { name: sayReadings('readItASecondTime') });
    isAt(1);
  });

  test('what is typed for the next pot is not lost when the last one arrives', async () => {
    isHeld = true;
    open();
    type('7');
    await waitFor(() => expect(release).toHaveLength(1));
    fireEvent.click(pot(2));
    fireEvent.change(height(), { target: { value: '6.5' } });
    release[0]!();
    await waitFor(() => expect(outbox.items()).toHaveLength(0));
    isAt(2);
    expect(height()).toHaveProperty('value', '6.5');
  });

  test('the last pot shows what was kept, and another day opens on its own first pot', async () => {
    open(
      'pots',
      READINGS.filter(({ unitId, observedOn }) => observedOn < TODAY || unitId !== 'u18'),
    );
    isAt(18);
    fireEvent.click(screen.getByRole('button', { name: 'Not up yet' }));
    await screen.findByRole('button', { name: sayReadings('readItASecondTime') });
    expect(screen.getByText('18 of 18 done on Sat 23 May')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'the day before' }));
    isAt(1);
  });

  test('a height that is no length is not sent, and says so', () => {
    open();
    type('tall');
    expect(document.querySelector('.field-problem')?.textContent).toBeTruthy();
    expect(sent).toHaveLength(0);
  });

  test('a second reading keeps the first, and a correction replaces the one it names', async () => {
    open();
    type('7');
    await waitFor(() => isAt(2));
    fireEvent.click(pot(1));
    fireEvent.click(screen.getByRole('button', { name: sayReadings('readItASecondTime') }));
    type('8');
    await waitFor(() => expect(sent).toHaveLength(2));
    await waitFor(() => isAt(2));
    expect(sent[1]!.body.supersedesId).toBeNull();
    expect(pot(1).getAttribute('aria-label')).toContain('7.5 cm');
    fireEvent.click(pot(1));
    fireEvent.click(screen.getAllByRole('button', { name: 'Correct' })[0]!);
    type('9');
    await waitFor(() => expect(sent).toHaveLength(3));
    expect(sent[2]!.body.supersedesId).toBe(sent[0]!.path.split('/').at(-1));
    await waitFor(() => expect(pot(1).getAttribute('aria-label')).toContain('8.5 cm'));
  });
});

describe('the fast sheet', () => {
  const cell = (number: number) =>
    screen.getByRole<HTMLInputElement>('textbox', { name: `Pot ${number}, height` });

  test('a cell is kept when it is left, and nothing is sent twice', async () => {
    open('sheet');
    fireEvent.change(cell(1), { target: { value: '6.1' } });
    fireEvent.blur(cell(1));
    await waitFor(() => expect(cell(1).closest('td')!.className).toBe('is-kept'));
    fireEvent.focus(cell(1));
    fireEvent.blur(cell(1));
    expect(sent.map(({ body }) => [body.unitId, body.value])).toEqual([['u1', 61]]);
  });

  test('Enter goes down, Shift and Enter up; a state has its key', async () => {
    open('sheet');
    cell(3).focus();
    fireEvent.keyDown(cell(3), { key: 'Enter' });
    expect(document.activeElement).toBe(cell(4));
    fireEvent.keyDown(cell(4), { key: 'Enter', shiftKey: true });
    expect(document.activeElement).toBe(cell(3));
    fireEvent.change(cell(3), { target: { value: 'd' } });
    fireEvent.blur(cell(3));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ unitId: 'u3', state: 'dead', value: null });
  });

  test('changing a kept cell is a correction of it', async () => {
    open('sheet', READINGS);
    const kept = READINGS.find(({ unitId, observedOn }) => unitId === 'u2' && observedOn === TODAY)!;
    fireEvent.change(cell(2), { target: { value: '5' } });
    fireEvent.blur(cell(2));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ value: 50, supersedesId: kept.id });
  });

  test('what makes no sense stays in its cell with words, and is not sent', () => {
    open('sheet');
    fireEvent.change(cell(5), { target: { value: '12 apples' } });
    fireEvent.blur(cell(5));
    expect(cell(5).getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(cell(5).getAttribute('aria-describedby')!)?.textContent).toBeTruthy();
    expect(sent).toHaveLength(0);
  });

  test('filling down leaves what is there', async () => {
    open(
      'sheet',
      READINGS.filter(({ unitId, observedOn }) => observedOn < TODAY || unitId === 'u17'),
    );
    fireEvent.change(cell(15), { target: { value: '4' } });
    fireEvent.blur(cell(15));
    fireEvent.click(screen.getByRole('button', { name: 'Fill down' }));
    await waitFor(() => expect(sent).toHaveLength(3));
    expect(sent.map(({ body }) => body.unitId).sort()).toEqual(['u15', 'u16', 'u18']);
  });

  test('a pasted block is shown first, with what does not fit, and kept when taken', async () => {
    open('sheet');
    fireEvent.paste(cell(17), { clipboardData: { getData: () => '3.1\nsoon\n3.3' } });
    expect(sent).toHaveLength(0);
    const preview = screen.getByRole('dialog');
    expect(preview.textContent).toContain('soon');
    fireEvent.click(screen.getByRole('button', { name: 'Put them in' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ unitId: 'u17', value: 31 });
  });
});
