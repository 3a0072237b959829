import type { PhotoSummary } from '@bright-sprout/contract/photos';
import type { CropView } from '@bright-sprout/contract/inventory';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import writeExcelFile from 'write-excel-file/node';
import { demoTeacher } from '../app/testing/demo-teacher.ts';
import { bytesOf, type Client, sendFile, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let demo: Client;

beforeAll(async () => {
  server = await startTestServer();
  demo = await demoTeacher(server);
});
afterAll(() => server.close());

async function idOf(question: string): Promise<string> {
  const cards = (await demo.get('/api/experiments').expect(200)).body as { id: string; question: string }[];
  return cards.find((card) => card.question === question)!.id;
}

/** Figures without what is different by nature: ids. */
async function figures(client: Client, id: string): Promise<string> {
  const { body } = await client.get(`/api/experiments/${id}/comparison`).expect(200);
  return JSON.stringify(body).replaceAll(/"[0-9a-f]{8}-[0-9a-f-]{27}"/g, '"id"');
}

describe('a bundle', () => {
  test('opens for another teacher as the same experiment: numbers, plan, care, photos, guesses, conclusions', async () => {
    const id = await idOf('Does compost tea need lamp light to help marigolds?');
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#4f9a3a' } })
      .png()
      .toBuffer();
    const experiment = (await demo.get(`/api/experiments/${id}`)).body;
    const entry = {
      kind: 'photo',
      happenedOn: experiment.sowOn,
      unitId: experiment.units[2].id,
      note: 'Our tray',
      picture: await sendFile(demo, picture),
    };
    await demo.put(`/api/experiments/${id}/journal/${uuid()}`).send(entry).expect(200);
    const care = { kind: 'watered', happenedOn: experiment.sowOn, unitIds: null, amount: 10, note: '' };
    await demo.put(`/api/experiments/${id}/care/${uuid()}`).send(care).expect(200);
    const [one, other] = experiment.units;
    const placeOf = ({ containerId, row, column }: typeof one) => ({ containerId, row, column });
    const unitIds = [one.id, other.id];
    const moves = [
      { unitId: one.id, ...placeOf(other) },
      { unitId: other.id, ...placeOf(one) },
    ];
    for (const more of [
      { kind: 'moved', unitIds, moves },
      { kind: 'cause', unitIds, reason: 'dry' },
    ])
      await demo
        .put(`/api/experiments/${id}/care/${uuid()}`)
        .send({ ...care, amount: null, ...more })
        .expect(200);
    const conclusion = { claim: 'Light mattered.', evidence: 'Means.', reasoning: 'Leaves need it.' };
    await demo.put(`/api/experiments/${id}/conclusions/${uuid()}`).send(conclusion).expect(200);
    const zip = await bytesOf(demo, `/api/experiments/${id}/bundle.zip`);

    const files = unzipSync(zip);
    const description = JSON.parse(strFromU8(files['datapackage.json']!));
    for (const { path, schema } of description.resources) {
      expect([path, path in files]).toEqual([path, true]);
      if (!schema) continue;
      const [header] = strFromU8(files[path]!).split('\r\n');
      expect(header).toBe(schema.fields.map((field: { name: string }) => field.name).join(','));
    }

    const teacher = await server.teacher();
    const newId = uuid();
    const body = { fileName: 'marigolds.zip', ...(await sendFile(teacher, zip)) };
    await teacher.put(`/api/files/${newId}/bundle`).send(body).expect(200);
    await teacher.put(`/api/files/${newId}/bundle`).send(body).expect(200);
    expect(await figures(teacher, newId)).toBe(await figures(demo, id));
    const opened = (await teacher.get(`/api/experiments/${newId}`)).body;
    expect(opened.plan).toEqual({ ...experiment.plan, lotId: null });
    expect([opened.status, opened.hypothesis]).toEqual([experiment.status, experiment.hypothesis]);
    const journal = (await teacher.get(`/api/experiments/${newId}/journal`)).body;
    expect(journal).toHaveLength(1);
    expect(journal[0]).toMatchObject({ note: 'Our tray', hasPicture: true });
    await bytesOf(teacher, `/api/experiments/${newId}/journal/${journal[0].id}/picture`);
    const [watered, moved, cause] = (await teacher.get(`/api/experiments/${newId}/care`)).body;
    expect(watered).toMatchObject({ kind: 'watered', amount: 10 });
    expect(cause).toMatchObject({ kind: 'cause', reason: 'dry' });
    const numberOf = (unitId: string) =>
      opened.units.find((unit: { id: string }) => unit.id === unitId)?.number;
    expect(
      moved.moves
        .map(({ unitId, row, column }: { unitId: string; row: number; column: number }) => [
          numberOf(unitId),
          row,
          column,
        ])
        .sort(),
    ).toEqual([
      [one.number, other.row, other.column],
      [other.number, one.row, one.column],
    ]);
    expect((await teacher.get(`/api/experiments/${newId}/conclusions`)).body[0]).toMatchObject(conclusion);
    const guesses = (client: Client, of: string) => client.get(`/api/experiments/${of}/predictions`);
    expect((await guesses(teacher, newId)).body.length).toBe((await guesses(demo, id)).body.length);
  });

  test('no child is named in any export unless the teacher ticks it, and no cell begins like a formula', async () => {
    const id = await idOf('Does seaweed feed make zinnias taller?');
    const experiment = (await demo.get(`/api/experiments/${id}`)).body;
    const [schoolClass] = (await demo.get('/api/classes')).body;
    const names: string[] = schoolClass.students.map(
      ({ displayName }: { displayName: string }) => displayName,
    );
    expect(names).toHaveLength(15);
    const student = schoolClass.students.find(
      ({ displayName }: { displayName: string }) => displayName === 'Bea',
    );
    const tablet = server.client();
    await tablet.post('/api/device').send({ code: schoolClass.code }).expect(200);
    await tablet.put('/api/device/student').send({ studentId: student.id, pin: student.pin }).expect(200);
    const [pot] = (await tablet.get('/api/device/pots').expect(200)).body;
    const reading = {
      ...{ unitId: pot.unitId, variableId: pot.variable.id, observedOn: experiment.today, state: 'not_read' },
      ...{ entered: '', unitOfMeasure: 'cm', precision: 0.5 },
    };
    await tablet.put(`/api/device/readings/${uuid()}`).send(reading).expect(200);
    const formula = { kind: 'note', happenedOn: experiment.sowOn, unitIds: null, amount: null };
    await demo
      .put(`/api/experiments/${id}/care/${uuid()}`)
      .send({ ...formula, note: '=HYPERLINK("http://x.example")' })
      .expect(200);

    const path = `/api/experiments/${id}`;
    const texts = async (file: string): Promise<string> => {
      const bytes = await bytesOf(demo, `${path}/${file}`);
      if (!/zip|xlsx/.test(file)) return bytes.toString();
      return Object.entries(unzipSync(bytes))
        .filter(([name]) => /\.(csv|json|xml)$/.test(name))
        .map(([, content]) => strFromU8(content))
        .join('\n');
    };
    const named = (text: string): string[] =>
      names.filter((name) => new RegExp(String.raw`(?<![\p{L}])${name}(?![\p{L}])`, 'u').test(text));
    for (const file of ['tidy.csv', 'tidy.xlsx', 'bundle.zip', 'calendar.ics'])
      expect([file, named(await texts(file))]).toEqual([file, []]);
    expect(await texts('tidy.csv')).toContain('student 1');
    expect(named(await texts('tidy.csv?names=yes'))).toEqual(['Bea']);
    const bundle = await texts('bundle.zip');
    expect(bundle).toContain("'=HYPERLINK");
    expect(bundle).not.toMatch(/[,\n]"?=HYPERLINK/);
  });

  test('takes photos, marks and measures along', async () => {
    const id = await idOf('Does a clear lid help mustard cover its pan sooner?');
    const path = `/api/experiments/${id}/photos`;
    const experiment = (await demo.get(`/api/experiments/${id}`)).body;
    const [first, second] = (await demo.get(path)).body as PhotoSummary[] as [PhotoSummary, PhotoSummary];
    const reading = {
      ...{
        unitId: experiment.units[1].id,
        variableId: experiment.variables[0].id,
        observedOn: second.takenOn,
      },
      ...{ state: 'emerged', value: 4.2, entered: '4.2', unitOfMeasure: '%', precision: 0.1 },
    };
    const method = { kind: 'green_cover', threshold: 0.2, low: 3.9, high: 4.4, pixels: 9000, marks: [] };
    await demo.put(`${path}/${second.id}/measures/${uuid()}`).send({ reading, method }).expect(200);
    const { corners, greyPatch } = first;
    const leftOut = [{ thickness: 0.04, points: [0.1, 0.2, 0.3, 0.2] }];
    const size = { acrossMm: 400, downMm: 262.5 };
    await demo.put(`${path}/${first.id}/frame`).send({ corners, greyPatch, leftOut, size }).expect(200);
    await demo.delete(`${path}/${second.id}/picture`).expect(204);
    const line = { colour: '#1e2b26', thickness: 3, erases: false, points: [1, 2, 30, 40] };
    const drawing = {
      width: 800,
      height: 420,
      lines: [line],
      labels: [{ word: 'stem, "one"', x: 0.5, y: 0.2 }],
    };
    const blank = await sharp({ create: { width: 9, height: 9, channels: 3, background: '#fff' } })
      .png()
      .toBuffer();
    const drawn = {
      ...{ kind: 'drawing', happenedOn: second.takenOn, unitId: null, note: '', drawing },
      picture: await sendFile(demo, blank),
    };
    await demo.put(`/api/experiments/${id}/journal/${uuid()}`).send(drawn).expect(200);
    const zip = await bytesOf(demo, `/api/experiments/${id}/bundle.zip`);

    const teacher = await server.teacher();
    const newId = uuid();
    const body = { fileName: 'mustard.zip', ...(await sendFile(teacher, zip)) };
    await teacher.put(`/api/files/${newId}/bundle`).send(body).expect(200);
    const opened = (await teacher.get(`/api/experiments/${newId}/photos`)).body as PhotoSummary[];
    const wanted = (await demo.get(path)).body as PhotoSummary[];
    const alike = ({ takenOn, corners, hasPicture, view, measures }: PhotoSummary) => ({
      ...{ takenOn, corners, hasPicture, view },
      methods: measures.map((measure) => measure.method),
    });
    expect(opened.map(alike)).toEqual(wanted.map(alike));
    expect(opened[1]).toMatchObject({ hasPicture: false, measures: [{ method }] });
    expect(opened[0]).toMatchObject({ leftOut, size, width: first.width, containerId: expect.any(String) });
    for (const [index, { hasPicture, id: photoId }] of opened.entries()) {
      if (!hasPicture) continue;
      const picture = await bytesOf(teacher, `/api/experiments/${newId}/photos/${photoId}/picture`);
      expect(picture.equals(await bytesOf(demo, `${path}/${wanted[index]!.id}/picture`))).toBe(true);
    }
    expect(await figures(teacher, newId)).toBe(await figures(demo, id));
    const [kept] = await server.query<{ drawing: string }>(
      'SELECT drawing FROM journal_entry WHERE experiment_id = ? AND drawing IS NOT NULL',
      [newId],
    );
    expect(JSON.parse(kept!.drawing)).toEqual(drawing);
    const pictures = await server.query<{ picture: Buffer }>(
      "SELECT picture FROM journal_entry WHERE kind = 'drawing' AND experiment_id IN (?, ?)",
      [id, newId],
    );
    expect(pictures).toHaveLength(2);
    expect(pictures[0]!.picture.equals(pictures[1]!.picture)).toBe(true);
    expect((await sharp(pictures[0]!.picture).metadata()).format).toBe('png');
  });

  test.each([
    ['no zip', Buffer.from('not a zip at all')],
    ['a zip of something else', Buffer.from(zipSync({ 'a.txt': strToU8('hello') }))],
    [
      'a bundle with a broken table',
      Buffer.from(
        zipSync({ 'datapackage.json': strToU8('{}'), 'readings.csv': strToU8('unit,treatment\r\n1,x\r\n') }),
      ),
    ],
    [
      'a picture that is none',
      Buffer.from(
        zipSync({
          'datapackage.json': strToU8('{}'),
          'photos/x.jpg': strToU8('no'),
          'photos.csv': strToU8('id,taken_on,view,picture\r\np,2026-01-02,above,photos/x.jpg\r\n'),
          'readings.csv': strToU8('unit,treatment,observed,value\r\n1,x,2026-01-02,3\r\n'),
        }),
      ),
    ],
    [
      'a bundle whose table is not as it was packed',
      (() => {
        const files = {
          'datapackage.json': strToU8('{}'),
          'readings.csv': strToU8(
            'unit,treatment,observed,value,unit_of_measure\r\n1,x,2026-01-02,3,cm\r\n2,y,2026-01-02,4,cm\r\n',
          ),
        };
        const zip = Buffer.from(zipSync(files, { level: 0 }));
        zip[zip.indexOf('02,3,cm') + 3] = '8'.charCodeAt(0);
        return zip;
      })(),
    ],
  ])('%s is refused in words and stores nothing', async (_, zip) => {
    const teacher = await server.teacher();
    const body = { fileName: 'x.zip', ...(await sendFile(teacher, zip)) };
    const answer = await teacher.put(`/api/files/${uuid()}/bundle`).send(body);
    expect(answer.status).toBe(422);
    expect(answer.body.message).toMatch(/[a-z]/);
    expect((await teacher.get('/api/experiments')).body).toEqual([]);
  });

  test('a script in a plan or a sentence is only text', async () => {
    const teacher = await server.teacher();
    const readings =
      'unit,treatment,observed,value,unit_of_measure\r\n1,<b>x</b>,2026-01-02,3,cm\r\n2,y,2026-01-02,4,cm\r\n';
    const zip = zipSync({
      'datapackage.json': strToU8(JSON.stringify({ title: '<script>alert(1)</script>', status: 'nonsense' })),
      'readings.csv': strToU8(readings),
      'plan.json': strToU8('{"question":5}'),
      'conclusions.csv': strToU8(
        'claim,evidence,reasoning,observer,written_at\r\n<img src=x>,,,me,2026-01-03T00:00:00Z\r\nlate,,,me,+275760-09-13T00:00:00Z\r\n',
      ),
      'predictions.csv': strToU8('choice,made_at\r\nx,+275760-09-13T00:00:00Z\r\n'),
    });
    const id = uuid();
    const body = { fileName: 'x.zip', ...(await sendFile(teacher, zip)) };
    const opened = (await teacher.put(`/api/files/${id}/bundle`).send(body).expect(200)).body;
    expect([opened.question, opened.plan ?? null]).toEqual(['<script>alert(1)</script>', null]);
    const { body: kept } = await teacher.get(`/api/experiments/${id}/conclusions`);
    // A day in the year 275760 is no instant that a database keeps: what is dated so is left out.
    expect(kept.map(({ claim }: { claim: string }) => claim)).toEqual(['<img src=x>']);
  });
});

test('crops say how much the pots of finished experiments differed, to their teacher alone', async () => {
  const spreadsFor = async (client: Client): Promise<Record<string, { cv: number; pots: number }>> => {
    const crops = (await client.get('/api/crops').expect(200)).body as CropView[];
    return Object.fromEntries(
      crops.flatMap(({ commonName, measuredSpread }) =>
        measuredSpread ? [[commonName, measuredSpread]] : [],
      ),
    );
  };
  const own = await spreadsFor(demo);
  expect(Object.keys(own)).toContain('Cucumber');
  for (const { cv, pots } of Object.values(own)) {
    expect(pots).toBeGreaterThan(4);
    expect(cv).toBeGreaterThan(0.03);
    expect(cv).toBeLessThan(0.6);
  }
  expect(await spreadsFor(await server.teacher())).toEqual({});
});

describe('spreadsheets', () => {
  test('the exported sheet reads back as the tidy table', async () => {
    const id = await idOf('Do turnips mind a sandy mix?');
    const file = await bytesOf(demo, `/api/experiments/${id}/tidy.xlsx`);
    const sheets = (
      await demo
        .post('/api/files/sheets')
        .send(await sendFile(demo, file))
        .expect(200)
    ).body;
    const text = (await demo.get(`/api/experiments/${id}/tidy.csv`)).text;
    const [header, first] = text.split('\r\n');
    expect(sheets[0].rows[0].join(',')).toBe(header);
    expect(sheets[0].rows[1].length).toBe(header!.split(',').length);
    expect(sheets[0].rows).toHaveLength(text.trim().split('\r\n').length);
    expect(first).toContain(sheets[0].rows[1][0]);
  });

  test('a class sheet with dates, formulas and two sheets becomes text, and opens by a mapping', async () => {
    const date = (day: string) => ({ value: new Date(`${day}T00:00:00Z`), type: Date, format: 'yyyy-mm-dd' });
    const tray = [
      ['date', 'Dry 1', 'Dry 2', 'Wet 1', 'Wet 2'],
      [date('2026-05-04'), 1.5, 'not up', { type: 'Formula' as const, value: '1+1' }, 2.5],
      [date('2026-05-08'), 2, 1, 4, 5],
    ];
    const file = await withResults(
      await writeExcelFile([
        { data: tray, sheet: 'Tray' },
        { data: [['hello']], sheet: 'Notes' },
      ]).toBuffer(),
    );
    const teacher = await server.teacher();
    const [sheet, notes] = (
      await teacher
        .post('/api/files/sheets')
        .send(await sendFile(teacher, file))
        .expect(200)
    ).body;
    expect([sheet.name, notes.name, notes.rows]).toEqual(['Tray', 'Notes', [['hello']]]);
    expect(sheet.rows[1]).toEqual(['2026-05-04', '1.5', 'not up', '2', '2.5']);
    const mapping = {
      shape: 'pots_in_columns',
      roles: ['date', 'value', 'value', 'value', 'value'],
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
    const csv = (rows: string[][]) => rows.map((row) => row.join(',')).join('\n');
    const body = { fileName: 'tray.xlsx', mapping, ...(await sendFile(teacher, csv(sheet.rows))) };
    const opened = (await teacher.put(`/api/files/${uuid()}/table`).send(body).expect(200)).body;
    expect(opened.treatments.map((one: { name: string }) => one.name)).toEqual(['Dry', 'Wet']);
    expect(opened.units).toHaveLength(4);
    const rows = [...sheet.rows, ['2026-05-09', 'tall', '', '', '']];
    const faulty = { ...body, ...(await sendFile(teacher, csv(rows))) };
    const refused = await teacher.put(`/api/files/${uuid()}/table`).send(faulty);
    expect([refused.status, refused.body.rows[0]]).toMatchObject([
      422,
      { row: 4, column: 'Dry 1', found: 'tall' },
    ]);
  });

  test.each([Buffer.from('not a sheet'), zipSync({ 'a.txt': strToU8('x') })])(
    'what is no spreadsheet is refused in words',
    async (file) => {
      const answer = await demo.post('/api/files/sheets').send(await sendFile(demo, file));
      expect([answer.status, answer.body.code]).toEqual([422, 'unreadable_file']);
    },
  );
});

/** Gives the formulas of a written sheet the results that a spreadsheet program would store beside them. */
async function withResults(book: Uint8Array): Promise<Uint8Array> {
  const files = unzipSync(book);
  const name = 'xl/worksheets/sheet1.xml';
  files[name] = strToU8(strFromU8(files[name]!).replace('<f>1+1</f>', '<f>1+1</f><v>2</v>'));
  return Promise.resolve(zipSync(files));
}
