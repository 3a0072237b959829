import type { ExperimentView, PlanRequest } from '@bright-sprout/contract/plan';
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
  const [variable] = experiment.variables;
  return {
    version: experiment.version,
    question: experiment.question,
    hypothesis: experiment.hypothesis,
    cropId: 'oat',
    factorName: experiment.factors[0]!.name,
    levels: experiment.treatments.map(({ name, isControl }) => ({ name, isControl })),
    replicates: 5,
    containerKind: 'flat',
    measure: { unit: variable!.unit as 'cm', step: variable!.step },
    seedsPerUnit: 1,
    sowOn: experiment.sowOn,
    lessonOn: experiment.lessonOn,
    layoutSeed: experiment.layoutSeed,
    ...changes,
  };
}

/** A draft sown ten days ago. */
export async function startSown(client: Client, sowedOn = dayFromToday(-10)): Promise<ExperimentView> {
  const draft = await startDraft(client);
  const answer = await client.put(`/api/experiments/${draft.id}/sowing`).send({ sowedOn }).expect(200);
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
    state: 'up',
    value: 42.5,
    entered: '4.25',
    unitOfMeasure: 'cm',
    precision: 0.5,
    ...changes,
  };
}
