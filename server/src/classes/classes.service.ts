import { say } from '@bright-sprout/words/refusals';
import { randomInt } from 'node:crypto';
import type {
  ClassRequest,
  ClassView,
  MovedPlan,
  RosterRequest,
  SavedClass,
} from '@bright-sprout/contract/classes';
import type { SharedView } from '@bright-sprout/contract/sharing';
import type { FieldProblem } from '@bright-sprout/contract/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager, In } from 'typeorm';
import type { KnownTeacher } from '../accounts/index.ts';
import {
  ApiError,
  inTransaction,
  invalidFields,
  isDuplicate,
  notFound,
  withNewCode,
} from '../shared/index.ts';
import { RightsService } from '../sharing/index.ts';
import { SchoolClass, Student, StudentDevice, Team } from './class.entities.ts';
import { keptOfClass } from './kept-of-class.ts';

const CODE_SIGNS = 6;

/** What students made stays when they go; their names do not. */
const NAMED_TABLES = [
  'reading',
  'care_event',
  'journal_entry',
  'sowing_tick',
  'prediction',
  'conclusion',
] as const;
interface LastLessonRow {
  classId: string;
  lessonOn: string;
}

const LAST_LESSONS = `
  SELECT class_id AS classId, MAX(lesson_on) AS lessonOn
  FROM experiment WHERE class_id IN (?) AND discarded_at IS NULL GROUP BY class_id`;

const NOBODY = say('aStudent');

/** Does what follows from the days on which a class meets. */
export type FollowsDays = (schoolClass: ClassView) => Promise<MovedPlan[]>;

/** Classes with their rosters. */
@Injectable()
export class ClassesService {
  readonly #followers: FollowsDays[] = [];

  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly rights: RightsService,
  ) {}

  /** Lets `follow` run after each change of a class, before it is acknowledged; it may run again for the same. */
  onSaved(follow: FollowsDays): void {
    this.#followers.push(follow);
  }

  /** The classes of a teacher, and those that others shared, by name. */
  async all(teacher: Pick<KnownTeacher, 'id'>): Promise<ClassView[]> {
    const shared = await this.rights.classes(teacher);
    const classes = await this.source.getRepository(SchoolClass).find({
      where: [{ teacherId: teacher.id }, { id: In([...shared.keys()]) }],
      order: { name: 'ASC' },
    });
    return this.#views(classes, shared);
  }

  /**
   * A class as a teacher sees it; as its owner does where none is given.
   * @throws ApiError `not_found`
   */
  async view(id: string, teacher?: KnownTeacher): Promise<ClassView> {
    const found = await this.source.getRepository(SchoolClass).findOneBy({ id });
    const [view] = found
      ? await this.#views([found], teacher ? await this.rights.classes(teacher) : new Map())
      : [];
    if (!view) throw notFound();
    return view;
  }

  /**
   * Everything that is kept of the students of a class, see {@link keptOfClass}.
   * @throws ApiError `not_found`
   */
  async kept(id: string, teacher: KnownTeacher): Promise<AsyncGenerator<string>> {
    return keptOfClass(this.source, await this.view(id, teacher));
  }

  /** Keeps a class; a new one gets a code. */
  async save(id: string, request: ClassRequest, teacher: KnownTeacher): Promise<SavedClass> {
    const problems = holidayProblems(request);
    if (problems.length > 0) throw invalidFields(problems);
    const classes = this.source.getRepository(SchoolClass);
    const before = await classes.findOneBy({ id });
    if (before && before.teacherId !== teacher.id) {
      const may = (await this.rights.classes(teacher)).get(id)?.may;
      if (!may) throw new ApiError('id_in_use', say('thisCouldNotBeKeptUnderIts'));
      if (may === 'see') throw new ApiError('see_only', say('seeOnly'));
    }
    if (before) await classes.save({ ...before, ...request });
    else {
      try {
        await withNewCode(CODE_SIGNS, (code) =>
          classes.insert({ id, teacherId: teacher.id, code, ...request }),
        );
      } catch (thrown) {
        if (!isDuplicate(thrown) || !(await classes.existsBy({ id }))) throw thrown;
        // The same was sent twice at once, and the other was first.
        return this.save(id, request, teacher);
      }
    }
    const view = await this.view(id, teacher);
    const movedPlans: MovedPlan[] = [];
    for (const follow of this.#followers) movedPlans.push(...(await follow(view)));
    return { ...view, movedPlans };
  }

  /** Gives a class a new code; the old one no longer works, and every device that joined by it is out. */
  async newCode(id: string, teacher: KnownTeacher): Promise<ClassView> {
    await withNewCode(CODE_SIGNS, (code) => this.source.getRepository(SchoolClass).update(id, { code }));
    await this.source.getRepository(StudentDevice).delete({ classId: id });
    return this.view(id, teacher);
  }

  /** Keeps the whole roster: teams and students that are left out are removed for good. */
  async saveRoster(classId: string, roster: RosterRequest, teacher: KnownTeacher): Promise<ClassView> {
    const problems = rosterProblems(roster);
    if (problems.length > 0) throw invalidFields(problems);
    await inTransaction(this.source, async (manager) => {
      await refuseForeign(manager, classId, roster);
      const teams = await manager.findBy(Team, { classId });
      const students = await manager.findBy(Student, { classId });
      const gone = (rows: readonly { id: string }[], kept: readonly { id: string }[]): string[] =>
        rows.map(({ id }) => id).filter((id) => !kept.some((one) => one.id === id));
      const goneStudents = gone(students, roster.students);
      const goneTeams = gone(teams, roster.teams);
      if (goneStudents.length > 0) {
        await nameMade(manager, NOBODY, goneStudents);
        await manager.delete(Student, { id: In(goneStudents) });
      }
      await nameReadings(manager, students, roster);
      await manager.save(
        Team,
        roster.teams.map(({ id, name }, position) => ({ id, classId, position, name })),
      );
      await manager.save(
        Student,
        roster.students.map((student, position) => ({
          ...student,
          pin: student.pin ?? students.find(({ id }) => id === student.id)?.pin ?? newPin(),
          classId,
          position,
        })),
      );
      if (goneTeams.length > 0) await manager.delete(Team, { id: In(goneTeams) });
    });
    return this.view(classId, teacher);
  }

  /** Removes a class with its roster; experiments and readings stay. */
  async remove(id: string): Promise<void> {
    await inTransaction(this.source, async (manager) => {
      const students = await manager.findBy(Student, { classId: id });
      await nameMade(
        manager,
        NOBODY,
        students.map((student) => student.id),
      );
      await manager.delete(SchoolClass, { id });
    });
  }

  async #views(
    classes: readonly SchoolClass[],
    shared: ReadonlyMap<string, SharedView>,
  ): Promise<ClassView[]> {
    const ids = classes.map(({ id }) => id);
    if (ids.length === 0) return [];
    const ofThese = { classId: In(ids) };
    const inOrder = { position: 'ASC' } as const;
    const [lessons, teams, students] = await Promise.all([
      this.source.query<LastLessonRow[]>(LAST_LESSONS, [ids]),
      this.source.getRepository(Team).find({ where: ofThese, order: inOrder }),
      this.source.getRepository(Student).find({ where: ofThese, order: inOrder }),
    ]);
    const seesOnly = (id: string): boolean => shared.get(id)?.may === 'see';
    return classes.map(
      ({ id, name, code, readingLevel, timeZone, asksPin, meetingDays, holidays, createdAt }) => ({
        id,
        name,
        code: seesOnly(id) ? '' : code,
        shared: shared.get(id) ?? null,
        readingLevel,
        timeZone,
        asksPin,
        meetingDays,
        holidays,
        quietSince: later(
          createdAt.toISOString().slice(0, 10),
          lessons.find(({ classId }) => classId === id)?.lessonOn,
        ),
        teams: teams.filter((team) => team.classId === id).map((team) => ({ id: team.id, name: team.name })),
        students: students
          .filter((student) => student.classId === id)
          .map(({ id: studentId, displayName, avatar, teamId, pin }) => ({
            id: studentId,
            displayName,
            avatar,
            teamId,
            pin: seesOnly(id) ? null : pin,
          })),
      }),
    );
  }
}

function later(day: string, other: string | undefined): string {
  return other !== undefined && other > day ? other : day;
}

/** Puts a name on everything that students made. */
async function nameMade(manager: EntityManager, name: string, studentIds: readonly string[]): Promise<void> {
  if (studentIds.length === 0) return;
  for (const table of NAMED_TABLES) {
    await manager.query(`UPDATE ${table} SET observer = ? WHERE student_id IN (?)`, [name, studentIds]);
  }
}

/** A display name that was changed is changed on the student's readings, too: the old one may have said too much. */
async function nameReadings(
  manager: EntityManager,
  before: readonly Student[],
  roster: RosterRequest,
): Promise<void> {
  for (const { id, displayName } of roster.students) {
    const known = before.find((student) => student.id === id);
    if (!known || known.displayName === displayName) continue;
    await nameMade(manager, displayName, [id]);
  }
}

/** Ids of a roster that are rows of another class are refused, so that nobody's students are taken over. */
async function refuseForeign(manager: EntityManager, classId: string, roster: RosterRequest): Promise<void> {
  const students = await manager.findBy(Student, { id: In(roster.students.map(({ id }) => id)) });
  const teams = await manager.findBy(Team, { id: In(roster.teams.map(({ id }) => id)) });
  if ([...students, ...teams].some((row) => row.classId !== classId)) {
    throw new ApiError('id_in_use', say('thisRosterCouldNotBeKeptReload'));
  }
}

function rosterProblems({ teams, students }: RosterRequest): FieldProblem[] {
  const problems: FieldProblem[] = [];
  const twice = (names: readonly string[], field: (index: number) => string, message: string): void => {
    const lower = names.map((name) => name.toLowerCase());
    lower.forEach((name, index) => {
      if (lower.indexOf(name) !== index) problems.push({ field: field(index), message });
    });
  };
  twice(
    students.map((student) => student.displayName),
    (index) => `students.${index}.displayName`,
    say('anotherStudentHasThisNameAddAn'),
  );
  twice(
    teams.map((team) => team.name),
    (index) => `teams.${index}.name`,
    say('anotherTeamHasThisName'),
  );
  students.forEach((student, index) => {
    if (student.teamId === null || teams.some((team) => team.id === student.teamId)) return;
    problems.push({ field: `students.${index}.teamId`, message: say('chooseATeamOfThisClass') });
  });
  return problems;
}

function holidayProblems({ holidays }: ClassRequest): FieldProblem[] {
  return holidays.flatMap((holiday, index) =>
    holiday.to >= holiday.from
      ? []
      : [{ field: `holidays.${index}.to`, message: say('theLastDayComesBeforeTheFirst') }],
  );
}

function newPin(): string {
  return String(randomInt(10_000)).padStart(4, '0');
}
