import type { ComparisonView } from '@bright-sprout/contract/comparison';
import { addDays, calendarDay } from '@bright-sprout/core/shared';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { type Client, sendFile, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
});
afterAll(() => server.close());

const SOWN = calendarDay('2026-03-02');

/** A crossed, blocked design as a tidy file: 2 feeds × 2 mixes, 3 pots each, read on days 7, 10 and 14. */
function crossedFile(question: string, lift = 0): string {
  const head =
    'question,unit,treatment,control,factor:Feed,factor:Mix,block,team,seeds_sown,sown,observed,variable,state,value,unit_of_measure,observer';
  const rows: string[] = [];
  let number = 0;
  for (const feed of ['none', '2 mL'])
    for (const mix of ['fine', 'coarse'])
      for (let pot = 0; pot < 3; pot += 1) {
        number += 1;
        const base = 40 + (feed === 'none' ? 0 : 12) + (mix === 'fine' ? 0 : -9) + pot * 3 + lift;
        const team = ['Heron', 'Otter', 'Newt'][pot];
        const row = (days: number, state: string, value: string): string =>
          `${question},${number},${feed} · ${mix},${feed === 'none' && mix === 'fine' ? 'yes' : 'no'},${feed},${mix},row ${pot + 1},${team},1,${SOWN},${addDays(SOWN, days)},height,${state},${value},mm,${team}`;
        rows.push(row(4, number % 5 === 0 ? 'not_emerged' : 'emerged', number % 5 === 0 ? '' : '6'));
        rows.push(row(7, 'up', String(base / 2 + (number % 2))), row(10, 'up', String(base * 0.8)));
        rows.push(row(14, 'up', String(base)));
        if (number === 1) rows.push(row(14, 'up', String(base + 1)).replace(/Heron$/, 'Otter'));
      }
  return [head, ...rows].join('\n');
}

async function open(question: string, lift = 0, client = teacher): Promise<string> {
  const id = uuid();
  const body = { fileName: 'crossed.csv', ...(await sendFile(client, crossedFile(question, lift))) };
  await client.put(`/api/files/${id}`).send(body).expect(200);
  return id;
}

describe('a comparison', () => {
  test('holds every part, in the shape that its description gives', async () => {
    const id = await open('Feed and mix?');
    const { body } = await teacher.get(`/api/experiments/${id}/comparison`).expect(200);
    expect(JSON.stringify(body)).not.toMatch(/NaN|Infinity/);
    const { treatments, growth, emergence, teams } = body as ComparisonView;
    expect(treatments?.pairs).toHaveLength(6);
    expect(treatments?.factorial).toMatchObject({ defined: true, value: { errorDf: 6 } });
    expect(growth?.units).toHaveLength(12);
    expect(emergence?.groups.map((group) => group.indices.up)).toEqual([3, 3, 3, 3]);
    expect(teams?.agreement.n).toBe(1);
    expect(body.words.evidence.length).toBeGreaterThan(3);
  });

  test('the answer alone leaves the parts out', async () => {
    const id = await open('Alone?');
    const { body } = await teacher.get(`/api/experiments/${id}/comparison?parts=answer`).expect(200);
    expect([body.treatments, body.growth, body.emergence, body.teams]).toEqual([null, null, null, null]);
  });

  test('sorts by factor, team and block, and sums up by other figures than the day', async () => {
    const id = await open('Sorted?');
    const get = async (query: string) =>
      (await teacher.get(`/api/experiments/${id}/comparison?parts=answer&${query}`).expect(200)).body;
    const feeds = await get('groupBy=factor-0');
    expect(feeds.names.map((group: { name: string }) => group.name)).toEqual(['none', '2 mL']);
    expect(feeds.pairs[0].difference.value).toBeCloseTo(12, 0);
    expect((await get('groupBy=team')).names).toHaveLength(3);
    expect((await get('groupBy=block')).names).toHaveLength(3);
    const rates = await get('summary=growth_per_day&groupBy=factor-0');
    expect(rates.groups[0].description.mean.value).toBeLessThan(6);
    expect(rates.words.headline).toContain('a day');
  });

  test('dishes sown with unlike numbers of seeds are compared by shares', async () => {
    const head =
      'question,unit,treatment,control,seeds_sown,sown,observed,variable,state,value,unit_of_measure';
    const up = { plain: [20, 21, 19, 20], salty: [16, 17, 15, 16] };
    const rows = Object.entries(up).flatMap(([name, counts], group) =>
      counts.map(
        (count, at) =>
          `Dishes?,${group * 4 + at + 1},${name},${group === 0 ? 'yes' : 'no'},${group === 0 ? 25 : 20},${SOWN},${addDays(SOWN, 9)},seeds up,up,${count},seeds`,
      ),
    );
    const id = uuid();
    const file = { fileName: 'dishes.csv', ...(await sendFile(teacher, [head, ...rows].join('\n'))) };
    await teacher.put(`/api/files/${id}`).send(file).expect(200);
    const { body } = await teacher.get(`/api/experiments/${id}/comparison`).expect(200);
    const view = body as ComparisonView;
    expect(view.isShareOfSown).toBe(true);
    expect(view.groups.map(({ description }) => description.mean)).toEqual(
      [80, 80].map((value) => ({ defined: true, value: expect.closeTo(value, 8) })),
    );
    expect(view.pairs[0]?.test).toMatchObject({ defined: true, value: { p: expect.closeTo(1, 6) } });
    expect(view.words.headline).not.toMatch(/fewer|more seeds/);
    expect(view.words.counting).toContain('share of the seeds sown');
    expect(view.words.counting).not.toContain('plant');
  });

  test('with and without what was set aside', async () => {
    const id = await open('Aside?');
    const readings = (await teacher.get(`/api/experiments/${id}/readings`)).body as {
      id: string;
      observedOn: string;
    }[];
    const last = readings.filter((reading) => reading.observedOn === addDays(SOWN, 14)).at(-1)!;
    await teacher
      .put(`/api/experiments/${id}/readings/${last.id}/set-aside`)
      .send({ reason: 'knocked over' })
      .expect(200);
    const n = async (query: string) => {
      const { body } = await teacher.get(`/api/experiments/${id}/comparison?parts=answer${query}`);
      return [body.setAside, body.groups[3].points.length];
    };
    expect(await n('')).toEqual([1, 2]);
    expect(await n('&setAside=included')).toEqual([1, 3]);
  });

  test.each(['groupBy=moon', 'parts=everything', 'level=42', 'day=2026-02-31', 'squares=IV', 'summary=sum'])(
    'refuses %s in words',
    async (query) => {
      const id = await open('Refused?');
      const { status, body } = await teacher.get(`/api/experiments/${id}/comparison?${query}`);
      expect([status, body.code]).toEqual([400, 'invalid_fields']);
    },
  );
});

describe('a study', () => {
  test('pools runs of the same question, classes as blocks, and leaves out whom it is told to', async () => {
    const id = await open('Together?');
    const other = await open('Together?', 30);
    const stranger = await server.teacher();
    await open('Together?', 60, stranger);
    const { body } = await teacher.get(`/api/experiments/${id}/study`).expect(200);
    expect(body.runs).toHaveLength(2);
    expect(body.age).toBe(14);
    const feed = body.differences.find((pair: { second: string }) => pair.second === '2 mL · fine');
    expect(feed.result.value.difference).toBeCloseTo(12, 0);
    expect(body.run.value.p).toBeLessThan(0.01);
    const alone = (await teacher.get(`/api/experiments/${id}/study?without=${other}`).expect(200)).body;
    expect([alone.runs.length, alone.treatment.reason]).toEqual([1, 'one_class']);
  });
});
