import type { EntryView } from '@bright-sprout/contract/journal';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import { dayFromToday, startSown } from '../app/testing/experiments.ts';
import { type Client, sendFile, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;
let experiment: ExperimentView;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
  experiment = await startSown(teacher);
});
afterAll(() => server.close());

const path = (end = ''): string => `/api/experiments/${experiment.id}/journal${end}`;

/** A photo of a size, with the place it was taken in its metadata. */
async function photo(width = 400, height = 300): Promise<Buffer> {
  const picture = sharp({ create: { width, height, channels: 3, background: '#4f9a3a' } });
  const place = {
    IFD0: { Copyright: 'somebody' },
    IFD3: { GPSLatitude: '38/1 42/1 0/1', GPSLatitudeRef: 'N' },
  };
  return picture.jpeg().withExif(place).toBuffer();
}

function entry(changes: object = {}) {
  return {
    unitId: experiment.units[0]!.id,
    happenedOn: dayFromToday(0),
    kind: 'photo',
    note: 'A seed leaf!',
    picture: null,
    ...changes,
  };
}

describe('a photo', () => {
  test('loses its place and its size, and is served to its teacher only', async () => {
    const id = uuid();
    const sent = await photo(3000, 2000);
    expect((await sharp(sent).metadata()).exif).toBeDefined();
    const kept = await teacher
      .put(path(`/${id}`))
      .send(entry({ picture: await sendFile(teacher, sent) }))
      .expect(200);
    expect(kept.body).toMatchObject({ kind: 'photo', hasPicture: true, note: 'A seed leaf!' });
    const answer = await teacher.get(path(`/${id}/picture`)).expect(200);
    expect(answer.headers['content-type']).toBe('image/jpeg');
    const { width, height, format, exif } = await sharp(answer.body as Buffer).metadata();
    expect({ width, height, format, exif }).toEqual({
      width: 1600,
      height: 1067,
      format: 'jpeg',
      exif: undefined,
    });
    const stranger = await server.teacher();
    await stranger.get(path(`/${id}/picture`)).expect(404);
    const own = await startSown(stranger);
    await stranger.get(`/api/experiments/${own.id}/journal/${id}/picture`).expect(404);
    await stranger.delete(`/api/experiments/${own.id}/journal/${id}`).expect(204);
    await teacher.get(path(`/${id}/picture`)).expect(200);
  });

  test('sent twice is kept once, and removed for good', async () => {
    const id = uuid();
    const body = entry({ picture: await sendFile(teacher, await photo()) });
    await teacher
      .put(path(`/${id}`))
      .send(body)
      .expect(200);
    await teacher
      .put(path(`/${id}`))
      .send(body)
      .expect(200);
    const own = ((await teacher.get(path())).body as EntryView[]).filter((one) => one.id === id);
    expect(own).toHaveLength(1);
    await teacher.delete(path(`/${id}`)).expect(204);
    await teacher.get(path(`/${id}/picture`)).expect(404);
    expect(await server.query('SELECT id FROM journal_entry WHERE id = ?', [id])).toEqual([]);
  });

  test.each([
    ['text that says it is a picture', '<script>alert(1)</script>', /JPEG, PNG or WebP/],
    ['half a picture', undefined, /JPEG, PNG or WebP/],
    ['a HEIC picture', '\0\0\0\x18ftypheic\0\0\0\0mif1heic', /HEIC/],
    [
      'a drawing with a script in it',
      '<svg xmlns="http://www.w3.org/2000/svg"><script/>',
      /JPEG, PNG or WebP/,
    ],
  ])('%s is refused in words', async (_, text, words) => {
    const picture = await sendFile(teacher, text ?? (await photo()).subarray(0, 600));
    const answer = await teacher.put(path(`/${uuid()}`)).send(entry({ picture }));
    expect([answer.status, answer.body.code]).toEqual([422, 'not_a_picture']);
    expect(answer.body.message).toMatch(words);
  });

  test('that is too large is refused before it is drawn', async () => {
    const picture = await sendFile(teacher, Buffer.alloc(2_100_000, 0xff));
    const answer = await teacher.put(path(`/${uuid()}`)).send(entry({ picture }));
    expect([answer.status, answer.body.code]).toEqual([413, 'too_large']);
  });

  test('of which a part is missing is asked for again, and nobody else can use its parts', async () => {
    const picture = await sendFile(teacher, await photo());
    const short = await teacher
      .put(path(`/${uuid()}`))
      .send(entry({ picture: { ...picture, size: picture.size + 1 } }));
    expect([short.status, short.body.code]).toEqual([409, 'upload_incomplete']);
    const stranger = await server.teacher();
    const own = await startSown(stranger);
    const body = { ...entry({ picture }), unitId: own.units[0]!.id };
    const taken = await stranger.put(`/api/experiments/${own.id}/journal/${uuid()}`).send(body);
    expect([taken.status, taken.body.code]).toEqual([409, 'upload_incomplete']);
    await stranger
      .put(`/api/uploads/${picture.uploadId}/parts/90000`)
      .type('application/octet-stream')
      .send(Buffer.from('x'))
      .expect(404);
  });
});

describe('words', () => {
  test('are kept as they are and never run', async () => {
    const note = '<img src=x onerror=alert(1)> stem & "leaf"';
    const answer = await teacher.put(path(`/${uuid()}`)).send(entry({ kind: 'note', note }));
    expect(answer.body).toMatchObject({ note, hasPicture: false });
  });

  test.each([
    ['nothing', { kind: 'note', note: '  ' }, 'note'],
    ['ten thousand characters', { kind: 'note', note: 'x'.repeat(10_000) }, 'note'],
    ['a photo without a picture', {}, 'picture'],
    ['a day to come', { kind: 'note', happenedOn: dayFromToday(3) }, 'happenedOn'],
    ['a pot of nobody', { kind: 'note', unitId: uuid() }, 'unitId'],
  ])('%s is refused at its field', async (_, changes, field) => {
    const answer = await teacher.put(path(`/${uuid()}`)).send(entry(changes));
    expect([answer.status, answer.body.fields[0].field]).toEqual([400, field]);
  });
});
