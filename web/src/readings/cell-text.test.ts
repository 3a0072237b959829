import type { VariableView } from '@bright-sprout/contract/plans';
import { describe, expect, test } from '@jest/globals';
import { readBlock, readCell } from './cell-text.ts';

const HEIGHT: VariableView = { id: 'h', name: 'height', kind: 'length', unit: 'cm', step: 0.5 };
const LEAVES: VariableView = { id: 'l', name: 'leaves', kind: 'count', unit: 'leaves', step: 1 };
const STAGE: VariableView = { id: 's', name: 'stage', kind: 'score', unit: '', step: 1 };
const COVER: VariableView = { id: 'g', name: 'green cover', kind: 'number', unit: '%', step: 1 };
const SEEDS: VariableView = { ...LEAVES, name: 'seeds up', unit: 'seeds' };

describe('a cell of the fast sheet', () => {
  test.each([
    ['6.5', HEIGHT, { state: 'emerged', entered: { value: 65, unit: 'cm', entered: '6.5' } }],
    [' 30 + 4,5 ', HEIGHT, { state: 'emerged', entered: { value: 345, unit: 'cm', entered: '30 + 4,5' } }],
    ['2 1/4 in', HEIGHT, { state: 'emerged', entered: { value: 57.15, unit: 'in', entered: '2 1/4 in' } }],
    ['n', HEIGHT, { state: 'not_emerged' }],
    ['Not up yet', HEIGHT, { state: 'not_emerged' }],
    ['12,5 %', COVER, { state: 'emerged', entered: { value: 12.5, unit: '%' } }],
    ['100', COVER, { state: 'emerged', entered: { value: 100, unit: '%' } }],
    ['D', LEAVES, { state: 'dead' }],
    ['x', STAGE, { state: 'not_read' }],
    ['4', LEAVES, { state: 'emerged', entered: { value: 4, unit: 'leaves', entered: '4' } }],
    ['0', SEEDS, { state: 'not_emerged' }],
    ['2', STAGE, { state: 'emerged', entered: { value: 2, unit: '', entered: 'first true leaf' } }],
    ['bud', STAGE, { state: 'emerged', entered: { value: 4, unit: '', entered: 'bud' } }],
  ] as const)('%j is read', (text, variable, expected) => {
    expect(readCell(text, variable)).toMatchObject({ kind: 'reading', ...expected });
  });

  test.each([
    ['tall', HEIGHT],
    ['-3', HEIGHT],
    ['2.5', LEAVES],
    ['-1', LEAVES],
    ['9', STAGE],
    ['tree', STAGE],
    ['NaN', LEAVES],
    ['100.5', COVER],
  ])('%j is no value', (text, variable) => {
    expect(readCell(text, variable).kind).toBe('problem');
  });

  test('nothing is nothing', () => {
    expect(readCell('  ', HEIGHT)).toEqual({ kind: 'empty' });
  });
});

test('a block from a spreadsheet keeps its empty cells', () => {
  expect(readBlock('6\t2\r\n\t3\r\n7\t\r\n')).toEqual([
    ['6', '2'],
    ['', '3'],
    ['7', ''],
  ]);
});
