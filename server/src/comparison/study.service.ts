import { say } from '@bright-sprout/words/refusals';
import type { StudyQuery, StudyView } from '@bright-sprout/contract/comparison';
import { FARTHEST_STUDY_DAYS, type StudyRun, studyPart } from '@bright-sprout/core/comparison';
import { type ReadingFact, unitDays } from '@bright-sprout/core/growth';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';

interface RunRow {
  id: string;
  question: string;
  className: string | null;
  sowOn: string;
  variableId: string;
}

interface GroupRow {
  experimentId: string;
  id: string;
  name: string;
  isControl: number;
}

interface UnitRow {
  experimentId: string;
  id: string;
  number: number;
  groupId: string;
  sownOn: StudyRun['units'][number]['sownOn'];
}

/** Runs of the same plan that a teacher may see: of one study, or of one owner with the same question and first variable. */
const RUNS = `
  SELECT e.id, e.question, c.name AS className, e.sow_on AS sowOn, v.id AS variableId
  FROM experiment own
  JOIN variable ownv ON ownv.experiment_id = own.id AND ownv.position = 0
  JOIN experiment e ON e.teacher_id = own.teacher_id AND e.discarded_at IS NULL AND e.status <> 'draft'
    AND (e.id = own.id OR e.study_id = own.study_id OR e.question = own.question)
    AND (e.teacher_id = ? OR EXISTS (
      SELECT 1 FROM share s WHERE s.teacher_id = ? AND (s.experiment_id = e.id OR s.class_id = e.class_id)))
  JOIN variable v ON v.experiment_id = e.id AND v.position = 0 AND v.name = ownv.name
  LEFT JOIN school_class c ON c.id = e.class_id
  WHERE own.id = ?
  ORDER BY e.id = own.id DESC, e.sow_on DESC, e.id
  LIMIT 40`;

const GROUPS = `
  SELECT experiment_id AS experimentId, id, name, is_control AS isControl
  FROM treatment WHERE experiment_id IN (?) ORDER BY position`;

const UNITS = `
  SELECT experiment_id AS experimentId, id, number, treatment_id AS groupId, sown_on AS sownOn
  FROM unit WHERE experiment_id IN (?) ORDER BY number`;

/** The last age that was read, by run. */
const LAST_AGES = `
  SELECT u.experiment_id AS experimentId, MAX(DATEDIFF(r.observed_on, u.sown_on)) AS age
  FROM unit u JOIN reading r ON r.unit_id = u.id AND r.variable_id IN (?)
  WHERE u.experiment_id IN (?) AND u.sown_on IS NOT NULL
  GROUP BY u.experiment_id`;

/** Only readings near the age compared: the others cannot count. */
const READINGS = `
  SELECT r.unit_id AS unitId, r.observed_on AS day, r.state, r.value
  FROM unit u JOIN reading r ON r.unit_id = u.id AND r.variable_id IN (?)
    AND r.observed_on BETWEEN u.sown_on + INTERVAL ? DAY AND u.sown_on + INTERVAL ? DAY
  WHERE u.experiment_id IN (?)
    AND NOT EXISTS (SELECT 1 FROM reading c WHERE c.supersedes_id = r.id)
    AND NOT EXISTS (SELECT 1 FROM set_aside s WHERE s.reading_id = r.id AND s.lifted_at IS NULL)
  ORDER BY r.recorded_at, r.id`;

/** Several classes that ran one plan, pooled by the core. */
@Injectable()
export class StudyService {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** All runs of the plan of an experiment that a teacher may see, compared at one age. */
  async of(experimentId: string, query: StudyQuery, teacherId: string): Promise<StudyView> {
    const all = await this.source.query<RunRow[]>(RUNS, [teacherId, teacherId, experimentId]);
    const left = new Set(query.without?.split(',') ?? []);
    const rows = all.filter((row) => row.id === experimentId || !left.has(row.id));
    const ids = rows.map((row) => row.id);
    if (ids.length === 0) return { ...studyPart([], 0, 'only_up') };
    const variables = rows.map((row) => row.variableId);
    const age = query.age ?? (await this.#sharedAge(variables, ids));
    const [groups, units, readings] = await Promise.all([
      this.source.query<GroupRow[]>(GROUPS, [ids]),
      this.source.query<UnitRow[]>(UNITS, [ids]),
      this.source.query<ReadingFact[]>(READINGS, [
        variables,
        age - FARTHEST_STUDY_DAYS,
        age + FARTHEST_STUDY_DAYS,
        ids,
      ]),
    ]);
    const histories = unitDays(readings);
    const runs = rows.map((row): StudyRun => ({
      id: row.id,
      name: `${row.className ?? row.question}, ${dayWords(row.sowOn)}`,
      groups: groups
        .filter((group) => group.experimentId === row.id)
        .map(({ id, name, isControl }) => ({ id, name, isControl: isControl === 1 })),
      units: units.filter((unit) => unit.experimentId === row.id),
      histories,
    }));
    return studyPart(runs, age, query.rule ?? 'only_up');
  }

  /** The last age that every run that was read has a reading of; 0 when nobody read. */
  async #sharedAge(variables: readonly string[], ids: readonly string[]): Promise<number> {
    const ages = await this.source.query<{ age: number | string }[]>(LAST_AGES, [variables, ids]);
    return ages.length === 0 ? 0 : Math.max(0, Math.min(...ages.map((row) => Number(row.age))));
  }
}

const DAY = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});

/** `sown 3 Sept 2026` */
function dayWords(day: string): string {
  return say('sown', { format: DAY.format(new Date(`${day}T00:00:00Z`)) });
}
