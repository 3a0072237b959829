import {
  freePort,
  ROOT,
  type RunningServer,
  runMigrations,
  type ServerSettings,
  startServer,
} from '@bright-sprout/scripts';
import { startCluster } from '../cluster.ts';
import { startProxy } from '../haproxy.ts';
import { LIMITS } from '../hostile.ts';
import type { Outcome } from '../report.ts';
import { makeSchool } from '../school.ts';
import { BUSY, settle, workAtOnce } from './class-at-work.ts';

const TABLETS = 60;

/**
 * Three nodes, two servers that know all of them, and a proxy before the servers: both servers migrate at once, sixty
 * students save through the proxy with sign-ins and streams beside, the node that is used is killed, then a server, and
 * the last node, which lost the others, says so.
 */
export async function tryCluster(isShort: boolean): Promise<Outcome[]> {
  const cluster = await startCluster(3);
  const ports: [number, number] = [await freePort(), await freePort()];
  const settings = ports.map((port): ServerSettings => ({
    root: ROOT,
    host: '127.0.0.1',
    port,
    appUrl: cluster.appUrl,
    migrationUrl: cluster.migrationUrl,
    extra: { ...LIMITS, BRIGHT_SPROUT_TRUSTED_PROXIES: '1' },
  }));
  const servers: RunningServer[] = [];
  try {
    await Promise.all(settings.map((one) => runMigrations(one)));
    for (const one of settings) servers.push(await startServer(one));
    const proxy = await startProxy(ports);
    try {
      const school = await makeSchool(proxy.address, TABLETS);
      const part = isShort ? 300 : 1500;
      const eyes = cluster.nodes[1]?.appUrl ?? '';
      const steps = [() => cluster.kill(0), () => servers[0]?.child.kill('SIGKILL')];
      const sent = await workAtOnce(
        school,
        eyes,
        (acknowledged) => {
          if (acknowledged >= part * (3 - steps.length)) steps.shift()?.();
          return acknowledged >= part * 3;
        },
        { ...BUSY, isPatient: true },
      );
      const slowest = sent.reduce((most, { ms }) => Math.max(most, ms), 0);
      const waiting = sent.filter(({ isAcknowledged }) => !isAcknowledged).length;
      const outcome = await settle('60 students, a node killed, then a server', school, eyes, sent, {
        figures: {
          'sent again': sent.filter(({ tries }) => tries > 1).length,
          'longest wait (ms)': Math.round(slowest),
        },
        faults: waiting > 0 ? [`${waiting} readings were not taken within a minute`] : [],
      });
      cluster.kill(1);
      return [outcome, await tellsThatItCannotWrite(`http://127.0.0.1:${ports[1]}`)];
    } finally {
      await proxy.stop();
    }
  } finally {
    for (const server of servers) await server.stop();
    await cluster.stop();
  }
}

/** The last node has lost the majority and refuses writes: health must not say that all is well. */
async function tellsThatItCannotWrite(address: string): Promise<Outcome> {
  let status = 200;
  for (let attempt = 0; attempt < 100 && status === 200; attempt += 1) {
    await new Promise((resolve) => setTimeout(resolve, 200));
    status = (await fetch(`${address}/api/health`)).status;
  }
  const faults = status === 503 ? [] : [`health said ${status}`];
  return { name: 'a node without the others', figures: { 'health says': status }, faults };
}
