import type { ClassView } from '@bright-sprout/contract/classes';
import type { ExperimentCard } from '@bright-sprout/contract/experiments';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import type { SharedRight, ShareView } from '@bright-sprout/contract/sharing';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { CLASS, CROP, LOT, planOf, readingOf, startDraft, startSown } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer({ beatMs: 200, signInTries: 5 });
});
afterAll(() => server.close());

/** A class with a PIN, run by an owner in one experiment. */
interface Shared {
  readonly owner: Client;
  readonly classId: string;
  readonly experiment: ExperimentView;
}

async function classWithExperiment(name = 'Owner'): Promise<Shared> {
  const owner = await server.teacher(name);
  const classId = uuid();
  await owner.put(`/api/classes/${classId}`).send(CLASS).expect(200);
  const students = [{ id: uuid(), displayName: 'Ada', avatar: 'snail', teamId: null, pin: '4711' }];
  await owner.put(`/api/classes/${classId}/roster`).send({ teams: [], students }).expect(200);
  const experiment = await startSown(owner);
  await owner.put(`/api/experiments/${experiment.id}/class`).send({ classId, units: [] }).expect(200);
  return { owner, classId, experiment };
}

async function offer(owner: Client, path: string, may: SharedRight): Promise<ShareView> {
  return (await owner.put(`/api/${path}/shares/${uuid()}`).send({ may }).expect(200)).body as ShareView;
}

async function invite(owner: Client, guest: Client, path: string, may: SharedRight): Promise<ShareView> {
  const share = await offer(owner, path, may);
  await guest.put(`/api/invitations/${share.code}/taken`).expect(200);
  return share;
}

const cardsOf = async (client: Client): Promise<ExperimentCard[]> =>
  (await client.get('/api/experiments').expect(200)).body as ExperimentCard[];
const classesOf = async (client: Client): Promise<ClassView[]> =>
  (await client.get('/api/classes').expect(200)).body as ClassView[];

describe('an invitation', () => {
  test('says what it is to, is taken once, and taken again by the same teacher without harm', async () => {
    const { owner, classId, experiment } = await classWithExperiment('Ms Reed');
    const share = await offer(owner, `classes/${classId}`, 'change');
    const [guest, late] = [await server.teacher('Mr Fern'), await server.teacher()];
    const typed = share.code!.toLowerCase().replace(/^(.....)/, '$1-');
    const said = await guest.get(`/api/invitations/${typed}`).expect(200);
    expect(said.body).toEqual({ what: 'class', name: CLASS.name.trim(), from: 'Ms Reed', may: 'change' });
    for (let again = 0; again < 2; again += 1) {
      const taken = await guest.put(`/api/invitations/${share.code}/taken`).expect(200);
      expect(taken.body).toEqual({ classId, experimentId: null });
    }
    const refused = await late.put(`/api/invitations/${share.code}/taken`);
    expect([refused.status, refused.body.code]).toEqual([404, 'wrong_invitation']);
    const kept = (await owner.get(`/api/classes/${classId}/shares`).expect(200)).body;
    expect(kept).toMatchObject([{ id: share.id, may: 'change', code: null, takenBy: 'Mr Fern' }]);
    expect((await cardsOf(guest)).map(({ id, shared }) => [id, shared])).toEqual([
      [experiment.id, { by: 'Ms Reed', may: 'change', through: 'class' }],
    ]);
  });

  test('asked for twice under one id has one code, and no other class is taken over by its id', async () => {
    const { owner, classId } = await classWithExperiment();
    const id = uuid();
    const path = `/api/classes/${classId}/shares/${id}`;
    const first = (await owner.put(path).send({ may: 'see' }).expect(200)).body as ShareView;
    const second = (await owner.put(path).send({ may: 'change' }).expect(200)).body as ShareView;
    expect([second.code, second.may]).toEqual([first.code, 'change']);
    const atOnce = `/api/classes/${classId}/shares/${uuid()}`;
    const same = await Promise.all([0, 1, 2].map(() => owner.put(atOnce).send({ may: 'see' })));
    expect(same.map(({ status }) => status)).toEqual([200, 200, 200]);
    expect(new Set(same.map(({ body }) => (body as ShareView).code)).size).toBe(1);
    const other = await classWithExperiment();
    const foreign = await other.owner.put(`/api/classes/${other.classId}/shares/${id}`).send({ may: 'see' });
    expect([foreign.status, foreign.body.code]).toEqual([409, 'id_in_use']);
  });

  test('is not one’s own, runs out after a week, and is not found by trying', async () => {
    const { owner, classId } = await classWithExperiment();
    const share = await offer(owner, `classes/${classId}`, 'see');
    const own = await owner.put(`/api/invitations/${share.code}/taken`);
    expect([own.status, own.body.code]).toEqual([409, 'own_invitation']);
    await server.query('UPDATE share SET expires_at = NOW(3) WHERE id = ?', [share.id]);
    const guest = await server.teacher();
    expect((await guest.get(`/api/invitations/${share.code}`)).body.code).toBe('wrong_invitation');
    expect((await owner.get(`/api/classes/${classId}/shares`)).body).toEqual([]);
    const answers = await Promise.all(
      Array.from({ length: 30 }, () => guest.get('/api/invitations/AAAAAAAAAA')),
    );
    expect(answers.filter(({ status }) => status === 404)).toHaveLength(9);
    expect(answers.filter(({ status }) => status === 429)).toHaveLength(21);
  });

  test('to two teachers at once is taken by one', async () => {
    const { owner, classId } = await classWithExperiment();
    const share = await offer(owner, `classes/${classId}`, 'see');
    const guests = await Promise.all([0, 1, 2, 3].map(() => server.teacher()));
    const taken = await Promise.all(guests.map((one) => one.put(`/api/invitations/${share.code}/taken`)));
    expect(taken.filter(({ status }) => status === 200)).toHaveLength(1);
    const seen = await Promise.all(guests.map(classesOf));
    expect(seen.filter((classes) => classes.length === 1)).toHaveLength(1);
  });
});

describe('who may see', () => {
  test('sees the class without code and PINs, reads nothing in and changes nothing', async () => {
    const { owner, classId, experiment } = await classWithExperiment();
    const guest = await server.teacher();
    await invite(owner, guest, `classes/${classId}`, 'see');
    const [seen] = await classesOf(guest);
    expect(seen).toMatchObject({ id: classId, code: '', students: [{ displayName: 'Ada', pin: null }] });
    const reading = await guest
      .put(`/api/experiments/${experiment.id}/readings/${uuid()}`)
      .send(readingOf(experiment, 0));
    expect([reading.status, reading.body.code]).toEqual([403, 'see_only']);
    const renamed = await guest.put(`/api/classes/${classId}`).send({ ...CLASS, name: 'Mine' });
    expect([renamed.status, renamed.body.code]).toEqual([403, 'see_only']);
    await guest.get(`/api/experiments/${experiment.id}/comparison`).expect(200);
  });

  test('one experiment sees neither its class nor the other classes’ runs of the same plan', async () => {
    const { owner, experiment } = await classWithExperiment();
    const second = await startSown(owner);
    for (const one of [experiment, second])
      await owner.put(`/api/experiments/${one.id}/readings/${uuid()}`).send(readingOf(one, 0)).expect(200);
    const guest = await server.teacher();
    await invite(owner, guest, `experiments/${experiment.id}`, 'see');
    expect(await classesOf(guest)).toEqual([]);
    await guest.get(`/api/experiments/${second.id}`).expect(404);
    const runs = async (client: Client): Promise<number> =>
      ((await client.get(`/api/experiments/${experiment.id}/study`).expect(200)).body.runs as object[])
        .length;
    expect([await runs(owner), await runs(guest)]).toEqual([2, 1]);
  });
});

describe('who may change', () => {
  test('reads in, plans with what the owner has, and copies the plan with all that it names', async () => {
    const owner = await server.teacher();
    const [cropId, lotId] = [uuid(), uuid()];
    await owner
      .put(`/api/crops/${cropId}`)
      .send({ ...CROP, commonName: 'Owner’s crop' })
      .expect(200);
    await owner
      .put(`/api/seed-lots/${lotId}`)
      .send({ ...LOT, cropId })
      .expect(200);
    const draft = await startDraft(owner, 'Whose crop?');
    const guest = await server.teacher();
    await invite(owner, guest, `experiments/${draft.id}`, 'change');
    const inventory = (await guest.get(`/api/experiments/${draft.id}/inventory`).expect(200)).body;
    expect(inventory.seedLots).toMatchObject([{ id: lotId }]);
    const saved = await guest
      .put(`/api/experiments/${draft.id}/plan`)
      .send(planOf(draft, { cropId, lotId }))
      .expect(200);
    expect(saved.body.plan).toMatchObject({ cropId, lotId });
    for (let again = 0; again < 2; again += 1)
      await guest.put(`/api/experiments/${draft.id}/copies/${uuid()}`).expect(200);
    const crops = (await guest.get('/api/crops')).body as {
      id: string;
      isOwn: boolean;
      commonName: string;
    }[];
    const own = crops.filter(({ isOwn }) => isOwn);
    expect(own.map(({ commonName }) => commonName)).toEqual(['Owner’s crop']);
    expect((await guest.get('/api/seed-lots')).body).toMatchObject([{ cropId: own[0]!.id }]);
  });

  test('gives pots to teams but not the experiment to another class, and decides nothing over it', async () => {
    const { owner, classId, experiment } = await classWithExperiment();
    const guest = await server.teacher();
    const share = await invite(owner, guest, `classes/${classId}`, 'change');
    const path = `/api/experiments/${experiment.id}`;
    await guest.put(`${path}/class`).send({ classId, units: [] }).expect(200);
    const away = await guest.put(`${path}/class`).send({ classId: null, units: [] });
    expect([away.status, away.body.code]).toEqual([403, 'owner_only']);
    for (const refused of [
      await guest.delete(path),
      await guest.delete(`/api/classes/${classId}`),
      await guest.get(`/api/classes/${classId}/kept.json`),
      await guest.put(`/api/classes/${classId}/shares/${uuid()}`).send({ may: 'change' }),
      await guest.put(`/api/classes/${classId}/owner`).send({ shareId: share.id }),
    ])
      expect([refused.status, refused.body.code]).toEqual([403, 'owner_only']);
  });
});

describe('an end', () => {
  test('of a share ends pages, streams and what was taken through it; leaving does as well', async () => {
    const { owner, classId, experiment } = await classWithExperiment();
    const guest = await server.teacher();
    const share = await invite(owner, guest, `classes/${classId}`, 'change');
    const stream = guest.get(`/api/experiments/${experiment.id}/changes`).buffer(true);
    let begun = (): void => undefined;
    const open = new Promise<void>((resolve) => {
      begun = resolve;
    });
    const ended = stream.parse((response, done) => {
      begun();
      response.on('data', () => undefined);
      response.on('end', () => done(null, ''));
    });
    const [, removed] = await Promise.all([
      ended.expect(200),
      open.then(() => owner.delete(`/api/classes/${classId}/shares/${share.id}`)),
    ]);
    expect(removed.status).toBe(204);
    await guest.get(`/api/experiments/${experiment.id}`).expect(404);
    expect([await cardsOf(guest), await classesOf(guest)]).toEqual([[], []]);
    await invite(owner, guest, `experiments/${experiment.id}`, 'see');
    await guest.delete(`/api/experiments/${experiment.id}/share`).expect(204);
    expect(await cardsOf(guest)).toEqual([]);
    expect((await owner.get(`/api/experiments/${experiment.id}/shares`)).body).toEqual([]);
  });

  test('by handing over: the heir owns class, experiments and crops, the old owner still sees them', async () => {
    const { owner, classId } = await classWithExperiment('Before');
    const cropId = uuid();
    await owner
      .put(`/api/crops/${cropId}`)
      .send({ ...CROP, commonName: 'Heirloom' })
      .expect(200);
    const draft = await startDraft(owner, 'Handed over?');
    await owner.put(`/api/experiments/${draft.id}/plan`).send(planOf(draft, { cropId })).expect(200);
    await owner.put(`/api/experiments/${draft.id}/class`).send({ classId, units: [] }).expect(200);
    const heir = await server.teacher('After');
    const share = await invite(owner, heir, `classes/${classId}`, 'see');
    const waiting = await offer(owner, `classes/${classId}`, 'see');
    const untaken = await owner.put(`/api/classes/${classId}/owner`).send({ shareId: waiting.id });
    expect([untaken.status, untaken.body.code]).toEqual([400, 'invalid_fields']);
    await owner.put(`/api/experiments/${draft.id}/owner`).send({ shareId: share.id }).expect(409);
    await owner.put(`/api/classes/${classId}/owner`).send({ shareId: share.id }).expect(204);
    const [own] = await classesOf(heir);
    expect(own).toMatchObject({ id: classId, shared: null, students: [{ pin: '4711' }] });
    expect((await cardsOf(heir)).map(({ shared }) => shared)).toEqual([null, null]);
    const shared = { by: 'After', may: 'see', through: 'class' };
    expect((await cardsOf(owner)).map((card) => card.shared)).toEqual([shared, shared]);
    const handed = (await heir.get(`/api/experiments/${draft.id}`).expect(200)).body as ExperimentView;
    expect(handed.crop).toMatchObject({ commonName: 'Heirloom', isOwn: true });
    await heir.put(`/api/experiments/${draft.id}/plan`).send(planOf(handed)).expect(200);
    expect((await owner.put(`/api/experiments/${draft.id}/plan`).send(planOf(handed))).status).toBe(403);
    const kinds = await server.query<{ kind: string }>('SELECT kind FROM audit_event WHERE subject_id = ?', [
      classId,
    ]);
    expect(kinds).toEqual([{ kind: 'handed_over' }]);
    await owner.delete('/api/teacher').expect(204);
    expect(await cardsOf(heir)).toHaveLength(2);
  });

  test('of an experiment alone goes the same way, and of an account leaves no share behind', async () => {
    const owner = await server.teacher();
    const experiment = await startSown(owner);
    const heir = await server.teacher('Heir');
    const share = await invite(owner, heir, `experiments/${experiment.id}`, 'change');
    await owner.put(`/api/experiments/${experiment.id}/owner`).send({ shareId: share.id }).expect(204);
    expect((await cardsOf(heir)).map(({ shared }) => shared)).toEqual([null]);
    expect((await cardsOf(owner)).map((card) => card.shared?.by)).toEqual(['Heir']);
    await heir.delete('/api/teacher').expect(204);
    expect(await cardsOf(owner)).toEqual([]);
    const left = await server.query('SELECT id FROM share WHERE experiment_id = ?', [experiment.id]);
    expect(left).toEqual([]);
  });
});
