import type { ExperimentView, PlanDocument } from '@bright-sprout/contract/plans';
import {
  type InvestigationKind,
  type Plan,
  plannedUnits,
  startPlan,
  STARTING_CROPS,
  treatmentsOf,
} from '@bright-sprout/core/design';
import { calendarDay } from '@bright-sprout/core/shared';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import {
  classesQuery,
  containerSizesQuery,
  cropsQuery,
  experimentQuery,
  seedLotsQuery,
} from '../../shared/api/index.ts';
import { ExperimentProvider } from '../../shared/experiment/index.ts';
import { PlanEditorProvider } from '../plan-editor.tsx';

/** A request that a part of the plan made. */
export interface SentRequest {
  readonly method: string;
  readonly path: string;
  readonly body: Record<string, unknown>;
}

/** A draft of a kind as the server would send it. */
export function draftOf(
  kind: InvestigationKind,
  changes: Partial<Plan> = {},
  cropId = 'oat',
): ExperimentView {
  const crop = STARTING_CROPS.find(({ id }) => id === cropId) ?? STARTING_CROPS[0];
  if (!crop) throw new Error('no crops');
  const started = startPlan({
    kind,
    question: 'Why?',
    crop,
    otherCrops: STARTING_CROPS,
    sowOn: calendarDay('2027-03-01'),
    lessonOn: calendarDay('2027-03-29'),
  });
  const plan = { ...started, ...changes };
  return {
    id: 'e',
    version: 0,
    status: 'draft',
    classId: null,
    shared: null,
    question: plan.question,
    hypothesis: '',
    crop: { ...crop, isOwn: false, measuredSpread: null },
    cropName: crop.commonName,
    sowOn: plan.sowOn,
    lessonOn: plan.lessonOn,
    today: '2027-02-22',
    studyId: null,
    closedDays: [],
    layoutSeed: 1,
    seedsPerUnit: plan.seedsPerUnit,
    plan: plan as PlanDocument,
    tasks: [],
    factors: [],
    treatments: treatmentsOf(plan).map(({ code, name, isControl }, style) => ({
      id: code,
      code,
      name,
      isControl,
      style,
    })),
    containers: plan.containers.map((container, index) => ({ id: `c${index}`, ...container })),
    units: plannedUnits(plan).map((unit) => ({
      id: `u${unit.number}`,
      number: unit.number,
      containerId: `c${unit.container}`,
      row: unit.row,
      column: unit.column,
      treatmentId: treatmentsOf(plan)[unit.treatment]?.code ?? '',
      replicate: unit.replicate,
      block: '',
      team: '',
      teamId: null,
      sowOn: unit.sowOn,
      sownOn: null,
      seedsSown: 1,
      sowingNote: '',
    })),
    variables: [],
  };
}

/**
 * Shows a part of a plan with a server that keeps what it is sent; gives the requests made.
 * @param hasCrops false where crops are still on their way when the part is shown
 */
export function renderPart(part: ReactNode, experiment: ExperimentView, hasCrops = true): SentRequest[] {
  const crops = STARTING_CROPS.map((crop) => ({ ...crop, isOwn: false, measuredSpread: null }));
  const sent: SentRequest[] = [];
  globalThis.fetch = ((path: string, init: RequestInit) => {
    if (path.endsWith('/crops')) return Promise.resolve(Response.json(crops));
    const body = JSON.parse((init.body as string | undefined) ?? '{}') as Record<string, unknown>;
    sent.push({ method: init.method ?? 'GET', path, body });
    const plan = path.endsWith('/plan') ? { plan: body } : {};
    const answer = { ...experiment, ...plan, version: experiment.version + sent.length };
    return Promise.resolve(new Response(JSON.stringify(answer), { status: 200 }));
  }) as unknown as typeof fetch;
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  if (hasCrops) client.setQueryData(cropsQuery.queryKey, crops);
  client.setQueryData(seedLotsQuery.queryKey, []);
  client.setQueryData(classesQuery.queryKey, []);
  client.setQueryData(containerSizesQuery.queryKey, []);
  client.setQueryData(experimentQuery(experiment.id).queryKey, experiment);
  const value = {
    experiment,
    readings: [],
    variable: { id: 'v', name: 'height', kind: 'length', unit: 'cm', step: 0.5 },
    findings: new Map(),
    day: experiment.sowOn,
    setDay: () => undefined,
  } as const;
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <ExperimentProvider value={value}>
          <PlanEditorProvider plan={experiment.plan as Plan}>{part}</PlanEditorProvider>
        </ExperimentProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return sent;
}
