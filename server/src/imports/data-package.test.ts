import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { Package } from 'datapackage';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { v7 as uuid } from 'uuid';
import { demoTeacher } from '../app/testing/demo-teacher.ts';
import { bytesOf, type Client, sendFile, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let demo: Client;
const folder = mkdtempSync(join(tmpdir(), 'package-'));
beforeAll(async () => {
  server = await startTestServer();
  demo = await demoTeacher(server);
});
afterAll(async () => {
  rmSync(folder, { recursive: true });
  await server.close();
});

/** What the reference implementation of Data Packages finds in a bundle, table by table. */
async function judged(zip: Uint8Array): Promise<{ problems: string[]; rows: Record<string, number> }> {
  const own = join(folder, uuid());
  mkdirSync(join(own, 'photos'), { recursive: true });
  for (const [name, bytes] of Object.entries(unzipSync(zip))) writeFileSync(join(own, name), bytes);
  const found = await Package.load(join(own, 'datapackage.json'));
  const problems = found.errors.map(({ message }) => message);
  const rows: Record<string, number> = {};
  for (const resource of found.resources.filter(({ tabular }) => tabular)) {
    const read = resource.read({ keyed: true, relations: true });
    rows[resource.name] = await read.then(
      (all) => all.length,
      (error: unknown) => {
        problems.push(`${resource.name}: ${String(error)}`);
        return 0;
      },
    );
  }
  return { problems, rows };
}

async function bundleOf(client: Client, id: string): Promise<Buffer> {
  return bytesOf(client, `/api/experiments/${id}/bundle.zip`);
}

test('the bundle of every demo experiment is valid for an independent validator, keys and types too', async () => {
  const cards = (await demo.get('/api/experiments').expect(200)).body as { id: string; status: string }[];
  await server.query(
    `INSERT INTO measure (reading_id, photo_id, method)
     SELECT r.id, p.id, '{"kind":"green_cover","threshold":0.25,"low":1,"high":2.5,"pixels":400,"marks":[]}'
     FROM photo p JOIN unit u ON u.experiment_id = p.experiment_id JOIN reading r ON r.unit_id = u.id LIMIT 3`,
  );
  const all: Record<string, number> = {};
  for (const { id, status } of cards) {
    const { units, sowOn, variables } = (await demo.get(`/api/experiments/${id}`).expect(200)).body;
    const care = { happenedOn: sowOn, amount: null, note: '=A1, “quoted”' };
    if (status === 'growing') {
      const [one, other] = units;
      const moves = [
        { ...{ unitId: one.id, containerId: other.containerId }, row: other.row, column: other.column },
        { ...{ unitId: other.id, containerId: one.containerId }, row: one.row, column: one.column },
      ];
      const moved = { ...care, kind: 'moved', unitIds: [one.id, other.id], moves };
      await demo.put(`/api/experiments/${id}/care/${uuid()}`).send(moved).expect(200);
      const [last] = ((await demo.get(`/api/experiments/${id}/readings`).expect(200)).body as object[]).slice(
        -1,
      );
      const { unitId, variableId, observedOn, id: supersedesId } = last as Record<string, string>;
      const corrected = { unitId, variableId, observedOn, supersedesId, state: 'not_read' };
      const reading = {
        ...corrected,
        value: null,
        entered: '',
        unitOfMeasure: variables[0].unit,
        precision: 1,
      };
      await demo.put(`/api/experiments/${id}/readings/${uuid()}`).send(reading).expect(200);
    }
    const { problems, rows } = await judged(await bundleOf(demo, id));
    expect(problems).toEqual([]);
    expect(rows.pots).toBe(units.length);
    for (const [name, n] of Object.entries(rows)) all[name] = (all[name] ?? 0) + n;
  }
  const empty = Object.entries(all).filter(([, n]) => n === 0);
  expect(empty).toEqual([]);
  expect(all.readings).toBeGreaterThan(1000);
}, 120_000);

test('a bundle in which keys do not fit is found to be wrong, so that the check above can fail', async () => {
  const [{ id }] = (await demo.get('/api/experiments').expect(200)).body as [{ id: string }];
  const files = unzipSync(await bundleOf(demo, id));
  const [header = '', first = '', ...rest] = strFromU8(files['pots.csv']!).split('\r\n');
  const spoiled = async (pots: readonly string[]): Promise<string> =>
    (await judged(zipSync({ ...files, 'pots.csv': strToU8(pots.join('\r\n')) }))).problems.join('; ');
  expect(await spoiled([header, ...rest])).toMatch(/readings: .*Foreign key "unit"/);
  expect(await spoiled([header, first, first, ...rest])).toMatch(/pots: .*unique/);
  expect(await spoiled([header, first.replace(/^\d+/, 'one'), ...rest])).toMatch(/pots: /);
});

test('what was never read of comes back from a bundle, pot by pot', async () => {
  const drafts = (await demo.get('/api/experiments').expect(200)).body as { id: string; status: string }[];
  const { id } = drafts.find(({ status }) => status === 'draft')!;
  const zip = await bundleOf(demo, id);
  const other = await server.teacher();
  const newId = uuid();
  await other
    .put(`/api/files/${newId}/bundle`)
    .send({ fileName: 'draft.zip', ...(await sendFile(other, zip)) })
    .expect(200);
  const shape = async (client: Client, of: string) => {
    const view = (await client.get(`/api/experiments/${of}`).expect(200)).body;
    return [
      view.variables.map(({ name, unit, step }: Record<string, unknown>) => [name, unit, step]),
      view.units.map(({ number, row, column, replicate }: Record<string, unknown>) => [
        number,
        row,
        column,
        replicate,
      ]),
    ];
  };
  expect(await shape(other, newId)).toEqual(await shape(demo, id));
});

test('a bundle of before, with pots and places joined in a cell and no tables of pots, still opens', async () => {
  const teacher = await server.teacher();
  const files = {
    'datapackage.json': strToU8('{"title":"Old","status":"growing"}'),
    'readings.csv': strToU8(
      [
        'question,container,container_kind,container_rows,container_columns,unit,row,column,treatment,variable,variable_kind,planned_unit,planned_precision,observed,state,value,unit_of_measure,recorded_at,reading',
        'Old?,1,tray,1,3,1,1,1,Dry,height,length,cm,0.5,2026-03-05,emerged,2.5,cm,2026-03-05T10:00:00.123Z,a',
        'Old?,1,tray,1,3,2,1,2,Wet,height,length,cm,0.5,2026-03-05,emerged,3,cm,2026-03-05T10:00:00.123Z,b',
        'Old?,1,tray,1,3,3,1,3,Wet,height,length,cm,0.5,,,,,,',
      ].join('\r\n'),
    ),
    'care.csv': strToU8(
      [
        'happened_on,kind,amount,units,words,reason,moves,observer,is_undone',
        '2026-03-04,watered,10,1 3,,,,Tam,false',
        '2026-03-05,moved,,1 2,,,1:1/1/2 2:1/1/1,Tam,false',
      ].join('\r\n'),
    ),
  };
  const id = uuid();
  await teacher
    .put(`/api/files/${id}/bundle`)
    .send({ fileName: 'old.zip', ...(await sendFile(teacher, zipSync(files))) })
    .expect(200);
  const { units } = (await teacher.get(`/api/experiments/${id}`).expect(200)).body;
  expect(units).toHaveLength(3);
  const [watered, moved] = (await teacher.get(`/api/experiments/${id}/care`).expect(200)).body;
  const numberOf = (unitId: string) =>
    units.find((unit: { id: string }) => unit.id === unitId)?.number as number;
  expect(watered.unitIds.map(numberOf).sort()).toEqual([1, 3]);
  const places = moved.moves.map((move: { unitId: string; column: number }) => [
    numberOf(move.unitId),
    move.column,
  ]);
  expect(places.sort()).toEqual([
    [1, 2],
    [2, 1],
  ]);
});
