import { execFileSync } from 'node:child_process';
import { dirname } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { relatedTests } from './related-tests.ts';

const ROOT = dirname(dirname(dirname(import.meta.dirname)));
const FILES = execFileSync('git', ['ls-files'], { cwd: ROOT, encoding: 'utf8' }).split('\n').filter(Boolean);

describe('tests that a change touches', () => {
  test('are those that import it, in whatever package', () => {
    const { units, specs } = relatedTests(ROOT, FILES, ['core/src/design/balance.ts']);
    expect(units).toEqual(
      expect.arrayContaining([
        'core/src/design/design.test.ts',
        'core/src/review/review.test.ts',
        'server/src/plans/plans.test.ts',
        'web/src/plans/parts.test.tsx',
      ]),
    );
    expect(units).not.toContain('web/src/classes/read-names.test.ts');
    expect(specs).not.toContain('e2e/student/student.spec.ts');
  });

  test('are those in a browser of the same feature', () => {
    const { units, specs } = relatedTests(ROOT, FILES, ['web/src/lessons/boards/plain-boards.tsx']);
    expect(units).toContain('web/src/lessons/boards.test.tsx');
    expect(specs).toEqual(['e2e/lessons/lessons.spec.ts']);
  });

  test('are a changed test itself, and none where nothing changed', () => {
    expect(relatedTests(ROOT, FILES, ['e2e/plans/race.spec.ts']).specs).toEqual(['e2e/plans/race.spec.ts']);
    expect(relatedTests(ROOT, FILES, [])).toEqual({ units: [], specs: [] });
    expect(relatedTests(ROOT, FILES, ['core/src/gone.test.ts', 'e2e/plans/gone.spec.ts'])).toEqual({
      units: [],
      specs: [],
    });
  });
});
