import type { ExperimentCard } from '@bright-sprout/contract/experiments';
import { isDueToday, type Job, jobRank, nextJob } from '@bright-sprout/core/calendar';
import { calendarDay, type CalendarDay, type ReadingState } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, In, IsNull } from 'typeorm';
import type { KnownTeacher } from '../accounts/index.ts';
import { Experiment, Treatment } from '../plans/index.ts';
import { RightsService } from '../sharing/index.ts';
import { Clock } from '../shared/index.ts';

/** A unit with its last reading of the plan's first variable. */
interface UnitRow {
  experimentId: string;
  treatmentId: string;
  lastState: ReadingState | null;
  lastDay: string | null;
  lastValue: number | null;
  kind: string;
}

const UNITS_WITH_LAST_READING = `
  SELECT u.experiment_id AS experimentId, u.treatment_id AS treatmentId, v.kind,
         r.state AS lastState, r.observed_on AS lastDay, r.value AS lastValue
  FROM experiment e
  JOIN unit u ON u.experiment_id = e.id
  JOIN variable v ON v.experiment_id = e.id AND v.position = 0
  LEFT JOIN reading r ON r.id = (
    SELECT l.id FROM reading l
    WHERE l.unit_id = u.id AND l.variable_id = v.id AND l.state <> 'not_read'
      AND NOT EXISTS (SELECT 1 FROM reading c WHERE c.supersedes_id = l.id)
    ORDER BY l.observed_on DESC, l.recorded_at DESC, l.id DESC LIMIT 1)
  WHERE e.id IN (?)`;

/** The experiments: every experiment with the next thing to do. */
@Injectable()
export class ExperimentsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
    private readonly rights: RightsService,
  ) {}

  /**
   * Cards of a teacher's experiments and of those that others shared, in the order they want attention: due today,
   * running, planned, finished.
   */
  async cards(teacher: KnownTeacher): Promise<ExperimentCard[]> {
    const { manager } = this.source;
    const today = this.clock.today(teacher.timeZone);
    const shared = await this.rights.experiments(teacher);
    const experiments = await manager.find(Experiment, {
      where: [
        { teacherId: teacher.id, discardedAt: IsNull() },
        { id: In([...shared.keys()]), discardedAt: IsNull() },
      ],
      relations: { crop: true, schoolClass: true },
    });
    if (experiments.length === 0) return [];
    const ids = experiments.map(({ id }) => id);
    const [units, treatments] = await Promise.all([
      this.source.query<UnitRow[]>(UNITS_WITH_LAST_READING, [ids]),
      manager.find(Treatment, { where: { experimentId: In(ids) }, order: { position: 'ASC' } }),
    ]);
    const ranked = experiments.map((experiment) => {
      const ownUnits = units.filter((unit) => unit.experimentId === experiment.id);
      const ownTreatments = treatments.filter((treatment) => treatment.experimentId === experiment.id);
      const job = jobOf(experiment, ownUnits, today);
      return {
        card: {
          ...cardOf(experiment, ownTreatments, ownUnits, job, today),
          shared: shared.get(experiment.id) ?? null,
        },
        rank: jobRank(job, experiment.status),
      };
    });
    return ranked
      .sort((a, b) => a.rank - b.rank || a.card.lessonOn.localeCompare(b.card.lessonOn))
      .map(({ card }) => card);
  }
}

function jobOf(experiment: Experiment, units: readonly UnitRow[], today: CalendarDay): Job {
  const readToday = units.filter((unit) => unit.lastDay === today);
  const gone = units.filter((unit) => isGone(unit) && unit.lastDay !== today).length;
  const facts = {
    status: experiment.status,
    sowOn: calendarDay(experiment.sowOn),
    lessonOn: calendarDay(experiment.lessonOn),
    today,
    unitsToRead: units.length - gone,
    unitsReadToday: readToday.length,
  };
  return nextJob(facts, experiment.planDocument?.calendar);
}

function isGone(unit: UnitRow): boolean {
  return unit.lastState === 'dead' || unit.lastState === 'removed';
}

function cardOf(
  experiment: Experiment,
  treatments: readonly Treatment[],
  units: readonly UnitRow[],
  job: Job,
  today: CalendarDay,
): Omit<ExperimentCard, 'shared'> {
  return {
    id: experiment.id,
    question: experiment.question,
    cropName: experiment.cropName,
    habit: experiment.crop?.habit ?? null,
    status: experiment.status,
    today,
    sowOn: experiment.sowOn,
    lessonOn: experiment.lessonOn,
    units: units.length,
    className: experiment.schoolClass?.name ?? null,
    job: { ...job, isDue: isDueToday(job) },
    treatments: treatments.map((treatment) => {
      const own = units.filter((unit) => unit.treatmentId === treatment.id);
      return {
        name: treatment.name,
        style: treatment.position,
        units: own.length,
        meanHeightMm: meanHeight(own),
      };
    }),
  };
}

function meanHeight(units: readonly UnitRow[]): number | null {
  const heights = units.flatMap((unit) =>
    unit.kind === 'length' && unit.lastValue !== null ? [unit.lastValue] : [],
  );
  return heights.length === 0 ? null : heights.reduce((sum, height) => sum + height, 0) / heights.length;
}
