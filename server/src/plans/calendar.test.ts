import type { ExperimentView } from '@bright-sprout/contract/plans';
import { calendarDay } from '@bright-sprout/core/shared';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import { v7 as uuid } from 'uuid';
import { dayFromToday, planOf, startDraft } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
});
afterAll(() => server.close());

/** An event as an independent reader of iCalendar finds it. */
interface ReadEvent {
  readonly day: string;
  readonly days: number;
  readonly sequence: number;
  readonly summary: string;
  readonly about: string;
}

/** Reads a calendar strictly: everything that RFC 5545 asks of an event must be there, once. */
function readEvents(file: string): Map<string, ReadEvent> {
  for (const line of file.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  const calendar = new ICAL.Component(ICAL.parse(file) as [string, [], []]);
  for (const name of ['prodid', 'version']) expect(calendar.getAllProperties(name)).toHaveLength(1);
  const found = new Map<string, ReadEvent>();
  for (const component of calendar.getAllSubcomponents('vevent')) {
    for (const name of ['uid', 'dtstamp', 'dtstart', 'sequence'])
      expect([name, component.getAllProperties(name).length]).toEqual([name, 1]);
    const { uid, startDate, endDate, sequence, summary, description } = new ICAL.Event(component);
    expect([startDate.isDate, endDate.isDate, found.has(uid)]).toEqual([true, true, false]);
    const days = endDate.subtractDate(startDate).toSeconds() / 86_400;
    found.set(uid, { day: startDate.toString(), days, sequence, summary, about: description });
  }
  return found;
}

describe('the calendar', () => {
  const TASK = { movedTo: null, doneOn: null, who: '', title: '' };

  function events(file: string): Map<string, string> {
    const parts = file.replaceAll('\r\n ', '').split('BEGIN:VEVENT').slice(1);
    return new Map(parts.map((part) => [/UID:(\S+)/.exec(part)![1]!, part]));
  }

  test('is exported with ids that stay when the plan’s dates move', async () => {
    const draft = await startDraft(teacher);
    const path = `/api/experiments/${draft.id}/calendar.ics`;
    const first = await teacher.get(path).expect(200);
    expect(first.headers['content-type']).toContain('text/calendar');
    const sowOn = draft.sowOn.replaceAll('-', '');
    const sowing = events(first.text).get(`${draft.id}-sow@bright-sprout`);
    expect(sowing).toContain(`DTSTART;VALUE=DATE:${sowOn}`);
    expect(sowing).toContain('SEQUENCE:0');
    const question = 'Quoted; with, commas\\ and “more”?';
    const moved = planOf(draft, { question, lessonOn: calendarDay(dayFromToday(60)) });
    await teacher.put(`/api/experiments/${draft.id}/plan`).send(moved).expect(200);
    const second = events((await teacher.get(path).expect(200)).text);
    for (const id of events(first.text).keys()) expect([...second.keys()]).toContain(id);
    expect(second.get(`${draft.id}-lesson@bright-sprout`)).toContain('SEQUENCE:1');
    expect(second.get(`${draft.id}-lesson@bright-sprout`)).toContain('Quoted\\; with\\, commas\\\\ and');
  });

  test('tasks are moved, done, added and put back', async () => {
    const draft = await startDraft(teacher);
    const task = (key: string, changes: object) =>
      teacher.put(`/api/experiments/${draft.id}/tasks/${key}`).send({ ...TASK, ...changes });
    await task('thin', { movedTo: dayFromToday(20), who: 'Ben' }).expect(200);
    const own = { movedTo: dayFromToday(5), title: 'Bring spoons' };
    const both = (await task('own-1', own).expect(200)).body as ExperimentView;
    expect(both.tasks).toContainEqual({ key: 'thin', ...TASK, movedTo: dayFromToday(20), who: 'Ben' });
    const file = (await teacher.get(`/api/experiments/${draft.id}/calendar.ics`)).text;
    expect(events(file).get(`${draft.id}-own-1@bright-sprout`)).toContain('SUMMARY:Bring spoons');
    const back = (await task('thin', {}).expect(200)).body as ExperimentView;
    expect(back.tasks.map(({ key }) => key)).toEqual(['own-1']);
    await task('thin', { doneOn: '2026-02-31' }).expect(400);
    await task('a b', { doneOn: '2026-02-01' }).expect(404);
  });

  test('an independent reader takes what was moved for newer, and reads every text as it was written', async () => {
    const question = 'Lines\nand; commas, back\\slashes – “ß”, '.repeat(4).trim();
    const draft = await startDraft(teacher, question);
    const path = `/api/experiments/${draft.id}`;
    const exported = async () => readEvents((await teacher.get(`${path}/calendar.ics`).expect(200)).text);
    const before = await exported();
    expect(before.size).toBeGreaterThan(3);
    for (const [, { days, about }] of before)
      expect([days, about]).toEqual([1, question.replaceAll('\n', ' ')]);
    const uid = `${draft.id}-thin@bright-sprout`;
    const steps = [
      () => teacher.put(`${path}/tasks/thin`).send({ ...TASK, movedTo: dayFromToday(20) }),
      () => teacher.put(`${path}/tasks/thin`).send({ ...TASK, movedTo: dayFromToday(22), who: 'Ben, Ada' }),
      () => teacher.put(`${path}/tasks/thin`).send(TASK),
      () =>
        teacher.put(`${path}/tasks/own-1`).send({ ...TASK, movedTo: dayFromToday(5), title: 'Spoons; 12' }),
    ];
    const seen = [before.get(uid)!];
    for (const step of steps) {
      await step().expect(200);
      seen.push((await exported()).get(uid)!);
    }
    expect(seen.map(({ day }) => day)).toEqual([
      seen[0]!.day,
      dayFromToday(20),
      dayFromToday(22),
      seen[0]!.day,
      seen[0]!.day,
    ]);
    const sequences = seen.map(({ sequence }) => sequence);
    expect(sequences).toEqual([...new Set(sequences)].sort((a, b) => a - b));
    expect((await exported()).get(`${draft.id}-own-1@bright-sprout`)).toMatchObject({
      summary: 'Spoons; 12',
      day: dayFromToday(5),
    });
  });

  test('of a shared experiment has the days that the owner’s own crop gives', async () => {
    const draft = await startDraft(teacher);
    const guest = await server.teacher();
    const share = await teacher.put(`/api/experiments/${draft.id}/shares/${uuid()}`).send({ may: 'see' });
    await guest.put(`/api/invitations/${share.body.code}/taken`).expect(200);
    const [own, theirs] = await Promise.all(
      [teacher, guest].map(async (one) =>
        readEvents((await one.get(`/api/experiments/${draft.id}/calendar.ics`).expect(200)).text),
      ),
    );
    expect(theirs).toEqual(own);
  });
});
