import type { ClassView, RosterRequest } from '@bright-sprout/contract/classes';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { classesQuery } from '../shared/api/index.ts';
import { Roster } from './roster.tsx';
import { CLASS } from './testing/class-view.ts';

let isSure = true;
const asked = jest.fn<(words?: string) => boolean>();
beforeEach(() => {
  isSure = true;
  asked.mockReset().mockImplementation(() => isSure);
  window.confirm = asked;
});
afterEach(cleanup);

const student = (displayName: string, teamId: string | null = null, avatar = 'snail') => ({
  id: displayName.toLowerCase(),
  displayName,
  avatar,
  teamId,
});

const WITH_STUDENTS: ClassView = {
  ...CLASS,
  teams: [{ id: 't1', name: 'Otters' }],
  students: [student('Ada', 't1'), student('Ben', null, 'bird')],
};

function show(changes: Partial<ClassView> = {}, problem?: string) {
  const schoolClass = { ...WITH_STUDENTS, ...changes };
  const sent: RosterRequest[] = [];
  globalThis.fetch = ((_: string, init: RequestInit) => {
    const body = JSON.parse(init.body as string) as RosterRequest;
    sent.push(body);
    const refused = {
      code: 'invalid_fields',
      message: 'No.',
      fields: [{ field: 'students.0', message: problem }],
    };
    const answer = problem ? refused : { ...schoolClass, ...body };
    return Promise.resolve(new Response(JSON.stringify(answer), { status: problem ? 400 : 200 }));
  }) as unknown as typeof fetch;
  const client = new QueryClient();
  client.setQueryData(classesQuery.queryKey, [schoolClass]);
  render(
    <QueryClientProvider client={client}>
      <Roster schoolClass={schoolClass} />
    </QueryClientProvider>,
  );
  return sent;
}

const press = (name: string): boolean => fireEvent.click(screen.getByRole('button', { name }));

async function only(sent: readonly RosterRequest[]): Promise<RosterRequest> {
  await waitFor(() => expect(sent).toHaveLength(1));
  return sent[0]!;
}

describe('the roster', () => {
  test('takes a pasted list, leaves out who is known, and gives each a picture of its own', async () => {
    const sent = show();
    fireEvent.change(screen.getByRole('textbox', { name: 'Display names' }), {
      target: { value: 'Name;Group\nada;1\nCy;2\nDot;2' },
    });
    press('Add them');
    const { students } = await only(sent);
    expect(students.map(({ displayName }) => displayName)).toEqual(['Ada', 'Ben', 'Cy', 'Dot']);
    expect(new Set(students.map(({ avatar }) => avatar)).size).toBe(4);
    expect(students.slice(2).map(({ teamId }) => teamId)).toEqual([null, null]);
  });

  test('says who was not added and why, and keeps what is too long to be shortened', async () => {
    const sent = show();
    const box = screen.getByRole<HTMLTextAreaElement>('textbox', { name: 'Display names' });
    const long = 'z'.repeat(41);
    fireEvent.change(box, { target: { value: `BEN\nCy\n${long}` } });
    expect(screen.getByText(/^A display name has up to 40 characters/)).toBeTruthy();
    press('Add them');
    expect((await only(sent)).students.map(({ displayName }) => displayName)).toEqual(['Ada', 'Ben', 'Cy']);
    await screen.findByText(/^In the class already, so not added again: BEN\./);
    expect(box.value).toBe(long);
  });

  test('nobody is removed by a slip', () => {
    isSure = false;
    const sent = show();
    press('Remove Ben for good');
    expect(asked).toHaveBeenCalledWith(expect.stringContaining('Remove Ben for good?'));
    expect(sent).toHaveLength(0);
  });

  test('deals everybody to as many teams as asked, keeping the teams there are', async () => {
    const sent = show({ students: ['Ada', 'Ben', 'Cy', 'Dot', 'Eli'].map((name) => student(name)) });
    fireEvent.change(screen.getByRole('spinbutton', { name: 'How many teams' }), { target: { value: '2' } });
    press('Make random teams');
    const { teams, students } = await only(sent);
    expect(teams[0]).toEqual({ id: 't1', name: 'Otters' });
    expect(new Set(teams.map(({ name }) => name)).size).toBe(2);
    const sizes = teams.map(({ id }) => students.filter(({ teamId }) => teamId === id).length).sort();
    expect(sizes).toEqual([2, 3]);
  });

  test('a student moves to a team, gets another picture or name, and is removed', async () => {
    const byTeam = show();
    fireEvent.change(screen.getByRole('combobox', { name: 'Team of Ben' }), { target: { value: 't1' } });
    expect((await only(byTeam)).students[1]!.teamId).toBe('t1');
    cleanup();
    const byPicture = show();
    fireEvent.change(screen.getByRole('combobox', { name: 'Picture of Ada' }), { target: { value: 'worm' } });
    expect((await only(byPicture)).students[0]!.avatar).toBe('worm');
    cleanup();
    const byName = show();
    const entry = screen.getByRole('textbox', { name: 'Display name of Ada' });
    fireEvent.change(entry, { target: { value: '  Ada L. ' } });
    fireEvent.blur(entry);
    expect((await only(byName)).students[0]!.displayName).toBe('Ada L.');
    cleanup();
    const removed = show();
    press('Remove Ben for good');
    expect((await only(removed)).students).toHaveLength(1);
  });

  test('an emptied name goes back to what it was, and sends nothing', () => {
    const sent = show();
    const entry = screen.getByRole<HTMLInputElement>('textbox', { name: 'Display name of Ada' });
    fireEvent.change(entry, { target: { value: '  ' } });
    fireEvent.blur(entry);
    expect([entry.value, sent.length]).toEqual(['Ada', 0]);
  });

  test('says why it was not kept', async () => {
    show({}, 'Another student has this name. Add an initial.');
    press('Remove Ben for good');
    expect((await screen.findByRole('alert')).textContent).toBe(
      'Not kept: Another student has this name. Add an initial.',
    );
  });
});
