import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ClassView } from '@bright-sprout/contract/classes';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import {
  CLASS,
  CROP,
  dayFromToday,
  LOT,
  planOf,
  readingOf,
  SIZE,
  startDraft,
  startSown,
} from './testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from './testing/server.ts';

/** Stands in every text of the victim: whoever reads it elsewhere has read the victim's. */
const MARK = 'Quagga';
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

/** What one teacher has, by what it is. */
interface Holdings {
  readonly teacher: Client;
  readonly tablet: Client;
  readonly schoolClass: ClassView;
  readonly draft: ExperimentView;
  readonly sown: ExperimentView;
  /** An id of each kind of row. */
  readonly ids: Readonly<Record<string, string>>;
}

/** A request of the attacker that is right as it stands; ids in its path are new or its own. */
interface Sent {
  readonly client: 'teacher' | 'tablet';
  readonly path: () => string;
  readonly body: object;
}

let server: TestServer;
let victim: Holdings;
let attacker: Holdings;

beforeAll(async () => {
  server = await startTestServer();
  victim = await holdingsOf(MARK);
  attacker = await holdingsOf('Own');
});
afterAll(() => server.close());

const ok = async (request: ReturnType<Client['put']>) => (await request.expect(200)).body;

async function holdingsOf(word: string): Promise<Holdings> {
  const teacher = await server.teacher(`${word} teacher`);
  const [classId, teamId, studentId, cropId, lotId, sizeId, templateId] = [0, 0, 0, 0, 0, 0, 0].map(() =>
    uuid(),
  ) as [string, string, string, string, string, string, string];
  await ok(teacher.put(`/api/classes/${classId}`).send({ ...CLASS, name: `${word} class`, timeZone: 'UTC' }));
  const roster = {
    teams: [{ id: teamId, name: `${word} team` }],
    students: [{ id: studentId, displayName: `${word} child`, avatar: 'snail', teamId }],
  };
  const schoolClass = (await ok(teacher.put(`/api/classes/${classId}/roster`).send(roster))) as ClassView;
  await ok(teacher.put(`/api/crops/${cropId}`).send({ ...CROP, commonName: `${word} crop` }));
  await ok(teacher.put(`/api/seed-lots/${lotId}`).send({ ...LOT, cropId, name: `${word} packet` }));
  await ok(teacher.put(`/api/container-sizes/${sizeId}`).send({ ...SIZE, name: `${word} tin` }));
  const draft = await startDraft(teacher, `${word} draft?`);
  await ok(
    teacher.put(`/api/experiments/${draft.id}/templates/${templateId}`).send({ about: `${word} kept` }),
  );
  const sown = await startSown(teacher);
  const units = sown.units.map(({ id }) => ({ unitId: id, teamId }));
  await ok(teacher.put(`/api/experiments/${sown.id}/class`).send({ classId, units }));
  const [readingId, careId, entryId, uploadId, shareId] = [uuid(), uuid(), uuid(), uuid(), uuid()];
  await ok(teacher.put(`/api/classes/${classId}/shares/${shareId}`).send({ may: 'change' }));
  const path = `/api/experiments/${sown.id}`;
  await ok(teacher.put(`${path}/readings/${readingId}`).send(readingOf(sown, 0, { entered: word })));
  const care = {
    kind: 'note',
    happenedOn: dayFromToday(-1),
    unitIds: null,
    amount: null,
    note: `${word} care`,
  };
  await ok(teacher.put(`${path}/care/${careId}`).send(care));
  const entry = {
    unitId: null,
    happenedOn: dayFromToday(-1),
    kind: 'note',
    note: `${word} entry`,
    picture: null,
  };
  await ok(teacher.put(`${path}/journal/${entryId}`).send(entry));
  await teacher
    .put(`/api/uploads/${uploadId}/parts/0`)
    .type('application/octet-stream')
    .send(Buffer.from(`${word} bytes`))
    .expect(204);
  const tablet = server.client();
  await tablet.post('/api/device').send({ code: schoolClass.code }).expect(200);
  await ok(tablet.put('/api/device/student').send({ studentId }));
  const ids = {
    ...{
      classId,
      teamId,
      studentId,
      cropId,
      lotId,
      sizeId,
      templateId,
      readingId,
      careId,
      entryId,
      uploadId,
      shareId,
    },
    ...{
      experimentId: sown.id,
      draftId: draft.id,
      unitId: sown.units[0]!.id,
      variableId: sown.variables[0]!.id,
    },
    ...{ treatmentId: sown.treatments[0]!.id, containerId: sown.containers[0]!.id },
    ...{ draftUnitId: draft.units[0]!.id, draftTreatmentId: draft.treatments[0]!.id },
  };
  return { teacher, tablet, schoolClass, draft, sown, ids };
}

/** Every request that names rows in its body, right as it stands. */
function requests(): Sent[] {
  const { draft, sown, schoolClass, ids } = attacker;
  const own = `/api/experiments/${sown.id}`;
  const today = dayFromToday(0);
  const level = { ...planOf(draft).factors[0]!.levels[0]!, cropId: ids.cropId!, lotId: ids.lotId! };
  const factor = {
    ...planOf(draft).factors[0]!,
    levels: [level, { ...level, name: 'Other', isControl: false }],
  };
  const asTeacher = (path: () => string, body: object): Sent => ({ client: 'teacher', path, body });
  const asTablet = (path: () => string, body: object): Sent => ({ client: 'tablet', path, body });
  const reading = readingOf(sown, 0, { supersedesId: ids.readingId });
  const todays = { ...readingOf(sown, 1, { observedOn: today }), supersedesId: ids.readingId };
  const made = {
    studentId: ids.studentId,
    madeAt: new Date().toISOString(),
    sentAt: new Date().toISOString(),
  };
  const upload = { uploadId: ids.uploadId, size: 9 };
  const board = {
    ...{ id: uuid(), kind: 'pictures', minutes: 3, isHidden: false, note: '', title: '', text: '' },
    ...{ order: 'tallest', unitIds: [ids.unitId], entryIds: [ids.entryId], points: [], columns: [] },
  };
  return [
    asTeacher(() => `/api/experiments/${uuid()}`, {
      question: 'Mine?',
      cropId: ids.cropId,
      templateId: ids.templateId,
    }),
    asTeacher(
      () => `/api/experiments/${draft.id}/plan`,
      planOf(draft, { cropId: ids.cropId!, lotId: ids.lotId!, factors: [factor] }),
    ),
    asTeacher(() => `/api/experiments/${draft.id}/layout`, {
      version: draft.version,
      assignments: draft.units.map(({ id, treatmentId }) => ({ unitId: id, treatmentId })),
    }),
    asTeacher(() => `/api/seed-lots/${uuid()}`, { ...LOT, cropId: ids.cropId }),
    asTeacher(() => `/api/classes/${schoolClass.id}/roster`, {
      teams: schoolClass.teams,
      students: schoolClass.students,
    }),
    asTeacher(() => `${own}/class`, {
      classId: ids.classId,
      units: [{ unitId: ids.unitId, teamId: ids.teamId }],
    }),
    asTeacher(() => `${own}/runs/${uuid()}`, { classId: ids.classId }),
    asTeacher(() => `/api/classes/${schoolClass.id}/owner`, { shareId: ids.shareId }),
    asTeacher(() => `${own}/units/${uuid()}`, {
      ...{ treatmentId: ids.treatmentId, containerId: ids.containerId },
      ...{ row: 1, column: 1, sownOn: today },
    }),
    asTeacher(() => `${own}/readings/${uuid()}`, reading),
    asTeacher(() => `${own}/care/${uuid()}`, {
      ...{ kind: 'moved', happenedOn: today, unitIds: [ids.unitId], amount: null, note: '' },
      moves: [{ unitId: ids.unitId, containerId: ids.containerId, row: 1, column: 1 }],
    }),
    asTeacher(() => `${own}/journal/${uuid()}`, {
      ...{ unitId: ids.unitId, happenedOn: today, kind: 'photo', note: '' },
      picture: upload,
    }),
    asTeacher(() => `${own}/photos/${uuid()}`, {
      ...{ view: 'above', containerId: ids.containerId, unitId: ids.unitId, takenOn: today },
      picture: upload,
    }),
    asTeacher(() => `${own}/sowing/ticks`, { unitIds: [ids.unitId], item: 'label', isDone: true }),
    asTeacher(() => `${own}/sowing/notes`, { unitId: ids.unitId, seedsSown: 2, note: '' }),
    asTeacher(() => `${own}/lesson`, {
      version: 0,
      document: { title: '', level: '8-10', shownOn: null, boards: [board] },
    }),
    asTeacher(() => `/api/files/${uuid()}`, { fileName: 'x.csv', ...upload }),
    asTeacher(() => `/api/files/${uuid()}/bundle`, { fileName: 'x.zip', ...upload }),
    asTablet(() => '/api/device/student', { studentId: ids.studentId }),
    asTablet(() => `/api/device/readings/${uuid()}`, { ...todays, made }),
    asTablet(() => `/api/device/care/${uuid()}`, {
      ...{
        experimentId: sown.id,
        kind: 'watered',
        happenedOn: today,
        unitIds: [ids.unitId],
        amount: 5,
        note: '',
      },
      made,
    }),
    asTablet(() => `/api/device/journal/${uuid()}`, {
      ...{
        experimentId: sown.id,
        unitId: ids.unitId,
        happenedOn: today,
        kind: 'photo',
        note: '',
        picture: upload,
      },
      made,
    }),
    asTablet(() => '/api/device/sowing/ticks', { unitIds: [ids.unitId], item: 'seeds', isDone: true, made }),
    asTablet(() => `/api/device/predictions/${uuid()}`, {
      experimentId: sown.id,
      choice: 'Changed grows taller',
      made,
    }),
    asTablet(() => `/api/device/conclusions/${uuid()}`, {
      ...{ experimentId: sown.id, claim: 'No.', evidence: '', reasoning: '' },
      made,
    }),
  ];
}

/** Kinds of rows that a list of a roster names by `id`. */
const OF_ROSTER: Readonly<Record<string, string>> = { teams: 'teamId', students: 'studentId' };

type Place = readonly (string | number)[];

/** Where ids stand in a body. */
function idPlaces(body: unknown, at: Place = []): Place[] {
  if (typeof body === 'string') return UUID.test(body) ? [at] : [];
  if (Array.isArray(body)) return body.slice(0, 2).flatMap((inner, index) => idPlaces(inner, [...at, index]));
  if (typeof body !== 'object' || body === null) return [];
  return Object.entries(body).flatMap(([name, inner]) => idPlaces(inner, [...at, name]));
}

function withId(body: unknown, [first, ...rest]: Place, id: string): unknown {
  if (first === undefined) return id;
  if (Array.isArray(body))
    return body.map((inner, index) => (index === first ? withId(inner, rest, id) : inner));
  return {
    ...(body as object),
    [first]: withId((body as Record<string, unknown>)[first as string], rest, id),
  };
}

/** Everything a teacher can see. */
async function seenBy({ teacher, ids }: Holdings): Promise<string> {
  const shelf = (await ok(teacher.get('/api/experiments'))) as { id: string }[];
  const views = ['', '/readings', '/care', '/journal', '/photos', '/lesson', '/predictions', '/conclusions'];
  const answers = await Promise.all([
    ...['/api/classes', '/api/seed-lots', '/api/container-sizes', '/api/templates'].map((path) =>
      teacher.get(path),
    ),
    ...shelf.flatMap(({ id }) => views.map((view) => teacher.get(`/api/experiments/${id}${view}`))),
    teacher.get(`/api/experiments/${ids.experimentId}/comparison`),
  ]);
  const crops = ((await ok(teacher.get('/api/crops'))) as { isOwn: boolean }[]).filter(({ isOwn }) => isOwn);
  return JSON.stringify([answers.map(({ body }) => body as unknown), crops]);
}

test('no id field of any request takes a stranger’s id: nothing is read, nothing is changed', async () => {
  const before = await seenBy(victim);
  expect(before).toContain(MARK);
  const leaks: string[] = [];
  const walked = new Set<string>();
  for (const { client, path, body } of requests()) {
    for (const place of idPlaces(body)) {
      const field = place.findLast((part) => typeof part === 'string') as string;
      walked.add(field);
      for (const [kind, id] of Object.entries(victim.ids)) {
        // An id that a device makes up may be any that its table does not have yet.
        if (field === 'id' && OF_ROSTER[String(place[0])] !== kind) continue;
        const answer = await attacker[client].put(path()).send(withId(body, place, id) as object);
        if (answer.status >= 500 || answer.text.includes(MARK))
          leaks.push(`${path()} ${place.join('.')} ← ${kind}: ${answer.status}`);
      }
    }
  }
  expect(leaks).toEqual([]);
  expect(await seenBy(victim)).toBe(before);
  const seen = await seenBy(attacker);
  expect(seen).not.toContain(MARK);
  const taken = Object.entries(victim.ids).filter(([, id]) => seen.includes(id));
  expect(taken).toEqual([]);
  expect([...walked].sort()).toEqual(expect.arrayContaining(idFields()));
}, 120_000);

/** Names of all fields that take an id, as the requests of the contract declare them. */
function idFields(): string[] {
  const folder = join(import.meta.dirname, '..', '..', '..', 'contract', 'src');
  const sources = readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts'))
    .map((name) => readFileSync(join(folder, name), 'utf8'));
  const names = sources.flatMap((source) =>
    [...source.matchAll(/@IsId\([^)]*\)(?:\s*@\w+\([^)]*\))*\s+(\w+)\??:/g)].map(([, name]) => name!),
  );
  return [...new Set(names)].filter((name) => !NOT_OF_ROWS.includes(name)).sort();
}

/** Fields whose ids are made on the device and name no row; and those of a poll and a query, which have tests of their own. */
const NOT_OF_ROWS = ['id', 'pollId', 'boardId', 'leaveId'];
