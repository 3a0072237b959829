import { join } from 'node:path';
import { createGenerator, type Definition } from 'ts-json-schema-generator';

/** JSON Schemas of what the API answers, by operation; shared parts by name. */
export interface AnswerSchemas {
  readonly answers: Readonly<Record<string, Definition>>;
  readonly schemas: Readonly<Record<string, Definition>>;
}

/** Makes the schemas of all answers from their types. */
export function makeAnswerSchemas(root: string): AnswerSchemas {
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
