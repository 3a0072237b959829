import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { freePort, ROOT } from '@bright-sprout/scripts';

test.describe.configure({ mode: 'serial' });

let folder: string;
let port: number;
let running: { child: ChildProcess; output: () => string };

test.beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sprout-start-'));
  port = await freePort();
});
test.afterAll(async () => {
  running.child.kill('SIGINT');
  await ended(running.child);
  rmSync(folder, { recursive: true, force: true });
});

/** Runs the start script and collects what it says. */
function start(
  args: string[] = [],
  env: Record<string, string> = {},
): { child: ChildProcess; output: () => string } {
  const child = spawn(process.execPath, ['scripts/start.mjs', ...args], {
    cwd: ROOT,
    env: { ...process.env, BRIGHT_SPROUT_DATA: folder, PORT: String(port), ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let text = '';
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (part: Buffer) => (text += part.toString()));
  return { child, output: () => text };
}

async function ended(child: ChildProcess): Promise<number | null> {
  if (child.exitCode === null && child.signalCode === null)
    await new Promise((resolve) => child.once('exit', resolve));
  return child.exitCode;
}

/** Processes that work in the data folder or serve its port. */
function leftRunning(): string[] {
  const lines = execFileSync('ps', ['-eo', 'args'], { encoding: 'utf8' }).split('\n');
  return lines.filter((line) => line.includes(`--datadir=${folder}`));
}

const health = async (): Promise<number | undefined> =>
  (await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => undefined))?.status;

test('start: an address, a demo sign-in that works, and answers', async () => {
  running = start();
  await expect.poll(running.output, { timeout: 150_000 }).toContain('Stop with Ctrl-C');
  expect(running.output()).toContain(`Bright Sprout is ready: http://127.0.0.1:${port}`);
  const [, email, password] = /^Sign in: (\S+) \/ (\S+)$/m.exec(running.output()) ?? [];
  expect(await health()).toBe(200);
  const answer = await fetch(`http://127.0.0.1:${port}/api/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ email, password }),
  });
  expect(answer.status).toBe(200);
  expect((await fetch(`http://127.0.0.1:${port}/assets/none.js`)).status).toBe(404);
  expect((await fetch(`http://127.0.0.1:${port}/experiments/any`)).status).toBe(200);
});

test('a second start, a taken port and wrong words end with what to do', async () => {
  const other = mkdtempSync(join(tmpdir(), 'sprout-start-'));
  for (const [args, env, words] of [
    [[], {}, 'Bright Sprout is running already: http://127.0.0.1'],
    [[], { BRIGHT_SPROUT_DATA: other }, `PORT=${port + 1} npm start`],
    [['--fresh'], {}, 'npm start -- --fresh --yes'],
    [['--frish'], {}, '"--frish" is not known'],
    [[], { PORT: 'device' }, 'give a number from 1 to 65535'],
  ] as [string[], Record<string, string>, string][]) {
    const attempt = start(args, env);
    expect(await ended(attempt.child)).toBe(1);
    expect(attempt.output()).toContain(words);
    expect(attempt.output()).not.toContain('    at ');
  }
  rmSync(other, { recursive: true, force: true });
  expect(await health()).toBe(200);
});

test('a run that was killed is cleaned up by the next, and nothing is lost', async () => {
  const password = readFileSync(join(folder, 'demo-password'), 'utf8');
  running.child.kill('SIGKILL');
  await ended(running.child);
  expect(leftRunning()).toHaveLength(1);
  running = start();
  await expect.poll(running.output, { timeout: 150_000 }).toContain('Stop with Ctrl-C');
  expect(running.output()).toContain(`/ ${password}`);
  expect(running.output()).not.toContain('building');
  expect(leftRunning()).toHaveLength(1);
});

test('a database that ends by itself is started again', async () => {
  const pid = Number(readFileSync(join(folder, 'mariadb', 'server.pid'), 'utf8'));
  process.kill(pid, 'SIGKILL');
  await expect.poll(running.output).toContain('starting it again');
  await expect.poll(health, { timeout: 60_000 }).toBe(200);
});

test('a server that is killed is started again, also a second time', async () => {
  for (let time = 0; time < 2; time += 1) {
    const { server } = JSON.parse(readFileSync(join(folder, 'running.json'), 'utf8')) as {
      server: { pid: number };
    };
    process.kill(server.pid, 'SIGKILL');
    await expect
      .poll(() => running.output().split('the server runs again').length, { timeout: 90_000 })
      .toBe(time + 2);
    expect(await health()).toBe(200);
  }
});

/** Asks the private database something, as whoever puts a backup back would. */
function sql(statement: string): string {
  const { root } = JSON.parse(readFileSync(join(folder, 'database-secrets.json'), 'utf8')) as {
    root: string;
  };
  const pid = readFileSync(join(folder, 'mariadb', 'server.pid'), 'utf8').trim();
  const dbPort = /--port=(\d+)/.exec(readFileSync(`/proc/${pid}/cmdline`, 'utf8'))?.[1] ?? '';
  const args = ['--no-defaults', '-h127.0.0.1', `-P${dbPort}`, '-usprout_root', `-p${root}`, 'bright_sprout'];
  return execFileSync('mariadb', [...args, '-e', statement], { encoding: 'utf8' });
}

test('a backup of an older version is brought up to date, and lost passwords of the database are made anew', async () => {
  sql('DROP TABLE upload_part; DELETE FROM migrations WHERE timestamp = 1700000000005');
  running.child.kill('SIGINT');
  await ended(running.child);
  writeFileSync(join(folder, 'database-secrets.json'), '{"root":');
  running = start();
  await expect.poll(running.output, { timeout: 150_000 }).toContain('Stop with Ctrl-C');
  expect(running.output()).toContain('new ones are made');
  expect(sql("SHOW TABLES LIKE 'upload_part'")).toContain('upload_part');
  expect(await health()).toBe(200);
});

test('Ctrl-C stops all that was started', async () => {
  running.child.kill('SIGINT');
  expect(await ended(running.child)).toBe(130);
  expect(leftRunning()).toEqual([]);
  expect(await health()).toBeUndefined();
});
