import { describe, expect, test } from '@jest/globals';
import { readLoggerRows } from './logger-file.ts';

describe('the file of a logger', () => {
  test('has a column for each sensor, with units in brackets and empty cells', () => {
    const { samples, problems } = readLoggerRows([
      ['Time', 'Temperature (°C)', 'Soil moisture'],
      ['2026-05-04 09:00:00Z', '21,5', ''],
      ['2026-05-04T10:00:00Z', '22', '71'],
    ]);
    expect(problems).toEqual([]);
    expect(samples).toEqual([
      { sampledAt: '2026-05-04T09:00:00.000Z', sensor: 'temperature', value: 21.5 },
      { sampledAt: '2026-05-04T10:00:00.000Z', sensor: 'temperature', value: 22 },
      { sampledAt: '2026-05-04T10:00:00.000Z', sensor: 'soil moisture', value: 71 },
    ]);
  });

  test('or a row for each value', () => {
    const { samples } = readLoggerRows([
      ['sensor', 'sampled_at', 'value'],
      ['soil_moisture', '2026-05-04T10:00:00Z', '71'],
    ]);
    expect(samples).toMatchObject([{ sensor: 'soil moisture', value: 71 }]);
  });

  test('names each line that cannot be read', () => {
    const rows = [
      ['time', 'light'],
      ['31 February', '3'],
      ['2026-05-04T10:00:00Z', 'dim'],
    ];
    expect(readLoggerRows(rows).problems.map(({ line }) => line)).toEqual([2, 3]);
    expect(readLoggerRows([['a', 'b']]).problems[0]!.words).toContain('no column with the time');
    expect(readLoggerRows([['time', 'noise']]).problems[0]!.words).toContain('temperature, light');
    expect(readLoggerRows([]).samples).toEqual([]);
  });
});
