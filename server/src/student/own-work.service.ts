import { say } from '@bright-sprout/words/refusals';
import type { MadeOnDevicePart } from '@bright-sprout/contract/student';
import { dayInZone } from '@bright-sprout/core/shared';
import type { ExperimentStatus } from '@bright-sprout/core/calendar';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, IsNull } from 'typeorm';
import { Experiment, Unit } from '../plans/index.ts';
import { type Observer, ReadingsService } from '../readings/index.ts';
import { ApiError, Clock, invalidField, notFound, prepared } from '../shared/index.ts';
import type { JoinedDevice } from './devices.service.ts';

/** Work made without network is taken this many days later. */
const LATEST_DAYS = 14;
const DAY_MS = 86_400_000;

/** What was on its way when the day was closed still counts. */
const ON_ITS_WAY_MS = 2 * 60_000;

/** A student as far as what may be added goes. */
export interface KnownStudent {
  readonly id: string;
  readonly displayName: string;
  readonly teamId: string | null;
}

/** A unit that a student may add to. */
export interface OwnUnit {
  readonly id: string;
  readonly experimentId: string;
  readonly teamId: string | null;
}

/** A unit of the class on a day, before it is known whose it is. */
export interface UnitOnDay extends OwnUnit {
  readonly hasTeams: number;
  readonly status: ExperimentStatus;
  /** When the day was closed; `null` while it is open. */
  readonly closedAt: Date | null;
}

/** A student of a class who is at a device, or chose a picture on it before. Every save begins with it: one statement. */
const STUDENT_AT_DEVICE = `
  SELECT s.id, s.display_name AS displayName, s.team_id AS teamId
  FROM student s
  WHERE s.id = ? AND s.class_id = ?
    AND (s.id = ? OR EXISTS (SELECT 1 FROM device_student d WHERE d.device_id = ? AND d.student_id = s.id))`;

/** A unit of an experiment that a class runs, whether any of its units belong to teams, and whether a day is closed. */
const UNIT_OF_CLASS = `
  SELECT u.id, u.experiment_id AS experimentId, u.team_id AS teamId, d.recorded_at AS closedAt, e.status,
         EXISTS (SELECT 1 FROM unit t WHERE t.experiment_id = u.experiment_id AND t.team_id IS NOT NULL) AS hasTeams
  FROM unit u JOIN experiment e ON e.id = u.experiment_id AND e.class_id = ? AND e.discarded_at IS NULL
  LEFT JOIN closed_day d ON d.experiment_id = u.experiment_id AND d.day = ?
  WHERE u.id = ?`;

/** Who made something, and on which day of the class. */
export interface OwnWork {
  readonly student: KnownStudent;
  readonly observer: Observer;
  /** The day it was made, by the server's clock. */
  readonly day: string;
  readonly madeAt: Date;
}

/** Decides what a student may add from a shared device. */
@Injectable()
export class OwnWorkService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly readings: ReadingsService,
    private readonly clock: Clock,
  ) {}

  /**
   * Who made it and when. A device's clock may be wrong, so only the time that passed on it between making and
   * sending is used.
   * @throws ApiError `no_student`, `invalid_fields`
   */
  async of(device: JoinedDevice, made: MadeOnDevicePart | undefined): Promise<OwnWork> {
    const time = this.timeOf(device, made);
    return workAt(device, await this.student(device, made?.studentId), time);
  }

  /**
   * When something was made.
   * @throws ApiError `invalid_fields`
   */
  timeOf(device: JoinedDevice, made: MadeOnDevicePart | undefined): Pick<OwnWork, 'day' | 'madeAt'> {
    const passed = made ? Math.max(0, Date.parse(made.sentAt) - Date.parse(made.madeAt)) : 0;
    if (passed > LATEST_DAYS * DAY_MS) {
      throw invalidField('made', say('thisWaitedMoreThanDaysShowIt', { latestDays: LATEST_DAYS }));
    }
    const madeAt = new Date(this.clock.now().getTime() - passed);
    return { madeAt, day: dayInZone(madeAt.getTime(), device.timeZone) };
  }

  /**
   * The student at a device, or one who chose a picture on it before.
   * @throws ApiError `no_student`
   */
  async student(device: JoinedDevice, studentId: string | undefined): Promise<KnownStudent> {
    const id = studentId ?? device.studentId;
    const [student] =
      id === null
        ? []
        : await prepared<KnownStudent[]>(this.source, STUDENT_AT_DEVICE, [
            id,
            device.classId,
            device.studentId,
            device.id,
          ]);
    if (!student) throw new ApiError('no_student', say('chooseYourPictureFirst'));
    return student;
  }

  /** A unit of the class as it stands on a day; undefined when the class has no such unit. */
  async unitOn(device: JoinedDevice, unitId: string, day: string): Promise<UnitOnDay | undefined> {
    const [unit] = await prepared<UnitOnDay[]>(this.source, UNIT_OF_CLASS, [device.classId, day, unitId]);
    return unit;
  }

  /**
   * The unit, when it is one of the student's own.
   * @throws ApiError `not_found`
   */
  async unit(device: JoinedDevice, student: KnownStudent, unitId: string): Promise<OwnUnit> {
    return this.own(await this.unitOn(device, unitId, this.clock.today(device.timeZone)), student);
  }

  /**
   * Refuses a unit that is not one of the student's own, and one of an experiment that is finished.
   * @throws ApiError `not_found`, `experiment_finished`
   */
  own(unit: UnitOnDay | undefined, { teamId }: KnownStudent): UnitOnDay {
    if (!unit || (teamId !== null && unit.hasTeams !== 0 && unit.teamId !== teamId)) throw notFound();
    if (unit.status === 'finished') throw finished();
    return unit;
  }

  /**
   * Some units, when all are the student's own and of one experiment that goes on.
   * @throws ApiError `not_found`, `experiment_finished`
   */
  async units(device: JoinedDevice, student: KnownStudent, unitIds: readonly string[]): Promise<Unit[]> {
    const units = this.source.getRepository(Unit);
    const first = await units.findOne({
      where: { id: unitIds[0] ?? '', experiment: { classId: device.classId, discardedAt: IsNull() } },
      relations: { experiment: true },
    });
    if (!first) throw notFound();
    if (first.experiment.status === 'finished') throw finished();
    const all = await units.findBy({ experimentId: first.experimentId });
    const own = new Map(ownUnits(all, student).map((unit) => [unit.id, unit]));
    return unitIds.map((id) => {
      const unit = own.get(id);
      if (!unit) throw notFound();
      return unit;
    });
  }

  /**
   * Refuses an experiment that the class does not run.
   * @throws ApiError `not_found`
   */
  async experiment(device: JoinedDevice, id: string): Promise<void> {
    const runs = await this.source.getRepository(Experiment).existsBy({
      id,
      classId: device.classId,
      discardedAt: IsNull(),
    });
    if (!runs) throw notFound();
  }

  /**
   * Refuses what was made after the teacher closed its day.
   * @returns true when it says that it was made before, but comes late: a clock can be made to say so, and the teacher
   *   decides
   * @throws ApiError `day_closed`
   */
  async refuseClosed(experimentId: string, work: OwnWork): Promise<{ isLate: boolean }> {
    return this.refuseAfter(await this.readings.closedAt(experimentId, work.day), work);
  }

  /**
   * The same, once it is known when the day was closed.
   * @throws ApiError `day_closed`
   */
  refuseAfter(closedAt: Date | null | undefined, { madeAt }: OwnWork): { isLate: boolean } {
    if (!closedAt) return { isLate: false };
    if (madeAt > closedAt) {
      throw new ApiError('day_closed', say('yourTeacherClosedThisDayShowYour'));
    }
    return { isLate: this.clock.now().getTime() - closedAt.getTime() > ON_ITS_WAY_MS };
  }
}

function finished(): ApiError {
  return new ApiError('experiment_finished', say('thisExperimentIsFinishedForStudents'));
}

/** What a student of a device did at a time. */
export function workAt(
  { timeZone }: JoinedDevice,
  student: KnownStudent,
  time: Pick<OwnWork, 'day' | 'madeAt'>,
): OwnWork {
  const observer = { displayName: student.displayName, studentId: student.id, timeZone };
  return { student, observer, ...time };
}

/** The units of a student's team; all of them when no team has any, or the student has no team. */
export function ownUnits<T extends Unit>(units: readonly T[], student: KnownStudent): T[] {
  const own = units.filter((unit) => unit.teamId !== null && unit.teamId === student.teamId);
  const isShared = student.teamId === null || units.every((unit) => unit.teamId === null);
  return isShared ? [...units] : own;
}
