import { say as sayPlanStatements } from '@bright-sprout/words/plan-statements';
import { say as sayPlans } from '@bright-sprout/words/plans';
import type { PlanRequest } from '@bright-sprout/contract/plans';
import { INVESTIGATION_KINDS, PLAIN_LEVEL, usualContainer } from '@bright-sprout/core/design';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { CheckSection } from './check-section.tsx';
import { DaysSection } from './days-section.tsx';
import { FactorsEditor } from './factors-editor.tsx';
import { PotsSection } from './pots-section.tsx';
import { PredictionEditor } from './prediction-editor.tsx';
import { QuestionSection } from './question-section.tsx';
import { RehearseSection } from './rehearse-section.tsx';
import { SowingSection } from './sowing-section.tsx';
import { StepsSection } from './steps-section.tsx';
import { SuppliesSection } from './supplies-section.tsx';
import { draftOf, renderPart, type SentRequest } from './testing/render-part.tsx';
import { WeekBoard } from './week-board.tsx';

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const button = (name: string | RegExp) => screen.getByRole('button', { name });

/** The last plan that was sent. */
async function lastPlan(sent: readonly SentRequest[], count: number): Promise<PlanRequest> {
  await waitFor(() => expect(sent.filter(({ path }) => path.endsWith('/plan'))).toHaveLength(count));
  return sent.filter(({ path }) => path.endsWith('/plan')).at(-1)!.body as unknown as PlanRequest;
}

describe('what we change', () => {
  test('levels are added and removed, one is the control, and each change is saved whole', async () => {
    const sent = renderPart(<FactorsEditor />, draftOf('one_factor'));
    expect(screen.getByText('10 pots').parentElement!.textContent).toContain('10 pots in 10 places');
    fireEvent.click(button('Another level'));
    const three = await lastPlan(sent, 1);
    expect(three.factors[0]!.levels.map(({ name }) => name)).toEqual(['As usual', 'Changed', 'Level 3']);
    fireEvent.click(screen.getAllByRole('radio', { name: 'control' })[1]!);
    const controlled = await lastPlan(sent, 2);
    expect(controlled.factors[0]!.levels.map(({ isControl }) => isControl)).toEqual([false, true, false]);
    fireEvent.click(button('Remove level 1'));
    expect((await lastPlan(sent, 3)).factors[0]!.levels).toHaveLength(2);
    expect(button('Remove level 1')).toHaveProperty('disabled', true);
  });

  test('a second change crosses with the first, and combinations are left out', async () => {
    const sent = renderPart(<FactorsEditor />, draftOf('one_factor', { replicates: 2 }));
    fireEvent.click(button('Another change'));
    expect((await lastPlan(sent, 1)).factors).toHaveLength(2);
    const combinations = screen.getByRole('group', { name: sayPlans('combinationsThatAreGrown') });
    expect(within(combinations).getAllByRole('checkbox')).toHaveLength(4);
    fireEvent.click(within(combinations).getByRole('checkbox', { name: 'Changed · With' }));
    expect((await lastPlan(sent, 2)).leftOut).toEqual(['1.1']);
  });

  test.each([
    ['water', 'water in mL', 'waterMl'],
    ['depth', 'depth in mm', 'depthMm'],
    ['temperature', 'temperature', 'temperatureC'],
    ['density', 'plants in a pot', 'plants'],
    ['age', 'days old', 'ageDays'],
  ] as const)(
    'a level about %s is set by its figure; emptied it is as the others',
    async (aspect, label, field) => {
      const levels = ['A', 'B'].map((name) => ({ ...PLAIN_LEVEL, name }));
      const draft = draftOf('one_factor', { factors: [{ name: 'F', aspect, levels }] });
      const sent = renderPart(<FactorsEditor />, draft);
      const entry = screen.getByRole('spinbutton', { name: `Level 2: ${label}` });
      fireEvent.input(entry, { target: { value: '12' } });
      expect((await lastPlan(sent, 1)).factors[0]!.levels[1]![field]).toBe(12);
      fireEvent.input(entry, { target: { value: '' } });
      expect((await lastPlan(sent, 2)).factors[0]!.levels[1]![field]).toBeNull();
    },
  );
});

describe('crops that come after the plan', () => {
  test('leave the plan’s crop chosen', async () => {
    renderPart(<QuestionSection />, draftOf('one_factor', {}, 'radish'), false);
    const crop = screen.getByRole<HTMLSelectElement>('combobox', { name: 'Crop' });
    expect(crop.value).toBe('radish');
    await within(crop).findByRole('option', { name: 'Lettuce' });
    expect([crop.value, crop.selectedOptions[0]!.textContent]).toEqual(['radish', 'Radish']);
    expect(within(crop).getAllByRole('option', { name: 'Radish' })).toHaveLength(1);
  });

  test('leave the crop of a level chosen', async () => {
    const levels = [null, 'lettuce'].map((cropId) => ({ ...PLAIN_LEVEL, name: cropId ?? 'oat', cropId }));
    const draft = draftOf('one_factor', { factors: [{ name: 'F', aspect: 'crop', levels }] });
    renderPart(<FactorsEditor />, draft, false);
    const crop = screen.getByRole<HTMLSelectElement>('combobox', { name: 'Level 2: crop' });
    await within(crop).findByRole('option', { name: 'Radish' });
    expect([crop.value, crop.selectedOptions[0]!.textContent]).toEqual(['lettuce', 'Lettuce']);
  });
});

describe('a level that is called by its crop', () => {
  test.each([
    ['Lettuce', 'Radish'],
    ['My own bed', 'My own bed'],
  ])('called %s, is %s once another crop is chosen', async (called, next) => {
    const levels = ['oat', 'lettuce'].map((cropId, at) => ({
      ...{ ...PLAIN_LEVEL, name: at === 0 ? 'Oat' : called, cropId },
    }));
    const sent = renderPart(
      <FactorsEditor />,
      draftOf('crops', { factors: [{ name: 'Crop', aspect: 'crop', levels }] }),
    );
    fireEvent.change(screen.getByRole('combobox', { name: 'Level 2: crop' }), {
      target: { value: 'radish' },
    });
    const { factors } = await lastPlan(sent, 1);
    expect(factors[0]!.levels.map(({ name, cropId }) => [name, cropId])).toEqual([
      ['Oat', 'oat'],
      [next, 'radish'],
    ]);
  });
});

describe('pots', () => {
  test('a container of another kind takes its usual size; another is added and taken away', async () => {
    const sent = renderPart(<PotsSection />, draftOf('one_factor'));
    fireEvent.change(screen.getByRole('combobox', { name: 'Container 1' }), {
      target: { value: 'egg_carton' },
    });
    expect((await lastPlan(sent, 1)).containers).toMatchObject([
      { kind: 'egg_carton', rows: 2, columns: 6, cellMl: 40 },
    ]);
    fireEvent.change(screen.getByRole('combobox', { name: 'Another container' }), {
      target: { value: 'jars' },
    });
    expect((await lastPlan(sent, 2)).containers.map(({ kind }) => kind)).toEqual(['egg_carton', 'jars']);
    fireEvent.click(screen.getAllByRole('button', { name: 'Take away' })[0]!);
    expect((await lastPlan(sent, 3)).containers.map(({ kind }) => kind)).toEqual(['jars']);
  });

  test('that have no place yet get another container of the same kind at once', async () => {
    const sent = renderPart(<PotsSection />, draftOf('one_factor', { replicates: 12 }));
    fireEvent.click(screen.getByRole('button', { name: /^Add 2 more of these \(flat\)/ }));
    const { containers } = await lastPlan(sent, 1);
    expect(containers.map(({ kind }) => kind)).toEqual(['flat', 'flat', 'flat']);
  });

  test('of a crate can be its rows, however many plants a row holds', async () => {
    const sent = renderPart(
      <PotsSection />,
      draftOf('one_factor', { containers: [usualContainer('box_rows')], seedsPerUnit: 2, plantsPerUnit: 1 }),
    );
    const type = (name: string, value: string): boolean =>
      fireEvent.change(screen.getByRole('textbox', { name: new RegExp(name) }), { target: { value } });
    for (const [name, value] of [
      ['long', '60'],
      ['wide', '30'],
      ['From plant to plant', '1'],
      ['From row to row', '3'],
    ] as const)
      type(name, value);
    fireEvent.click(screen.getByRole('button', { name: sayPlans('aRowIsOneUnit', { plants: 60 }) }));
    const { containers, plantsPerUnit, seedsPerUnit } = await lastPlan(sent, 1);
    expect([containers[0]!.rows, containers[0]!.columns, plantsPerUnit, seedsPerUnit]).toEqual([
      10, 1, 60, 120,
    ]);
  });

  test('of several places stay alike when their container is changed for another kind', async () => {
    const flats = [
      usualContainer('flat'),
      { ...usualContainer('flat'), name: 'Hall' },
      usualContainer('cups'),
    ];
    const sent = renderPart(<PotsSection />, draftOf('one_factor', { containers: flats }));
    fireEvent.change(screen.getByRole('combobox', { name: 'Container 1' }), { target: { value: 'bags' } });
    const { containers, conditions } = await lastPlan(sent, 1);
    expect(containers.map(({ kind, name }) => [kind, name])).toEqual([
      ['bags', ''],
      ['bags', 'Hall'],
      ['cups', ''],
    ]);
    expect(conditions.hasSoil).toBe(false);
  });

  test('are laid out by chance or in blocks', async () => {
    const sent = renderPart(<PotsSection />, draftOf('one_factor'));
    fireEvent.click(button('In complete blocks'));
    expect((await lastPlan(sent, 1)).layoutMethod).toBe('blocks');
  });
});

describe('sowing', () => {
  test('of what is set in one by one asks for one each, and says how many spare pots help', async () => {
    const sent = renderPart(<SowingSection />, draftOf('pieces', { seedsPerUnit: 3, plantsPerUnit: 1 }));
    expect(screen.getByText(/so 1 in each place and not 3/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: sayPlans('useIt') }));
    expect((await lastPlan(sent, 1)).seedsPerUnit).toBe(1);
    await screen.findByText(/for each plant\. (With|Without)/);
  });

  test('says what the seeds give, what is enough, and uses it', async () => {
    const sent = renderPart(<SowingSection />, draftOf('one_factor', { seedsPerUnit: 1 }));
    expect(screen.getByText(/With 1 seed in each pot/)).toBeTruthy();
    fireEvent.click(button('Use it'));
    expect((await lastPlan(sent, 1)).seedsPerUnit).toBeGreaterThan(1);
  });

  test('gives a depth by every rule, and keeps the one chosen', async () => {
    const sent = renderPart(<SowingSection />, draftOf('one_factor', {}, 'radish'));
    const rules = screen.getByRole('radiogroup', { name: sayPlans('depthByWhichRule') });
    expect(within(rules).getAllByRole('radio')).toHaveLength(6);
    expect(rules.textContent).toContain('12.7 mm');
    fireEvent.click(within(rules).getByRole('radio', { name: /A quarter inch/ }));
    expect((await lastPlan(sent, 1)).conditions.depthRule).toBe('quarter_inch');
  });
});

describe('supplies', () => {
  test('are listed with their working, in mL or in cups, with a kit for each team', () => {
    renderPart(<SuppliesSection />, draftOf('one_factor', { replicates: 5 }));
    const row = (name: string) => screen.getByRole('rowheader', { name }).closest('tr')!.textContent;
    expect(row('Water at each watering')).toContain('100 mL');
    expect(row('seed-starting mix')).toContain('1.5 L');
    fireEvent.click(button('Cups and spoons'));
    expect(row('Water at each watering')).toContain('½ cup (rounded up from 100 mL)');
    fireEvent.change(screen.getByRole('spinbutton', { name: 'Teams' }), { target: { value: '2' } });
    // Two teams with five pots each, three of one treatment: their kits hold the same.
    expect(screen.getByRole('heading', { name: 'Team 1 and Team 2' })).toBeTruthy();
  });

  test('wait until the pots fit', () => {
    renderPart(<SuppliesSection />, draftOf('one_factor', { replicates: 50 }));
    expect(screen.getByText(sayPlans('thePotsDoNotFitYetSee'))).toBeTruthy();
  });
});

describe('steps', () => {
  test('are added, moved into the next time of the protocol, and removed', async () => {
    const steps = (['before', 'sowing', 'sowing'] as const).map((when, index) => ({
      id: `s${index}`,
      text: `Step ${index}`,
      when,
      minutes: null,
    }));
    const sent = renderPart(<StepsSection />, draftOf('one_factor', { steps }));
    fireEvent.click(button('Step 1 down'));
    const moved = await lastPlan(sent, 1);
    expect(moved.steps.map(({ id, when }) => [id, when])).toEqual([
      ['s1', 'sowing'],
      ['s0', 'sowing'],
      ['s2', 'sowing'],
    ]);
    fireEvent.click(button('Remove step 1'));
    expect((await lastPlan(sent, 2)).steps.map(({ id }) => id)).toEqual(['s0', 's2']);
    fireEvent.click(screen.getAllByRole('button', { name: 'A step' })[2]!);
    expect((await lastPlan(sent, 3)).steps.at(-1)).toMatchObject({ when: 'after', minutes: null });
  });

  test('are ticked off beside the plan, with the day', async () => {
    const sent = renderPart(<StepsSection />, draftOf('one_factor'));
    fireEvent.click(screen.getByRole('checkbox', { name: 'Step 1 done' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      path: '/api/experiments/e/tasks/step-s1',
      body: { doneOn: '2027-02-22', movedTo: null },
    });
  });

  test('with minutes have a timer that says when time is up', () => {
    jest.useFakeTimers();
    try {
      const steps = [{ id: 's', text: 'Soak', when: 'before' as const, minutes: 3 }];
      renderPart(<StepsSection />, draftOf('one_factor', { steps }));
      fireEvent.click(button('Start'));
      expect(screen.getByRole('timer').textContent).toBe('3:00');
      jest.useRealTimers();
    } finally {
      jest.useRealTimers();
    }
  });

  test('what is kept the same is added and removed', async () => {
    const sent = renderPart(<StepsSection />, draftOf('one_factor', { constants: ['the same seed'] }));
    fireEvent.click(button('Another'));
    expect((await lastPlan(sent, 1)).constants).toEqual(['the same seed', 'the same…']);
    fireEvent.click(button('Remove what is kept the same 1'));
    expect((await lastPlan(sent, 2)).constants).toEqual(['the same…']);
  });
});

test('answers to guess from are added and removed', async () => {
  const prediction = { prompt: 'What then?', choices: ['This', 'That'] };
  const sent = renderPart(<PredictionEditor />, draftOf('one_factor', { prediction }));
  fireEvent.click(button('Another answer'));
  expect((await lastPlan(sent, 1)).prediction.choices).toEqual(['This', 'That', 'Answer 3']);
  fireEvent.click(button('Remove answer 1'));
  expect((await lastPlan(sent, 2)).prediction.choices).toEqual(['That', 'Answer 3']);
});

describe('the week board', () => {
  test('has a day for every day of whole weeks, and each task on its day', () => {
    renderPart(<WeekBoard />, draftOf('one_factor'));
    const board = screen.getByRole('group', { name: 'Tasks by day' });
    expect(board.querySelectorAll('.day-cell').length % 7).toBe(0);
    expect(within(board).getByRole('button', { name: /^Sow, Mon 1 Mar/ })).toBeTruthy();
    expect(within(board).getByRole('button', { name: /^The lesson, Mon 29 Mar/ })).toBeTruthy();
  });

  test('Alt and the arrows move a task by a day or a week', async () => {
    const sent = renderPart(<WeekBoard />, draftOf('one_factor'));
    const thin = button(/^Thin to the strongest, Mon 15 Mar/);
    fireEvent.keyDown(thin, { key: 'ArrowDown', altKey: true });
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ path: '/api/experiments/e/tasks/thin', body: { movedTo: '2027-03-22' } });
    fireEvent.keyDown(thin, { key: 'ArrowRight' });
    expect(sent).toHaveLength(1);
  });

  test('a task is opened, given to somebody and ticked', async () => {
    const sent = renderPart(<WeekBoard />, draftOf('one_factor'));
    fireEvent.click(button(/^Thin to the strongest/));
    const card = screen.getByRole('region', { name: sayPlanStatements('thinToTheStrongest') });
    const who = within(card).getByRole('textbox', { name: 'By whom' });
    fireEvent.change(who, { target: { value: 'Otters' } });
    fireEvent.blur(who);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ who: 'Otters', movedTo: null });
    fireEvent.click(within(card).getByRole('checkbox', { name: 'Done' }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]!.body).toMatchObject({ doneOn: '2027-02-22' });
  });
});

const PARTS = {
  question: QuestionSection,
  pots: PotsSection,
  sowing: SowingSection,
  supplies: SuppliesSection,
  steps: StepsSection,
  days: DaysSection,
  check: CheckSection,
  rehearse: RehearseSection,
};

describe.each(INVESTIGATION_KINDS)('a plan of kind %s', (kind) => {
  test.each(Object.entries(PARTS))('shows whole words and figures in part %s', (_, Part) => {
    renderPart(<Part />, draftOf(kind));
    const { textContent } = document.body;
    expect(textContent).toMatch(/[a-z]{3}/);
    expect(textContent).not.toMatch(/NaN|undefined|null|\[object|Infinity/);
  });
});

describe('changes', () => {
  test('another level has the unit, the material and the way of the one before it', async () => {
    const dose = { material: 'cold tea', amount: 5, unit: 'mL' as const };
    const levels = [
      { ...PLAIN_LEVEL, name: 'None', isControl: true, dose: { ...dose, amount: 0 } },
      { ...PLAIN_LEVEL, name: 'Some', dose },
    ];
    const factors = [{ name: 'Tea', aspect: 'additive' as const, levels }];
    const sent = renderPart(<FactorsEditor />, draftOf('one_factor', { factors }));
    fireEvent.click(button(sayPlans('anotherLevel')));
    const [factor] = (await lastPlan(sent, 1)).factors;
    expect(factor!.levels[2]).toMatchObject({ isControl: false, dose });
    expect(factor!.levels[2]!.name).not.toBe('Some');
  });
});

describe('days of a class', () => {
  test('are shown and changed with the class', () => {
    const holidays = [{ name: 'Trip', from: '2027-03-08' as never, to: '2027-03-09' as never }];
    const draft = draftOf('one_factor');
    const calendar = { ...draft.plan!.calendar, meetingDays: [2, 4], holidays };
    renderPart(<DaysSection />, { ...draft, classId: 'c', plan: { ...draft.plan!, calendar } });
    expect(screen.getByText(/Tue and Thu/)).toBeTruthy();
    expect(screen.getByText(/^No class from .*: Trip\.$/)).toBeTruthy();
    expect(screen.queryByRole('checkbox', { name: 'Mon' })).toBeNull();
    expect(screen.getByRole('link', { name: sayPlans('changeThemInClasses') })).toHaveProperty(
      'pathname',
      '/classes',
    );
  });
});
