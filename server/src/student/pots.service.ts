import type { ReadingRequest, ReadingView } from '@bright-sprout/contract/record';
import type { StudentPotView } from '@bright-sprout/contract/student';
import { unitDays } from '@bright-sprout/core/growth';
import { calendarDay } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, In, IsNull } from 'typeorm';
import { Student } from '../classes/index.ts';
import { Experiment, ExperimentStore, type StoredPlan, Unit } from '../plan/index.ts';
import { Reading, ReadingsService } from '../record/index.ts';
import { ApiError, Clock, invalidField, notFound } from '../shared/index.ts';
import type { JoinedDevice } from './devices.service.ts';

/** The pots of a student today, and the readings made of them. */
@Injectable()
export class PotsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly store: ExperimentStore,
    private readonly readings: ReadingsService,
    private readonly clock: Clock,
  ) {}

  /** The pots of the student's team, or every pot when the student has no team or the team has none. */
  async pots(device: JoinedDevice): Promise<StudentPotView[]> {
    const student = await this.#student(device);
    const today = this.clock.today(device.timeZone);
    const experiments = await this.source.getRepository(Experiment).find({
      where: { classId: device.classId, status: In(['planted', 'growing']), discardedAt: IsNull() },
      order: { lessonOn: 'ASC' },
    });
    const pots = await Promise.all(experiments.map(({ id }) => this.#potsOf(id, student, today)));
    return pots.flat();
  }

  /**
   * Keeps a reading of today of one of the student's own pots. A correction is of the student's own reading.
   * @throws ApiError `not_found`, `invalid_fields`
   */
  async keep(device: JoinedDevice, readingId: string, request: ReadingRequest): Promise<ReadingView> {
    const student = await this.#student(device);
    const today = this.clock.today(device.timeZone);
    if (request.observedOn !== today) {
      throw invalidField(
        'observedOn',
        `Students read on the day itself, and today is ${today}. Ask your teacher.`,
      );
    }
    const unit = await this.source
      .getRepository(Unit)
      .findOne({ where: { id: request.unitId, experiment: { classId: device.classId } } });
    if (!unit || !isOwn(await this.#units(unit.experimentId), student).some((one) => one.id === unit.id)) {
      throw notFound();
    }
    if (request.supersedesId) {
      const corrected = await this.source.getRepository(Reading).findOneBy({ id: request.supersedesId });
      if (corrected?.studentId !== student.id || corrected.observedOn !== today) {
        throw invalidField('supersedesId', 'You can put right what you read yourself today.');
      }
    }
    const { displayName, id: studentId } = student;
    const observer = { displayName, studentId, timeZone: device.timeZone };
    return this.readings.keep(unit.experimentId, readingId, request, observer);
  }

  async #student(device: JoinedDevice): Promise<Student> {
    const student =
      device.studentId === null
        ? null
        : await this.source
            .getRepository(Student)
            .findOneBy({ id: device.studentId, classId: device.classId });
    if (!student) throw new ApiError('no_tile', 'Choose your picture first.');
    return student;
  }

  #units(experimentId: string): Promise<Unit[]> {
    return this.source.getRepository(Unit).find({ where: { experimentId }, order: { number: 'ASC' } });
  }

  async #potsOf(experimentId: string, student: Student, today: string): Promise<StudentPotView[]> {
    const [stored, readings] = await Promise.all([
      this.store.load(experimentId),
      this.readings.all(experimentId),
    ]);
    const [variable] = stored.variables;
    if (!variable) return [];
    const counting = readings.filter((reading) => reading.counts && reading.variableId === variable.id);
    const findings = unitDays(
      counting.map(({ unitId, observedOn, state, value }) => ({
        unitId,
        day: calendarDay(observedOn),
        state,
        value,
      })),
    );
    const ownIds = new Set(
      (
        await this.source.getRepository(Reading).find({
          where: { studentId: student.id, observedOn: today },
          select: { id: true },
        })
      ).map(({ id }) => id),
    );
    const sown = isOwn(stored.units, student).filter(
      (unit) => unit.sowedOn !== null && unit.sowedOn <= today,
    );
    return sown.flatMap((unit): StudentPotView[] => {
      const history = findings.get(unit.id) ?? [];
      const last = history.filter((finding) => finding.day < today).at(-1);
      if (last?.state === 'dead' || last?.state === 'removed') return [];
      const own = counting.filter((reading) => reading.unitId === unit.id && ownIds.has(reading.id)).at(-1);
      return [
        {
          experimentId,
          question: stored.experiment.question,
          unitId: unit.id,
          number: unit.number,
          ...treatmentOf(stored, unit),
          habit: stored.experiment.crop?.habit ?? 'upright',
          seedsSown: unit.seedsSown,
          plantRule: stored.experiment.planDocument?.plantRule ?? 'tallest',
          variable: {
            id: variable.id,
            name: variable.name,
            kind: variable.kind,
            unit: variable.unit,
            step: variable.step,
          },
          last: last ? { day: last.day, state: last.state, value: last.value } : null,
          own: own ?? null,
          isReadToday: history.some((finding) => finding.day === today && finding.state !== 'not_read'),
        },
      ];
    });
  }
}

/** The units of a student's team; all of them when no team has any, or the student has no team. */
function isOwn(units: readonly Unit[], student: Student): Unit[] {
  const own = units.filter((unit) => unit.teamId !== null && unit.teamId === student.teamId);
  const isShared = student.teamId === null || units.every((unit) => unit.teamId === null);
  return isShared ? [...units] : own;
}

function treatmentOf(stored: StoredPlan, unit: Unit): { treatment: string; style: number } {
  const treatment = stored.treatments.find((one) => one.id === unit.treatmentId);
  return { treatment: treatment?.name ?? '', style: treatment?.position ?? 0 };
}
