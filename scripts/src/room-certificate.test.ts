import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, get } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { makeAuthority, makeServing, roomCertificate } from './room-certificate.ts';
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

test('what tablets trust speaks for the room alone: a certificate of another name is refused, and the key is gone', async () => {
  roomCertificate(folder, ['192.168.4.20'], NOW);
  expect(existsSync(join(folder, 'tls', 'room-trust.key'))).toBe(false);
  const path = (name: string): string => join(folder, name);
  const [trust, trustKey, cert, key] = ['a.pem', 'a.key', 'b.pem', 'b.key'].map(path) as [
    string,
    string,
    string,
    string,
  ];
  makeAuthority({ trust, trustKey, names: ['localhost', '192.168.4.20'] });
  const refused = async (names: readonly string[], servername: string): Promise<string> => {
    makeServing({ trust, trustKey, cert, key, names, into: folder });
    const server = createServer({ cert: readFileSync(cert), key: readFileSync(key) }, (_, response) =>
      response.end(),
    );
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const { port } = server.address() as AddressInfo;
    const said = await new Promise<string>((resolve) => {
      get({ host: '127.0.0.1', port, agent: false, servername, ca: readFileSync(trust) }, (response) => {
        response.resume();
        resolve('');
      }).on('error', (error) => resolve(error.message));
    });
    await new Promise((resolve) => server.close(resolve));
    return said;
  };
  expect(await refused(['localhost'], 'localhost')).toBe('');
  expect(await refused(['bank.example'], 'bank.example')).toContain('permitted subtree violation');
  expect(await refused(['localhost', '203.0.113.9'], 'localhost')).toContain('permitted subtree violation');
});

test('both are made anew for another address, near their end, and where an older version kept the key', () => {
  const first = roomCertificate(folder, ['192.168.4.20'], NOW);
  expect(roomCertificate(folder, ['192.168.4.20'], NOW).fingerprint).toBe(first.fingerprint);
  const moved = roomCertificate(folder, ['192.168.4.21'], NOW);
  expect(moved.fingerprint).not.toBe(first.fingerprint);
  const late = roomCertificate(folder, ['192.168.4.21'], new Date(NOW.getTime() + 390 * DAY_MS));
  expect(late.fingerprint).not.toBe(moved.fingerprint);
  writeFileSync(join(folder, 'tls', 'room-trust.key'), 'kept');
  expect(roomCertificate(folder, ['192.168.4.21'], NOW).fingerprint).not.toBe(late.fingerprint);
  expect(existsSync(join(folder, 'tls', 'room-trust.key'))).toBe(false);
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
