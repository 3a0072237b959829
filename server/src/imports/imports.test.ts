import { demoExperiments } from '@bright-sprout/demo';
import { calendarDay } from '@bright-sprout/core/shared';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { countTeachers } from '../app/load-demo.ts';
import { demoTeacher } from '../app/testing/demo-teacher.ts';
import { dayFromToday } from '../app/testing/experiments.ts';
import { type Client, sendFile, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let other: TestServer;
let demo: Client;

beforeAll(async () => {
  server = await startTestServer();
  other = await startTestServer();
  demo = await demoTeacher(server);
});
afterAll(async () => {
  await server.close();
  await other.close();
});

const cards = async (client: Client) => (await client.get('/api/experiments').expect(200)).body;

/** A comparison without what is different by nature: ids, and the plan's rule of which plant is read. */
/** Values and means by treatment, without the ids of either server. */
async function groupsOf(client: Client, id: string, rule: string): Promise<unknown> {
  const { body } = await client
    .get(`/api/experiments/${id}/comparison?rule=${rule}&parts=answer`)
    .expect(200);
  const { groups } = body as { groups: { points: { value: number }[]; description: object }[] };
  return groups.map(({ points, description }) => [points.map(({ value }) => value), description]);
}

async function figures(client: Client, id: string, query: string): Promise<string> {
  const compared = (await client.get(`/api/experiments/${id}/comparison?${query}`).expect(200)).body;
  return JSON.stringify({ ...compared, words: { ...compared.words, counting: '' } }).replaceAll(
    /"[0-9a-f]{8}-[0-9a-f-]{27}"/g,
    '"id"',
  );
}

describe('the demo', () => {
  test('has two experiments in growth, one planned, three finished', async () => {
    const shelf = await cards(demo);
    expect(shelf.map(({ status }: { status: string }) => status)).toEqual([
      'growing',
      'growing',
      'draft',
      'finished',
      'finished',
      'finished',
    ]);
  });

  test('loads anew without touching other teachers', async () => {
    const teacher = await server.teacher();
    await teacher.put(`/api/experiments/${uuid()}`).send({ question: 'Mine?', cropId: 'oat' }).expect(200);
    demo = await demoTeacher(server);
    expect(await cards(teacher)).toHaveLength(1);
    expect(await countTeachers(server.app)).toBe(2);
    expect(await cards(demo)).toHaveLength(6);
  });

  test('is the same for the same day', () => {
    const day = calendarDay('2026-11-23');
    const made = () =>
      demoExperiments(day).map(({ drawPhotos, ...rest }) => ({
        ...rest,
        photos: drawPhotos?.().map(({ picture, corners }) => [picture.data.subarray(0, 40_000), corners]),
      }));
    expect(made()).toEqual(made());
  });
});

describe('export and open', () => {
  test.each([0, 3])(
    'experiment %p opens on another server with the same numbers, and exports the same file',
    async (index) => {
      const { id } = (await cards(demo))[index];
      const text = (await demo.get(`/api/experiments/${id}/tidy.csv`).expect(200)).text;
      const teacher = await other.teacher();
      const newId = uuid();
      const opened = await teacher
        .put(`/api/files/${newId}`)
        .send({ fileName: 'demo.csv', ...(await sendFile(teacher, text)) });
      expect([opened.status, opened.body.rows]).toEqual([200, undefined]);
      for (const rule of ['only_up', 'not_up_is_zero']) {
        // Amounts are the plan's, which a bundle carries and a table does not: levels are compared as they are named.
        const query = `rule=${rule}&parts=answer&groupBy=factor-0`;
        expect(await figures(teacher, newId, query)).toBe(await figures(demo, id, query));
        expect(await groupsOf(teacher, newId, rule)).toEqual(await groupsOf(demo, id, rule));
      }
      const again = (await teacher.get(`/api/experiments/${newId}/tidy.csv`).expect(200)).text;
      const withoutIds = (csv: string) =>
        csv
          .replaceAll(/[0-9a-f]{8}-[0-9a-f-]{27}/g, '')
          .split('\r\n')
          .sort();
      expect(withoutIds(again)).toEqual(withoutIds(text));
    },
  );

  test('opened twice under one id it is there once', async () => {
    const teacher = await server.teacher();
    const id = uuid();
    const text = 'unit,treatment,observed,value,unit_of_measure\n1,x,2026-01-05,3,cm\n2,y,2026-01-05,4,cm\n';
    for (let time = 0; time < 2; time += 1)
      await teacher
        .put(`/api/files/${id}`)
        .send({ fileName: 'a.csv', ...(await sendFile(teacher, text)) })
        .expect(200);
    expect(await cards(teacher)).toHaveLength(1);
    expect((await teacher.get(`/api/experiments/${id}/readings`)).body).toHaveLength(2);
  });

  test('a file with readings is never a draft, so no change of plan can remove them', async () => {
    const teacher = await server.teacher();
    const text = 'unit,treatment,observed,state\n1,x,2026-01-05,not_up\n2,y,2026-01-05,not_up';
    const opened = await teacher
      .put(`/api/files/${uuid()}`)
      .send({ fileName: 'states.csv', ...(await sendFile(teacher, text)) })
      .expect(200);
    expect(opened.body.status).toBe('planted');
  });

  test('a file with faults lists them and stores nothing', async () => {
    const teacher = await server.teacher();
    const text =
      'unit,treatment,sown,observed,value,unit_of_measure\n1,x,2026-01-01,2026-02-31,3,cm\n2,y,2026-01-01,2026-01-09,tall,cm\n3,y,2026-01-01,2026-01-09,4,cm';
    const answer = await teacher
      .put(`/api/files/${uuid()}`)
      .send({ fileName: 'faulty.csv', ...(await sendFile(teacher, text)) });
    expect([answer.status, answer.body.code, answer.body.rowCount]).toEqual([422, 'unreadable_file', 2]);
    expect(answer.body.rows).toEqual([
      { row: 2, column: 'observed', found: '2026-02-31', expected: 'a date that exists, as YYYY-MM-DD' },
      { row: 3, column: 'value', found: 'tall', expected: 'a number from 0 to 3000' },
    ]);
    expect(await cards(teacher)).toEqual([]);
    expect(await server.query('SELECT id FROM experiment WHERE question = ?', ['faulty'])).toEqual([]);
  });

  test.each([
    ['an empty file', '\n'],
    ['something else', '\u0000\u0001PNG'],
    ['an open quotation mark', 'unit,treatment,observed,value\n1,"x,2026-01-05,3\n'],
  ])('%s is refused in words', async (_, text) => {
    const teacher = await server.teacher();
    const answer = await teacher
      .put(`/api/files/${uuid()}`)
      .send({ fileName: 'a.csv', ...(await sendFile(teacher, text)) });
    expect([answer.status, answer.body.rows.length > 0]).toEqual([422, true]);
  });

  test('a file with semicolons and Windows line ends, and hostile names, is only text', async () => {
    const teacher = await server.teacher();
    const text =
      '\uFEFFunit;treatment;observed;value;unit_of_measure\r\n1;<img src=x onerror=alert(1)>;2026-01-05;3,5;cm\r\n2;=1+1;2026-01-05;4;cm\r\n';
    const opened = (
      await teacher
        .put(`/api/files/${uuid()}`)
        .send({ fileName: 'a.csv', ...(await sendFile(teacher, text)) })
        .expect(200)
    ).body;
    expect(opened.treatments.map(({ name }: { name: string }) => name)).toEqual([
      '<img src=x onerror=alert(1)>',
      '=1+1',
    ]);
    const csv = (await teacher.get(`/api/experiments/${opened.id}/tidy.csv`)).text;
    expect(csv).toContain(",'=1+1,");
  });
});

test('the shelf puts what is due first and counts the pots left', async () => {
  const [first] = await cards(demo);
  if (first.job.code === 'read') expect(first.job).toMatchObject({ left: 2, isDue: true });
  else expect(first.job.code).toBe('read_next_class_day');
  expect(first.treatments.every(({ units }: { units: number }) => units === 4)).toBe(true);
  expect(dayFromToday(0)).toBe(first.today);
});
