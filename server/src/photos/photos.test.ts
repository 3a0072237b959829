import type { PhotoSummary } from '@bright-sprout/contract/photos';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { randomBytes } from 'node:crypto';
import { crc32 } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import { dayFromToday, readingOf, startSown } from '../app/testing/experiments.ts';
import { heldDuring } from '../app/testing/held.ts';
import { type Client, sendFile, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;
let experiment: ExperimentView;
let picture: Buffer;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
  experiment = await startSown(teacher);
  picture = await sharp({ create: { width: 4000, height: 3000, channels: 3, background: '#685040' } })
    .jpeg()
    .withExif({ IFD3: { GPSLatitude: '38/1 42/1 0/1', GPSLatitudeRef: 'N' } })
    .toBuffer();
});
afterAll(() => server.close());

const path = (end = ''): string => `/api/experiments/${experiment.id}/photos${end}`;

async function photoBody(changes: object = {}) {
  return {
    view: 'above',
    containerId: experiment.containers[0]!.id,
    unitId: null,
    takenOn: dayFromToday(0),
    picture: await sendFile(teacher, picture),
    ...changes,
  };
}

let kept = 0;

async function keptPhoto(): Promise<string> {
  kept += 1;
  // The same file would be the same photo.
  const own = Buffer.concat([
    picture.subarray(0, 2),
    Buffer.from([0xff, 0xfe, 0, 3, kept]),
    picture.subarray(2),
  ]);
  const id = uuid();
  await teacher
    .put(path(`/${id}`))
    .send(await photoBody({ picture: await sendFile(teacher, own) }))
    .expect(200);
  return id;
}

const todays = (pot: number) => ({ ...readingOf(experiment, pot), observedOn: dayFromToday(0) });

function measureBody(changes: object = {}) {
  return {
    reading: todays(0),
    method: {
      ...{ kind: 'length', low: 60, high: 64, pixels: 480, apartMm: 100 },
      marks: [0.1, 0.9, 0.1, 0.3, 0.5, 0.8, 0.5, 0.4],
    },
    ...changes,
  };
}

describe('a photo', () => {
  test('keeps what it shows, its day and its pixels, and nothing else that the camera wrote', async () => {
    const id = uuid();
    const body = await photoBody();
    const kept = await teacher
      .put(path(`/${id}`))
      .send(body)
      .expect(200);
    expect(kept.body).toMatchObject({
      ...{ id, view: 'above', containerId: body.containerId, width: 3200, height: 2400 },
      ...{ corners: null, hasPicture: true, measures: [] },
    });
    await teacher
      .put(path(`/${id}`))
      .send(body)
      .expect(200);
    expect(((await teacher.get(path())).body as PhotoSummary[]).filter((one) => one.id === id)).toHaveLength(
      1,
    );
    const answer = await teacher.get(path(`/${id}/picture`)).expect(200);
    expect((await sharp(answer.body as Buffer).metadata()).exif).toBeUndefined();
  });

  test('is framed, and is nobody else’s', async () => {
    const id = await keptPhoto();
    const corners = [0.1, 0.1, 0.9, 0.1, 0.9, 0.9, 0.1, 0.9];
    const framed = await teacher
      .put(path(`/${id}/frame`))
      .send({ corners, greyPatch: [0, 0, 0.1, 0.1] })
      .expect(200);
    expect(framed.body).toMatchObject({ corners, greyPatch: [0, 0, 0.1, 0.1], leftOut: [] });
    const leftOut = [{ thickness: 0.05, points: [0.1, 0.1, 0.2, 0.1] }];
    const brushed = await teacher.put(path(`/${id}/frame`)).send({ corners, greyPatch: null, leftOut });
    expect(brushed.body).toMatchObject({ corners, greyPatch: null, leftOut });
    const size = { acrossMm: 420, downMm: 180.5 };
    const sized = await teacher
      .put(path(`/${id}/frame`))
      .send({ corners, size })
      .expect(200);
    expect(sized.body).toMatchObject({ corners, size, leftOut: [] });
    for (const tooLarge of [{ acrossMm: 420 }, { acrossMm: 420, downMm: 90_000 }, { acrossMm: 0, downMm: 5 }])
      await teacher
        .put(path(`/${id}/frame`))
        .send({ corners, size: tooLarge })
        .expect(400);
    const wild = [{ thickness: 9, points: [0.1, 5] }];
    await teacher
      .put(path(`/${id}/frame`))
      .send({ corners, leftOut: wild })
      .expect(400);
    const stranger = await server.teacher();
    const own = await startSown(stranger);
    for (const end of [`/${id}/picture`, '']) await stranger.get(path(end)).expect(404);
    const theirs = `/api/experiments/${own.id}/photos/${id}`;
    await stranger.get(`${theirs}/picture`).expect(404);
    await stranger.put(`${theirs}/frame`).send({ corners, greyPatch: null }).expect(404);
    await stranger
      .put(`${theirs}/measures/${uuid()}`)
      .send({ ...measureBody(), reading: readingOf(own, 0) })
      .expect(404);
    await stranger.delete(`${theirs}/picture`).expect(204);
    await stranger
      .put(theirs)
      .send({ ...(await photoBody()), containerId: own.containers[0]!.id })
      .expect(409);
    await teacher.get(path(`/${id}/picture`)).expect(200);
  });

  test.each([
    ['of nothing', { containerId: null }, 'containerId'],
    ['of another experiment’s container', { containerId: uuid() }, 'containerId'],
    ['of another experiment’s pot', { unitId: uuid() }, 'unitId'],
    ['of tomorrow', { takenOn: dayFromToday(2) }, 'takenOn'],
    ['without a picture', { picture: null }, 'picture'],
    ['from behind', { view: 'behind' }, 'view'],
  ])('%s is refused by its field', async (_, changes, field) => {
    const answer = await teacher
      .put(path(`/${uuid()}`))
      .send(await photoBody(changes))
      .expect(400);
    expect(answer.body).toMatchObject({ code: 'invalid_fields', fields: [{ field }] });
  });
});

describe('a camera', () => {
  const address = (id: string, query: string) => `/api/logger-photos/${id}?${query}`;

  test('sends a photo with its key, once, for a container that there is, and not of a day to come', async () => {
    const { key } = (await teacher.post(`/api/experiments/${experiment.id}/logger`)).body as { key: string };
    const send = (id: string, query: string, token = key) =>
      server
        .client()
        .put(address(id, query))
        .set('Authorization', `Bearer ${token}`)
        .type('application/octet-stream')
        .send(picture);
    const id = uuid();
    const query = `takenOn=${dayFromToday(-1)}&container=1`;
    await send(id, query, 'wrong').expect(404);
    for (let time = 0; time < 2; time += 1) await send(id, query).expect(204);
    const found = ((await teacher.get(path())).body as PhotoSummary[]).filter((one) => one.id === id);
    expect(found).toEqual([
      expect.objectContaining({ observer: 'camera', takenOn: dayFromToday(-1), view: 'above' }),
    ]);
    await send(uuid(), `takenOn=${dayFromToday(-1)}&container=9`).expect(400);
    await send(uuid(), `takenOn=${dayFromToday(3)}&container=1`).expect(400);
    await send(uuid(), 'container=1').expect(400);
  });
});

describe('a measure', () => {
  test('becomes a reading by the picture, linked to its photo, once', async () => {
    const id = await keptPhoto();
    const readingId = uuid();
    for (let time = 0; time < 2; time += 1) {
      const kept = await teacher
        .put(path(`/${id}/measures/${readingId}`))
        .send(measureBody())
        .expect(200);
      expect(kept.body).toMatchObject({ id: readingId, observer: 'picture', counts: true });
    }
    const photo = ((await teacher.get(path())).body as PhotoSummary[]).find((one) => one.id === id);
    expect(photo?.measures).toEqual([
      expect.objectContaining({
        readingId,
        method: expect.objectContaining({ apartMm: 100, marks: expect.any(Array) }),
      }),
    ]);
  });

  test('is of the day of its photo, and of a pot of its experiment', async () => {
    const id = await keptPhoto();
    const yesterday = { ...readingOf(experiment, 1), observedOn: dayFromToday(-1) };
    await teacher
      .put(path(`/${id}/measures/${uuid()}`))
      .send(measureBody({ reading: yesterday }))
      .expect(400);
    const elsewhere = { ...todays(1), unitId: uuid() };
    await teacher
      .put(path(`/${id}/measures/${uuid()}`))
      .send(measureBody({ reading: elsewhere }))
      .expect(404);
  });

  test('stays when the picture is deleted for good', async () => {
    const [id, bare] = [await keptPhoto(), await keptPhoto()];
    const readingId = uuid();
    await teacher
      .put(path(`/${id}/measures/${readingId}`))
      .send(measureBody({ reading: todays(2) }))
      .expect(200);
    for (const one of [id, bare]) await teacher.delete(path(`/${one}/picture`)).expect(204);
    await teacher.get(path(`/${id}/picture`)).expect(404);
    const photos = (await teacher.get(path())).body as PhotoSummary[];
    expect(photos.find((photo) => photo.id === id)).toMatchObject({
      hasPicture: false,
      measures: [{ readingId }],
    });
    expect(photos.some((photo) => photo.id === bare)).toBe(false);
    const readings = (await teacher.get(`/api/experiments/${experiment.id}/readings`)).body as ReadingView[];
    expect(readings.some((reading) => reading.id === readingId)).toBe(true);
  });
});

describe('files that cameras and people make', () => {
  const small = sharp({ create: { width: 60, height: 40, channels: 3, background: '#3a7' } });
  const keep = async (bytes: Buffer) => {
    const body = await photoBody({ picture: await sendFile(teacher, bytes) });
    return teacher.put(path(`/${uuid()}`)).send(body);
  };
  /** A PNG of one row whose header says that it is far larger. */
  const hugePng = async (side: number): Promise<Buffer> => {
    const bytes = await small.clone().png().toBuffer();
    bytes.writeUInt32BE(side, 16);
    bytes.writeUInt32BE(side, 20);
    bytes.writeUInt32BE(crc32(bytes.subarray(12, 29)), 29);
    return bytes;
  };

  test.each([
    ['CMYK', () => small.clone().toColourspace('cmyk').jpeg().toBuffer(), [60, 40]],
    ['16 bits', () => small.clone().toColourspace('rgb16').png().toBuffer(), [60, 40]],
    ['transparent', () => small.clone().ensureAlpha(0.2).png().toBuffer(), [60, 40]],
    ['on its side by EXIF', () => small.clone().jpeg().withMetadata({ orientation: 6 }).toBuffer(), [40, 60]],
    ['WebP', () => small.clone().webp().toBuffer(), [60, 40]],
    ['animated', () => animated(), [60, 40]],
  ] as const)('%s is drawn anew, upright, as one picture', async (_, bytes, size) => {
    const { status, body } = await keep(await bytes());
    expect([status, body.width, body.height]).toEqual([200, ...size]);
    const { body: picture } = await teacher.get(path(`/${body.id}/picture`)).expect(200);
    const { format, space, hasAlpha, orientation } = await sharp(picture as Buffer).metadata();
    expect([format, space, hasAlpha, orientation]).toEqual(['jpeg', 'srgb', false, undefined]);
  });

  test.each([
    ['text', () => Promise.resolve(Buffer.from('not a picture')), 'not_a_picture', /picture/],
    [
      'half a JPEG',
      () => Promise.resolve(picture.subarray(0, picture.length / 2)),
      'not_a_picture',
      /picture/,
    ],
    ['30 000 pixels a side', () => hugePng(30_000), 'not_a_picture', /picture/],
    [
      'HEIC',
      () => Promise.resolve(Buffer.from('\0\0\0\x18ftypheic\0\0\0\0mif1heic', 'latin1')),
      'not_a_picture',
      /HEIC/,
    ],
    ['GIF', () => small.clone().gif().toBuffer(), 'not_a_picture', /picture/],
  ] as const)('%s is refused in words, and nothing is kept', async (_, bytes, code, words) => {
    const before = (await teacher.get(path())).body.length as number;
    const { status, body } = await keep(await bytes());
    expect([status < 500, body.code]).toEqual([true, code]);
    expect(body.message).toMatch(words);
    expect((await teacher.get(path())).body).toHaveLength(before);
  });

  /** Three frames, of which the first counts. */
  async function animated(): Promise<Buffer> {
    const frames = ['#3a7', '#a37', '#73a'].map((background) =>
      sharp({ create: { width: 60, height: 40, channels: 3, background } })
        .png()
        .toBuffer(),
    );
    return sharp(await Promise.all(frames), { join: { animated: true } })
      .webp()
      .toBuffer();
  }
});

test('a small picture is as wide as a strip of days needs it, and nobody else’s', async () => {
  const id = await keptPhoto();
  const { body } = await teacher.get(path(`/${id}/small-picture`)).expect(200);
  const { width, format } = await sharp(body as Buffer).metadata();
  expect([width, format]).toEqual([240, 'jpeg']);
  await (await server.teacher()).get(path(`/${id}/small-picture`)).expect(404);
  await teacher.get(path(`/${uuid()}/small-picture`)).expect(404);
});

test('the same file is kept once of a place and day, and again of another day', async () => {
  const count = async (): Promise<number> => ((await teacher.get(path())).body as unknown[]).length;
  const bytes = await sharp({ create: { width: 70, height: 50, channels: 3, background: '#123' } })
    .jpeg()
    .toBuffer();
  const keep = async (changes: object = {}) => {
    const body = await photoBody({ picture: await sendFile(teacher, bytes), ...changes });
    return (
      await teacher
        .put(path(`/${uuid()}`))
        .send(body)
        .expect(200)
    ).body as PhotoSummary;
  };
  const before = await count();
  const first = await keep();
  expect((await keep()).id).toBe(first.id);
  expect(await count()).toBe(before + 1);
  expect((await keep({ takenOn: dayFromToday(-1) })).id).not.toBe(first.id);
  expect(await count()).toBe(before + 2);
});

/** The longest that photos may hold the others up, in yardsticks. */
const MOST_HELD = 6;

test('thirty photos that arrive at once are all kept, and hold nobody up', async () => {
  const noisy = await sharp(randomBytes(1600 * 1200 * 3), { raw: { width: 1600, height: 1200, channels: 3 } })
    .jpeg({ quality: 70 })
    .toBuffer();
  // Each is a file of its own: a comment tells them apart.
  const files = Array.from({ length: 30 }, (_, at) =>
    Buffer.concat([noisy.subarray(0, 2), Buffer.from([0xff, 0xfe, 0, 3, at]), noisy.subarray(2)]),
  );
  const statuses: number[] = [];
  const round = async (takenOn: string) => {
    const sent = await Promise.all(files.map((file) => sendFile(teacher, file)));
    return heldDuring(async () => {
      const answers = sent.map(async (part) =>
        teacher.put(path(`/${uuid()}`)).send(await photoBody({ picture: part, takenOn })),
      );
      statuses.push(...(await Promise.all(answers)).map(({ status }) => status));
    });
  };
  let held = await round(dayFromToday(-1));
  // What holds others up does so each time; a memory clean-up of the test's own does not.
  for (let again = 2; again <= 3 && held >= MOST_HELD; again += 1)
    held = Math.min(held, await round(dayFromToday(-again)));
  expect(new Set(statuses)).toEqual(new Set([200]));
  const kept = (await teacher.get(path())).body as unknown[];
  expect(kept.length).toBeGreaterThanOrEqual(statuses.length);
  expect(held).toBeLessThan(MOST_HELD);
}, 120_000);
