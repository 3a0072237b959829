import type { ExperimentView, PlanRequest } from '@bright-sprout/contract/plans';
import { PLAIN_LEVEL } from '@bright-sprout/core/design';
import { v7 as uuid } from 'uuid';
import type { Client } from './server.ts';

/** The day `days` from today (UTC) as YYYY-MM-DD. */
export function dayFromToday(days: number): string {
  return new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
}

/** Starts a draft. */
export async function startDraft(
  client: Client,
  question = 'Do lentils like music?',
): Promise<ExperimentView> {
  const answer = await client.put(`/api/experiments/${uuid()}`).send({ question, cropId: 'oat' }).expect(200);
  return answer.body as ExperimentView;
}

/** The plan that an experiment has, with changes. */
export function planOf(experiment: ExperimentView, changes: Partial<PlanRequest> = {}): PlanRequest {
  return { ...experiment.plan!, version: experiment.version, ...changes };
}

/** A factor of levels that are only names; the first is the control. */
export function factorOf(name: string, levels: readonly string[]): PlanRequest['factors'][number] {
  return {
    name,
    aspect: 'other',
    levels: levels.map((level, index) => ({ ...PLAIN_LEVEL, name: level, isControl: index === 0 })),
  };
}

/** A draft sown ten days ago. */
export async function startSown(client: Client, sownOn = dayFromToday(-10)): Promise<ExperimentView> {
  const draft = await startDraft(client);
  const answer = await client.put(`/api/experiments/${draft.id}/sowing`).send({ sownOn }).expect(200);
  return answer.body as ExperimentView;
}

/** A reading of a unit to send. */
export function readingOf(
  experiment: ExperimentView,
  unit: number,
  changes: object = {},
): Record<string, unknown> {
  return {
    unitId: experiment.units[unit]!.id,
    variableId: experiment.variables[0]!.id,
    observedOn: dayFromToday(-1),
    state: 'emerged',
    value: 42.5,
    entered: '4.25',
    unitOfMeasure: 'cm',
    precision: 0.5,
    ...changes,
  };
}

/** A crop to send. */
export const CROP = {
  commonName: 'Moonflower',
  scientificName: '',
  propagule: 'seed',
  emergence: null,
  seedLengthMm: 5,
  seedThicknessMm: 3,
  sowingDepthMm: null,
  lightToGerminate: 'either',
  daysToEmergence: { min: 5, max: 9 },
  daysToRadicle: null,
  daysToHarvestOrFlower: null,
  temperatureC: { min: 10, best: 22, max: 32 },
  germinationPercent: 70,
  spacingMm: null,
  matureHeightMm: 900,
  heightAtDay21Mm: 120,
  habit: 'climber',
  caution: '',
};

/** A packet to send. */
export const LOT = {
  cropId: 'oat',
  name: 'Blue packet',
  germinationPercent: 80,
  depthMm: 20,
  daysToEmergence: { min: 4, max: 8 },
  spacingMm: null,
  seedsPerPacket: 60,
  packedOn: null,
  tests: [],
};

/** A container size to send. */
export const SIZE = { name: 'Cake tin', kind: 'pan_sections', rows: 2, columns: 4, cellMl: 150 };

/** A class to send. */
export const CLASS = {
  name: '5b',
  readingLevel: '8-10',
  timeZone: 'Europe/Lisbon',
  meetingDays: [1, 3, 5],
  holidays: [{ name: 'Break', from: '2027-04-05', to: '2027-04-09' }],
};

/** Keeps a class, a crop, a packet, a template and a container size under given ids. */
export async function keepOneOfEach(client: Client, ids: Record<string, string>): Promise<void> {
  await client.put(`/api/classes/${ids.classId}`).send(CLASS).expect(200);
  await client.put(`/api/crops/${ids.newCropId}`).send(CROP).expect(200);
  await client.put(`/api/seed-lots/${ids.lotId}`).send(LOT).expect(200);
  await client.put(`/api/container-sizes/${ids.sizeId}`).send(SIZE).expect(200);
  await client
    .put(`/api/experiments/${ids.experimentId}/templates/${ids.templateId}`)
    .send({ about: 'Kept.' })
    .expect(200);
}
