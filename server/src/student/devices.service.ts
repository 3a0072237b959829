import { randomBytes } from 'node:crypto';
import type { DoorView } from '@bright-sprout/contract/student';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, LessThan } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { ClassesService, SchoolClass, StudentDevice } from '../classes/index.ts';
import { hashOf } from '../people/index.ts';
import { ApiError, Clock, invalidField } from '../shared/index.ts';

/** How long a device stays in its class. */
export const DEVICE_MS = 12 * 60 * 60_000;

/** A device that joined a class. */
export interface JoinedDevice {
  readonly id: string;
  readonly classId: string;
  readonly timeZone: string;
  readonly studentId: string | null;
}

/** Devices that joined classes by their codes. */
@Injectable()
export class DevicesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly classes: ClassesService,
    private readonly clock: Clock,
  ) {}

  /**
   * Joins the class of a code and gives the token for the cookie; only its hash is stored.
   * @throws ApiError `wrong_code`
   */
  async join(code: string): Promise<{ token: string; door: DoorView }> {
    const schoolClass = await this.source
      .getRepository(SchoolClass)
      .findOneBy({ code: code.toUpperCase().replaceAll(/[^A-Z0-9]/g, '') });
    if (!schoolClass) {
      throw new ApiError('wrong_code', 'No class has this code. Look at the board again.');
    }
    const devices = this.source.getRepository(StudentDevice);
    const now = this.clock.now();
    await devices.delete({ expiresAt: LessThan(now) });
    const token = randomBytes(32).toString('base64url');
    const device = {
      id: uuid(),
      tokenHash: hashOf(token),
      classId: schoolClass.id,
      studentId: null,
      createdAt: now,
      expiresAt: new Date(now.getTime() + DEVICE_MS),
    };
    await devices.insert(device);
    return { token, door: await this.door({ ...device, timeZone: schoolClass.timeZone }) };
  }

  /** The device of a token; undefined when it joined nothing, or too long ago. */
  async find(token: string): Promise<JoinedDevice | undefined> {
    if (token === '') return undefined;
    const device = await this.source
      .getRepository(StudentDevice)
      .findOne({ where: { tokenHash: hashOf(token) }, relations: { schoolClass: true } });
    if (!device || device.expiresAt <= this.clock.now()) return undefined;
    const { id, classId, studentId, schoolClass } = device;
    return { id, classId, studentId, timeZone: schoolClass.timeZone };
  }

  /** The class as a device sees it: names and pictures, and nothing of anybody else. */
  async door(device: JoinedDevice): Promise<DoorView> {
    const { name, readingLevel, students } = await this.classes.view(device.classId);
    const today = this.clock.today(device.timeZone);
    return { className: name, readingLevel, today, students, studentId: device.studentId };
  }

  /** @throws ApiError when the student is not of this class */
  async choose(device: JoinedDevice, studentId: string): Promise<DoorView> {
    const { students } = await this.classes.view(device.classId);
    if (!students.some((student) => student.id === studentId)) {
      throw invalidField('studentId', 'Choose one of the pictures.');
    }
    await this.source.getRepository(StudentDevice).update(device.id, { studentId });
    return this.door({ ...device, studentId });
  }

  /** Leaves the class. */
  async leave(device: JoinedDevice): Promise<void> {
    await this.source.getRepository(StudentDevice).delete(device.id);
  }
}
