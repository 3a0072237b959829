import { say } from '@bright-sprout/words/refusals';
import type { ReadingView } from '@bright-sprout/contract/readings';
import type {
  OtherPotView,
  PotNote,
  StudentPotView,
  StudentReadingRequest,
} from '@bright-sprout/contract/student';
import { type UnitDay, unitDays } from '@bright-sprout/core/growth';
import { LATE_WORDS, calendarDay, type ReadingState } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, In, IsNull } from 'typeorm';
import {
  Experiment,
  ExperimentStore,
  growthFactsOf,
  type StoredPlan,
  type Unit,
  type Variable,
} from '../plans/index.ts';
import { Reading, ReadingsService } from '../readings/index.ts';
import { Clock, invalidField, notFound } from '../shared/index.ts';
import type { JoinedDevice } from './devices.service.ts';
import { type KnownStudent, OwnWorkService, ownUnits, workAt } from './own-work.service.ts';
import { PracticeService } from './practice.service.ts';

const BY_ITSELF = say('brightSprout');

/** The pots of a student today, and the readings made of them. */
@Injectable()
export class PotsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly store: ExperimentStore,
    private readonly readings: ReadingsService,
    private readonly work: OwnWorkService,
    private readonly practice: PracticeService,
    private readonly clock: Clock,
  ) {}

  /** The pots of the student's team, or every pot when the student has no team or the team has none. */
  async pots(device: JoinedDevice): Promise<StudentPotView[]> {
    const student = await this.work.student(device, undefined);
    const today = this.clock.today(device.timeZone);
    const experiments = await this.source.getRepository(Experiment).find({
      where: { classId: device.classId, status: In(['planted', 'growing']), discardedAt: IsNull() },
      order: { lessonOn: 'ASC' },
    });
    const { typicalMm } = await this.practice.ofClass(device.classId);
    const pots = await Promise.all(experiments.map(({ id }) => this.#potsOf(id, student, today, typicalMm)));
    return pots.flat();
  }

  /**
   * Whose a pot of the class is whose code was read, and why the student does not read it today.
   * @throws ApiError `not_found` when the class has no such pot, or the student reads it
   */
  async other(device: JoinedDevice, unitId: string): Promise<OtherPotView> {
    const student = await this.work.student(device, undefined);
    const today = this.clock.today(device.timeZone);
    const found = await this.work.unitOn(device, unitId, today);
    if (!found) throw notFound();
    const stored = await this.store.load(found.experimentId);
    const unit = stored.units.find(({ id }) => id === unitId);
    const [variable] = stored.variables;
    if (!unit || !variable || stored.experiment.discardedAt !== null) throw notFound();
    const readings = await this.readings.recent([unitId], today);
    const { last } = readOf(variable, readings, new Set(), today).of(unit);
    const why = whyNotRead(stored, unit, student, last?.state, today);
    if (!why) throw notFound();
    const { question } = stored.experiment;
    return { number: unit.number, question, ...treatmentOf(stored, unit), team: unit.team, why };
  }

  /**
   * Keeps a reading of one of the student's own pots on the day it was made. A correction is of the student's own
   * reading of that day.
   * @throws ApiError `not_found`, `invalid_fields`, `day_closed`
   */
  async keep(device: JoinedDevice, readingId: string, request: StudentReadingRequest): Promise<ReadingView> {
    const { made, ...reading } = request;
    const time = this.work.timeOf(device, made);
    const [student, found] = await Promise.all([
      this.work.student(device, made?.studentId),
      this.work.unitOn(device, reading.unitId, time.day),
    ]);
    const work = workAt(device, student, time);
    if (!made && reading.observedOn !== work.day) {
      throw invalidField('observedOn', say('studentsReadOnTheDayItselfAnd', { day: work.day }));
    }
    const unit = this.work.own(found, work.student);
    const { isLate } = this.work.refuseAfter(unit.closedAt, work);
    if (reading.supersedesId) {
      const corrected = await this.source.getRepository(Reading).findOneBy({ id: reading.supersedesId });
      if (corrected?.studentId !== work.student.id || corrected.observedOn !== work.day) {
        throw invalidField('supersedesId', say('youCanPutRightWhatYouRead'));
      }
    }
    const dated = { ...reading, observedOn: work.day };
    const kept = await this.readings.keep(unit.experimentId, readingId, dated, work.observer);
    return isLate ? this.readings.setAsideAtFirst(unit.experimentId, readingId, LATE_WORDS, BY_ITSELF) : kept;
  }

  async #potsOf(
    experimentId: string,
    student: KnownStudent,
    today: string,
    readingErrorMm: number | null,
  ): Promise<StudentPotView[]> {
    const stored = await this.store.load(experimentId);
    const sown = ownUnits(stored.units, student).filter(
      (unit) => unit.sownOn !== null && unit.sownOn <= today,
    );
    const readings = await this.readings.recent(
      sown.map(({ id }) => id),
      today,
    );
    const [variable, ...others] = stored.variables;
    if (!variable) return [];
    const ownIds = await this.#ownIds(student, today);
    const read = others.map((other) => readOf(other, readings, ownIds, today));
    const main = readOf(variable, readings, ownIds, today);
    const { crop, planDocument } = stored.experiment;
    const factsOf = await growthFactsOf(this.source, stored.experiment);
    return sown.flatMap((unit): StudentPotView[] => {
      const { last, own, isRead } = main.of(unit);
      if (last?.state === 'dead' || last?.state === 'removed') return [];
      return [
        {
          experimentId,
          teamId: unit.teamId,
          question: stored.experiment.question,
          unitId: unit.id,
          number: unit.number,
          ...treatmentOf(stored, unit),
          habit: crop?.figures.habit ?? 'upright',
          seedsSown: unit.seedsSown,
          isSoilFree: planDocument?.conditions.hasSoil === false,
          plantRule: planDocument?.plantRule ?? 'tallest',
          variable: main.variable,
          last,
          own,
          isReadToday: isRead,
          others: read.map((other) => {
            const found = other.of(unit);
            return { variable: other.variable, last: found.last, own: found.own };
          }),
          sownOn: unit.sownOn,
          crop: factsOf(treatmentOf(stored, unit).style),
          readingErrorMm,
          isClosed: stored.closedDays.some((closed) => closed.day === today),
        },
      ];
    });
  }

  async #ownIds(student: KnownStudent, today: string): Promise<ReadonlySet<string>> {
    const own = await this.source.getRepository(Reading).find({
      where: { studentId: student.id, observedOn: today },
      select: { id: true },
    });
    return new Set(own.map(({ id }) => id));
  }
}

/** What was read of a variable: of each unit the last finding before today, and the student's own of today. */
function readOf(
  { id, name, kind, unit, step }: Variable,
  readings: readonly ReadingView[],
  ownIds: ReadonlySet<string>,
  today: string,
) {
  const counting = readings.filter((reading) => reading.counts && reading.variableId === id);
  const findings = unitDays(
    counting.map(({ unitId, observedOn, state, value }) => ({
      unitId,
      day: calendarDay(observedOn),
      state,
      value,
    })),
  );
  const lastOf = (history: readonly UnitDay[]) => {
    const last = history.filter((finding) => finding.day < today).at(-1);
    return last ? { day: last.day, state: last.state, value: last.value } : null;
  };
  return {
    variable: { id, name, kind, unit, step },
    of: (pot: Unit) => {
      const history = findings.get(pot.id) ?? [];
      return {
        last: lastOf(history),
        own: counting.filter((reading) => reading.unitId === pot.id && ownIds.has(reading.id)).at(-1) ?? null,
        isRead: history.some((finding) => finding.day === today && finding.state !== 'not_read'),
      };
    },
  };
}

function whyNotRead(
  { experiment, units }: StoredPlan,
  unit: Unit,
  student: KnownStudent,
  state: ReadingState | undefined,
  today: string,
): PotNote | undefined {
  if (experiment.status === 'finished') return 'finished';
  if (unit.sownOn === null || unit.sownOn > today) return 'not_sown';
  if (state === 'dead' || state === 'removed') return state;
  return ownUnits(units, student).some(({ id }) => id === unit.id) ? undefined : 'other_team';
}

/** Name and style of the treatment of a unit. */
export function treatmentOf(stored: StoredPlan, unit: Unit): { treatment: string; style: number } {
  const treatment = stored.treatments.find((one) => one.id === unit.treatmentId);
  return { treatment: treatment?.name ?? '', style: treatment?.position ?? 0 };
}
