import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { sourceStamp } from './build.ts';
import { demoPassword } from './demo-password.ts';
import { keepRunning } from './keep-running.ts';
import { addressOf, freePort, isRunning, ownProcess, requireFreePort } from './processes.ts';
import { RunLock } from './run-lock.ts';
import { ensureTool, Trouble, writeWhole } from './tools.ts';

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
  const strangers: ChildProcess[] = [];
  afterEach(() => {
    for (const child of strangers) child.kill('SIGKILL');
  });

  test('a second run is told where the first one is; a run that was killed leaves no obstacle', async () => {
    const path = join(folder, 'running.json');
    const gone = { pid: 2 ** 22 - 1, began: 'boot 1' };
    writeFileSync(path, JSON.stringify({ run: gone, address: 'http://127.0.0.1:1' }));
    const lock = await RunLock.take(folder, 'http://127.0.0.1:9');
    expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({
      run: { pid: process.pid },
      address: 'http://127.0.0.1:9',
    });
    await expect(RunLock.take(folder, 'x')).rejects.toThrow('running already: http://127.0.0.1:9');
    lock.release();
    writeFileSync(path, '{ half a fi');
    (await RunLock.take(folder, 'x')).release();
    writeFileSync(path, '{"pid":1,"address":"of an older version"}');
    (await RunLock.take(folder, 'x')).release();
  });

  test('a stranger that got the number of a server of ours is not touched', async () => {
    const stranger = spawn(process.execPath, ['-e', 'setInterval(() => undefined, 1000)', 'main.js']);
    strangers.push(stranger);
    const { pid, began } = ownProcess(stranger);
    const earlier = {
      run: { pid: 2 ** 22 - 1, began: 'x' },
      address: 'a',
      server: { pid, began: `${began}1` },
    };
    writeFileSync(join(folder, 'running.json'), JSON.stringify(earlier));
    (await RunLock.take(folder, 'x')).release();
    expect(isRunning({ pid, began })).toBe(true);
    const own = { ...earlier, server: { pid, began } };
    writeFileSync(join(folder, 'running.json'), JSON.stringify(own));
    (await RunLock.take(folder, 'x')).release();
    expect(isRunning({ pid, began })).toBe(false);
  });

  test('a process is known by when it began; a number that nobody has is no process', () => {
    expect(isRunning(ownProcess(process))).toBe(true);
    expect(isRunning({ pid: process.pid, began: 'earlier' })).toBe(false);
    expect(isRunning({ pid: 2 ** 22 - 1, began: '' })).toBe(false);
  });
});

describe('something that is kept running', () => {
  test('is started again after pauses that grow, also when starting fails, and its words are said once', async () => {
    const said: string[] = [];
    const starts: number[] = [];
    let isStopping = false;
    const isDone = new Promise<void>((resolve) => {
      const again = keepRunning({
        name: 'it',
        start: () => {
          starts.push(performance.now());
          if (starts.length < 4) return Promise.reject(new Trouble('The disk is full.'));
          resolve();
          return Promise.resolve();
        },
        isStopping: () => isStopping,
        say: (words) => said.push(words),
      });
      again();
    });
    await isDone;
    isStopping = true;
    const pauses = starts.slice(1).map((at, index) => at - (starts[index] ?? 0));
    expect(pauses[2]!).toBeGreaterThan(pauses[0]! * 2);
    expect(said.filter((words) => words.includes('disk is full'))).toHaveLength(1);
  });
});

test('an address of IPv6 stands in brackets', () => {
  expect([addressOf('::1', 8080), addressOf('127.0.0.1', 80)]).toEqual([
    'http://[::1]:8080',
    'http://127.0.0.1:80',
  ]);
});

describe('a folder that cannot be written to', () => {
  test('is met with what to do', () => {
    expect(() => writeWhole(join(folder, 'none', 'file'), 'x')).toThrow(
      'choose another folder with BRIGHT_SPROUT_DATA',
    );
  });

  test('a file is written whole or not at all', () => {
    const path = join(folder, 'secrets.json');
    writeWhole(path, 'one');
    writeWhole(path, 'two');
    expect(readFileSync(path, 'utf8')).toBe('two');
    expect(statSync(path).mode & 0o077).toBe(0);
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
