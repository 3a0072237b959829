import type { ExperimentView, PlanRequest } from '@bright-sprout/contract/plans';
import type { SowingPotView, StudentSowingView } from '@bright-sprout/contract/student';
import { INVESTIGATION_KINDS, PLAIN_LEVEL, type Plan, usualContainer } from '@bright-sprout/core/design';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { CLASS, dayFromToday } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

type Level = Plan['factors'][number]['levels'][number];
type Kind = Plan['kind'];

/** What a class does, from the shelf to the day of sowing, and what a tablet then says of each treatment's pots. */
interface Activity {
  readonly kind: Kind;
  readonly cropId: string;
  readonly question: string;
  readonly changes?: (plan: PlanRequest) => Partial<PlanRequest>;
  readonly units: number;
  /** Seeds, what they are called, crop, and what it gets, treatment by treatment. */
  readonly says: readonly string[];
}

const level = (name: string, changes: Partial<Level> = {}): Level => ({ ...PLAIN_LEVEL, name, ...changes });
const factor = (name: string, aspect: Plan['factors'][number]['aspect'], levels: Level[]) => ({
  name,
  aspect,
  levels,
});
const gives = (name: string, material: string, amount: number, unit: 'mL' | 'g' | 'tablet' = 'mL') =>
  level(name, { dose: { material, amount, unit }, isControl: amount === 0 });

const ACTIVITIES: readonly Activity[] = [
  {
    ...{ kind: 'watch', cropId: 'chickpea', question: 'What does a chickpea do in its first month?' },
    ...{ units: 12, says: ['2 seed Chickpea'] },
  },
  {
    ...{ kind: 'one_factor', cropId: 'barley', question: 'Does cold tea make barley taller?', units: 10 },
    changes: () => ({
      factors: [factor('Tea', 'additive', [gives('none', 'cold tea', 0), gives('some', 'cold tea', 15)])],
    }),
    says: ['2 seed Barley', '2 seed Barley: 15 mL of cold tea'],
  },
  {
    ...{ kind: 'one_factor', cropId: 'lentil', question: 'Do lentils miss the light?', units: 10 },
    changes: () => ({
      factors: [
        factor('Light', 'light', [
          level('window', { isControl: true }),
          level('cupboard', { light: 'dark' }),
        ]),
      ],
    }),
    says: ['2 seed Lentil: bright window', '2 seed Lentil: dark'],
  },
  {
    ...{ kind: 'one_factor', cropId: 'clover', question: 'Does clover like more water?', units: 10 },
    changes: () => ({
      factors: [
        factor('Water', 'water', [level('usual', { isControl: true }), level('double', { waterMl: 20 })]),
      ],
    }),
    says: [
      '2 seed White clover: 10 mL of water at each watering',
      '2 seed White clover: 20 mL of water at each watering',
    ],
  },
  {
    ...{
      kind: 'crossed',
      cropId: 'kale',
      question: 'Acid and chalk: what do they do to kale together?',
      units: 12,
    },
    changes: () => ({
      factors: [
        factor('Acid', 'additive', [gives('no juice', 'lemon juice', 0), gives('juice', 'lemon juice', 10)]),
        factor('Chalk', 'additive', [
          gives('no chalk', 'chalk', 0, 'tablet'),
          gives('chalk', 'chalk', 1, 'tablet'),
        ]),
      ],
    }),
    says: [
      '2 seed Kale',
      '2 seed Kale: 1 tablet of chalk',
      '2 seed Kale: 10 mL of lemon juice',
      '2 seed Kale: 10 mL of lemon juice + 1 tablet of chalk',
    ],
  },
  {
    ...{ kind: 'crossed', cropId: 'coriander', question: 'Is shade worse for coriander in sand?', units: 12 },
    changes: () => ({
      factors: [
        factor('Place', 'light', [level('sill', { isControl: true }), level('shelf', { light: 'shade' })]),
        factor('Mix', 'medium', [
          level('mix', { isControl: true, medium: 'seed mix' }),
          level('sand', { medium: 'sand' }),
        ]),
      ],
    }),
    says: [
      '2 seed Coriander: seed mix, bright window',
      '2 seed Coriander: sand, bright window',
      '2 seed Coriander: seed mix, shade',
      '2 seed Coriander: sand, shade',
    ],
  },
  {
    ...{ kind: 'density', cropId: 'chia', question: 'How does chia grow in a crowd?', units: 10 },
    changes: () => ({
      factors: [
        factor('Plants', 'density', [
          level('one', { isControl: true, plants: 1 }),
          level('nine', { plants: 9 }),
        ]),
      ],
    }),
    says: ['2 seed Chia', '18 seed Chia'],
  },
  {
    ...{
      kind: 'crops',
      cropId: 'clover',
      question: 'Twenty small seeds or three large ones: which is up first?',
      units: 10,
    },
    changes: () => ({
      factors: [
        factor('Crop', 'crop', [
          level('Clover', { cropId: 'clover', seeds: 20, plants: 20 }),
          level('Pumpkin', { cropId: 'pumpkin', seeds: 3 }),
        ]),
      ],
    }),
    says: ['20 seed White clover', '3 seed Pumpkin'],
  },
  {
    ...{ kind: 'crops', cropId: 'cosmos', question: 'Which flower is taller by the holidays?', units: 15 },
    changes: () => ({
      containers: [usualContainer('cups')],
      factors: [
        factor('Crop', 'crop', [
          level('Cosmos', { cropId: 'cosmos' }),
          level('Sweet pea', { cropId: 'sweet-pea' }),
          level('Pansy', { cropId: 'pansy' }),
        ]),
      ],
    }),
    says: ['2 seed Cosmos', '2 seed Sweet pea', '2 seed Pansy'],
  },
  {
    ...{
      kind: 'ages',
      cropId: 'rapid-brassica',
      question: 'What does a plant look like at every age?',
      units: 12,
    },
    // The oldest are sown today.
    changes: () => ({ lessonOn: dayFromToday(21) as Plan['lessonOn'] }),
    says: ['3 seed Rapid-cycling brassica'],
  },
  {
    ...{ kind: 'packet_test', cropId: 'beet', question: 'Does this packet keep its word?', units: 12 },
    says: ['5 seed cluster Beetroot'],
  },
  {
    ...{ kind: 'sorting', cropId: 'broad-bean', question: 'Do beans that float come up?', units: 12 },
    says: ['4 seed Broad bean', '4 seed Broad bean'],
  },
  {
    ...{
      kind: 'soil_free',
      cropId: 'runner-bean',
      question: 'How does a root leave a runner bean?',
      units: 8,
    },
    says: [
      '5 seed Runner bean: folded damp paper towel in a bag',
      '5 seed Runner bean: damp cotton in a bag',
    ],
  },
  {
    ...{ kind: 'soil_free', cropId: 'pea', question: 'Do peas in a jar mind the cold?', units: 6 },
    changes: (plan) => ({
      replicates: 3,
      containers: [usualContainer('jars')],
      conditions: { ...plan.conditions, medium: 'paper towel' },
      factors: [
        factor('Warmth', 'temperature', [
          level('room', { isControl: true }),
          level('porch', { temperatureC: 12 }),
        ]),
      ],
    }),
    says: ['5 seed Garden pea: at 21 °C', '5 seed Garden pea: at 12 °C'],
  },
  {
    ...{
      kind: 'sections',
      cropId: 'cress',
      question: 'Which green covers its part of the pan first?',
      units: 6,
    },
    changes: () => ({
      factors: [
        factor('Crop', 'crop', [
          level('Cress', { cropId: 'cress' }),
          level('Chia', { cropId: 'chia', seeds: 60 }),
          level('Alfalfa', { cropId: 'alfalfa' }),
        ]),
      ],
    }),
    says: ['20 seed Garden cress', '60 seed Chia', '20 seed Alfalfa'],
  },
  {
    ...{ kind: 'pieces', cropId: 'garlic', question: 'Do larger cloves make taller garlic?', units: 8 },
    changes: () => ({
      factors: [factor('Clove', 'other', [level('small', { isControl: true }), level('large')])],
    }),
    says: ['1 clove Garlic', '1 clove Garlic'],
  },
  {
    ...{
      kind: 'pieces',
      cropId: 'crocus',
      question: 'Do crocus corms in shallow pots flower too?',
      units: 8,
    },
    changes: () => ({
      factors: [
        factor('Depth', 'depth', [
          level('75 mm', { isControl: true, depthMm: 75 }),
          level('30 mm', { depthMm: 30 }),
        ]),
      ],
    }),
    says: ['1 corm Spring crocus', '1 corm Spring crocus'],
  },
  {
    ...{ kind: 'one_factor', cropId: 'pansy', question: 'Do pansies in paper pots mind being moved?' },
    ...{ units: 10, says: ['1 paper pot Pansy: shade', '1 paper pot Pansy: bright window'] },
    changes: (plan) => ({
      ...{ seedsPerUnit: 1, conditions: { ...plan.conditions, startsAs: 'paper_pots' as const } },
      factors: [
        factor('Place', 'light', [
          level('shade', { light: 'shade' }),
          level('sill', { isControl: true, light: 'bright' }),
        ]),
      ],
    }),
  },
  {
    ...{
      kind: 'one_factor',
      cropId: 'strawberry',
      question: 'How many leaves may a cutting keep?',
      units: 8,
    },
    changes: (plan) => ({
      ...{ replicates: 4, seedsPerUnit: 2, plantsPerUnit: 2 },
      containers: [usualContainer('pots')],
      conditions: { ...plan.conditions, startsAs: 'cuttings' as const, stemMm: 30 },
      factors: [factor('Leaves', 'other', [level('one', { isControl: true }), level('three')])],
    }),
    says: ['2 cutting Wild strawberry', '2 cutting Wild strawberry'],
  },
  {
    ...{ kind: 'packet_test', cropId: 'clover', question: 'How green is a box of clover?', units: 4 },
    changes: (plan) => ({
      ...{ replicates: 4, seedsPerUnit: 400, plantsPerUnit: 100 },
      containers: [{ ...usualContainer('box_rows'), rows: 2, columns: 2 }],
      conditions: { ...plan.conditions, position: 'flat' as const },
    }),
    says: ['400 seed White clover: lying flat'],
  },
  {
    ...{
      kind: 'challenge',
      cropId: 'sunflower',
      question: 'Whose sunflower passes the mark first?',
      units: 15,
    },
    says: ['2 seed Sunflower'],
  },
];

let server: TestServer;
let teacher: Client;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
});
afterAll(() => server.close());

/** A class whose only team has every pot of an experiment, and its tablet. */
async function tabletOf(experiment: ExperimentView): Promise<Client> {
  const [classId, teamId, studentId] = [uuid(), uuid(), uuid()];
  await teacher.put(`/api/classes/${classId}`).send(CLASS).expect(200);
  const roster = {
    teams: [{ id: teamId, name: 'Newt' }],
    students: [{ id: studentId, displayName: 'Ada', avatar: 'snail', teamId, pin: '1234' }],
  };
  const { code } = (await teacher.put(`/api/classes/${classId}/roster`).send(roster).expect(200)).body;
  const units = experiment.units.map(({ id }) => ({ unitId: id, teamId }));
  await teacher.put(`/api/experiments/${experiment.id}/class`).send({ classId, units }).expect(200);
  const tablet = server.client();
  await tablet.post('/api/device').send({ code }).expect(200);
  await tablet.put('/api/device/student').send({ studentId }).expect(200);
  return tablet;
}

function said({ seeds, propagule, crop, gets }: SowingPotView): string {
  return `${seeds} ${propagule} ${crop}${gets && `: ${gets}`}`;
}

test('there is an activity of every kind, and more than eighteen in all', () => {
  expect(ACTIVITIES).toHaveLength(21);
  expect(new Set(ACTIVITIES.map(({ kind }) => kind))).toEqual(new Set(INVESTIGATION_KINDS));
});

test.each(ACTIVITIES)('$question', async ({ kind, cropId, question, changes, units, says }) => {
  const path = `/api/experiments/${uuid()}`;
  const started = (await teacher.put(path).send({ kind, question, cropId }).expect(200))
    .body as ExperimentView;
  const plan = started.plan as PlanRequest;
  const wanted = {
    ...plan,
    version: started.version,
    ...{ sowOn: dayFromToday(0), lessonOn: dayFromToday(28) },
    calendar: { ...plan.calendar, meetingDays: [1, 2, 3, 4, 5, 6, 7] },
    ...changes?.(plan),
  };
  const saved = (await teacher.put(`${path}/plan`).send(wanted).expect(200)).body as ExperimentView;
  expect(saved.units).toHaveLength(units);
  const tablet = await tabletOf(saved);
  const [sowing] = (await tablet.get('/api/device/sowing').expect(200)).body as StudentSowingView[];
  const byTreatment = saved.treatments.map(({ style }) => sowing?.pots.find((pot) => pot.style === style));
  // Of an age ladder only the oldest pots are due.
  expect(byTreatment.flatMap((pot) => (pot ? [said(pot)] : []))).toEqual(says);
  expect(sowing?.steps.length).toBeGreaterThan(2);
  const sown = await teacher
    .put(`${path}/sowing`)
    .send({ sownOn: dayFromToday(0) })
    .expect(200);
  const view = sown.body as ExperimentView;
  expect(view.status).toBe('planted');
  expect(view.units.map(({ seedsSown }) => seedsSown)).toEqual(
    view.units.map((unit) => {
      const pot = sowing?.pots.find(({ unitId }) => unitId === unit.id);
      return pot?.seeds ?? unit.seedsSown;
    }),
  );
  expect((await tablet.get('/api/device/sowing').expect(200)).body).toEqual([]);
});
