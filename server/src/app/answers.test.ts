import { ROUTES } from '@bright-sprout/contract/routes';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { usualContainer } from '@bright-sprout/core/design';
import { plainBoard } from '@bright-sprout/core/lessons';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import {
  CLASS,
  CROP,
  dayFromToday,
  planOf,
  readingOf,
  startDraft,
  startSown,
} from './testing/experiments.ts';
import { pictureOf } from '../journal/index.ts';
import { jsonOperations } from './testing/hold-answers.ts';
import { bytesOf, type Client, sendFile, startTestServer, type TestServer } from './testing/server.ts';

let server: TestServer;
let teacher: Client;
let tablet: Client;
let sown: ExperimentView;
const [classId, teamId, studentId] = [uuid(), uuid(), uuid()];
const today = dayFromToday(0);

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
  tablet = server.client();
});
// Closing throws when an answer did not fit its schema.
afterAll(() => server.close());

const TABLE = 'date,Dry 1,Wet 1\n2026-05-04,1.5,2.5\n2026-05-08,2,5';

const MAPPING = {
  shape: 'pots_in_columns',
  roles: ['date', 'value', 'value'],
  hasTreatmentRow: false,
  variables: [{ source: '', name: 'height', kind: 'length', unit: 'cm', counting: 'so_far' }],
  words: [],
  zeros: { before: 'not_emerged', after: 'value' },
  dateOrder: 'dmy',
  decimalMark: 'either',
  sownOn: '2026-04-27',
  observedOn: '2026-05-08',
  control: 'Dry',
};

async function put(client: Client, path: string, body?: object): Promise<{ body: never }> {
  const { status, body: answer } = await client.put(`/api${path}`).send(body);
  expect([path, status, status === 200 ? '' : answer]).toEqual([path, 200, '']);
  return { body: answer as never };
}

async function get(client: Client, path: string): Promise<{ body: never }> {
  return (await client.get(`/api${path}`).expect(200)) as never;
}

test('accounts, classes and what is kept for all plans', async () => {
  await get(server.client(), '/health');
  await get(server.client(), '/registration');
  await teacher.post('/api/session').send({ email: await emailOf(), password: 'a long enough password' });
  await put(teacher, `/classes/${classId}`, { ...CLASS, timeZone: 'UTC', asksPin: false });
  const students = [{ id: studentId, displayName: 'Ada', avatar: 'snail', teamId }];
  await put(teacher, `/classes/${classId}/roster`, { teams: [{ id: teamId, name: 'Otters' }], students });
  await teacher.post(`/api/classes/${classId}/code`).expect(200);
  await get(teacher, '/classes');
  const cropId = uuid();
  await put(teacher, `/crops/${cropId}`, CROP);
  await get(teacher, '/crops');
  const lot = { cropId, name: 'Blue', germinationPercent: 80, depthMm: null, daysToEmergence: null };
  const tests = [{ on: dayFromToday(-30), sown: 20, up: 17 }];
  await put(teacher, `/seed-lots/${uuid()}`, {
    ...lot,
    spacingMm: null,
    seedsPerPacket: null,
    packedOn: null,
    tests,
  });
  await get(teacher, '/seed-lots');
  await put(teacher, `/container-sizes/${uuid()}`, {
    kind: 'pots',
    name: 'Small',
    rows: 1,
    columns: 4,
    cellMl: 200,
  });
  await get(teacher, '/container-sizes');
});

async function emailOf(): Promise<string> {
  const { body } = await get(teacher, '/session');
  return (body as { email: string }).email;
}

test('a plan from its start to its end', async () => {
  const draft = await startDraft(teacher, 'Does it matter how deep?');
  const path = `/experiments/${draft.id}`;
  const { body: saved } = await put(teacher, `${path}/plan`, planOf(draft, { replicates: 3 }));
  const { version, units } = saved as ExperimentView;
  const assignments = units.map(({ id, treatmentId }) => ({ unitId: id, treatmentId }));
  const { body: arranged } = await put(teacher, `${path}/layout`, { version, assignments });
  const description = { question: 'How deep?', hypothesis: 'Shallow.', lessonOn: dayFromToday(20) };
  await put(teacher, `${path}/description`, {
    version: (arranged as ExperimentView).version,
    ...description,
  });
  await put(teacher, `${path}/templates/${uuid()}`, { about: 'Depths' });
  await get(teacher, '/templates');
  await put(teacher, `${path}/copies/${uuid()}`);
  await put(teacher, `${path}/tasks/added-1`, {
    movedTo: today,
    doneOn: null,
    who: 'Ada',
    title: 'Fill trays',
  });
  await put(teacher, `${path}/class`, { classId, units: [] });
  await put(teacher, `${path}/runs/${uuid()}`, { classId });
  await get(teacher, path);
  const wider = await startDraft(teacher);
  await put(
    teacher,
    `/experiments/${wider.id}/plan`,
    planOf(wider, { containers: [usualContainer('cups')] }),
  );
  const { body } = await put(teacher, `/experiments/${wider.id}/sowing`, { sownOn: dayFromToday(-3) });
  const [treatment, container] = [
    (body as ExperimentView).treatments[0]!,
    (body as ExperimentView).containers[0]!,
  ];
  const unit = { treatmentId: treatment.id, containerId: container.id, row: 3, column: 5 };
  await put(teacher, `/experiments/${wider.id}/units/${uuid()}`, { ...unit, sownOn: dayFromToday(-1) });
});

test('a class at work', async () => {
  sown = await startSown(teacher);
  const path = `/experiments/${sown.id}`;
  await put(teacher, `${path}/class`, {
    classId,
    units: sown.units.map(({ id }) => ({ unitId: id, teamId })),
  });
  const [unit] = sown.units;
  const unitIds = [unit!.id];
  const byMistake = uuid();
  await put(teacher, `/experiments/${byMistake}`, { question: 'Sown?', cropId: 'oat' });
  await put(teacher, `/experiments/${byMistake}/sowing/taken-back`, {});
  await put(teacher, `${path}/sowing/ticks`, { unitIds, item: 'label', isDone: true });
  await get(teacher, `${path}/sowing/ticks`);
  await put(teacher, `${path}/sowing/notes`, { unitId: unit!.id, seedsSown: 2, note: 'deeper' });
  const readingId = uuid();
  await put(teacher, `${path}/readings/${readingId}`, readingOf(sown, 0));
  await put(teacher, `${path}/readings/${readingId}/set-aside`, { reason: 'leaned' });
  await teacher.delete(`/api${path}/readings/${readingId}/set-aside`).expect(200);
  await get(teacher, `${path}/readings`);
  await put(teacher, `${path}/days/${dayFromToday(-2)}`, { isClosed: true });
  const careId = uuid();
  await put(teacher, `${path}/care/${careId}`, {
    kind: 'watered',
    happenedOn: today,
    unitIds: null,
    amount: 10,
    note: '',
  });
  await put(teacher, `${path}/care/${careId}/undone`, { isUndone: true });
  await get(teacher, `${path}/care`);
  await teacher.post(`/api${path}/logger`).expect(200);
  const samples = [{ sampledAt: new Date().toISOString(), sensor: 'temperature', value: 20.5 }];
  await teacher.put(`/api${path}/logger-samples`).send({ samples }).expect(204);
  await get(teacher, `${path}/logger-days`);
  await put(teacher, `${path}/journal/${uuid()}`, {
    unitId: unit!.id,
    happenedOn: today,
    kind: 'note',
    note: 'Hooks',
    picture: null,
  });
  const [entry] = (await get(teacher, `${path}/journal`)).body as { id: string }[];
  await put(teacher, `${path}/journal/${entry!.id}/hidden`, { isHidden: true });
  const photo = `${path}/photos/${uuid()}`;
  await put(teacher, photo, {
    ...{ view: 'side', containerId: null, unitId: unit!.id, takenOn: today },
    picture: await sendFile(teacher, await pictureOf({ width: 1, height: 1, pixels: new Uint8Array(3) })),
  });
  await put(teacher, `${photo}/frame`, { corners: null, greyPatch: [0, 0, 0.1, 0.1] });
  await put(teacher, `${photo}/measures/${uuid()}`, {
    reading: { ...readingOf(sown, 1), observedOn: today },
    method: { kind: 'length', low: 1, high: 2, pixels: 300, apartMm: 50, marks: [0, 0, 0, 1] },
  });
  await get(teacher, `${path}/photos`);
});

test('a tablet', async () => {
  const { body: classes } = await get(teacher, '/classes');
  const [{ code }] = classes as { code: string }[] as [{ code: string }];
  await tablet.post('/api/device').send({ code }).expect(200);
  await put(tablet, '/device/student', { studentId });
  await get(tablet, '/device');
  await get(tablet, '/device/pots');
  const unsown = await put(teacher, `/experiments/${uuid()}`, { question: 'Not yet?', cropId: 'oat' });
  await put(teacher, `/experiments/${(unsown.body as ExperimentView).id}/class`, { classId, units: [] });
  await get(tablet, `/device/units/${(unsown.body as ExperimentView).units[0]!.id}`);
  await put(tablet, `/device/readings/${uuid()}`, readingOf(sown, 1, { observedOn: today }));
  const late = await startSown(teacher, today);
  await put(teacher, `/experiments/${late.id}/class`, { classId, units: [] });
  await get(tablet, '/device/sowing');
  await put(tablet, '/device/sowing/ticks', { unitIds: [late.units[0]!.id], item: 'seeds', isDone: true });
  const [unit] = sown.units;
  const care = { kind: 'watered', happenedOn: today, unitIds: [unit!.id], amount: 5, note: '' };
  await put(tablet, `/device/care/${uuid()}`, { ...care, experimentId: sown.id });
  const entry = { unitId: unit!.id, happenedOn: today, kind: 'note', note: 'Two leaves', picture: null };
  await put(tablet, `/device/journal/${uuid()}`, { ...entry, experimentId: sown.id });
  const drawn = await sendFile(
    tablet,
    await pictureOf({ width: 1, height: 1, pixels: new Uint8Array(3) }),
    '/api/device/uploads',
  );
  const line = { colour: '#1e2b26', thickness: 3, erases: false, points: [1, 2, 30, 40] };
  const drawing = { width: 800, height: 420, lines: [line], labels: [{ word: 'stem', x: 0.5, y: 0.2 }] };
  const drawingId = uuid();
  await put(tablet, `/device/journal/${drawingId}`, {
    ...{ ...entry, experimentId: sown.id, kind: 'drawing', picture: drawn },
    drawing,
  });
  await get(tablet, `/device/journal/${drawingId}/drawing`);
  await get(tablet, `/device/units/${unit!.id}/journal`);
  await tablet.put(`/api/device/practice/${uuid()}`).send({ kind: 'plain', seed: 1, readMm: 40 });
  await get(teacher, `/classes/${classId}/practice`);
  await get(tablet, '/device/ideas');
  const conclusion = { claim: 'No.', evidence: '', reasoning: '' };
  await put(tablet, `/device/conclusions/${uuid()}`, { ...conclusion, experimentId: sown.id });
});

test('comparing, and files', async () => {
  const path = `/experiments/${sown.id}`;
  await get(teacher, `${path}/comparison`);
  await get(teacher, `${path}/study`);
  await get(teacher, `${path}/predictions`);
  await put(teacher, `${path}/conclusions/${uuid()}`, { claim: 'No.', evidence: '', reasoning: '' });
  await get(teacher, `${path}/conclusions`);
  await get(teacher, '/experiments');
  const tidy = await teacher.get(`/api${path}/tidy.csv`).expect(200);
  const file = async (name: string, bytes: string | Buffer) => ({
    fileName: name,
    ...(await sendFile(teacher, bytes)),
  });
  await put(teacher, `/files/${uuid()}`, await file('own.csv', tidy.text));
  const sheet = await bytesOf(teacher, `/api${path}/tidy.xlsx`);
  await teacher
    .post('/api/files/sheets')
    .send(await sendFile(teacher, sheet))
    .expect(200);
  await teacher.get('/api/network').expect(200);
  await teacher.get('/api/sessions').expect(200);
  await put(teacher, `/files/${uuid()}/example`, {});
  await put(teacher, `/files/${uuid()}/table`, { mapping: MAPPING, ...(await file('tray.csv', TABLE)) });
  await put(teacher, `${path}/finish`, { finished: true });
  const zip = await bytesOf(teacher, `/api${path}/bundle.zip`);
  await put(teacher, `/files/${uuid()}/bundle`, await file('own.zip', zip));
});

test('a lesson and a vote', async () => {
  const path = `/experiments/${sown.id}`;
  const board = { ...plainBoard(uuid(), 'line_up', 2), unitIds: [sown.units[0]!.id] };
  await put(teacher, `${path}/lesson`, { version: 0, level: '8-10', boards: [board] });
  const showing = { boardId: board.id, isBlank: false, isRevealed: true, hidesTreatments: false };
  await put(teacher, `${path}/lesson/showing`, { ...showing, order: 'age', level: '14+', day: today });
  await get(teacher, `${path}/lesson`);
  const pollId = uuid();
  const poll = { prompt: 'Which?', choices: ['A', 'B'], isOpen: true, hands: [1, 2] };
  await put(teacher, `${path}/polls/${pollId}`, poll);
  await get(tablet, '/device/polls');
  await tablet.put(`/api/device/votes/${uuid()}`).send({ pollId, choice: 0 }).expect(204);
  await get(teacher, `${path}/polls/${pollId}`);
});

test('co-teachers', async () => {
  const guest = await server.teacher('Co-teacher');
  for (const path of [`/classes/${classId}`, `/experiments/${sown.id}`]) {
    const { body } = await put(teacher, `${path}/shares/${uuid()}`, { may: 'change' });
    const { code } = body as { code: string };
    await get(guest, `/invitations/${code}`);
    await put(guest, `/invitations/${code}/taken`);
    await get(teacher, `${path}/shares`);
  }
  await get(guest, '/classes');
  await get(guest, '/experiments');
  await get(guest, `/experiments/${sown.id}`);
  await get(guest, `/experiments/${sown.id}/inventory`);
});

test('every operation that answers was called', () => {
  const missing = jsonOperations().filter((name) => !server.answered.has(name));
  expect(missing).toEqual([]);
  expect(jsonOperations().length).toBeGreaterThan(Object.keys(ROUTES).length / 2);
});
