import { say } from '@bright-sprout/words/refusals';
import {
  INVITATION_DAYS,
  type InvitationView,
  type SharedRight,
  type ShareView,
  type TakenView,
} from '@bright-sprout/contract/sharing';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, IsNull, LessThan } from 'typeorm';
import { AuditService, type KnownTeacher } from '../accounts/index.ts';
import { ApiError, Clock, inTransaction, isDuplicate, notFound, withNewCode } from '../shared/index.ts';
import { Share } from './share.entity.ts';

/** What is shared: a class, or an experiment. */
export type Subject = { readonly classId: string } | { readonly experimentId: string };

/** Rows of what is shared with a name for it and its owner's. */
interface OfferRow extends TakenView {
  id: string;
  may: SharedRight;
  expiresAt: Date;
  teacherId: string | null;
  name: string;
  ownerId: string;
  ownerName: string;
}

const OFFER = `
  SELECT s.id, s.may, s.expires_at AS expiresAt, s.teacher_id AS teacherId,
         s.class_id AS classId, s.experiment_id AS experimentId,
         COALESCE(c.name, e.question) AS name, o.id AS ownerId, o.display_name AS ownerName
  FROM share s
  LEFT JOIN school_class c ON c.id = s.class_id
  LEFT JOIN experiment e ON e.id = s.experiment_id
  JOIN teacher o ON o.id = COALESCE(c.teacher_id, e.teacher_id)
  WHERE s.code = ?`;

const CODE_SIGNS = 10;
const DAY_MS = 86_400_000;
const MOST_SHARES = 20;

/** Co-teachers of classes and experiments: invited by a code that one teacher may take. */
@Injectable()
export class SharesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
    private readonly audit: AuditService,
  ) {}

  /** Co-teachers first, then invitations that still wait. */
  async of(subject: Subject): Promise<ShareView[]> {
    await this.#forgetLate();
    const rows = await this.source.getRepository(Share).find({
      where: subject,
      relations: { teacher: true },
      order: { createdAt: 'ASC' },
    });
    return rows.map(view).sort((a, b) => Number(a.takenBy === null) - Number(b.takenBy === null));
  }

  /**
   * Invites a co-teacher, or changes what one may do. Asking again under the same id gives the same code.
   * @throws ApiError `id_in_use` for the id of another share, `too_large` for more than a school has teachers of one class
   */
  async keep(subject: Subject, id: string, may: SharedRight, teacher: KnownTeacher): Promise<ShareView> {
    await this.#forgetLate();
    const shares = this.source.getRepository(Share);
    const before = await shares.findOneBy({ id });
    if (before) {
      if (!(await shares.existsBy({ id, ...subject }))) throw inUse();
      await shares.update(id, { may });
    } else {
      if ((await shares.countBy(subject)) >= MOST_SHARES)
        throw new ApiError('too_large', say('manyCoTeachers'));
      const expiresAt = new Date(this.clock.now().getTime() + INVITATION_DAYS * DAY_MS);
      try {
        await withNewCode(CODE_SIGNS, (code) => shares.insert({ id, ...subject, may, code, expiresAt }));
        await this.audit.note('shared', teacher.id, id);
      } catch (thrown) {
        // The same was sent twice at once: what the other kept is given below.
        if (!isDuplicate(thrown)) throw thrown;
      }
    }
    const found = await shares.findOne({ where: { id, ...subject }, relations: { teacher: true } });
    if (!found) throw notFound();
    return view(found);
  }

  /** Takes an invitation back, or what a co-teacher may do. */
  async end(subject: Subject, id: string, teacher: KnownTeacher): Promise<void> {
    const { affected } = await this.source.getRepository(Share).delete({ id, ...subject });
    if (affected) await this.audit.note('share_ended', teacher.id, id);
  }

  /** Leaves what another teacher shared. */
  async leave(subject: Subject, teacher: KnownTeacher): Promise<void> {
    await this.source.getRepository(Share).delete({ ...subject, teacherId: teacher.id });
  }

  /** @throws ApiError `wrong_invitation` for a code that there is not, that ran out or that another teacher took */
  async invitation(code: string, teacher: KnownTeacher): Promise<InvitationView> {
    const { name, ownerName, may, classId } = await this.#offer(code, teacher);
    return { what: classId ? 'class' : 'experiment', name, from: ownerName, may };
  }

  /**
   * Takes an invitation; a teacher who had a share of the same before has this one from now on. The code stays with who
   * took it until it runs out, so that an answer that was lost can be asked for again.
   * @throws ApiError `wrong_invitation`, `own_invitation`
   */
  async take(code: string, teacher: KnownTeacher): Promise<TakenView> {
    const offer = await this.#offer(code, teacher);
    const { id, classId, experimentId } = offer;
    if (offer.ownerId === teacher.id) throw new ApiError('own_invitation', say('ownInvitation'));
    if (offer.teacherId === null) {
      await inTransaction(this.source, async (manager) => {
        await manager.delete(Share, {
          teacherId: teacher.id,
          ...(classId ? { classId } : { experimentId: experimentId ?? '' }),
        });
        const { affected } = await manager.update(
          Share,
          { id, teacherId: IsNull() },
          { teacherId: teacher.id },
        );
        if (affected !== 1) throw wrongInvitation();
      });
      await this.audit.note('share_taken', teacher.id, id);
    }
    return { classId, experimentId };
  }

  async #offer(code: string, teacher: KnownTeacher): Promise<OfferRow> {
    const plain = code.toUpperCase().replaceAll(/[^A-Z0-9]/g, '');
    const [offer] = plain === '' ? [] : await this.source.query<OfferRow[]>(OFFER, [plain]);
    if (!offer || offer.expiresAt <= this.clock.now()) throw wrongInvitation();
    if (offer.teacherId !== null && offer.teacherId !== teacher.id) throw wrongInvitation();
    return offer;
  }

  /** Invitations that nobody took in time go. */
  async #forgetLate(): Promise<void> {
    const late = { expiresAt: LessThan(this.clock.now()), teacherId: IsNull() };
    await this.source.getRepository(Share).delete(late);
  }
}

function view({ id, may, code, expiresAt, teacherId, teacher }: Share): ShareView {
  const isTaken = teacherId !== null;
  return {
    id,
    may,
    code: isTaken ? null : code,
    expiresAt: expiresAt.toISOString(),
    takenBy: teacher?.displayName ?? null,
  };
}

function wrongInvitation(): ApiError {
  return new ApiError('wrong_invitation', say('wrongInvitation'));
}

function inUse(): ApiError {
  return new ApiError('id_in_use', say('thisCouldNotBeKeptUnderIts'));
}
