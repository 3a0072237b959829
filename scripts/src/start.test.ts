import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { sourceStamp } from './build.ts';
import { demoPassword } from './demo-password.ts';
import { freePort, isRunning, requireFreePort } from './processes.ts';
import { RunLock } from './run-lock.ts';
import { ensureTool } from './tools.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'sprout-scripts-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('ports', () => {
  test('a taken port is met with the command for another', async () => {
    const port = await freePort();
    const server = createServer();
    await new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve));
    await expect(requireFreePort(port, '127.0.0.1')).rejects.toThrow(`PORT=${port + 1} npm start`);
    await new Promise((resolve) => server.close(resolve));
    await expect(requireFreePort(port, '127.0.0.1')).resolves.toBeUndefined();
  });
});

describe('the lock of a run', () => {
  test('a second run is told where the first one is; a run that was killed leaves no obstacle', async () => {
    const path = join(folder, 'running.json');
    writeFileSync(path, JSON.stringify({ pid: 2 ** 22 - 1, address: 'http://127.0.0.1:1' }));
    const lock = await RunLock.take(folder, 'http://127.0.0.1:9');
    expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({
      pid: process.pid,
      address: 'http://127.0.0.1:9',
    });
    lock.release();
    writeFileSync(path, '{ half a fi');
    (await RunLock.take(folder, 'x')).release();
  });

  test('another process that got the old number is not taken for a run', () => {
    expect(isRunning(process.pid, '')).toBe(true);
    expect(isRunning(process.pid, 'certainly-not-this-program')).toBe(false);
    expect(isRunning(2 ** 22 - 1, '')).toBe(false);
  });
});

describe('tools', () => {
  test('a missing tool is met with the exact command', () => {
    const tool = { what: 'Nothing', programs: ['no-such-program-anywhere'], packages: ['no-such-package'] };
    const { PATH } = process.env;
    const getuid = process.getuid;
    process.getuid = () => 1000;
    try {
      expect(() => ensureTool(tool)).toThrow(
        'sudo apt-get install -y --no-install-recommends no-such-package',
      );
    } finally {
      process.env.PATH = PATH;
      if (getuid) process.getuid = getuid;
    }
  });
});

test('the demo password is made once and readable by its owner only', () => {
  const password = demoPassword(folder);
  expect(password).toMatch(/^[a-z]{6}-[a-z]{6}-[a-z]{6}$/);
  expect(demoPassword(folder)).toBe(password);
  expect(statSync(join(folder, 'demo-password')).mode & 0o077).toBe(0);
});

test('a build is made again when a source changes', async () => {
  const { mkdirSync } = await import('node:fs');
  mkdirSync(join(folder, 'core', 'src'), { recursive: true });
  writeFileSync(join(folder, 'core', 'src', 'a.ts'), 'one');
  const before = sourceStamp(folder);
  expect(sourceStamp(folder)).toBe(before);
  writeFileSync(join(folder, 'core', 'src', 'a.ts'), 'other');
  expect(sourceStamp(folder)).not.toBe(before);
});
