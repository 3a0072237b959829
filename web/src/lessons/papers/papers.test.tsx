import { say as sayLessons } from '@bright-sprout/words/lessons';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { showLesson, WithNow } from '../testing/show-lesson.tsx';
import { firstSprouts, fullRecords, marksPassed } from './certificates.ts';
import { CertificatesPaper } from './certificates-paper.tsx';
import { ClassReport } from './class-report.tsx';
import { FamilyNote } from './family-note.tsx';
import { StudentPages } from './student-pages.tsx';
import { WallChart } from './wall-chart.tsx';
import { WeeklyPages } from './weekly-pages.tsx';
import type { LessonNow } from '../lesson-now.ts';

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const CONCLUSION = {
  id: 'c',
  claim: 'Feed helped in the sun.',
  evidence: '',
  reasoning: '',
  observer: 'Perilla',
  isStudent: true,
  writtenAt: '2026-05-23T09:00:00Z',
};
const ENTRY = {
  id: 'j',
  unitId: 'u1',
  happenedOn: '2026-05-20',
  kind: 'note',
  note: 'Two leaves.',
  hasPicture: false,
  isHidden: false,
  canGoOn: false,
  observer: 'Perilla',
  recordedAt: '2026-05-20T09:00:00Z',
};
const CLASS = {
  id: 'class',
  teams: [{ id: 'newt', name: 'Newt' }],
  students: [{ id: 's', displayName: 'Perilla', avatar: 'snail', teamId: 'newt' }],
};
const ANSWERS = {
  'GET /api/experiments/e/conclusions': [CONCLUSION],
  'GET /api/experiments/e/journal': [ENTRY],
  'GET /api/classes': [CLASS],
};

function nowOf(changes = {}): LessonNow {
  let found: LessonNow | undefined;
  showLesson(
    <WithNow>
      {(now) => {
        found = now;
        return null;
      }}
    </WithNow>,
    {},
    changes,
  );
  cleanup();
  return found as LessonNow;
}

describe('certificates', () => {
  test('a mark is passed at the first reading above it', () => {
    const now = { ...nowOf(), mark: 80 };
    const passed = marksPassed(now);
    expect(passed.length).toBeGreaterThan(3);
    for (const one of passed) {
      const history = now.histories.get(one.id) ?? [];
      const before = history.filter((finding) => 'day' in one && finding.day < one.day);
      expect(before.every(({ value }) => value === null || value <= 80)).toBe(true);
    }
    expect(marksPassed({ ...now, mark: null })).toEqual([]);
  });

  test('first sprouts are all that were first, and a full record missed no day', () => {
    const now = nowOf();
    expect(firstSprouts(now).map(({ number }) => number)).toEqual(
      Array.from({ length: 17 }, (_, at) => at + 1),
    );
    expect(fullRecords(now)).toHaveLength(18);
    const [first, ...others] = [...now.histories];
    const gap = new Map([[first?.[0] ?? '', (first?.[1] ?? []).slice(1)], ...others]);
    expect(fullRecords({ ...now, histories: gap }).map(({ number }) => number)).not.toContain(1);
  });

  test('are left out one by one, and name nobody', () => {
    showLesson(<WithNow>{(now) => <CertificatesPaper now={now} hasNames={false} />}</WithNow>, ANSWERS);
    const before = document.querySelectorAll('.certificate').length;
    fireEvent.click(screen.getByLabelText('pot 3, First sprout'));
    fireEvent.change(screen.getByLabelText(/careful readers/), { target: { value: '2' } });
    expect(document.querySelectorAll('.certificate').length).toBe(before + 1);
    expect(document.querySelectorAll('.name-line')[0]?.textContent).toBe('Name:');
  });
});

describe('papers', () => {
  test('the report leaves out names, and a conclusion that is not ticked is not printed', async () => {
    showLesson(<WithNow>{(now) => <ClassReport now={now} hasNames={false} />}</WithNow>, ANSWERS);
    await screen.findByText('Feed helped in the sun.');
    await screen.findByText('What we found');
    expect(document.body.textContent).not.toContain('Perilla');
    fireEvent.click(screen.getByLabelText('in the report'));
    expect(screen.getByText('Feed helped in the sun.').closest('li')?.className).toBe('is-left-out');
    cleanup();
    showLesson(<WithNow>{(now) => <ClassReport now={now} hasNames />}</WithNow>, ANSWERS);
    expect(await screen.findByText('Perilla')).toBeTruthy();
  });

  test('pages are one a team without names, and one a child with them', async () => {
    showLesson(<WithNow>{(now) => <StudentPages now={now} hasNames={false} />}</WithNow>, ANSWERS, {
      classId: 'class',
    });
    expect(screen.getAllByRole('heading', { level: 1 }).map((one) => one.textContent)).toEqual([
      'Pots of Heron',
      'Pots of Newt',
      'Pots of Otter',
    ]);
    cleanup();
    showLesson(<WithNow>{(now) => <StudentPages now={now} hasNames />}</WithNow>, ANSWERS, {
      classId: 'class',
    });
    const heading = await screen.findByRole('heading', { level: 1, name: 'Perilla' });
    const page = heading.closest('section');
    expect(within(page as HTMLElement).getAllByRole('table')).toHaveLength(6);
    expect(page?.textContent).toContain('Two leaves.');
  });

  test('the note to families has cautions and no way in that needs a sign-in', () => {
    showLesson(<WithNow>{(now) => <FamilyNote now={now} hasNames={false} />}</WithNow>, ANSWERS);
    expect(document.body.textContent).toMatch(/do not eat any part.*The school’s rules come first/);
    expect(document.querySelectorAll('a')).toHaveLength(0);
  });

  test('the wall chart has a line for each day', () => {
    showLesson(<WithNow>{(now) => <WallChart now={now} hasNames={false} />}</WithNow>, ANSWERS);
    expect(document.querySelectorAll('.wall-day')).toHaveLength(22);
  });

  test('a page for each week has what was read of it, and room for what is to come', () => {
    showLesson(<WithNow>{(now) => <WeeklyPages now={now} hasNames={false} />}</WithNow>, ANSWERS);
    const pages = [...document.querySelectorAll('.week-page')];
    expect(pages.length).toBeGreaterThan(2);
    const circles = pages.map((page) => page.querySelectorAll('.up-circles i').length);
    expect(new Set(circles).size).toBe(1);
    expect(pages.some((page) => page.querySelector('.is-up'))).toBe(true);
    expect(pages.at(-1)?.textContent).toContain(sayLessons('drawWhatYouSee'));
    expect(pages.map((page) => page.textContent).join(' ')).toMatch(/The tallest: \d/);
  });
});
