import { describe, expect, test } from '@jest/globals';
import { check, type WireClass } from '../shared/index.ts';
import { ConclusionRequest, PredictionRequest } from '../predictions/index.ts';
import { ComparisonQuery, StudyQuery } from './index.ts';

const ID = '01a2129c-c32a-7313-aa98-69bf13a124d5';

function fieldsOf<T extends object>(wire: WireClass<T>, value: object): string[] {
  const checked = check(wire, value);
  return checked.ok ? [] : checked.fields.map(({ field }) => field);
}

describe('which comparison is wanted', () => {
  test('everything may be left out', () => {
    expect(fieldsOf(ComparisonQuery, {})).toEqual([]);
    expect(fieldsOf(StudyQuery, {})).toEqual([]);
  });

  test.each([
    { variableId: ID, day: '2028-02-29', rule: 'only_up', summary: 'day', groupBy: 'treatment' },
    { rule: 'not_up_is_zero', summary: 'area', groupBy: 'factor-2', per: 'per_pot', squares: 'III' },
    { summary: 'growth_per_day', groupBy: 'team', setAside: 'included', level: '5-7' },
    { groupBy: 'block', parts: 'answer' },
    { groupBy: 'crop', parts: 'treatments,growth,emergence,teams' },
  ])('%j passes', (query) => {
    expect(fieldsOf(ComparisonQuery, query)).toEqual([]);
  });

  test.each([
    ['variableId', 'height'],
    ['day', '2027-02-29'],
    ['day', 'yesterday'],
    ['rule', 'only-up'],
    ['summary', 'tallest'],
    ['groupBy', 'factor-3'],
    ['groupBy', 'treatment; DROP TABLE reading'],
    ['per', 'per_plant'],
    ['squares', 'I'],
    ['setAside', 'yes'],
    ['level', '12'],
    ['parts', ''],
    ['parts', 'growth,'],
    ['parts', 'growth;teams'],
    ['parts', 'everything'],
  ])('%s %j is refused by name', (field, value) => {
    expect(fieldsOf(ComparisonQuery, { [field]: value })).toEqual([field]);
  });

  test.each([
    [{ age: '21', rule: 'only_up', without: `${ID},${ID}` }, []],
    [{ age: '-1' }, ['age']],
    [{ age: '3.5' }, ['age']],
    [{ age: '367' }, ['age']],
    [{ age: 'old' }, ['age']],
    [{ without: 'x' }, ['without']],
    [{ without: `${ID},` }, ['without']],
  ])('a study of %j', (query, fields) => {
    expect(fieldsOf(StudyQuery, query)).toEqual(fields);
  });
});

describe('guesses and conclusions', () => {
  test('words are trimmed, and blanks are no words', () => {
    expect(check(PredictionRequest, { choice: '  Plain ' })).toMatchObject({
      ok: true,
      value: { choice: 'Plain' },
    });
    expect(fieldsOf(PredictionRequest, { choice: '   ' })).toEqual(['choice']);
    expect(fieldsOf(PredictionRequest, {})).toEqual(['choice']);
  });

  test.each([
    [{ claim: 'c', evidence: '', reasoning: '' }, []],
    [{ claim: 'x'.repeat(600), evidence: 'x'.repeat(4000), reasoning: 'x'.repeat(600) }, []],
    [{ claim: '', evidence: '', reasoning: '' }, ['claim']],
    [
      { claim: 'x'.repeat(601), evidence: 'x'.repeat(4001), reasoning: 'x'.repeat(601) },
      ['claim', 'evidence', 'reasoning'],
    ],
    [{ claim: 7, evidence: [], reasoning: null }, ['claim', 'evidence', 'reasoning']],
  ])('a conclusion of %#', (conclusion, fields) => {
    expect(fieldsOf(ConclusionRequest, conclusion)).toEqual(fields);
  });
});
