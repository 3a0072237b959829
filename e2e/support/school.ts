import { randomUUID } from 'node:crypto';
import { expect, type Page } from '@playwright/test';
import { dayFromToday } from './test.ts';

/** A class with its experiment, made through the API. */
export interface School {
  readonly code: string;
  readonly classId: string;
  readonly experimentId: string;
}

/** What is different from one team of one student with oats sown a week ago. */
export interface SchoolWishes {
  readonly names?: readonly string[];
  readonly sownOn?: string | null;
  readonly asksPin?: boolean;
  readonly pin?: string;
  /** Changes of the plan. */
  readonly plan?: Record<string, unknown>;
}

/** Makes a class of one team that runs an experiment of the signed-in teacher. */
export async function makeSchool(page: Page, wishes: SchoolWishes = {}): Promise<School> {
  const { names = ['Ada'], sownOn = dayFromToday(-7), asksPin = false, pin = null } = wishes;
  const put = async (path: string, data: object) => {
    const answer = await page.request.put(`${new URL(page.url()).origin}/api${path}`, { data });
    expect([path, answer.status()]).toEqual([path, 200]);
    return answer.json();
  };
  const [classId, experimentId, teamId] = [randomUUID(), randomUUID(), randomUUID()];
  const days = { meetingDays: [1, 2, 3, 4, 5, 6, 7], holidays: [] };
  const about = { name: '5b', readingLevel: '8-10', timeZone: 'UTC', asksPin, ...days };
  const { code } = await put(`/classes/${classId}`, about);
  const students = names.map((displayName) => ({
    id: randomUUID(),
    displayName,
    avatar: 'snail',
    teamId,
    pin,
  }));
  await put(`/classes/${classId}/roster`, { teams: [{ id: teamId, name: 'Otters' }], students });
  const draft = await put(`/experiments/${experimentId}`, {
    question: 'Do oats mind the dark?',
    cropId: 'oat',
  });
  const dates = { sowOn: sownOn ?? dayFromToday(-3), lessonOn: dayFromToday(20) };
  const plan = { ...draft.plan, version: draft.version, ...dates, ...wishes.plan };
  const planned = await put(`/experiments/${experimentId}/plan`, plan);
  const units = planned.units.map(({ id }: { id: string }) => ({ unitId: id, teamId }));
  await put(`/experiments/${experimentId}/class`, { classId, units });
  if (sownOn !== null) await put(`/experiments/${experimentId}/sowing`, { sownOn });
  return { code, classId, experimentId };
}

/** A tablet that joined the class, with a student at it. */
export async function joinOn(tablet: Page, origin: string, code: string, name: string): Promise<void> {
  await tablet.goto(`${origin}/join?code=${code}`);
  await tablet.getByRole('button', { name: 'Join' }).click();
  await tablet.getByRole('button', { name }).click();
}
