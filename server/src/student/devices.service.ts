import { say } from '@bright-sprout/words/refusals';
import { randomBytes } from 'node:crypto';
import type { DeviceView, ChosenStudentRequest } from '@bright-sprout/contract/student';
import type { ReadingLevel } from '@bright-sprout/core/words';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, In, LessThan } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { ClassesService, DeviceStudent, SchoolClass, StudentDevice } from '../classes/index.ts';
import { hashOf } from '../accounts/index.ts';
import { ApiError, Clock, invalidField, prepared } from '../shared/index.ts';

/** How long a device stays in its class. */
export const DEVICE_MS = 12 * 60 * 60_000;

/** A device that joined a class. */
export interface JoinedDevice {
  readonly id: string;
  readonly classId: string;
  readonly timeZone: string;
  readonly readingLevel: ReadingLevel;
  readonly studentId: string | null;
}

/** Devices of one class that no student ever was at, at a time; each of them may try one PIN beside a guesser. */
const MOST_UNUSED = 400;

/** Those beyond that, the oldest, which give way; a tablet in use is never put out. Looked up first, without locks. */
const UNUSED = `
  SELECT d.id FROM student_device d
  WHERE d.class_id = ? AND d.student_id IS NULL
    AND NOT EXISTS (SELECT 1 FROM device_student s WHERE s.device_id = d.id)
  ORDER BY d.created_at DESC LIMIT 1000 OFFSET ?`;

/** Every request of a tablet begins with it: one statement. */
const DEVICE_BY_TOKEN = `
  SELECT d.id, d.class_id AS classId, d.student_id AS studentId, d.expires_at AS expiresAt,
         c.time_zone AS timeZone, c.reading_level AS readingLevel
  FROM student_device d JOIN school_class c ON c.id = d.class_id
  WHERE d.token_hash = ?`;

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
  async join(code: string): Promise<{ token: string; device: DeviceView }> {
    const schoolClass = await this.source
      .getRepository(SchoolClass)
      .findOneBy({ code: code.toUpperCase().replaceAll(/[^A-Z0-9]/g, '') });
    if (!schoolClass) {
      throw new ApiError('wrong_code', say('noClassHasThisCodeLookAt'));
    }
    const devices = this.source.getRepository(StudentDevice);
    const now = this.clock.now();
    await devices.delete({ expiresAt: LessThan(now) });
    const unused = await this.source.query<{ id: string }[]>(UNUSED, [schoolClass.id, MOST_UNUSED]);
    if (unused.length > 0) await devices.delete({ id: In(unused.map(({ id }) => id)) });
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
    const { timeZone, readingLevel } = schoolClass;
    return { token, device: await this.device({ ...device, timeZone, readingLevel }) };
  }

  /** The device of a token; undefined when it joined nothing, or too long ago. */
  async find(token: string): Promise<JoinedDevice | undefined> {
    if (token === '') return undefined;
    const [found] = await prepared<(JoinedDevice & { expiresAt: Date })[]>(this.source, DEVICE_BY_TOKEN, [
      hashOf(token),
    ]);
    if (!found || found.expiresAt <= this.clock.now()) return undefined;
    const { id, classId, studentId, timeZone, readingLevel } = found;
    return { id, classId, studentId, timeZone, readingLevel };
  }

  /** The class as a device sees it: names and pictures, and nothing of anybody else. */
  async device(device: JoinedDevice): Promise<DeviceView> {
    const { name, readingLevel, asksPin, students } = await this.classes.view(device.classId);
    return {
      classId: device.classId,
      className: name,
      readingLevel,
      asksPin,
      today: this.clock.today(device.timeZone),
      students: students.map(({ id, displayName, avatar, teamId }) => ({ id, displayName, avatar, teamId })),
      studentId: device.studentId,
    };
  }

  /**
   * Says who is at a device.
   * @throws ApiError when the student is not of this class; `wrong_pin` when the class asks for one
   */
  async choose(device: JoinedDevice, { studentId, pin }: ChosenStudentRequest): Promise<DeviceView> {
    const { students, asksPin } = await this.classes.view(device.classId);
    const student = students.find(({ id }) => id === studentId);
    if (!student) throw invalidField('studentId', say('chooseOneOfThePictures'));
    if (asksPin && student.pin !== pin) {
      throw new ApiError('wrong_pin', say('thatIsNotThePinOfThis'));
    }
    await this.source.getRepository(StudentDevice).update(device.id, { studentId });
    await this.source
      .getRepository(DeviceStudent)
      .upsert({ deviceId: device.id, studentId }, ['deviceId', 'studentId']);
    return this.device({ ...device, studentId });
  }

  /** Whether a student was at a device before, and since when the device is in its class. */
  async past({ id }: JoinedDevice, studentId: string): Promise<{ wasHere: boolean; joinedAt: Date }> {
    const [wasHere, found] = await Promise.all([
      this.source.getRepository(DeviceStudent).existsBy({ deviceId: id, studentId }),
      this.source.getRepository(StudentDevice).findOneBy({ id }),
    ]);
    return { wasHere, joinedAt: found?.createdAt ?? this.clock.now() };
  }

  /** Leaves the class. */
  async leave(device: JoinedDevice): Promise<void> {
    await this.source.getRepository(StudentDevice).delete(device.id);
  }
}
