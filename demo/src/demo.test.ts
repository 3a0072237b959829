import { addDays, calendarDay } from '@bright-sprout/core/shared';
import { describe, expect, test } from '@jest/globals';
import { demoExperiments } from './index.ts';

const MONDAY = calendarDay('2026-11-23');
const YEAR = Array.from({ length: 366 }, (_, index) => addDays(MONDAY, index));

describe('the made-up school', () => {
  test.each([0, 5, 6])(
    '%p days after a Monday: 18 days read, one missed, a pot not up, a dead one',
    (later) => {
      const [growing] = demoExperiments(addDays(MONDAY, later));
      const { readings, units, treatments } = growing!.experiment;
      expect([treatments.length, units.length]).toEqual([3, 12]);
      const days = [...new Set(readings.map((reading) => reading.observedOn))].sort();
      expect(days).toHaveLength(18);
      const dead = readings.filter((reading) => reading.state === 'dead');
      expect(dead).toHaveLength(1);
      const lastDay = readings.filter((reading) => reading.observedOn === days.at(-1));
      expect(lastDay.filter((reading) => reading.state === 'not_emerged')).toHaveLength(1);
      expect(lastDay).toHaveLength(later === 0 ? 9 : 11);
    },
  );

  test('on every day of a year dates are in order and nothing is read in the future or before sowing', () => {
    for (const today of YEAR) {
      for (const { experiment, status } of demoExperiments(today)) {
        expect([today, experiment.lessonOn > experiment.sowOn]).toEqual([today, true]);
        expect([today, status === 'draft' ? experiment.sowOn > today : experiment.sowOn < today]).toEqual([
          today,
          true,
        ]);
        for (const { observedOn } of experiment.readings) {
          if (observedOn <= experiment.sowOn || observedOn > today)
            throw new Error(`${today}: read on ${observedOn}`);
        }
      }
    }
  });
});
