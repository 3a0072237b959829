import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { makeAnswerSchemas } from './answer-schemas.ts';
import { makeRequestSchemas } from './request-schemas.ts';

const ROOT = dirname(dirname(import.meta.dirname));
const OUTPUT = join(ROOT, 'contract/dist/api.schema.json');

/** The sources that the schemas were made from, as the file of before says. */
function madeFromOf(file: string): string | undefined {
  try {
    return (JSON.parse(readFileSync(file, 'utf8')) as { madeFrom: string }).madeFrom;
  } catch {
    return undefined;
  }
}

const [, , madeFrom = ''] = process.argv;
if (madeFromOf(OUTPUT) !== madeFrom) {
  const { answers, schemas } = makeAnswerSchemas(ROOT);
  mkdirSync(dirname(OUTPUT), { recursive: true });
  const made = { madeFrom, answers, schemas: { ...makeRequestSchemas(), ...schemas } };
  writeFileSync(OUTPUT, JSON.stringify(made));
}
