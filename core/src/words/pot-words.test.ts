import { describe, expect, test } from '@jest/globals';
import {
  PLAIN_LEVEL,
  type Plan,
  type PlanFactor,
  startPlan,
  STARTING_CROPS,
  treatmentsOf,
} from '../design/index.ts';
import { calendarDay } from '../shared/index.ts';
import { doseText, potSowing } from './index.ts';

const OAT = STARTING_CROPS.find(({ id }) => id === 'oat')!;
const PEA = STARTING_CROPS.find(({ id }) => id === 'pea')!;

function planned(factors: readonly PlanFactor[]): Plan {
  const started = startPlan({
    ...{ kind: 'crossed', question: 'Why?', crop: OAT, otherCrops: [] },
    ...{ sowOn: calendarDay('2027-03-01'), lessonOn: calendarDay('2027-03-29') },
  });
  return { ...started, factors };
}

function sowingsOf(plan: Plan) {
  return treatmentsOf(plan).map((treatment) =>
    potSowing(plan, treatment, plan.containers[0], { crops: STARTING_CROPS, lots: [] }),
  );
}

describe('what goes into a pot', () => {
  test('names everything that two factors give, and nothing where none is given', () => {
    const level = (material: string, amount: number, unit: 'mL' | 'tablet') => ({
      ...{ ...PLAIN_LEVEL, name: `${amount} ${material}` },
      dose: { material, amount, unit },
    });
    const plan = planned([
      {
        name: 'A',
        aspect: 'additive',
        levels: [level('lemon juice', 0, 'mL'), level('lemon juice', 10, 'mL')],
      },
      { name: 'B', aspect: 'additive', levels: [level('chalk', 0, 'tablet'), level('chalk', 2, 'tablet')] },
    ]);
    expect(sowingsOf(plan).map(({ gets }) => gets)).toEqual([
      '',
      '2 tablets of chalk',
      '10 mL of lemon juice',
      '10 mL of lemon juice + 2 tablets of chalk',
    ]);
  });

  test('is its own crop with its own seeds and depth', () => {
    const levels = [OAT, PEA].map(({ id, commonName }, at) => ({
      ...{ ...PLAIN_LEVEL, name: commonName, cropId: id },
      seeds: at === 0 ? 20 : null,
    }));
    const sowings = sowingsOf(planned([{ name: 'Crop', aspect: 'crop', levels }]));
    expect(sowings).toEqual([
      {
        crop: OAT.commonName,
        propagule: 'seed',
        seeds: 20,
        depthMm: OAT.sowingDepthMm,
        gets: '',
        sowingGets: '',
        items: ['seeds', 'depth', 'label'],
        waterMl: 20,
      },
      {
        crop: PEA.commonName,
        propagule: 'seed',
        seeds: 2,
        depthMm: PEA.sowingDepthMm,
        gets: '',
        sowingGets: '',
        items: ['seeds', 'depth', 'label'],
        waterMl: 20,
      },
    ]);
  });

  test('says water, light, cover, place and mix where they are what differs', () => {
    const levels = [
      { ...PLAIN_LEVEL, name: 'a', waterMl: 5, light: 'shade' as const },
      { ...PLAIN_LEVEL, name: 'b', isCovered: false, medium: 'coir', temperatureC: 15 },
    ];
    const [a, b] = sowingsOf(planned([{ name: 'All', aspect: 'other', levels }]));
    expect(a!.gets).toBe(
      'Seed-starting mix, 5 mL of water at each watering, shade, covered, at 21 °C'.replace(
        'Seed-starting mix',
        planned([]).conditions.medium,
      ),
    );
    expect(b!.gets).toBe('coir, 20 mL of water at each watering, bright window, not covered, at 15 °C');
  });

  test('doses are written as they are measured', () => {
    const of = (amount: number, unit: 'g' | 'mL' | 'drop' | 'pinch' | 'tablet') =>
      doseText({ material: 'salt', amount, unit });
    expect([
      of(1, 'drop'),
      of(3, 'drop'),
      of(1, 'pinch'),
      of(2, 'pinch'),
      of(1, 'tablet'),
      of(0.5, 'g'),
    ]).toEqual([
      '1 drop of salt',
      '3 drops of salt',
      '1 pinch of salt',
      '2 pinches of salt',
      '1 tablet of salt',
      '0.5 g of salt',
    ]);
  });

  test('a dose that was mixed in days before is not given again on sowing day', () => {
    const level = { ...PLAIN_LEVEL, name: 'Lime', dose: { material: 'lime', amount: 2, unit: 'g' as const } };
    const levels = [{ ...PLAIN_LEVEL, name: 'None', isControl: true }, level];
    const started = planned([{ name: 'Lime', aspect: 'additive', levels }]);
    const plan = { ...started, conditions: { ...started.conditions, reactionDays: 3 } };
    const [none, limed] = sowingsOf(plan);
    expect([none!.sowingGets, none!.items]).toEqual(['', ['seeds', 'depth', 'label']]);
    expect([limed!.gets, limed!.sowingGets, limed!.items]).toEqual([
      '2 g of lime',
      '2 g of lime is in the mix already (add none)',
      ['seeds', 'depth', 'label'],
    ]);
    const [, atOnce] = sowingsOf({ ...plan, conditions: { ...plan.conditions, reactionDays: 0 } });
    expect([atOnce!.sowingGets, atOnce!.items]).toEqual([
      '2 g of lime',
      ['seeds', 'depth', 'treatment', 'label'],
    ]);
  });
});
