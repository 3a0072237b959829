import { DRAFTED_BOARDS } from '@bright-sprout/core/lessons';
import { addDays, type CalendarDay } from '@bright-sprout/core/shared';
import {
  DEMO_CLASS,
  DEMO_CONCLUSIONS,
  DEMO_EMAIL,
  DEMO_ENTRIES,
  DEMO_STUDENTS,
  DEMO_TEACHER,
  DEMO_TEAMS,
  demoCare,
  demoDrawing,
  demoExperiments,
  demoGuesses,
  demoSamples,
  demoSeedLots,
  type DemoPhoto,
} from '@bright-sprout/demo';
import type { INestApplicationContext } from '@nestjs/common';
import { getDataSourceToken } from '@nestjs/typeorm';
import { type DataSource, In } from 'typeorm';
import { v5 as uuidOf, v7 as uuid } from 'uuid';
import { insertCare, LoggersService } from '../care/index.ts';
import { ClassesService, Student } from '../classes/index.ts';
import { Conclusion, Prediction } from '../predictions/index.ts';
import { JournalEntry, pictureOf } from '../journal/index.ts';
import { ImportsService } from '../imports/index.ts';
import { type KnownTeacher, Teacher, TeachersService } from '../accounts/index.ts';
import { SeedLot } from '../inventory/index.ts';
import { LessonRow, Poll, Vote } from '../lessons/index.ts';
import { Photo } from '../photos/index.ts';
import { Container, Experiment, Unit } from '../plans/index.ts';
import { Clock } from '../shared/index.ts';

/** Number of teachers there are. */
export function countTeachers(app: INestApplicationContext): Promise<number> {
  return app.get<DataSource>(getDataSourceToken()).getRepository(Teacher).count();
}

/** True when there is a demo teacher with this password. */
export async function demoHasPassword(app: INestApplicationContext, password: string): Promise<boolean> {
  const teacher = await app.get(TeachersService).find({ email: DEMO_EMAIL, password });
  return teacher !== undefined;
}

/** True when the demo teacher of this password is there and loading was cut short: it is marked at the very end. */
export async function isDemoHalf(app: INestApplicationContext, password: string): Promise<boolean> {
  const teacher = await app.get(TeachersService).find({ email: DEMO_EMAIL, password });
  return teacher?.isDemo === false;
}

/** Makes the made-up school anew: its teacher and experiments are replaced, all others stay untouched. */
export async function loadDemo(app: INestApplicationContext, password: string): Promise<void> {
  const source = app.get<DataSource>(getDataSourceToken());
  await source.getRepository(Teacher).delete({ email: DEMO_EMAIL });
  const teacher = await app.get(TeachersService).register({ ...DEMO_TEACHER, email: DEMO_EMAIL, password });
  const clock = app.get(Clock);
  const today = clock.today(teacher.timeZone);
  for (const { cropId, name, ...figures } of demoSeedLots(today)) {
    await source.getRepository(SeedLot).save({ id: uuid(), teacherId: teacher.id, cropId, name, figures });
  }
  const classExperiments: string[] = [];
  let given: GivenLesson | undefined;
  for (const { hypothesis, status, plan, experiment, drawPhotos } of demoExperiments(today)) {
    const id = uuid();
    await app.get(ImportsService).insert({ id, teacherId: teacher.id, hypothesis, status, plan }, experiment);
    if (drawPhotos) {
      await loadPhotos(source, id, drawPhotos());
      continue;
    }
    classExperiments.push(id);
    if (status === 'growing') {
      given = { experimentId: id, ...plan.prediction };
      await loadCare(app, id, experiment.sowOn, today);
      await loadJournal(
        source,
        id,
        experiment.readings
          .map(({ observedOn }) => observedOn)
          .sort()
          .at(-1) ?? today,
      );
    }
    if (status !== 'draft') await loadIdeas(source, id, plan.prediction.choices, experiment.sowOn, status);
  }
  await loadClass(app, teacher, classExperiments);
  if (given) await loadVotes(source, given, today);
  await source.getRepository(Teacher).update(teacher.id, { isDemo: true });
}

/** What the class guessed on sowing day, and what it concluded of the finished ones. */
async function loadIdeas(
  source: DataSource,
  experimentId: string,
  choices: readonly string[],
  sowOn: CalendarDay,
  status: string,
): Promise<void> {
  const recordedAt = new Date(`${sowOn}T08:30:00Z`);
  const guesses = demoGuesses(choices).map((choice) => ({
    id: uuid(),
    experimentId,
    choice,
    observer: '',
    recordedAt,
  }));
  if (guesses.length > 0) await source.getRepository(Prediction).insert(guesses);
  if (status !== 'finished' || !choices.includes('Paper hood')) return;
  const rows = DEMO_CONCLUSIONS.map((conclusion) => ({ ...conclusion, id: uuid(), experimentId }));
  await source.getRepository(Conclusion).insert(rows);
}

interface GivenLesson {
  readonly experimentId: string;
  readonly prompt: string;
  readonly choices: readonly string[];
}

/** A lesson that was given the day before, on whose guess the tablets of the class voted. */
async function loadVotes(
  source: DataSource,
  { experimentId, prompt, choices }: GivenLesson,
  today: CalendarDay,
): Promise<void> {
  const begunAt = new Date(`${addDays(today, -1)}T09:00:00Z`);
  const boardId = uuidOf(`${experimentId} guess`, DRAFTED_BOARDS);
  const pollId = uuidOf(begunAt.toISOString(), boardId);
  await source.getRepository(LessonRow).insert({
    ...{ experimentId, version: 0, document: null, showing: null, begunAt, shownAt: begunAt },
  });
  const hands = choices.map(() => 0);
  await source.getRepository(Poll).insert({
    ...{ id: pollId, experimentId, prompt, choices: [...choices], hands },
    ...{ openedAt: begunAt, closedAt: begunAt, changedAt: begunAt },
  });
  const { classId } = await source.getRepository(Experiment).findOneByOrFail({ id: experimentId });
  const students = await source
    .getRepository(Student)
    .find({ where: { classId: classId ?? '' }, order: { position: 'ASC' } });
  const guesses = demoGuesses(choices);
  await source.getRepository(Vote).insert(
    students.map(({ id }, index) => ({
      ...{ id: uuid(), pollId, studentId: id, recordedAt: begunAt },
      choice: choices.indexOf(guesses[index % guesses.length] ?? ''),
    })),
  );
}

/** What was done to the growing plants, and what the logger beside them measured. */
async function loadCare(
  app: INestApplicationContext,
  experimentId: string,
  sowOn: CalendarDay,
  today: CalendarDay,
): Promise<void> {
  const events = demoCare(sowOn, today).map((event) => ({
    ...event,
    id: uuid(),
    experimentId,
    unitIds: null,
    moves: [],
    reason: null,
    undoneAt: null,
    recordedAt: new Date(`${event.happenedOn}T14:00:00Z`),
  }));
  await app.get<DataSource>(getDataSourceToken()).transaction((manager) => insertCare(manager, events));
  await app.get(LoggersService).keep(experimentId, demoSamples(sowOn, today));
}

/** What the class drew and wrote of the growing plants. */
async function loadJournal(source: DataSource, experimentId: string, lastRead: CalendarDay): Promise<void> {
  const units = await source
    .getRepository(Unit)
    .find({ where: { experimentId }, select: { id: true, number: true } });
  const rows = await Promise.all(
    DEMO_ENTRIES.map(async ({ pot, observer, daysBefore, note, drawn }) => {
      const happenedOn = addDays(lastRead, -daysBefore);
      return {
        id: uuid(),
        experimentId,
        unitId: units.find(({ number }) => number === pot)?.id ?? null,
        happenedOn,
        kind: drawn === null ? ('note' as const) : ('drawing' as const),
        note,
        picture: drawn === null ? null : await pictureOf(demoDrawing(drawn)),
        observer,
        recordedAt: new Date(`${happenedOn}T10:15:00Z`),
      };
    }),
  );
  await source.getRepository(JournalEntry).insert(rows);
}

/** The photos of a container, as a camera above it would have sent them. */
async function loadPhotos(
  source: DataSource,
  experimentId: string,
  photos: readonly DemoPhoto[],
): Promise<void> {
  const container = await source.getRepository(Container).findOneByOrFail({ experimentId });
  const rows = await Promise.all(
    photos.map(async ({ picture: { width, height, data }, takenOn, corners }) => ({
      ...{ id: uuid(), experimentId, containerId: container.id, unitId: null, view: 'above' as const },
      ...{
        takenOn,
        width,
        height,
        corners: corners && [...corners],
        greyPatch: null,
        leftOut: null,
        observer: 'camera',
      },
      picture: await pictureOf({ width, height, pixels: withoutOpacity(data) }),
      recordedAt: new Date(`${takenOn}T08:00:00Z`),
    })),
  );
  await source.getRepository(Photo).insert(rows);
}

function withoutOpacity(data: Uint8ClampedArray): Uint8Array {
  const pixels = new Uint8Array((data.length / 4) * 3);
  for (let from = 0, to = 0; from < data.length; from += 4, to += 3) {
    pixels.set(data.subarray(from, from + 3), to);
  }
  return pixels;
}

/** Makes the class, and gives it the experiments with the teams that their pots carry. */
async function loadClass(
  app: INestApplicationContext,
  teacher: KnownTeacher,
  experimentIds: readonly string[],
): Promise<void> {
  const classes = app.get(ClassesService);
  const classId = uuid();
  const days = { asksPin: false, meetingDays: [...DEMO_CLASS.meetingDays], holidays: [] };
  await classes.save(classId, { ...DEMO_CLASS, ...days, timeZone: teacher.timeZone }, teacher);
  const teams = DEMO_TEAMS.map((name) => ({ id: uuid(), name }));
  const students = DEMO_STUDENTS.map(([displayName, avatar], index) => ({
    id: uuid(),
    displayName,
    avatar,
    teamId: teams[index % teams.length]?.id ?? null,
  }));
  await classes.saveRoster(classId, { teams, students }, teacher);
  const source = app.get<DataSource>(getDataSourceToken());
  await source.getRepository(Experiment).update({ id: In(experimentIds) }, { classId });
  for (const { id, name } of teams) {
    const own = await source
      .getRepository(Unit)
      .find({ where: { experimentId: In(experimentIds), team: name }, select: { id: true } });
    if (own.length > 0)
      await source.getRepository(Unit).update({ id: In(own.map((unit) => unit.id)) }, { teamId: id });
  }
}
