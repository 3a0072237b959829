import { say as sayRefusals } from '@bright-sprout/words/refusals';
import type { SeedLotRequest, SeedLotView } from '@bright-sprout/contract/inventory';
import { STARTING_CROPS } from '@bright-sprout/core/design';
import { calendarDay } from '@bright-sprout/core/shared';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { LotLine } from './lot-line.tsx';
import { SeedLineUp } from './seed-line-up.tsx';

afterEach(cleanup);
Element.prototype.scrollIntoView = () => undefined;

const CROP = { ...STARTING_CROPS.find(({ id }) => id === 'oat')!, isOwn: false, measuredSpread: null };
const LOT: SeedLotView = {
  id: 'l',
  cropId: 'oat',
  cropName: 'Oat',
  name: 'Blue packet',
  germinationPercent: 80,
  depthMm: 20,
  daysToEmergence: { min: 4, max: 8 },
  spacingMm: null,
  seedsPerPacket: 60,
  packedOn: null,
  tests: [],
  experimentTests: [],
};

function show(changes: Partial<SeedLotView> = {}, refused?: string) {
  const sent: { method: string; body: SeedLotRequest }[] = [];
  globalThis.fetch = ((_: string, init: RequestInit) => {
    const body = JSON.parse((init.body as string | undefined) ?? '{}') as SeedLotRequest;
    sent.push({ method: init.method ?? '', body });
    const failure = {
      code: 'invalid_fields',
      message: 'No.',
      fields: [{ field: 'tests.0.up', message: refused }],
    };
    return Promise.resolve(
      new Response(JSON.stringify(refused ? failure : LOT), { status: refused ? 400 : 200 }),
    );
  }) as unknown as typeof fetch;
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { enabled: false } } })}>
      <MemoryRouter>
        <LotLine lot={{ ...LOT, ...changes }} crop={CROP} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return sent;
}

const testOf = (sown: number, up: number) => ({ on: calendarDay('2027-02-01'), sown, up });

describe('a packet', () => {
  test('says what to expect, and by whose word', () => {
    show();
    expect(document.body.textContent).toContain('Expect 80 of 100 to come up: by the packet.');
  });

  test('learns from tests by hand and on the shelf alike', () => {
    show({ tests: [testOf(20, 10)], experimentTests: [testOf(10, 6)] });
    // (8 + 10 + 6) of (10 + 20 + 10)
    expect(document.body.textContent).toContain('Expect 60 of 100 to come up, somewhere between');
    expect(screen.getByText(/10 of 20 up, tested/)).toBeTruthy();
    expect(screen.getByText(/6 of 10 up, packet test on the shelf/)).toBeTruthy();
  });

  test('takes a test with today’s day beside those it has', async () => {
    const sent = show({ tests: [testOf(20, 10)] });
    fireEvent.change(screen.getByLabelText(/sown in a test/), { target: { value: '30' } });
    fireEvent.change(screen.getByLabelText(/up in the test/), { target: { value: '12' } });
    fireEvent.click(screen.getByRole('button', { name: 'Add this test' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body.tests).toMatchObject([
      { sown: 20, up: 10 },
      { sown: 30, up: 12 },
    ]);
    expect(Object.keys(sent[0]!.body)).not.toContain('experimentTests');
  });

  test('says when more came up than were sown', async () => {
    show({}, 'No more can be up than were sown.');
    fireEvent.change(screen.getByLabelText(/sown in a test/), { target: { value: '3' } });
    fireEvent.change(screen.getByLabelText(/up in the test/), { target: { value: '4' } });
    fireEvent.click(screen.getByRole('button', { name: 'Add this test' }));
    expect((await screen.findByRole('alert')).textContent).toBe(sayRefusals('noMoreCanBeUpThanWere'));
  });

  test('is changed in a form that knows what it says', () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: 'Change' }));
    expect(screen.getByLabelText<HTMLInputElement>('Germination rate on the packet').value).toBe('80');
    expect(screen.getByLabelText<HTMLInputElement>('Packed on').value).toBe('');
  });
});

describe('the seeds', () => {
  test('stand in a row by size, to one scale, and arrows choose', () => {
    const crops = STARTING_CROPS.map((crop) => ({ ...crop, isOwn: false, measuredSpread: null }));
    const chosen: string[] = [];
    render(<SeedLineUp crops={crops} chosenId="oat" onChoose={(id) => chosen.push(id)} />);
    const seeds = screen.getAllByRole('radio');
    expect(seeds).toHaveLength(crops.length);
    const lengths = seeds.map((seed) =>
      Number(/([\d.]+) mm long/.exec(seed.getAttribute('aria-label') ?? '')?.[1] ?? Infinity),
    );
    expect(lengths).toEqual([...lengths].sort((a, b) => a - b));
    const widths = seeds.map((seed) => Number(seed.querySelector('ellipse')?.getAttribute('rx') ?? NaN));
    widths.forEach((width, index) => {
      if (!Number.isNaN(width)) expect(width / lengths[index]!).toBeCloseTo(3, 9);
    });
    fireEvent.keyDown(screen.getByRole('radiogroup'), { key: 'ArrowRight' });
    const at = seeds.findIndex((seed) => seed.getAttribute('data-crop') === 'oat');
    expect(chosen).toEqual([seeds[at + 1]!.getAttribute('data-crop')]);
  });
});
