import { type ServerSettings, freePort, ROOT, runMigrations, startServer } from '@bright-sprout/scripts';
import { startCluster } from '../cluster.ts';
import { LIMITS } from '../hostile.ts';
import type { Outcome } from '../report.ts';
import { makeSchool } from '../school.ts';
import { settle, workAtOnce } from './class-at-work.ts';

/**
 * Three nodes and a server on each of two: both migrate at once, a class saves through both with sign-ins beside, a node
 * is killed, and a node that lost the others says so.
 */
export async function tryCluster(isShort: boolean): Promise<Outcome[]> {
  const cluster = await startCluster(3);
  const settings = await Promise.all(
    cluster.nodes.slice(0, 2).map(async (node): Promise<ServerSettings> => ({
      root: ROOT,
      host: '127.0.0.1',
      port: await freePort(),
      appUrl: node.appUrl,
      migrationUrl: node.migrationUrl,
      extra: LIMITS,
    })),
  );
  const servers = [];
  try {
    await Promise.all(settings.map((one) => runMigrations(one)));
    for (const one of settings) servers.push(await startServer(one));
    const [first, second] = settings.map(({ port }) => `http://127.0.0.1:${port}`);
    if (!first || !second) throw new Error('two servers are needed');
    const school = await makeSchool(first, 20);
    const tablets = school.tablets.map((tablet, index) =>
      index % 2 === 0 ? tablet : tablet.through(second),
    );
    const both = { ...school, tablets };
    let isKilled = false;
    const half = isShort ? 100 : 500;
    const most = half * 2;
    const eyes = cluster.nodes[0]?.appUrl ?? '';
    const sent = await workAtOnce(both, eyes, (acknowledged) => {
      if (acknowledged >= half && !isKilled) {
        isKilled = true;
        cluster.kill(2);
      }
      return acknowledged >= most;
    });
    const outcomes = [await settle('cluster, a node killed', both, eyes, sent)];
    cluster.kill(1);
    outcomes.push(await tellsThatItCannotWrite(first));
    return outcomes;
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
