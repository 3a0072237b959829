import { say as sayLessons } from '@bright-sprout/words/lessons';
import { plainBoard } from '@bright-sprout/core/lessons';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import { AnswerBoard, TalkBoard } from './boards/answer-boards.tsx';
import { LineUpBoard, type LineUpChoice } from './boards/line-up-board.tsx';
import { FirstsBoard, WatchBoard } from './boards/plain-boards.tsx';
import { GuessBoard } from './boards/guess-board.tsx';
import { CurvesDrawing } from './curves-drawing.tsx';
import { LessonPlaceProvider } from './lesson-place.ts';
import type { LessonNow } from './lesson-now.ts';
import { showLesson, WithNow } from './testing/show-lesson.tsx';

afterEach(cleanup);

function Row({ now }: { now: LessonNow }) {
  const [choice, setChoice] = useState<LineUpChoice>({ order: 'height', hidesTreatments: false });
  return <LineUpBoard now={now} choice={choice} onChoose={setChoice} />;
}

const plants = (): string[] =>
  within(screen.getByRole('group', { name: sayLessons('plantsInARow') }))
    .getAllByRole('button')
    .map((button) => button.getAttribute('aria-label') ?? '');

describe('the row of plants', () => {
  test('goes from the shortest to the tallest, what has no height after it, and changes its order', () => {
    showLesson(<WithNow>{(now) => <Row now={now} />}</WithNow>);
    expect(screen.getByRole('heading').textContent).toBe('Shortest to tallest, day 19');
    const row = plants();
    expect(row).toHaveLength(18);
    expect(row.at(-1)).toBe('Pot 18, Much · Shade: not up yet');
    const heights = row.slice(0, -1).map((label) => Number(/: ([\d.]+) cm/.exec(label)?.[1]));
    expect(heights).toEqual([...heights].sort((a, b) => a - b));
    fireEvent.click(screen.getByRole('button', { name: sayLessons('orderPlace') }));
    expect(plants()[0]).toMatch(/^Pot 1,/);
  });

  test('with treatments hidden names none of them, in no order that tells them', () => {
    showLesson(<WithNow>{(now) => <Row now={now} />}</WithNow>);
    fireEvent.click(screen.getByRole('button', { name: 'treatment' }));
    fireEvent.click(screen.getByRole('button', { name: 'Hide treatments' }));
    expect(screen.getByRole('heading').textContent).toMatch(/^Shortest to tallest/);
    expect(document.body.textContent).not.toMatch(/Plain|Much|Shade|Sun/);
    expect(plants().join()).not.toMatch(/Plain|Much|Shade|Sun/);
    expect(screen.queryByRole('button', { name: 'treatment' })).toBeNull();
  });

  test('a plant tells its story, and puts it away', () => {
    showLesson(<WithNow>{(now) => <Row now={now} />}</WithNow>);
    const pot = screen.getByRole('button', { name: /^Pot 4,/ });
    fireEvent.click(pot);
    expect(
      screen.getByText(/^Pot 4: sown Mon 4 May; first seen up on day 7, not yet on day 5; .* on day 7;/),
    ).toBeTruthy();
    fireEvent.click(pot);
    expect(screen.queryByText(/^Pot 4: sown/)).toBeNull();
  });

  test('on a day without readings shows the last ones, and says of when they are', () => {
    showLesson(<WithNow>{(now) => <Row now={now} />}</WithNow>, {}, {}, '2026-05-22');
    expect(screen.getByText(/^0 of 18 pots read this day/)).toBeTruthy();
    expect(plants()[0]).toMatch(/cm, read Thu 21 May$/);
  });
});

describe('boards', () => {
  const board = (kind: Parameters<typeof plainBoard>[1], changes = {}) => ({
    ...plainBoard('b', kind, 1),
    ...changes,
  });

  test('watched pots leave the first change blank', () => {
    showLesson(
      <WithNow>
        {(now) => <WatchBoard board={board('two_to_watch', { unitIds: ['u1'] })} now={now} />}
      </WithNow>,
    );
    const rows = screen
      .getAllByRole('row')
      .slice(1)
      .map((row) =>
        within(row)
          .getAllByRole('cell')
          .map((cell) => cell.textContent),
      );
    expect(rows[0]).toEqual(['not up yet', '']);
    expect(rows[1]?.[1]).toBe('');
    expect(rows[2]?.[1]).toMatch(/^\+\d/);
  });

  test('firsts name a pot that is not up, with reasons to talk about', () => {
    showLesson(<WithNow>{(now) => <FirstsBoard board={board('firsts')} now={now} />}</WithNow>);
    expect(screen.getByText(/has the tallest plant/)).toBeTruthy();
    expect(screen.getByText('Pot 18 is not up yet. What could be the reason?')).toBeTruthy();
  });

  test('the answer is the one of Compare', async () => {
    showLesson(<WithNow>{(now) => <AnswerBoard board={board('answer')} now={now} />}</WithNow>);
    const headline = await waitFor(() => screen.getByRole('heading'));
    expect(headline.textContent).toMatch(/Much/);
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/^height of each pot over 19 days/);
  });

  test('talking points are the first few, or those chosen that the data still raise', () => {
    showLesson(<WithNow>{(now) => <TalkBoard board={board('talk')} now={now} />}</WithNow>);
    expect(screen.getAllByRole('listitem').filter((item) => item.closest('ol'))).toHaveLength(3);
    cleanup();
    showLesson(
      <WithNow>
        {(now) => <TalkBoard board={board('talk', { talkCodes: ['never_up', 'one_pot'] })} now={now} />}
      </WithNow>,
    );
    const items = screen.getAllByRole('listitem').filter((item) => item.closest('ol'));
    expect(items.map((item) => item.textContent)).toEqual([expect.stringMatching(/^Pot 18 is still not up/)]);
  });

  test('at the desk nobody is asked; before the class a vote is opened and hands are counted', async () => {
    const guess = (place: 'desk' | 'room') => (
      <LessonPlaceProvider value={place}>
        <WithNow>
          {(now) => (
            <GuessBoard
              board={{ ...board('guess'), id: '0195c7a0-0000-7000-8000-000000000001' }}
              now={now}
              begunAt={place === 'room' ? '2026-05-23T09:00:00Z' : ''}
              isRevealed={false}
              onReveal={() => undefined}
            />
          )}
        </WithNow>
      </LessonPlaceProvider>
    );
    const atDesk = showLesson(guess('desk'));
    expect(screen.getByText(/The class votes once the lesson is shown/)).toBeTruthy();
    expect(atDesk.filter(({ path }) => path.includes('/polls/'))).toEqual([]);
    cleanup();
    const poll = {
      id: 'p',
      prompt: 'Which?',
      choices: ['A', 'B'],
      isOpen: true,
      hands: [2, 0],
      tablets: [1, 3],
      openedAt: '2026-05-23T09:00:00Z',
    };
    const inRoom = showLesson(guess('room'), {
      'GET /api/experiments/e/polls/': poll,
      'PUT /api/experiments/e/polls/': poll,
    });
    expect((await screen.findAllByText('3 votes')).length).toBe(2);
    fireEvent.click(screen.getByRole('button', { name: 'Count hands' }));
    fireEvent.click(screen.getByRole('button', { name: 'One hand more for B' }));
    await waitFor(() => expect(inRoom.some(({ method }) => method === 'PUT')).toBe(true));
    expect(inRoom.find(({ method }) => method === 'PUT')?.body).toMatchObject({
      hands: [2, 1],
      isOpen: true,
      choices: ['A', 'B'],
    });
  });
});

describe('the drawing of growth', () => {
  const curve = (points: readonly (readonly [age: number, mean: number, n: number])[]) => ({
    unitCurves: [{ unitId: 'u', groupId: 'a', points: points.map(([age, mean]) => ({ age, value: mean })) }],
    treatmentCurves: [
      {
        groupId: 'a',
        points: points.map(([age, mean, n]) => ({
          age,
          mean,
          n,
          interval: { defined: false, reason: 'one_value' } as const,
        })),
      },
    ],
    groups: [],
  });

  test('ends with the day, and leaves out an average of the few pots of a day that has just begun', () => {
    const points = [
      [5, 10, 4],
      [7, 20, 4],
      [8, 30, 1],
      [12, 60, 4],
      [14, 99, 4],
    ] as const;
    render(
      <CurvesDrawing
        comparison={{ ...curve(points), age: 12 }}
        groups={[{ id: 'a', name: 'Plain', isControl: true, style: 0 }]}
        style={{ kind: 'length', scale: { unit: 'cm', step: 0.1 }, isHeight: true }}
        variableName="height"
      />,
    );
    const [own, mean] = [...document.querySelectorAll('.curves-lines path')].map(
      (path) => path.getAttribute('d')?.split(/[ML]/).length ?? 0,
    );
    expect([own, mean]).toEqual([5, 4]);
  });
});
