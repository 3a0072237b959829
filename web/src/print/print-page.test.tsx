import type { ExperimentView, PlanDocument } from '@bright-sprout/contract/plans';
import { startPlan, STARTING_CROPS } from '@bright-sprout/core/design';
import { calendarDay } from '@bright-sprout/core/shared';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { answering } from '../app/testing/answering.ts';
import { experimentOf, READINGS, VARIABLE } from '../comparison/testing/compared.ts';
import { classesQuery } from '../shared/api/index.ts';
import { ExperimentProvider, findingsOf } from '../shared/experiment/index.ts';
import PrintPage from './print-page.tsx';

beforeEach(() => {
  localStorage.clear();
  answering({});
});
afterEach(cleanup);

function open(sheet: string, changes: Partial<ExperimentView> = {}, day?: string): HTMLElement {
  const experiment = experimentOf(changes);
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(classesQuery.queryKey, [{ id: 'class', code: 'FERN42' }] as never[]);
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={[`/?sheet=${sheet}`]}>
        <ExperimentProvider
          value={{
            experiment,
            readings: READINGS,
            variable: VARIABLE,
            findings: findingsOf(READINGS, VARIABLE.id),
            day: day ?? experiment.today,
            setDay: () => undefined,
          }}
        >
          <PrintPage />
        </ExperimentProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return screen.getByRole('article');
}

describe('labels', () => {
  test('name each pot once, with its treatment, crop and team, also where a name looks like markup', () => {
    const labels = within(open('labels')).getAllByRole('listitem');
    expect(labels.map((label) => label.querySelector('.label-number')?.textContent)).toEqual(
      Array.from({ length: 18 }, (_, at) => String(at + 1)),
    );
    expect(labels[6]?.textContent).toContain('Some <b> · Sun');
    expect(labels[6]?.textContent).toContain('Oat · Newt');
  });

  test('name a crop once, and the day on which their pot was sown', () => {
    const [treatment, ...others] = experimentOf().treatments;
    const units = experimentOf().units.map((unit) => ({ ...unit, sownOn: '2027-03-08' }));
    open('labels', { treatments: [{ ...treatment!, name: 'Oat in the dark' }, ...others], units });
    const label = screen.getAllByRole('listitem').find((one) => one.textContent.includes('Oat in the dark'));
    expect(label!.textContent.match(/Oat/g)).toHaveLength(1);
    expect(label!.textContent).toMatch(/sown .*8 Mar/);
  });

  test('carry the way to their pot once a class runs the experiment, and say so before', () => {
    open('labels');
    expect(screen.getByText(/Give the experiment to a class/)).toBeTruthy();
    cleanup();
    const article = open('labels', { classId: 'class' });
    expect(within(article).getAllByAltText(/^Opens pot /)).toHaveLength(18);
    expect(screen.queryByText(/Give the experiment to a class/)).toBeNull();
  });
});

describe('kit cards', () => {
  test('give each team its pots, and count labels and seeds, of which one pot has more', () => {
    const units = experimentOf().units.map((unit, at) => (at === 0 ? { ...unit, seedsSown: 4 } : unit));
    const cards = within(open('kits', { units })).getAllByRole('heading', { level: 2 });
    expect(cards.map((card) => card.textContent)).toEqual(['Kit of Heron', 'Kit of Newt', 'Kit of Otter']);
    const newts = cards[1]?.closest('section');
    expect(newts?.textContent).toContain('6 pots, 6 labels, 9 seeds of Oat');
    expect(newts?.querySelectorAll('tbody tr')).toHaveLength(6);
  });

  test('are one for everybody without teams', () => {
    const units = experimentOf().units.map((unit) => ({ ...unit, team: '' }));
    expect(within(open('kits', { units })).getAllByRole('heading', { level: 2 })).toHaveLength(1);
    expect(screen.getByText('Kit for everybody')).toBeTruthy();
  });
});

describe('the recording sheet', () => {
  const firsts = (article: HTMLElement): (string | null)[] =>
    [...article.querySelectorAll('tbody tr')].map(
      (row) => row.querySelectorAll('td')[2]?.getAttribute('aria-label') ?? null,
    );

  test('has a row for each pot, its last value, and a change to fill in once there was one', () => {
    const article = open('recording');
    expect(article.querySelectorAll('tbody tr')).toHaveLength(18);
    expect(article.querySelector('tbody td')?.textContent).toMatch(/^\d+(\.\d)? cm$/);
    expect(new Set(firsts(article).slice(0, 17))).toEqual(new Set(['change']));
  });

  test('is for days on which the class meets, also after the last one that is planned', () => {
    const friday = calendarDay('2026-11-27');
    const plan = startPlan({
      ...{ kind: 'watch', question: 'Why?', crop: STARTING_CROPS[0]!, otherCrops: [] },
      ...{ sowOn: calendarDay('2026-11-02'), lessonOn: friday },
    });
    const article = open('recording', { plan: plan as PlanDocument }, friday);
    const days = [...article.querySelectorAll('thead tr:first-child th[colspan]')].map(
      (th) => th.textContent,
    );
    expect(days).toEqual(['Fri 27 Nov', 'Mon 30 Nov', 'Tue 1 Dec', 'Wed 2 Dec']);
  });

  test('greys the change that there cannot be at the first reading', () => {
    const article = open('recording', {}, experimentOf().sowOn);
    expect(new Set(firsts(article))).toEqual(new Set(['no change at the first reading']));
  });
});

describe('the card for the cold', () => {
  const planned = (coldDays: number): PlanDocument => {
    const plan = startPlan({
      ...{ kind: 'watch', question: 'Why?', crop: STARTING_CROPS[0]!, otherCrops: [] },
      ...{ sowOn: calendarDay('2026-12-14'), lessonOn: calendarDay('2027-01-18') },
    });
    return { ...plan, conditions: { ...plan.conditions, coldDays } } as PlanDocument;
  };

  test('says until when seeds lie there and that they are no food; it is offered where some do', () => {
    const card = open('cold', { plan: planned(28) });
    expect(card.textContent).toContain('Monday 14 December 2026');
    expect(card.textContent).toContain('28 days');
    expect(card.textContent).toContain('24 seeds');
    expect(card.textContent).toMatch(/Not food/);
    cleanup();
    open('labels', { plan: planned(0) });
    expect(screen.queryByRole('button', { name: 'Card for the fridge' })).toBeNull();
    cleanup();
    expect(open('cold', { plan: planned(0) }).textContent).toContain('no days in the cold');
  });
});

describe('row markers and paper', () => {
  test('are two for each row of each container, with the pots in it', () => {
    const markers = within(open('rows')).getAllByRole('listitem');
    expect(markers).toHaveLength(6);
    expect(markers[0]?.querySelectorAll('.marker-unit')).toHaveLength(6);
  });

  test('are on the paper that is chosen, also the next time', () => {
    open('labels');
    fireEvent.change(screen.getByLabelText('Paper'), { target: { value: 'letter' } });
    expect(screen.getByRole('article').className).toContain('paper-letter');
    cleanup();
    expect(open('kits').className).toContain('paper-letter');
  });
});
