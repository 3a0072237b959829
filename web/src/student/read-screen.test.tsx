import { say as sayStudent } from '@bright-sprout/words/student';
import type { StudentPotView } from '@bright-sprout/contract/student';
import { studentWords } from '@bright-sprout/core/words';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MakerProvider, outbox } from '../shared/outbox/index.ts';
import { ReadScreen } from './read-screen.tsx';
import { makerOf } from './use-keep-own.ts';

afterEach(cleanup);

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
  last: { day: '2027-03-01', state: 'emerged', value: 60 },
  own: null,
  isReadToday: false,
  others: [],
  sownOn: '2027-02-20',
  crop: null,
  readingErrorMm: null,
  isClosed: false,
};
const COUNT = { ...POT.variable, name: 'seeds up', kind: 'count' as const, unit: 'seeds', step: 1 };

const AT = {
  studentId: 's',
  displayName: 'Ada',
  device: {
    classId: 'c',
    className: '5b',
    readingLevel: '8-10' as const,
    asksPin: false,
    today: '2027-03-02',
    students: [],
    studentId: 's',
  },
};

interface Sent {
  readonly path: string;
  readonly body: Record<string, unknown>;
}

function show(pot: StudentPotView, answers: ('ok' | 'lost')[] = ['ok']) {
  const sent: Sent[] = [];
  globalThis.fetch = ((path: string, init: RequestInit) => {
    const body = JSON.parse(init.body as string) as Record<string, unknown>;
    sent.push({ path, body });
    if (answers[sent.length - 1] === 'lost') return Promise.reject(new Error('no network'));
    return Promise.resolve(new Response(JSON.stringify({ ...body, id: 'r', counts: true }), { status: 200 }));
  }) as unknown as typeof fetch;
  const onDone = jest.fn();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MakerProvider value={makerOf(AT)}>
        <ReadScreen
          pot={pot}
          at={AT}
          before={[]}
          words={studentWords('8-10')}
          onDone={onDone}
          onBack={jest.fn()}
        />
      </MakerProvider>
    </QueryClientProvider>,
  );
  return { sent, onDone };
}

const press = (name: string): boolean => fireEvent.click(screen.getByRole('button', { name }));

describe('reading a pot', () => {
  test('what cannot be read today is a reading too', async () => {
    const { sent, onDone } = show(POT);
    press('I cannot read it today');
    await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1));
    expect(sent[0]!.body).toMatchObject({
      unitId: 'u',
      state: 'not_read',
      value: null,
      observedOn: '2027-03-02',
    });
  });

  test('nothing where a plant stood is asked about once, and a pot that was never up is not', async () => {
    const { sent, onDone } = show(POT);
    press('Not up yet');
    expect(document.activeElement?.textContent).toBe(sayStudent('isItReallyGone'));
    expect(sent).toEqual([]);
    press('Look again');
    press('Not up yet');
    press('Not up yet');
    await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1));
    expect(sent.map(({ body }) => body)).toMatchObject([{ state: 'not_emerged', value: null }]);
    cleanup();
    const other = show({ ...POT, last: null });
    press('Not up yet');
    await waitFor(() => expect(other.onDone).toHaveBeenCalledTimes(1));
  });

  test('a death is asked about once, and whoever tells it is thanked', async () => {
    const { sent, onDone } = show(POT);
    press('It looks dead');
    expect(sent).toEqual([]);
    press('It looks dead');
    await screen.findByText(sayStudent('deadThanks'));
    expect(sent.map(({ body }) => body)).toMatchObject([{ state: 'dead', value: null }]);
    expect(onDone).not.toHaveBeenCalled();
    press('Go on');
    expect(onDone).toHaveBeenCalledTimes(1);
  });

  test('a height is asked for by the plan’s rule, compared with last time, and kept in mm', async () => {
    const { sent, onDone } = show(POT);
    press('Yes');
    const entry = screen.getByLabelText(sayStudent('howTallIsTheMarkedPlant'));
    fireEvent.change(entry, { target: { value: '5' } });
    expect(document.body.textContent).toContain(
      'That is 1.0 cm shorter than on Monday. Look again, or keep it.',
    );
    fireEvent.change(entry, { target: { value: '7.5' } });
    expect(document.body.textContent).toContain('1.5 cm more than on Monday.');
    press('Keep it');
    await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1));
    expect(sent[0]!.body).toMatchObject({
      state: 'emerged',
      value: 75,
      entered: '7.5',
      unitOfMeasure: 'cm',
      precision: 0.5,
    });
  });

  test('a value between two marks and one in another unit are said, and may be kept', () => {
    show(POT);
    press('Yes');
    const entry = screen.getByLabelText(/How tall/);
    fireEvent.change(entry, { target: { value: '6.2' } });
    expect(screen.getByText('Read to the nearest mark: 6.0 cm.')).toBeTruthy();
    fireEvent.change(entry, { target: { value: '2 1/4 in' } });
    expect(
      screen.getByText(/^Typed in inches, while this plan reads in centimetres: kept as 5\.5 cm\./),
    ).toBeTruthy();
    fireEvent.change(entry, { target: { value: '6.5' } });
    expect(screen.queryByText(/nearest mark|Typed in/)).toBeNull();
  });

  test('a 0 of a pot that was never up is asked about, and kept as not up yet', async () => {
    const { sent, onDone } = show({ ...POT, last: null });
    press('Yes');
    fireEvent.change(screen.getByLabelText(/How tall/), { target: { value: '0' } });
    expect(screen.getByText(/Nothing was up in this pot before/)).toBeTruthy();
    press('Yes, not up yet');
    await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1));
    expect(sent[0]!.body).toMatchObject({ state: 'not_emerged', value: null });
  });

  test('something that is no height is said, and nothing is sent', () => {
    const { sent } = show(POT);
    press('Yes');
    fireEvent.change(screen.getByLabelText(/How tall/), { target: { value: 'tall' } });
    press('Keep it');
    expect(document.querySelector('.field-problem')).not.toBeNull();
    expect(sent).toHaveLength(0);
  });

  test.each([
    ['green cover', '%', '12,5', 12.5],
    ['root length', 'mm', '34', 34],
    ['root direction', '°', '0', 0],
  ])('%s is typed, with decimals', async (name, unit, text, value) => {
    const variable = { ...POT.variable, name, kind: 'number' as const, unit, step: 1 };
    const { sent, onDone } = show({ ...POT, variable, last: null });
    press('Yes');
    press('Keep it');
    expect(document.querySelector('.field-problem')).not.toBeNull();
    fireEvent.change(screen.getByRole('textbox'), { target: { value: text } });
    press('Keep it');
    await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1));
    expect(sent[0]!.body).toMatchObject({ state: 'emerged', value, unitOfMeasure: unit });
  });

  test('a share beyond all of it is said, and nothing is sent', () => {
    const variable = { ...POT.variable, name: 'green cover', kind: 'number' as const, unit: '%', step: 1 };
    const { sent } = show({ ...POT, variable, last: null });
    press('Yes');
    fireEvent.change(screen.getByLabelText(sayStudent('howMuchIsGreen')), {
      target: { value: '101' },
    });
    press('Keep it');
    expect(screen.getByText('Type a number from 0 to 100 %.')).toBeTruthy();
    expect(sent).toHaveLength(0);
  });

  test('a count stays between one and the seeds sown', async () => {
    const { sent, onDone } = show({ ...POT, variable: COUNT, last: null });
    press('Yes');
    for (let times = 0; times < 9; times += 1) press('One more');
    expect(screen.getByRole('status').textContent).toBe('5');
    press('One less');
    press('Keep it');
    await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1));
    expect(sent[0]!.body).toMatchObject({ value: 4, unitOfMeasure: 'seeds', state: 'emerged' });
  });

  test('without network it waits on the device, and is sent under its id later', async () => {
    const { sent, onDone } = show({ ...POT, last: null }, ['lost', 'ok']);
    press('Not up yet');
    await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1));
    expect(outbox.items().map(({ label, studentId }) => [label, studentId])).toEqual([
      ['Ada, pot 4: not up yet', 's'],
    ]);
    const close = outbox.openFor('class c');
    await waitFor(() => expect(outbox.items()).toEqual([]));
    close();
    expect(sent[1]!.path).toBe(sent[0]!.path);
    expect(sent[1]!.body.made).toMatchObject({ studentId: 's' });
  });

  test('putting right names the reading that it corrects', async () => {
    const own = { id: 'old', state: 'emerged', value: 60 } as StudentPotView['own'];
    const { sent, onDone } = show({ ...POT, own });
    expect(screen.getByText(/You wrote 6\.0 cm/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText(/How tall/), { target: { value: '6.5' } });
    press('Keep it');
    await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1));
    expect(sent[0]!.body).toMatchObject({ supersedesId: 'old', value: 65 });
  });
});
