import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, LessThan } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { Clock } from '../shared/index.ts';
import { AuditEvent, type AuditKind } from './audit-event.entity.ts';

/** How long what was written down is kept. */
const KEPT_MS = 365 * 86_400_000;
const SWEEP_EVERY = 200;

/** Writes down what matters for safety. */
@Injectable()
export class AuditService {
  #noted = 0;

  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /** @param subjectId id of the row that it was done to; empty where there is none */
  async note(kind: AuditKind, teacherId: string | null, subjectId = ''): Promise<void> {
    const happenedAt = this.clock.now();
    const events = this.source.getRepository(AuditEvent);
    await events.insert({ id: uuid(), kind, teacherId, subjectId, happenedAt });
    this.#noted += 1;
    if (this.#noted % SWEEP_EVERY === 0)
      await events.delete({ happenedAt: LessThan(new Date(happenedAt.getTime() - KEPT_MS)) });
  }
}
