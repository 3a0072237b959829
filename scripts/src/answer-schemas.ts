import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { createGenerator, type Definition } from 'ts-json-schema-generator';

/** JSON Schemas of what the API answers, by operation; shared parts by name. */
interface AnswerSchemas {
  /** The sources that they were made from. */
  readonly madeFrom: string;
  readonly answers: Readonly<Record<string, Definition>>;
  readonly schemas: Readonly<Record<string, Definition>>;
}

const OUTPUT = 'contract/dist/answers.schema.json';

/** Makes the schemas of all answers from their types, unless they were made from these sources. */
export function makeAnswerSchemas(root: string, madeFrom: string): void {
  const file = join(root, OUTPUT);
  if (madeFromOf(file) === madeFrom) return;
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, JSON.stringify({ madeFrom, ...generated(root) } satisfies AnswerSchemas));
}

function madeFromOf(file: string): string | undefined {
  try {
    return (JSON.parse(readFileSync(file, 'utf8')) as AnswerSchemas).madeFrom;
  } catch {
    return undefined;
  }
}

function generated(root: string): Omit<AnswerSchemas, 'madeFrom'> {
  const { definitions = {} } = createGenerator({
    path: join(root, 'contract/src/routes/answers.ts'),
    tsconfig: join(root, 'contract/tsconfig.json'),
    type: 'Answers',
    skipTypeCheck: true,
    jsDoc: 'extended',
    encodeRefs: false,
  }).createSchema('Answers');
  const { Answers, ...schemas } = named(definitions as Record<string, Definition>);
  const answers = Object.entries(Answers?.properties ?? {}).flatMap(([operation, list]) => {
    const answer = typeof list === 'object' ? list.items : undefined;
    return typeof answer === 'object' && !Array.isArray(answer) ? [[operation, answer] as const] : [];
  });
  return { answers: Object.fromEntries(answers), schemas };
}

/** Names that may stand in a reference of OpenAPI: `Outcome<number>` becomes `OutcomeOfNumber`. */
function named(definitions: Readonly<Record<string, Definition>>): Record<string, Definition> {
  const plain = (name: string): string =>
    name.replaceAll(/<(\w)([^<>]*)>/g, (_, first: string, rest: string) => `Of${first.toUpperCase()}${rest}`);
  return JSON.parse(
    JSON.stringify(
      Object.fromEntries(Object.entries(definitions).map(([name, schema]) => [plain(name), schema])),
    ).replaceAll(/"#\/definitions\/([^"]+)"/g, (_, name: string) => `"#/components/schemas/${plain(name)}"`),
  ) as Record<string, Definition>;
}
