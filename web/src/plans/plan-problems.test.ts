import { expect, test } from '@jest/globals';
import { ApiFailure } from '../shared/api/index.ts';
import { problemsOf } from './plan-problems.ts';

test('each part is named once, by its first problem, however deep it lies', () => {
  const errors = {
    replicates: { type: 'min', message: 'Each treatment needs at least one pot.' },
    factors: [undefined, { levels: [{ name: { message: 'Name this level.', ref: { message: 'not me' } } }] }],
    calendar: {},
  };
  expect(problemsOf(errors, undefined)).toEqual([
    { part: 'replicates', message: 'Each treatment needs at least one pot.' },
    { part: 'factors', message: 'Name this level.' },
  ]);
});

test('what the server found is named as well, where the form found nothing', () => {
  const failure = new ApiFailure({
    ...{ code: 'invalid_fields', message: 'Mend.', rows: [], rowCount: 0 },
    fields: [
      { field: 'containers.0.rows', message: 'At most 500 places.' },
      { field: 'sowOn', message: 'Give a date.' },
    ],
  });
  expect(problemsOf({ sowOn: { message: 'Mine.' } }, failure)).toEqual([
    { part: 'sowOn', message: 'Mine.' },
    { part: 'containers', message: 'At most 500 places.' },
  ]);
});
