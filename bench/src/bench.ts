import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildIfChanged, ROOT, startTemporaryApplication } from '@bright-sprout/scripts';
import mysql from 'mysql2/promise';
import { v7 as uuid } from 'uuid';
import { INSERT, insertValues } from './bare-insert.ts';
import { startBareServer } from './bare-process.ts';
import { charts } from './charts.ts';
import { classroom } from './classroom.ts';
import { ApiClient } from './client.ts';
import { computation } from './compare.ts';
import { measurePhoto } from './imaging.ts';
import { lesson } from './lesson.ts';
import { fillTo } from './database.ts';
import { firstVisit } from './first-visit.ts';
import { firstLoad } from './page.ts';
import { rehearsal } from './rehearsal.ts';
import { reportText, type Row } from './report.ts';
import { study } from './study.ts';
import { inTurns, sideBySide } from './timing.ts';

const SIZES = [1_000, 10_000, 100_000, 1_000_000];
const SAVES = 300;
const COMPARISONS = 100;

/** What the bench needs of an experiment. */
interface Experiment {
  readonly id: string;
  readonly question: string;
  readonly today: string;
  readonly units: readonly { readonly id: string }[];
  readonly variables: readonly { readonly id: string }[];
}

const FETCH = `SELECT r.unit_id, r.observed_on, r.state, r.value FROM unit u
  JOIN reading r ON r.unit_id = u.id AND r.variable_id = ?
  WHERE u.experiment_id = ? AND NOT EXISTS (SELECT 1 FROM reading c WHERE c.supersedes_id = r.id)
  ORDER BY r.recorded_at, r.id`;

async function saving(
  client: ApiClient,
  bare: ApiClient,
  connection: mysql.Connection,
): Promise<Row['save']> {
  const path = `/experiments/${uuid()}`;
  const experiment = (await client.put(path, { question: 'written to', cropId: 'oat' })) as Experiment;
  await client.put(`${path}/sowing`, { sownOn: experiment.today });
  const variableId = experiment.variables[0]?.id;
  let turn = 0;
  const nextUnit = (): string | undefined => experiment.units[(turn += 1) % experiment.units.length]?.id;
  const reading = {
    variableId,
    observedOn: experiment.today,
    state: 'emerged',
    value: 12.5,
    entered: '1.25',
    unitOfMeasure: 'cm',
    precision: 0.1,
  };
  const [first = [], second = [], least = []] = await inTurns(SAVES, [
    () => client.put(`${path}/readings/${uuid()}`, { ...reading, unitId: nextUnit() }),
    () => connection.execute(INSERT, insertValues(nextUnit(), variableId, experiment.today)),
    () => bare.put(path, { ...reading, unitId: nextUnit() }),
  ]);
  await connection.query('DELETE FROM experiment WHERE id = ?', [experiment.id]);
  return { first, second, least };
}

async function comparing(client: ApiClient, connection: mysql.Connection): Promise<Row['compare']> {
  const shelf = (await client.get('/experiments')) as Experiment[];
  const id = shelf.find(({ question }) => question.includes('zinnias'))?.id ?? '';
  const { variables } = (await client.get(`/experiments/${id}`)) as Experiment;
  return sideBySide(
    COMPARISONS,
    () => client.get(`/experiments/${id}/comparison?parts=answer`),
    () => connection.query(FETCH, [variables[0]?.id, id]),
  );
}

await buildIfChanged(ROOT);
const computed = computation();
const photo = measurePhoto();
const application = await startTemporaryApplication({ BRIGHT_SPROUT_SIGN_IN_TRIES: '1000' }, true);
const databaseUrl = application.rootUrl.replace(/\/mysql$/, '/bright_sprout');
const connection = await mysql.createConnection(databaseUrl);
const bareServer = await startBareServer('bare-saves.ts', databaseUrl);
try {
  const client = await ApiClient.signIn(application);
  const bare = ApiClient.at(bareServer.address);
  const load = await firstLoad(application);
  const visited = await firstVisit(application);
  const rehearsed = await rehearsal(application, client);
  const read = await classroom(application, client, connection);
  const pooled = await study(client, connection);
  const drawn = await charts(application, connection);
  const taught = await lesson(application, connection);
  const rows: Row[] = [];
  for (const size of SIZES) {
    const readings = await fillTo(connection, size);
    rows.push({
      readings,
      save: await saving(client, bare, connection),
      compare: await comparing(client, connection),
    });
    console.log(`measured with ${readings} readings in the database`);
  }
  const text = reportText({ rows, load, visited, rehearsed, read, computed, pooled, drawn, taught, photo });
  writeFileSync(join(ROOT, 'docs', 'bench.md'), text);
  console.log(text);
  client.close();
  bare.close();
} finally {
  bareServer.stop();
  await connection.end();
  await application.stop();
}
