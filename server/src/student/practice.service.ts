import type { PracticeRequest, PracticeView } from '@bright-sprout/contract/student';
import { randomGenerator, valueOr } from '@bright-sprout/core/shared';
import { practiceTask } from '@bright-sprout/core/simulate';
import { isCarefulReader, readingErrorOf } from '@bright-sprout/core/statistics';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { Clock, isDuplicate } from '../shared/index.ts';
import type { JoinedDevice } from './devices.service.ts';
import { PracticeReading } from './practice-reading.entity.ts';

/** Readings of drawn rulers, and how far off a class is. */
@Injectable()
export class PracticeService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /** Keeps a reading of a drawn ruler; what was there is drawn again from its seed. */
  async keep(device: JoinedDevice, id: string, request: PracticeRequest): Promise<void> {
    const { kind, seed, readMm, unit, step } = request;
    const own = unit !== undefined && step !== undefined ? { unit, step } : undefined;
    const { trueMm } = practiceTask(kind, randomGenerator(seed), own);
    try {
      await this.source.getRepository(PracticeReading).insert({
        id,
        classId: device.classId,
        studentId: device.studentId,
        kind,
        trueMm,
        readMm,
        recordedAt: this.clock.now(),
      });
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
    }
  }

  /** How far the readings of a class are from the truth. */
  async ofClass(classId: string): Promise<PracticeView> {
    const readings = await this.source
      .getRepository(PracticeReading)
      .find({ where: { classId }, relations: { student: true }, order: { recordedAt: 'ASC' } });
    const error = readingErrorOf(
      readings.map(({ trueMm, readMm }) => ({ trueValue: trueMm, readValue: readMm })),
    );
    const byStudent = new Map<string, { displayName: string; off: number[] }>();
    for (const { student, trueMm, readMm } of readings) {
      if (!student) continue;
      const own = byStudent.get(student.id) ?? { displayName: student.displayName, off: [] };
      own.off.push(readMm - trueMm);
      byStudent.set(student.id, own);
    }
    const careful = [...byStudent]
      .filter(([, { off }]) => isCarefulReader(off))
      .map(([studentId, { displayName }]) => ({ studentId, displayName }));
    return {
      ...{ n: error.n, biasMm: valueOr(error.bias, null), typicalMm: valueOr(error.typical, null) },
      careful,
    };
  }
}
