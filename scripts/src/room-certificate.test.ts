import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer, get } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { roomCertificate } from './room-certificate.ts';
import { serveTrustPage } from './trust-page.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'sprout-room-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const NOW = new Date();
const DAY_MS = 86_400_000;

test('a tablet that trusts the room’s certificate opens a locked line, and no other does', async () => {
  const room = roomCertificate(folder, ['192.168.4.20'], NOW);
  const server = createServer(
    { cert: readFileSync(room.certPath), key: readFileSync(room.keyPath) },
    (_, response) => response.end('here'),
  );
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  const ask = (ca?: Buffer): Promise<string> =>
    new Promise((resolve, reject) => {
      get({ host: '127.0.0.1', port, agent: false, ...(ca ? { ca } : {}) }, (response) => {
        response.on('data', (bytes: Buffer) => resolve(bytes.toString()));
      }).on('error', reject);
    });
  expect(await ask(readFileSync(room.trustPath))).toBe('here');
  await expect(ask()).rejects.toThrow(/certificate|self/);
  await new Promise((resolve) => server.close(resolve));
});

test('it is made anew for another address or near its end; what tablets trust stays', () => {
  const first = roomCertificate(folder, ['192.168.4.20'], NOW);
  const serial = (): string => new X509Certificate(readFileSync(first.certPath)).serialNumber;
  const before = serial();
  expect(roomCertificate(folder, ['192.168.4.20'], NOW).fingerprint).toBe(first.fingerprint);
  expect(serial()).toBe(before);
  roomCertificate(folder, ['192.168.4.21'], NOW);
  const moved = serial();
  expect(moved).not.toBe(before);
  const late = roomCertificate(folder, ['192.168.4.21'], new Date(NOW.getTime() + 390 * DAY_MS));
  expect(serial()).not.toBe(moved);
  expect(late.fingerprint).toBe(first.fingerprint);
});

test('the page that helps tablets gives the certificate, its fingerprint and the way in, and nothing else', async () => {
  const room = roomCertificate(folder, ['192.168.4.20'], NOW);
  const server = await serveTrustPage(room, ['https://192.168.4.20:8080'], 0, '127.0.0.1');
  const { port } = server.address() as AddressInfo;
  const at = (path: string) => fetch(`http://127.0.0.1:${port}${path}`);
  const page = await (await at('/')).text();
  expect(page).toContain(room.fingerprint);
  expect(page).toContain('https://192.168.4.20:8080/join');
  expect(await (await at('/room-trust.crt')).text()).toBe(readFileSync(room.trustPath, 'utf8'));
  for (const path of ['/room.key', '/../room-trust.key', '/api/health'])
    expect((await at(path)).status).toBe(404);
  await new Promise((resolve) => server.close(resolve));
});
