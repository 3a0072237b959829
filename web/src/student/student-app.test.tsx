import { say as sayStudent } from '@bright-sprout/words/student';
import type { StudentIdeasView } from '@bright-sprout/contract/predictions';
import type { DeviceView, StudentPotView, StudentSowingView } from '@bright-sprout/contract/student';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { outbox } from '../shared/outbox/index.ts';
import StudentApp from './student-app.tsx';

const STUDENTS = [
  { id: 'ada', displayName: 'Ada', avatar: 'fox' },
  { id: 'ben', displayName: 'Ben', avatar: 'owl' },
] as unknown as DeviceView['students'];

const DOOR: DeviceView = {
  classId: 'c',
  className: '5b',
  readingLevel: '8-10',
  asksPin: false,
  today: '2027-03-02',
  students: STUDENTS,
  studentId: 'ada',
};

const POT: StudentPotView = {
  experimentId: 'e',
  teamId: null,
  question: 'Why?',
  unitId: 'u',
  number: 4,
  treatment: 'Plain',
  style: 0,
  habit: 'grass',
  seedsSown: 5,
  isSoilFree: false,
  plantRule: 'tagged',
  variable: { id: 'v', name: 'height', kind: 'length', unit: 'cm', step: 0.5 },
  last: null,
  own: null,
  isReadToday: false,
  others: [],
  sownOn: '2027-02-20',
  crop: null,
  readingErrorMm: null,
  isClosed: false,
};

const IDEA: StudentIdeasView = {
  experimentId: 'e',
  question: 'Does it matter?',
  prompt: 'Which grows tallest?',
  choices: ['Plain', 'Fed'],
  ownChoice: null,
  canGuess: true,
  measured: 4,
  evidence: ['Plain was 2 cm taller.'],
  own: null,
};

let answers: Record<string, () => unknown> = {};
let sent: { method: string; path: string; body: unknown }[] = [];

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
  sent = [];
  answers = {
    'GET /api/device': () => DOOR,
    'GET /api/device/pots': () => [POT],
    'GET /api/device/sowing': () => [],
    'GET /api/device/ideas': () => [IDEA],
  };
  globalThis.fetch = (async (path: string, init?: RequestInit) => {
    const method = init?.method ?? 'GET';
    if (method !== 'GET')
      sent.push({ method, path, body: JSON.parse((init?.body as string | undefined) ?? 'null') });
    const answer = answers[`${method} ${path}`];
    if (!answer)
      return method === 'GET'
        ? Response.json({ code: 'not_found', message: path, fields: [] }, { status: 404 })
        : new Response(null, { status: 204 });
    return Response.json(await answer());
  }) as unknown as typeof fetch;
});
afterEach(cleanup);

function open(client = new QueryClient({ defaultOptions: { queries: { retry: false } } })): QueryClient {
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <StudentApp />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return client;
}

const button = (name: string | RegExp) => screen.findByRole('button', { name });

describe('who is at the tablet', () => {
  test('the next student chooses a picture, and an answer on its way does not bring the last one back', async () => {
    const client = open();
    fireEvent.click(await button('Somebody else'));
    await client.refetchQueries({ queryKey: ['device', 'class'] });
    expect(screen.getByRole('heading', { name: 'Who are you?' })).toBeTruthy();

    answers['PUT /api/device/student'] = () => ({ ...DOOR, studentId: 'ben' });
    fireEvent.click(await button('Ben'));
    await screen.findByRole('heading', { name: 'Ben, your pots today' });
    expect(sent[0]!.body).toEqual({ studentId: 'ben' });
  });

  test('a reload does not bring the last student back either', async () => {
    open();
    fireEvent.click(await button('Somebody else'));
    cleanup();
    open();
    await screen.findByRole('heading', { name: 'Who are you?' });
    answers['PUT /api/device/student'] = () => DOOR;
    fireEvent.click(await button('Ada'));
    await screen.findByRole('heading', { name: 'Ada, your pots today' });
    cleanup();
    open();
    await screen.findByRole('heading', { name: 'Ada, your pots today' });
  });

  test('nothing can be pressed before everything that pushes it down is there', async () => {
    let come = (): void => undefined;
    answers['GET /api/device/pots'] = () => new Promise((resolve) => (come = () => resolve([POT])));
    open();
    await screen.findByRole('heading', { name: 'Ada, your pots today' });
    expect(screen.queryByRole('button', { name: sayStudent('practiseReadingARuler') })).toBeNull();
    await waitFor(() => {
      come();
      expect(screen.getByRole('button', { name: sayStudent('practiseReadingARuler') })).toBeTruthy();
    });
    expect(screen.getByRole('button', { name: /to do$/ })).toBeTruthy();
  });

  test('a class without students says whom to ask; a class with a PIN asks for it', async () => {
    answers['GET /api/device'] = () => ({ ...DOOR, studentId: null, students: [] });
    open();
    await screen.findByText(sayStudent('nobodyIsInThisClassYetAsk'));
    cleanup();

    answers['GET /api/device'] = () => ({ ...DOOR, studentId: null, asksPin: true });
    open();
    fireEvent.click(await button('Ada'));
    const pin = screen.getByRole('textbox', { name: 'PIN' });
    fireEvent.change(pin, { target: { value: '12a' } });
    expect(pin).toHaveProperty('value', '12');
    expect(screen.getByRole('button', { name: 'Go on' })).toHaveProperty('disabled', true);
    fireEvent.change(pin, { target: { value: '1234' } });
    fireEvent.submit(pin.closest('form')!);
    await waitFor(() => expect(sent[0]?.body).toEqual({ studentId: 'ada', pin: '1234' }));
  });

  test('a picture can be chosen without network: its pots are the team’s, and the choice is sent before the rest', async () => {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    const own = { id: 'r', value: 30, state: 'emerged', variableId: 'v' } as StudentPotView['own'];
    client.setQueryData(['device', 'pots', 'ada'], [{ ...POT, own, isReadToday: false }]);
    open(client);
    fireEvent.click(await button('Somebody else'));
    const network = globalThis.fetch;
    globalThis.fetch = () => Promise.reject(new TypeError('Failed to fetch'));
    fireEvent.click(await button('Ben'));
    await screen.findByRole('heading', { name: 'Ben, your pots today' });
    fireEvent.click(await button(/^4/));
    fireEvent.click(await button(/not up|nothing/i));
    await waitFor(() =>
      expect(outbox.items().map(({ route }) => route)).toEqual(['chooseStudent', 'keepPot']),
    );
    globalThis.fetch = network;
    answers['PUT /api/device/student'] = () => ({ ...DOOR, studentId: 'ben' });
    await act(() => outbox.flush());
    await waitFor(() => expect(outbox.items()).toEqual([]));
    expect(sent.map(({ path }) => path.split('/')[3])).toEqual(['student', 'readings']);
    expect(sent[1]!.body).toMatchObject({ unitId: 'u', supersedesId: null, made: { studentId: 'ben' } });
  });
});

describe('what a student thinks', () => {
  test('a guess is one press', async () => {
    open();
    fireEvent.click(await button('What we think'));
    fireEvent.click(await button('Fed'));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ choice: 'Fed', experimentId: 'e', made: { studentId: 'ada' } });
  });

  test('a guess that can no longer change is only shown', async () => {
    answers['GET /api/device/ideas'] = () => [{ ...IDEA, canGuess: false, ownChoice: 'Plain' }];
    open();
    fireEvent.click(await button('What we think'));
    await screen.findByText('You guessed: Plain.');
    expect(screen.queryByRole('button', { name: 'Fed' })).toBeNull();
  });
});

describe('sowing day on a tablet', () => {
  const sowing = {
    experimentId: 'e',
    question: 'Why?',
    steps: [{ text: 'Fill the pots.', minutes: null }],
    pots: [
      {
        unitId: 'u',
        number: 4,
        treatment: 'Plain',
        style: 0,
        crop: 'Oat',
        propagule: 'seed',
        seeds: 3,
        gets: '',
        sowingGets: '',
        waterMl: 20,
        items: ['seeds', 'depth', 'treatment', 'label'],
        ticked: ['seeds', 'depth', 'treatment'],
        note: '',
      },
      {
        unitId: 'w',
        number: 5,
        treatment: 'Fed',
        style: 1,
        crop: 'Oat',
        propagule: 'seed',
        seeds: 3,
        gets: '',
        sowingGets: '',
        waterMl: 20,
        items: ['seeds', 'depth', 'treatment', 'label'],
        ticked: [],
        note: '',
      },
    ],
  } as unknown as StudentSowingView;

  test('ticks are sent pot by pot, with the caution in sight', async () => {
    answers['GET /api/device/sowing'] = () => [sowing];
    open();
    fireEvent.click(await button('Sow 2 pots today'));
    await screen.findByText('0 of 2 pots are ready.');
    expect(screen.getByText(/Nobody tastes seeds or soil/)).toBeTruthy();
    const labels = screen.getAllByRole('button', { name: /Label in place/ });
    fireEvent.click(labels[0]!);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ unitIds: ['u'], item: 'label', isDone: true });
  });
});
