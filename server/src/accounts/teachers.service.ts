import { say } from '@bright-sprout/words/refusals';
import type { RegisterRequest, SignInRequest, TeacherView } from '@bright-sprout/contract/accounts';
import { isStrongPassword } from '@bright-sprout/contract/passwords';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { ApiError, invalidField, isDuplicate } from '../shared/index.ts';
import { hashPassword, passwordMatches } from './passwords.ts';
import { type KnownTeacher, Teacher } from './teacher.entity.ts';

const PARTS_OF = `
  DELETE FROM upload_part
  WHERE owner_id = ? OR owner_id IN (SELECT id FROM school_class WHERE teacher_id = ?)`;

/** Accounts. */
@Injectable()
export class TeachersService {
  /** Compared with when there is no such account, so that the answer takes as long. */
  readonly #decoy = hashPassword('no account has this password');

  constructor(@InjectRepository(Teacher) private readonly teachers: Repository<Teacher>) {}

  /** @throws ApiError `email_taken` */
  async register(request: RegisterRequest): Promise<KnownTeacher> {
    const { email, displayName, password, timeZone } = request;
    refuseWeak(password, [email, displayName]);
    const passwordHash = await hashPassword(password);
    const teacher = { id: uuid(), email, displayName, passwordHash, timeZone, isDemo: false };
    try {
      // A copy, as TypeORM sets what has a default in the database to `undefined` in what it inserted.
      await this.teachers.insert({ ...teacher });
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
      const message = say('thereIsAnAccountWithThisE');
      throw new ApiError('email_taken', message, { fields: [{ field: 'email', message }] });
    }
    return teacher;
  }

  /** Removes an account with everything in it. */
  async remove(id: string): Promise<void> {
    // Parts of files hang on no account by a key, as they come from devices too.
    await this.teachers.query(PARTS_OF, [id, id]);
    await this.teachers.delete(id);
  }

  /** The account of an address, as the database compares addresses; undefined when there is none. */
  async idOf(email: string): Promise<string | undefined> {
    const found = await this.teachers.findOne({ where: { email }, select: { id: true } });
    return found?.id;
  }

  /**
   * Sets another password.
   * @throws ApiError `invalid_fields` where it is easily guessed
   */
  async setPassword({ id, email, displayName }: KnownTeacher, password: string): Promise<void> {
    refuseWeak(password, [email, displayName]);
    await this.teachers.update(id, { passwordHash: await hashPassword(password) });
  }

  /** The teacher with this address and password; takes as long when there is none. */
  async find({ email, password }: SignInRequest): Promise<Teacher | undefined> {
    const teacher = await this.teachers.findOneBy({ email });
    const matches = await passwordMatches(teacher?.passwordHash ?? (await this.#decoy), password);
    return teacher && matches ? teacher : undefined;
  }
}

/** @throws ApiError `invalid_fields` */
function refuseWeak(password: string, about: readonly string[]): void {
  if (!isStrongPassword(password, about)) throw invalidField('password', say('passwordIsGuessed'));
}

/** What the interface may know of a teacher. */
export function teacherView(teacher: KnownTeacher): TeacherView {
  const { id, email, displayName, timeZone, isDemo } = teacher;
  return { id, email, displayName, timeZone, isDemo };
}
