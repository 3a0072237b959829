import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { startTemporaryApplication } from '@bright-sprout/scripts';
import { v7 as uuid } from 'uuid';
import { LIMITS } from '../hostile.ts';
import type { Outcome } from '../report.ts';
import { dayFromToday, makeSchool, readingOf } from '../school.ts';
import { type Sent, settle } from './class-at-work.ts';

const DISK_MB = 420;
const TRIES = 400;

/**
 * The disk with the data is filled to the last byte while a class saves: it is said in words, nothing acknowledged is
 * lost, and once there is room saving works by itself. Needs the right to make a small disk of memory (root).
 */
export async function tryFullDisk(): Promise<Outcome[]> {
  const disk = mkdtempSync(join(tmpdir(), 'sprout-disk-'));
  execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${DISK_MB}m`, 'tmpfs', disk]);
  try {
    return [await fillAndFree(disk)];
  } finally {
    execFileSync('umount', ['-l', disk]);
    rmSync(disk, { recursive: true, force: true });
  }
}

async function fillAndFree(disk: string): Promise<Outcome> {
  const folder = join(disk, 'data');
  mkdirSync(folder);
  const application = await startTemporaryApplication(LIMITS, true, folder);
  try {
    const school = await makeSchool(application.address, 1);
    const { teacher, experiment } = school;
    const ballast = join(disk, 'ballast');
    fillUp(disk, ballast);
    const sent: Sent[] = [];
    const words = new Set<string>();
    let isFull = false;
    // Photos are large, so that the tables must grow; readings go on beside them.
    for (let at = 0; at < TRIES && !isFull; at += 1) {
      const reading: Sent = {
        id: uuid(),
        body: readingOf(experiment, at),
        isAcknowledged: false,
        isUnseen: false,
      };
      sent.push(reading);
      const saved = await teacher.send(
        'PUT',
        `/experiments/${experiment.id}/readings/${reading.id}`,
        reading.body,
      );
      reading.isAcknowledged = saved.status === 200;
      const part = new Uint8Array(500_000).fill(at % 256);
      const photo = await teacher.send('PUT', `/uploads/${uuid()}/parts/0`, part, 'application/octet-stream');
      for (const answer of [saved, photo]) if (answer.status >= 500) words.add(codeOf(answer.body));
      isFull = words.has('storage_full');
    }
    rmSync(ballast, { force: true });
    let isWell = false;
    for (let at = 0; at < 100 && !isWell; at += 1) {
      const answer = await teacher.send('PUT', `/experiments/${experiment.id}/readings/${uuid()}`, {
        ...readingOf(experiment, 1),
        observedOn: dayFromToday(-1),
      });
      isWell = answer.status === 200;
      if (!isWell) await pause(200);
      else
        sent.push({
          id: (answer.body as { id: string }).id,
          body: { ...readingOf(experiment, 1), observedOn: dayFromToday(-1) },
          isAcknowledged: true,
          isUnseen: false,
        });
    }
    const own = { ...school, tablets: [teacherAsTablet(school)] };
    return await settle('disk full', own, application.databaseUrl, sent, {
      figures: { 'said in words': [...words].join(', ') },
      faults: [
        ...(isFull ? [] : ['a full disk was not said']),
        ...(isWell ? [] : ['saving did not work again by itself']),
        ...[...words].filter((word) => word === 'server_error').map(() => 'a full disk was a fault of ours'),
      ],
    });
  } finally {
    await application.stop();
  }
}

/** Sends what a tablet would send over the teacher's own address. */
function teacherAsTablet({ teacher, experiment }: Awaited<ReturnType<typeof makeSchool>>) {
  const own = teacher.through(teacher.address);
  const send = own.send.bind(own);
  own.send = (method, path, body, type) =>
    send(method, path.replace('/door/', `/experiments/${experiment.id}/`), body, type);
  return own;
}

function fillUp(disk: string, ballast: string): void {
  const { bavail, bsize } = statfsSync(disk);
  writeFileSync(ballast, Buffer.alloc(Math.max(0, bavail * bsize - 6_000_000)));
}

function codeOf(body: unknown): string {
  return (body as { code?: string } | undefined)?.code ?? 'no answer';
}
