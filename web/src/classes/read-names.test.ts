import { describe, expect, test } from '@jest/globals';
import { readNames } from './read-names.ts';

describe('a pasted list of names', () => {
  test.each([
    ['Ada\nBen\r\nCy', ['Ada', 'Ben', 'Cy']],
    ['Name,Group\nAda,1\nBen,2', ['Ada', 'Ben']],
    ['"Ada, the ""first""";x\nBen\t3', ['Ada, the "first"', 'Ben']],
    ['  Ada   Mae \n\n\nBen', ['Ada Mae', 'Ben']],
    ['', []],
    ['x'.repeat(40), ['x'.repeat(40)]],
  ])('%p', (text, names) => {
    expect(readNames(text)).toEqual({ names, known: [], tooLong: [] });
  });

  test('who is there already and what is too long is said, and never dropped in silence', () => {
    const long = 'y'.repeat(41);
    expect(readNames(`Ada\n ada \nBEN\n${long}\nCy`, ['Ben'])).toEqual({
      names: ['Ada', 'Cy'],
      known: ['ada', 'BEN'],
      tooLong: [long],
    });
  });
});
