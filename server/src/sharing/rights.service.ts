import type { SharedView } from '@bright-sprout/contract/sharing';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import type { KnownTeacher } from '../accounts/index.ts';

type SharedRow = SharedView & { id: string };

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

/** The higher of the rights that a teacher was given to a row `o` of a table, as SQL; 0 for none. */
export const SHARED_RANK = {
  experiment: `COALESCE((SELECT MAX(FIELD(h.may, 'see', 'change')) FROM share h
    WHERE h.teacher_id = s.teacher_id AND (h.experiment_id = o.id OR h.class_id = o.class_id)), 0)`,
  school_class: `COALESCE((SELECT MAX(FIELD(h.may, 'see', 'change')) FROM share h
    WHERE h.teacher_id = s.teacher_id AND h.class_id = o.id), 0)`,
} as const;

const SEEN = `
  SELECT 1 FROM experiment e WHERE e.id = ? AND (e.teacher_id = ? OR EXISTS (
    SELECT 1 FROM share s WHERE s.teacher_id = ? AND (s.experiment_id = e.id OR s.class_id = e.class_id)))`;

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

  /** True for a teacher's own experiment and one that is shared. */
  async maySee({ id }: Pick<KnownTeacher, 'id'>, experimentId: string): Promise<boolean> {
    const rows = await this.source.query<unknown[]>(SEEN, [experimentId, id, id]);
    return rows.length > 0;
  }
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
