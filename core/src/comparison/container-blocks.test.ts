import { describe, expect, test } from '@jest/globals';
import { blocksOf } from './index.ts';

const unit = (treatmentId: string, container: number, block = '') => ({ treatmentId, container, block });

describe('containers as blocks', () => {
  test('where each holds every treatment', () => {
    expect(blocksOf([unit('a', 0), unit('b', 0), unit('a', 1), unit('b', 1)])).toEqual([
      'container 1',
      'container 1',
      'container 2',
      'container 2',
    ]);
  });

  test('never where one lacks a treatment, which could not be told from the container then', () => {
    expect(blocksOf([unit('a', 0), unit('b', 0), unit('a', 1), unit('a', 1)])).toEqual(['', '', '', '']);
    expect(blocksOf([unit('a', 0), unit('b', 0)])).toEqual(['', '']);
  });

  test('blocks of the layout come first', () => {
    expect(blocksOf([unit('a', 0, 'row 1'), unit('b', 1, 'row 2')])).toEqual(['row 1', 'row 2']);
  });
});
