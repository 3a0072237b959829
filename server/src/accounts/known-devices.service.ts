import { randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { LessThan, Repository } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { Clock } from '../shared/index.ts';
import { KnownDevice } from './known-device.entity.ts';
import { hashOf } from './sessions.service.ts';

/** How long a device is known after its last sign-in. */
export const KNOWN_MS = 365 * 86_400_000;

/** Devices on which teachers signed in before (OWASP's device cookies). */
@Injectable()
export class KnownDevicesService {
  constructor(
    @InjectRepository(KnownDevice) private readonly devices: Repository<KnownDevice>,
    private readonly clock: Clock,
  ) {}

  /** The device of a token, where a teacher signed in on it before; undefined for any other. */
  async find(token: string, teacherId: string): Promise<string | undefined> {
    if (token === '') return undefined;
    const found = await this.devices.findOneBy({ tokenHash: hashOf(token), teacherId });
    return found?.id;
  }

  /** Remembers that a teacher signed in on a device, and gives the token for its cookie. */
  async remember(token: string, teacherId: string): Promise<string> {
    const seenAt = this.clock.now();
    const id = await this.find(token, teacherId);
    if (id !== undefined) {
      await this.devices.update(id, { seenAt });
      return token;
    }
    await this.devices.delete({ seenAt: LessThan(new Date(seenAt.getTime() - KNOWN_MS)) });
    const fresh = randomBytes(32).toString('base64url');
    await this.devices.insert({ id: uuid(), teacherId, tokenHash: hashOf(fresh), seenAt });
    return fresh;
  }

  /** Forgets every device of a teacher, as after a password was lost. */
  async forget(teacherId: string): Promise<void> {
    await this.devices.delete({ teacherId });
  }
}
