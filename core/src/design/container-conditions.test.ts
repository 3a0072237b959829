import { expect, test } from '@jest/globals';
import { conditionsIn, cropChoices, startPlan, STARTING_CROPS, usualContainer } from './index.ts';
import { calendarDay } from '../shared/index.ts';

const { conditions } = startPlan({
  ...{ kind: 'one_factor', question: 'Why?', crop: STARTING_CROPS[0]!, otherCrops: [] },
  ...{ sowOn: calendarDay('2027-03-01'), lessonOn: calendarDay('2027-03-29') },
});

test('pots chosen for bags or jars hold a damp lining, and mix again when they are chosen back', () => {
  const flat = usualContainer('flat');
  const bags = conditionsIn('bags', flat, conditions);
  expect(bags).toMatchObject({ hasSoil: false, waterMl: 15 });
  const jars = conditionsIn('jars', usualContainer('bags'), bags);
  expect([jars.hasSoil, jars.medium === bags.medium]).toEqual([false, false]);
  expect(conditionsIn('flat', usualContainer('jars'), jars)).toEqual(conditions);
});

test('the usual water follows a larger pot, an amount of one’s own stays', () => {
  const flat = usualContainer('flat');
  expect(conditionsIn('pots', flat, conditions).waterMl).toBe(45);
  expect(conditionsIn('pots', flat, { ...conditions, waterMl: 33 }).waterMl).toBe(33);
  const own = { ...conditions, medium: 'coir' };
  expect(conditionsIn('pots', flat, own)).toMatchObject({ medium: 'coir', hasSoil: true });
});

test('a crop is found by its other names, after all by their own', () => {
  const choices = cropChoices(STARTING_CROPS);
  expect(choices.slice(0, STARTING_CROPS.length).map(([id]) => id)).toEqual(
    STARTING_CROPS.map(({ id }) => id),
  );
  const idOf = (name: string): string | undefined => choices.find(([, label]) => label.startsWith(name))?.[0];
  expect(['French bean', 'Maize', 'Zucchini', 'Cilantro'].map(idOf)).toEqual([
    'bush-bean',
    'sweet-corn',
    'summer-squash',
    'coriander',
  ]);
});
