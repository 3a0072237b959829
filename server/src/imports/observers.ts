import { say } from '@bright-sprout/words/refusals';
import type { DataSource } from 'typeorm';
import { Student } from '../classes/index.ts';
import type { Experiment } from '../plans/index.ts';

const READ_BY_STUDENTS = `
  SELECT r.id, r.student_id AS studentId
  FROM unit u JOIN reading r FORCE INDEX (ix_reading_unit) ON r.unit_id = u.id
  WHERE u.experiment_id = ? AND r.student_id IS NOT NULL
  ORDER BY r.recorded_at, r.id`;

/** Names of the children of the class that runs an experiment. */
export async function rosterNames(
  source: DataSource,
  { classId }: Pick<Experiment, 'classId'>,
): Promise<ReadonlySet<string>> {
  if (classId === null) return new Set();
  const students = await source
    .getRepository(Student)
    .find({ where: { classId }, select: { displayName: true } });
  return new Set(students.map(({ displayName }) => displayName));
}

/**
 * Who made a reading, with a number in place of a child's name: the same for all that one child read, so that two
 * readers of a pot are still two. Teams and teachers are called as they are.
 */
export async function numberedObservers(
  source: DataSource,
  experiment: Pick<Experiment, 'id' | 'classId'>,
): Promise<(reading: { readonly id: string; readonly observer: string }) => string> {
  const [rows, names] = await Promise.all([
    source.query<{ id: string; studentId: string }[]>(READ_BY_STUDENTS, [experiment.id]),
    rosterNames(source, experiment),
  ]);
  const students = new Map(rows.map(({ id, studentId }) => [id, studentId]));
  const numbers = new Map<string, number>();
  return ({ id, observer }) => {
    const student = students.get(id) ?? (names.has(observer) ? observer : undefined);
    if (student === undefined) return observer;
    const number = numbers.get(student) ?? numbers.size + 1;
    numbers.set(student, number);
    return say('studentNumber', { number });
  };
}
