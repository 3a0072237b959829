import { spawn } from 'node:child_process';
import { setTimeout as pause } from 'node:timers/promises';
import { expect, test } from '@jest/globals';
import { CpuMeter, machineCpuSeconds } from './cpu-seconds.ts';

test('a process counts with what it starts, under its name alone', async () => {
  const meter = new CpuMeter();
  const before = machineCpuSeconds() ?? 0;
  const spin = 'const end = Date.now() + 2500; while (Date.now() < end);';
  const child = spawn(process.execPath, [
    '-e',
    `const child = require('node:child_process').spawn(process.execPath, ['-e', ${JSON.stringify(spin)}]);
     child.on('exit', () => process.exit(0));`,
  ]);
  meter.watch(child.pid, 'spinning');
  await new Promise((resolve) => child.on('exit', resolve));
  await pause(10);
  meter.stop();
  expect(meter.secondsOf('spinning')).toBeGreaterThan(0.2);
  expect(meter.secondsOf('spinning')).toBeLessThan(6);
  expect(meter.secondsOf('other')).toBe(0);
  expect((machineCpuSeconds() ?? 0) - before).toBeGreaterThan(meter.secondsOf('spinning') / 2);
});
