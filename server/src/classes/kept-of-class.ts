import type { ClassView } from '@bright-sprout/contract/classes';
import type { DataSource, EntityMetadata, ObjectLiteral } from 'typeorm';
import { rowAsText } from '../shared/index.ts';

const OF_STUDENT = 'studentId';

/** Hash of what a device shows to be let in: it says nothing of a child. */
const SECRET = 'tokenHash';

/**
 * Everything that is kept of the students of a class, as the text of one JSON document: the class with its roster, then by
 * each student's id the rows of every table that names students, pictures in base64. One table of one student is held at
 * a time.
 */
export async function* keptOfClass(source: DataSource, view: ClassView): AsyncGenerator<string> {
  yield `{"class":${JSON.stringify(view)},"made":{`;
  const tables = source.entityMetadatas.filter(namesStudents);
  for (const [index, { id }] of view.students.entries()) {
    yield `${index > 0 ? ',' : ''}${JSON.stringify(id)}:{`;
    for (const [place, table] of tables.entries()) {
      const rows = await rowsOf(source, table, id);
      yield `${place > 0 ? ',' : ''}${JSON.stringify(table.tableName)}:${JSON.stringify(rows.map(rowAsText))}`;
    }
    yield '}';
  }
  yield '}}\n';
}

function namesStudents({ columns }: EntityMetadata): boolean {
  const names = columns.map(({ propertyName }) => propertyName);
  return names.includes(OF_STUDENT) && !names.includes(SECRET);
}

/** Every column, also those that usual queries leave out. */
function rowsOf(source: DataSource, table: EntityMetadata, studentId: string): Promise<ObjectLiteral[]> {
  return source
    .getRepository(table.target)
    .createQueryBuilder('row')
    .select(table.columns.map(({ propertyPath }) => `row.${propertyPath}`))
    .where('row.studentId = :studentId', { studentId })
    .getMany();
}
