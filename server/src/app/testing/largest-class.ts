import type { ExperimentView } from '@bright-sprout/contract/plans';
import { dayFromToday, planOf, startDraft } from './experiments.ts';
import type { Client, TestServer } from './server.ts';

/** The most pots that a class can have, read on each day of two terms. */
export const LARGEST = { pots: 400, days: 180 };

/** Makes an experiment of the largest class, or of a part of it; its readings are written straight into the database. */
export async function largestClass(
  client: Client,
  query: TestServer['query'],
  { pots, days } = LARGEST,
): Promise<ExperimentView> {
  const draft = await startDraft(client, 'Which of the two grows taller?');
  const container = { ...draft.plan!.containers[0]!, rows: 20, columns: 20 };
  const plan = planOf(draft, { replicates: pots / 2, containers: [container] });
  await client.put(`/api/experiments/${draft.id}/plan`).send(plan).expect(200);
  const sowing = { sownOn: dayFromToday(-days) };
  const sown = await client.put(`/api/experiments/${draft.id}/sowing`).send(sowing).expect(200);
  await query(
    `INSERT INTO reading (id, unit_id, variable_id, observed_on, state, value, entered, unit_of_measure, \`precision\`,
                          observer, recorded_at)
     SELECT UUID(), u.id, v.id, u.sown_on + INTERVAL s.seq DAY, IF(s.seq < 6, 'not_emerged', 'emerged'),
            IF(s.seq < 6, NULL, ROUND(1500 / (1 + EXP(5 - s.seq * 0.05)) + MOD(u.number * 37, 53))), '12.5', 'cm', 0.5,
            CONCAT('Team ', MOD(u.number, 6)), u.sown_on + INTERVAL s.seq DAY
     FROM unit u JOIN variable v ON v.experiment_id = u.experiment_id AND v.position = 0
     JOIN (WITH RECURSIVE day AS (SELECT 0 AS seq UNION ALL SELECT seq + 1 FROM day WHERE seq < ?) SELECT seq FROM day) s
     WHERE u.experiment_id = ?`,
    [days - 1, draft.id],
  );
  return sown.body as ExperimentView;
}
