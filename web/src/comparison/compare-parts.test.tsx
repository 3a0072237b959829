import { say as sayComparison } from '@bright-sprout/words/comparison';
import type { ConclusionView, PredictionView } from '@bright-sprout/contract/predictions';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { describe, expect, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { conclusionsQuery, predictionsQuery } from '../shared/api/index.ts';
import { ExperimentProvider, findingsOf } from '../shared/experiment/index.ts';
import { MakerProvider } from '../shared/outbox/index.ts';
import { CompareProvider } from './compare-context.tsx';
import { ComparisonTables } from './comparison-tables.tsx';
import { ConclusionPanel } from './conclusion-panel.tsx';
import { Controls } from './controls.tsx';
import { MissingMap } from './missing-map.tsx';
import { PlainTable, testRow } from './parts.tsx';
import { PredictionsTab } from './predictions-tab.tsx';
import { compared, experimentOf, READINGS, SOWN, STYLE, VARIABLE } from './testing/compared.ts';

interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

function show(
  part: ReactNode,
  {
    experiment = experimentOf(),
    readings = READINGS,
    guesses = [],
    conclusions = [],
    chosen = [],
  }: {
    experiment?: ExperimentView;
    readings?: readonly ReadingView[];
    guesses?: PredictionView[];
    conclusions?: ConclusionView[];
    chosen?: readonly string[];
  } = {},
): Sent[] {
  const sent: Sent[] = [];
  globalThis.fetch = ((path: string, init?: RequestInit) => {
    const method = init?.method ?? 'GET';
    if (method !== 'GET') {
      sent.push({ method, path, body: JSON.parse((init?.body as string | undefined) ?? 'null') });
      return Promise.resolve(new Response(null, { status: 204 }));
    }
    const answer = path.includes('/comparison')
      ? compared()
      : path.includes('/predictions')
        ? guesses
        : conclusions;
    return Promise.resolve(new Response(JSON.stringify(answer), { status: 200 }));
  }) as unknown as typeof fetch;
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(predictionsQuery('e').queryKey, guesses);
  client.setQueryData(conclusionsQuery('e').queryKey, conclusions);
  const open = {
    experiment,
    readings,
    variable: VARIABLE,
    findings: findingsOf(readings, VARIABLE.id),
    day: '2026-05-23',
    setDay: () => undefined,
  } as const;
  const choices = {
    variable: VARIABLE,
    level: '11-13',
    rule: 'only_up',
    summary: 'day',
    groupBy: 'treatment',
    per: 'as_read',
    chosen: new Set(chosen),
  } as const;
  render(
    <QueryClientProvider client={client}>
      <MakerProvider value={{ owner: 'teacher t', studentId: null, displayName: 'Mx Trial' }}>
        <MemoryRouter>
          <ExperimentProvider value={open}>
            <CompareProvider value={choices}>{part}</CompareProvider>
          </ExperimentProvider>
        </MemoryRouter>
      </MakerProvider>
    </QueryClientProvider>,
  );
  return sent;
}

describe('what is missing', () => {
  const changed = READINGS.map((reading): ReadingView => {
    if (reading.unitId === 'u1' && reading.observedOn === '2026-05-13')
      return { ...reading, setAside: 'slip', counts: false };
    if (reading.unitId === 'u2' && reading.observedOn === '2026-05-15')
      return { ...reading, state: 'dead', value: null };
    return reading;
  }).filter(
    ({ unitId, observedOn }) =>
      !(unitId === 'u2' && observedOn > '2026-05-15') && !(unitId === 'u3' && observedOn === '2026-05-17'),
  );

  test('each pot and day is a value, a state, set aside, gone or not read', () => {
    show(<MissingMap />, { readings: changed });
    const cell = (title: string | RegExp) => screen.getByTitle(title).className;
    expect(cell(/^Pot 1, Wed 13 May: .*set aside$/)).toBe('cell-aside');
    expect(cell('Pot 2, Fri 15 May: dead')).toBe('cell-dead');
    expect(cell('Pot 2, Sun 17 May: nothing left to read')).toBe('cell-gone');
    expect(cell('Pot 3, Sun 17 May: nobody read')).toBe('cell-none');
    expect(cell('Pot 18, Sat 23 May: not up yet')).toBe('cell-not_emerged');
  });

  test('shows the pots pointed out only, and nothing before anything is read', () => {
    show(<MissingMap />, { chosen: ['u4', 'u5'] });
    expect(screen.getAllByRole('rowheader').map((head) => head.textContent.trim())).toEqual(['4', '5']);
  });
});

describe('predictions', () => {
  const plan = {
    factors: [],
    prediction: {
      prompt: 'Which will be tallest?',
      choices: ['Plain · Sun', 'Much · Sun', 'No difference that we can see'],
    },
  };
  const experiment = experimentOf({ plan: plan as unknown as ExperimentView['plan'] });
  const guess = (choice: string, isEarly = true): PredictionView => ({
    id: `${choice} ${isEarly}`,
    choice,
    observer: 'Arlo',
    madeAt: '2026-05-04T08:00:00Z',
    isEarly,
  });

  test('counts guesses without any name, and what the pots say', async () => {
    show(<PredictionsTab />, { experiment, guesses: [guess('Much · Sun'), guess('Plain · Sun', false)] });
    expect(screen.getByText('2 guesses, 1 of them before anything was up.')).toBeTruthy();
    expect(document.body.textContent).not.toContain('Arlo');
    await waitFor(() => expect(document.querySelector('.is-found')?.textContent).toContain('Much · Sun'));
    expect(screen.getByText(/^Largest so far: Much · Sun/)).toBeTruthy();
  });

  test('hands are counted up and down', async () => {
    const sent = show(<PredictionsTab />, { experiment, guesses: [guess('Much · Sun')] });
    fireEvent.click(screen.getByRole('button', { name: 'One more for Plain · Sun' }));
    await waitFor(() => expect(sent).toMatchObject([{ method: 'PUT', body: { choice: 'Plain · Sun' } }]));
    expect(
      screen.getByRole<HTMLButtonElement>('button', { name: 'One fewer for Plain · Sun' }).disabled,
    ).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'One fewer for Much · Sun' }));
    await waitFor(() => expect(sent[1]?.method).toBe('DELETE'));
  });

  test('without a question it says where to write one; a finished experiment takes no more', () => {
    show(<PredictionsTab />);
    expect(screen.getByText(sayComparison('noQuestionToGuessAt'))).toBeTruthy();
    show(<PredictionsTab />, { experiment: { ...experiment, status: 'finished' } });
    expect(screen.queryByRole('button', { name: /One more/ })).toBeNull();
  });
});

describe('conclusions', () => {
  test('evidence is drafted, overclaiming is met kindly, and what is written is sent', async () => {
    const sent = show(<ConclusionPanel evidence={['Plain: 3 pots.', 'Much: 3 pots.']} />);
    fireEvent.click(screen.getByRole('button', { name: 'Write a conclusion' }));
    const claim = screen.getByLabelText('What we claim');
    fireEvent.change(claim, { target: { value: 'This proves it.' } });
    expect(screen.getByText(/does not prove it/)).toBeTruthy();
    fireEvent.change(claim, { target: { value: 'Feed went with taller oats.' } });
    expect(screen.queryByText(/does not prove it/)).toBeNull();
    expect(screen.getByLabelText<HTMLTextAreaElement>(/The evidence/).value).toBe(
      'Plain: 3 pots.\nMuch: 3 pots.',
    );
    fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    await waitFor(() =>
      expect(sent[0]?.body).toEqual({
        claim: 'Feed went with taller oats.',
        reasoning: '',
        evidence: 'Plain: 3 pots.\nMuch: 3 pots.',
      }),
    );
  });

  test('an empty claim cannot be kept; those of others stand with their notes', () => {
    const kept: ConclusionView = {
      id: 'k',
      claim: 'Feed always helps.',
      evidence: 'Means.',
      reasoning: 'It feeds.',
      observer: 'Kofi',
      isStudent: true,
      writtenAt: '2026-05-23T10:00:00Z',
    };
    show(<ConclusionPanel evidence={[]} />, { conclusions: [kept] });
    expect(screen.getByText(/These pots were one class/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Write a conclusion' }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep it' }).disabled).toBe(true);
  });
});

describe('choices and tables', () => {
  const nothing = () => undefined;
  const controls = (
    <Controls
      setVariableId={nothing}
      setLevel={nothing}
      setRule={nothing}
      setSummary={nothing}
      setGroupBy={nothing}
      setPer={nothing}
    />
  );

  test('ways to sort are those that the design has', () => {
    show(controls);
    const options = within(screen.getByLabelText('Sorted by')).getAllByRole('option');
    expect(options.map((option) => option.textContent)).toEqual(['treatment', 'feed', 'light', 'team']);
    expect(screen.queryByLabelText('Counted')).toBeNull();
  });

  test('a plain design has nothing to sort by, a density plan counts plants or pots', () => {
    const plan = { factors: [{ aspect: 'density' }] } as unknown as ExperimentView['plan'];
    const experiment = experimentOf({
      factors: [],
      units: experimentOf().units.map((unit) => ({ ...unit, team: '' })),
      plan,
    });
    show(controls, { experiment });
    expect(screen.queryByLabelText('Sorted by')).toBeNull();
    expect(screen.getByLabelText('Counted')).toBeTruthy();
  });

  test('the table of figures names every pair, and says why a figure is not there', () => {
    const comparison = compared();
    const groups = comparison.groups.map((group, at) =>
      at === 0
        ? {
            ...group,
            description: { ...group.description, sd: { defined: false, reason: 'one_value' } as const },
          }
        : group,
    );
    show(<ComparisonTables comparison={{ ...comparison, groups }} groups={comparison.names} style={STYLE} />);
    expect(screen.getByText('– (one value has no spread)')).toBeTruthy();
    expect(screen.getAllByRole('rowheader').length).toBe(6 + 15);
    expect(screen.getByText(/All at once/)).toBeTruthy();
  });

  test('rows of tests, and tables with heads for rows', () => {
    const line = { method: 'log_rank', statistic: 4, df: 2, df2: null, p: 0.135 } as const;
    expect(testRow('Same?', { defined: true, value: line })).toEqual([
      'Same?',
      'Log-rank test',
      'χ² = 4.00, df = 2, p = 0.14',
    ]);
    expect(testRow('Same?', { defined: false, reason: 'no_spread' })[2]).toContain('read the same');
    show(<PlainTable columns={['a', 'b']} rows={[['x', 'y']]} />);
    expect(screen.getByRole('rowheader').textContent).toBe('x');
    expect(SOWN).toBe('2026-05-04');
  });
});
