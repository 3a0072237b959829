import type { SharedRight, SharedView } from '@bright-sprout/contract/sharing';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import type { KnownTeacher } from '../accounts/index.ts';

type SharedRow = SharedView & { id: string };

interface MayRow {
  may: SharedRight;
}

const CLASSES = `
  SELECT c.id, s.may, o.display_name AS \`by\`, 'class' AS through
  FROM share s JOIN school_class c ON c.id = s.class_id JOIN teacher o ON o.id = c.teacher_id
  WHERE s.teacher_id = ?`;

const EXPERIMENTS = `
  SELECT e.id, s.may, o.display_name AS \`by\`, 'experiment' AS through
  FROM share s JOIN experiment e ON e.id = s.experiment_id JOIN teacher o ON o.id = e.teacher_id
  WHERE s.teacher_id = ?
  UNION ALL
  SELECT e.id, s.may, o.display_name, 'class'
  FROM share s JOIN experiment e ON e.class_id = s.class_id JOIN teacher o ON o.id = e.teacher_id
  WHERE s.teacher_id = ?`;

const TO_CLASS = 'SELECT may FROM share WHERE teacher_id = ? AND class_id = ?';

const TO_EXPERIMENT = `
  SELECT s.may FROM experiment e
  JOIN share s ON s.teacher_id = ? AND (s.experiment_id = e.id OR s.class_id = e.class_id)
  WHERE e.id = ?`;

const OWNED = 'SELECT 1 FROM experiment WHERE id = ? AND teacher_id = ?';

/** What other teachers shared with one. */
@Injectable()
export class RightsService {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** Classes of other teachers, by their ids. */
  async classes({ id }: Pick<KnownTeacher, 'id'>): Promise<Map<string, SharedView>> {
    return strongest(await this.source.query<SharedRow[]>(CLASSES, [id]));
  }

  /** Experiments of other teachers, shared alone or with their class, by their ids. */
  async experiments({ id }: Pick<KnownTeacher, 'id'>): Promise<Map<string, SharedView>> {
    return strongest(await this.source.query<SharedRow[]>(EXPERIMENTS, [id, id]));
  }

  /** What a teacher was given to a class of another; `null` for nothing. */
  async toClass(teacherId: string, classId: string): Promise<SharedRight | null> {
    return highest(await this.source.query<MayRow[]>(TO_CLASS, [teacherId, classId]));
  }

  /** What a teacher was given to an experiment of another, alone or with its class; `null` for nothing. */
  async toExperiment(teacherId: string, experimentId: string): Promise<SharedRight | null> {
    return highest(await this.source.query<MayRow[]>(TO_EXPERIMENT, [teacherId, experimentId]));
  }

  /** True for a teacher's own experiment and one that is shared. */
  async maySee({ id }: Pick<KnownTeacher, 'id'>, experimentId: string): Promise<boolean> {
    const own = await this.source.query<unknown[]>(OWNED, [experimentId, id]);
    return own.length > 0 || (await this.toExperiment(id, experimentId)) !== null;
  }
}

function highest(rows: readonly MayRow[]): SharedRight | null {
  const all = rows.map(({ may }) => may);
  return all.find((may) => may === 'change') ?? all[0] ?? null;
}

/** One of each: with the higher right, and through its class where it comes with one. */
function strongest(rows: readonly SharedRow[]): Map<string, SharedView> {
  const found = new Map<string, SharedView>();
  for (const { id, by, may, through } of rows) {
    const other = found.get(id);
    found.set(id, {
      by,
      may: other?.may === 'change' ? 'change' : may,
      through: other?.through === 'class' ? 'class' : through,
    });
  }
  return found;
}
