import { v7 as uuid } from 'uuid';
import { Client } from './client.ts';

/** An experiment as far as trials need it. */
export interface SownExperiment {
  readonly id: string;
  readonly version: number;
  readonly units: readonly { readonly id: string; readonly treatmentId: string }[];
  readonly variables: readonly { readonly id: string }[];
  readonly treatments: readonly { readonly id: string }[];
  readonly containers: readonly { readonly id: string }[];
  readonly plan: Record<string, unknown>;
}

/** A class at work: its teacher, an experiment that is sown, and tablets that joined. */
export interface School {
  readonly teacher: Client;
  readonly email: string;
  readonly password: string;
  readonly classId: string;
  readonly code: string;
  readonly experiment: SownExperiment;
  readonly tablets: readonly Client[];
}

/** The day `days` from today (UTC) as YYYY-MM-DD. */
export function dayFromToday(days: number): string {
  return new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
}

/** Opens an account, makes a class with so many tablets, and sows an experiment. */
export async function makeSchool(address: string, tablets: number): Promise<School> {
  const teacher = new Client(address);
  const email = `trial-${uuid()}@school.example`;
  const password = 'a long enough password';
  await teacher.must('POST', '/teachers', { email, displayName: 'Mx Trial', password, timeZone: 'UTC' });
  const classId = uuid();
  const { code } = await teacher.must<{ code: string }>('PUT', `/classes/${classId}`, {
    name: 'At work',
    readingLevel: '8-10',
    timeZone: 'UTC',
    asksPin: false,
    meetingDays: [1, 2, 3, 4, 5, 6, 7],
    holidays: [],
  });
  const students = Array.from({ length: tablets }, (_, index) => ({
    id: uuid(),
    displayName: `S${index}`,
    avatar: 'snail',
    teamId: null,
  }));
  await teacher.must('PUT', `/classes/${classId}/roster`, { teams: [], students });
  const path = `/experiments/${uuid()}`;
  await teacher.must('PUT', path, { question: 'Will it last?', cropId: 'oat' });
  await teacher.must('PUT', `${path}/class`, { classId, units: [] });
  const experiment = await teacher.must<SownExperiment>('PUT', `${path}/sowing`, {
    sownOn: dayFromToday(-3),
  });
  const joined = await Promise.all(
    students.map(async ({ id }) => {
      const tablet = new Client(address);
      await tablet.must('POST', '/device', { code });
      await tablet.must('PUT', '/device/student', { studentId: id });
      return tablet;
    }),
  );
  return { teacher, email, password, classId, code, experiment, tablets: joined };
}

/** A reading to send: its value tells it apart. */
export function readingOf(
  experiment: SownExperiment,
  index: number,
  day = dayFromToday(0),
): Record<string, unknown> {
  return {
    unitId: experiment.units[index % experiment.units.length]?.id,
    variableId: experiment.variables[0]?.id,
    observedOn: day,
    state: 'emerged',
    value: index % 2000,
    entered: String(index % 2000),
    unitOfMeasure: 'mm',
    precision: 1,
  };
}

/** Has the threads started, as they are in a school that is open. */
export async function warm({ teacher, experiment }: School): Promise<void> {
  const upload = await teacher.sendFile(Buffer.from('unit,treatment\n1,x'));
  const readings = (): Promise<unknown> => teacher.send('GET', `/experiments/${experiment.id}/readings`);
  await Promise.all([
    teacher.send('PUT', `/files/${uuid()}`, { fileName: 'a', ...upload }),
    readings(),
    readings(),
  ]);
}
