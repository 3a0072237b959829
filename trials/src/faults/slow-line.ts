import { connect, createServer, type Socket } from 'node:net';
import { startTemporaryApplication } from '@bright-sprout/scripts';
import { v7 as uuid } from 'uuid';
import { LIMITS } from '../hostile.ts';
import type { Outcome } from '../report.ts';
import { dayFromToday, makeSchool } from '../school.ts';
import { saveNext, type Sent, settle } from './class-at-work.ts';

const BYTES_A_SECOND = 60_000;
const STEP_MS = 20;
const PHOTO_BYTES = 509_000;
const PART_BYTES = 65_536;

/** A photo of 509 kB and readings over a line of 480 kbit/s that is cut in the middle. */
export async function trySlowLine(): Promise<Outcome[]> {
  const application = await startTemporaryApplication(LIMITS, true);
  const line = await slowLine(Number(new URL(application.address).port));
  try {
    const school = await makeSchool(application.address, 1);
    const [tablet] = school.tablets;
    if (!tablet) throw new Error('no tablet');
    const { experiment } = school;
    const photo = noiseJpeg(PHOTO_BYTES);
    const uploadId = uuid();
    const slow = tablet.through(line.address);
    let parts = 0;
    let retries = 0;
    let isPhotoDone = false;
    const sendPhoto = async (): Promise<void> => {
      for (let at = 0; at < photo.length;) {
        const answer = await slow.send(
          'PUT',
          `/device/uploads/${uploadId}/parts/${at}`,
          photo.subarray(at, at + PART_BYTES),
          'application/octet-stream',
        );
        if (answer.status === 204) {
          at += PART_BYTES;
          parts += 1;
          if (parts === 3) line.cut();
        } else retries += 1;
        if (retries > 20) return;
      }
      isPhotoDone = true;
    };
    const sent: Sent[] = [];
    const waits: number[] = [];
    const sendReadings = async (): Promise<void> => {
      const other = tablet.through(line.address);
      while (!isPhotoDone && retries <= 20 && sent.length < 100) {
        const { answer } = await saveNext(other, '/device/readings', experiment, sent);
        waits.push(answer.ms);
        await new Promise((resolve) => setTimeout(resolve, 150));
      }
    };
    await Promise.all([sendPhoto(), sendReadings()]);
    const entry = await tablet.send('PUT', `/device/journal/${uuid()}`, {
      experimentId: experiment.id,
      unitId: experiment.units[0]?.id,
      happenedOn: dayFromToday(0),
      kind: 'photo',
      note: '',
      picture: { uploadId, size: photo.length },
    });
    const slowest = Math.round(Math.max(...waits));
    return [
      await settle('slow line, cut once', school, application.databaseUrl, sent, {
        figures: { 'parts of the photo': parts, 'sent again': retries, 'slowest reading ms': slowest },
        faults: [
          // Noise behind the head of a JPEG is no picture; that all of it arrived is what is tried.
          ...(entry.status === 422 ? [] : [`the photo was answered ${entry.status}`]),
          ...(retries === 0 ? ['the line was not cut'] : []),
          ...(slowest > 8000 ? [`a reading waited ${slowest} ms behind the photo`] : []),
        ],
      }),
    ];
  } finally {
    line.stop();
    await application.stop();
  }
}

function noiseJpeg(bytes: number): Uint8Array {
  const noise = new Uint8Array(bytes);
  for (let at = 0; at < bytes; at += 1) noise[at] = (at * 2_654_435_761) >>> 13;
  noise.set([0xff, 0xd8, 0xff, 0xe0]);
  return noise;
}

/** A way to a port that lets so many bytes through a second, and can be cut. */
async function slowLine(port: number): Promise<{ address: string; cut: () => void; stop: () => void }> {
  const open = new Set<Socket>();
  const server = createServer((near) => {
    const far = connect(port, '127.0.0.1');
    for (const socket of [near, far]) {
      open.add(socket);
      socket.on('error', () => undefined);
      socket.once('close', () => {
        open.delete(socket);
        near.destroy();
        far.destroy();
      });
    }
    far.on('data', (part) => near.write(part));
    near.on('data', (part: Buffer) => {
      near.pause();
      far.write(part);
      setTimeout(() => near.resume(), Math.max(STEP_MS, (part.length / BYTES_A_SECOND) * 1000));
    });
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const address = server.address();
  return {
    address: `http://127.0.0.1:${typeof address === 'object' ? address?.port : 0}`,
    cut: () => {
      for (const socket of open) socket.destroy();
    },
    stop: () => {
      for (const socket of open) socket.destroy();
      server.close();
    },
  };
}
