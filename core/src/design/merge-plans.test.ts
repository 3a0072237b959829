import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { calendarDay } from '../shared/index.ts';
import { isSamePart, mergePlans, type PlanPart } from './merge-plans.ts';
import type { Plan } from './plan.ts';
import { startPlan } from './start-plan.ts';
import { STARTING_CROPS } from './starting-crops.ts';

const [crop] = STARTING_CROPS;
const BASE: Plan = startPlan({
  kind: 'one_factor',
  question: 'Why?',
  crop: crop!,
  otherCrops: STARTING_CROPS,
  sowOn: calendarDay('2027-03-01'),
  lessonOn: calendarDay('2027-03-29'),
});

/** A change of one part of a plan. */
const change = fc.oneof(
  fc.string().map((question): Partial<Plan> => ({ question })),
  fc.string().map((hypothesis): Partial<Plan> => ({ hypothesis })),
  fc.integer({ min: 1, max: 9 }).map((replicates): Partial<Plan> => ({ replicates })),
  fc.array(fc.string(), { maxLength: 3 }).map((constants): Partial<Plan> => ({ constants })),
  fc
    .integer({ min: 1, max: 30 })
    .map((waterMl): Partial<Plan> => ({ conditions: { ...BASE.conditions, waterMl } })),
  fc.string().map((medium): Partial<Plan> => ({ conditions: { ...BASE.conditions, medium } })),
);
const changed = fc.array(change, { maxLength: 3 }).map((all) => Object.assign({}, BASE, ...all) as Plan);

describe('two changes of one plan', () => {
  test('of different parts, and of different fields of one part, are both kept', () => {
    const mine = { ...BASE, question: 'Mine?', conditions: { ...BASE.conditions, waterMl: 7 } };
    const theirs = { ...BASE, replicates: 9, conditions: { ...BASE.conditions, medium: 'sand' } };
    const { plan, conflicts } = mergePlans(BASE, mine, theirs);
    expect(conflicts).toEqual([]);
    expect(plan).toEqual({
      ...BASE,
      question: 'Mine?',
      replicates: 9,
      conditions: { ...BASE.conditions, waterMl: 7, medium: 'sand' },
    });
  });

  test('of the same part are asked, and the side that is preferred stands', () => {
    const mine = { ...BASE, question: 'Mine?' };
    const theirs = { ...BASE, question: 'Theirs?', replicates: 9 };
    expect(mergePlans(BASE, mine, theirs)).toMatchObject({
      conflicts: ['question'],
      plan: { question: 'Mine?', replicates: 9 },
    });
    expect(mergePlans(BASE, mine, theirs, 'theirs').plan.question).toBe('Theirs?');
  });

  test('never lose a part that only one side changed, and name each part that both changed (property)', () => {
    fc.assert(
      fc.property(changed, changed, (mine, theirs) => {
        const { plan, conflicts } = mergePlans(BASE, mine, theirs);
        for (const part of Object.keys(BASE) as PlanPart[]) {
          const byMe = !isSamePart(BASE[part], mine[part]);
          const byThem = !isSamePart(BASE[part], theirs[part]);
          if (byMe && !byThem) expect(plan[part]).toEqual(mine[part]);
          if (!byMe) expect(plan[part]).toEqual(theirs[part]);
          if (!byMe || !byThem) expect(conflicts).not.toContain(part);
        }
        expect(mergePlans(BASE, theirs, mine).conflicts).toEqual(conflicts);
      }),
    );
  });
});
