import type { DataSource, EntityMetadata, ObjectLiteral } from 'typeorm';
import { rowAsText } from '../shared/index.ts';
import { Teacher } from './teacher.entity.ts';

/** What only lets somebody in says nothing of anybody. */
const SECRET = 'Hash';

/** Rows that name a teacher without hanging on the account, so that they outlive it. */
const BY_TEACHER = 'teacherId';

const PARENTS_AT_ONCE = 500;
const ROWS_AT_ONCE = 50;

/** A column by which rows of a table hang on rows of another. */
interface Link {
  readonly property: string;
  readonly parent: string;
  readonly isOptional: boolean;
}

/**
 * Everything that is kept of a teacher, as the text of one JSON document: by table, every row that hangs on the account,
 * however far, pictures in base64. Tables are found by the keys between them, so that none can be forgotten; some rows of
 * one are held at a time.
 */
export async function* keptOfTeacher(source: DataSource, teacherId: string): AsyncGenerator<string> {
  const teacher = source.getMetadata(Teacher);
  const ids = new Map<string, readonly string[]>([[teacher.tableName, [teacherId]]]);
  yield `{${JSON.stringify(teacher.tableName)}:`;
  yield* rowsOf(source, teacher, [teacherId]);
  for (const table of tablesBelow(source, teacher)) {
    yield `,${JSON.stringify(table.tableName)}:`;
    const links = linksOf(table).filter(({ parent }) => ids.has(parent));
    const must = links.find(({ isOptional }) => !isOptional);
    const by = must
      ? [must]
      : links.length > 0
        ? links
        : [{ property: BY_TEACHER, parent: teacher.tableName }];
    if (!hasId(table)) {
      yield JSON.stringify((await linked(source, table, by, ids, columnsOf(table))).map(rowAsText));
      continue;
    }
    const found = await linked(source, table, by, ids, ['id']);
    const own = [...new Set(found.map(({ id }) => id as string))];
    ids.set(table.tableName, own);
    yield* rowsOf(source, table, own);
  }
  yield '}\n';
}

/** Tables whose rows hang on a teacher's, each after those that it hangs on. */
function tablesBelow(source: DataSource, teacher: EntityMetadata): EntityMetadata[] {
  const below = new Set<EntityMetadata>();
  for (let before = -1; before < below.size;) {
    before = below.size;
    for (const table of source.entityMetadatas) {
      const parents = linksOf(table).map(({ parent }) => parent);
      const hangs = parents.some((one) => one === teacher.tableName || [...below].some(isCalled(one)));
      const names = table.columns.some(({ propertyName }) => propertyName === BY_TEACHER);
      if (table !== teacher && (hangs || names)) below.add(table);
    }
  }
  const ordered: EntityMetadata[] = [];
  while (ordered.length < below.size) {
    const left = [...below].filter((table) => !ordered.includes(table));
    const waits = (table: EntityMetadata): boolean =>
      linksOf(table).some(({ parent }) => parent !== table.tableName && left.some(isCalled(parent)));
    ordered.push(left.find((table) => !waits(table)) ?? (left[0] as EntityMetadata));
  }
  return ordered;
}

const isCalled =
  (name: string) =>
  ({ tableName }: EntityMetadata): boolean =>
    tableName === name;

function linksOf({ foreignKeys }: EntityMetadata): Link[] {
  return foreignKeys.flatMap(({ columns, referencedEntityMetadata }) =>
    columns.map(({ propertyName, isNullable }) => ({
      property: propertyName,
      parent: referencedEntityMetadata.tableName,
      isOptional: isNullable,
    })),
  );
}

function hasId({ primaryColumns }: EntityMetadata): boolean {
  return primaryColumns.length === 1 && primaryColumns[0]?.propertyName === 'id';
}

function columnsOf({ columns }: EntityMetadata): string[] {
  return columns.map(({ propertyPath }) => propertyPath).filter((name) => !name.endsWith(SECRET));
}

async function linked(
  source: DataSource,
  table: EntityMetadata,
  by: readonly Pick<Link, 'property' | 'parent'>[],
  ids: ReadonlyMap<string, readonly string[]>,
  columns: readonly string[],
): Promise<ObjectLiteral[]> {
  const rows: ObjectLiteral[] = [];
  for (const { property, parent } of by) {
    for (const some of parts(ids.get(parent) ?? [], PARENTS_AT_ONCE))
      rows.push(...(await select(source, table, columns, property, some)));
  }
  return rows;
}

async function* rowsOf(
  source: DataSource,
  table: EntityMetadata,
  ids: readonly string[],
): AsyncGenerator<string> {
  yield '[';
  let isFirst = true;
  for (const some of parts(ids, ROWS_AT_ONCE)) {
    const rows = await select(source, table, columnsOf(table), 'id', some);
    for (const row of rows) {
      yield `${isFirst ? '' : ','}${JSON.stringify(rowAsText(row))}`;
      isFirst = false;
    }
  }
  yield ']';
}

/** Every column that is asked for, also those that usual queries leave out. */
function select(
  source: DataSource,
  table: EntityMetadata,
  columns: readonly string[],
  property: string,
  values: readonly string[],
): Promise<ObjectLiteral[]> {
  return source
    .getRepository(table.target)
    .createQueryBuilder('row')
    .select(columns.map((name) => `row.${name}`))
    .where(`row.${property} IN (:...values)`, { values })
    .getMany();
}

function parts<T>(all: readonly T[], size: number): T[][] {
  return Array.from({ length: Math.ceil(all.length / size) }, (_, at) =>
    all.slice(at * size, (at + 1) * size),
  );
}
