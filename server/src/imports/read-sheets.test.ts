import { expect, test } from '@jest/globals';
import writeExcelFile from 'write-excel-file/node';
import { readSheets } from './read-sheets.ts';

interface MadeCell {
  readonly value: string | number;
  readonly type?: 'Formula';
  readonly format?: string;
}

async function sheet(rows: readonly (readonly (MadeCell | null)[])[]): Promise<Buffer> {
  return writeExcelFile(rows as never, { sheet: 'Tray' } as never).toBuffer();
}

test('a cell that is shown as per cent is read with its sign, others as they are', async () => {
  const file = await sheet([
    [null, null, null],
    [null, { value: 'dish' }, { value: 'share' }, { value: 'height' }],
    [null, { value: 1 }, { value: 0.85, format: '0%' }, { value: 0.85 }],
    [null, { value: 2 }, { value: 0.555, format: '0.0 %' }, { value: 12, format: '0.0' }],
  ]);
  const [read] = await readSheets(file);
  const rows = read?.rows
    .filter((row) => row.some((text) => text !== ''))
    .map((row) => row.filter((text) => text !== ''));
  expect(rows).toEqual([
    ['dish', 'share', 'height'],
    ['1', '85%', '0.85'],
    ['2', '55.5%', '12'],
  ]);
});

test('a formula without its result is refused by its place', async () => {
  const file = await sheet([
    [{ value: 'pot' }, { value: 'height' }],
    [{ value: 1 }, { value: 'A2*2', type: 'Formula' }],
  ]);
  await expect(readSheets(file)).rejects.toThrow('Cell B2 of “Tray” holds a formula without its result.');
});
