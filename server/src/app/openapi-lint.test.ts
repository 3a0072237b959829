import { createConfig, lintFromString } from '@redocly/openapi-core';
import { expect, test } from '@jest/globals';
import { openApi } from './openapi.ts';

/** The project has no licence to name. */
const NOT_OURS = ['info-license'];

/** What anybody may read is never refused. */
const NEVER_REFUSED = /4XX.*\/~1api~1(health|registration)\//;

async function found(description: object): Promise<string[]> {
  const config = await createConfig({ extends: ['recommended'] });
  const problems = await lintFromString({ source: JSON.stringify(description), config });
  return problems
    .filter(({ ruleId }) => !NOT_OURS.includes(ruleId))
    .map(({ ruleId, message, location }) => `${ruleId}: ${message} ${location[0]?.pointer ?? ''}`)
    .filter((text) => !NEVER_REFUSED.test(text));
}

test('an independent linter finds nothing in the description of the API', async () => {
  expect(await found(openApi())).toEqual([]);
});

test('it does find two paths that differ only by a name, an operation that is never refused and a reference to nothing', async () => {
  const made = openApi() as { paths: Record<string, Record<string, { responses: object }>> };
  made.paths['/api/experiments/{id}'] = {
    get: { ...made.paths['/api/health']!.get!, responses: { 200: { $ref: '#/nowhere' } } },
  };
  const rules = (await found(made)).map((one) => one.split(':')[0]);
  expect(rules).toEqual(
    expect.arrayContaining(['no-identical-paths', 'operation-4xx-response', 'no-unresolved-refs']),
  );
});
