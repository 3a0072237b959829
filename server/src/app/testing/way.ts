import { type AddressInfo, connect, createServer, type Socket } from 'node:net';
import { setTimeout as wait } from 'node:timers/promises';

/** A way to a database that can be slow, cut or frozen. */
export interface Way {
  readonly host: string;
  /** The database's address by this way. */
  readonly url: string;
  /** How many connections came in. */
  count(): number;
  /** Cuts every connection, and takes none from then on, as when the other end is killed. */
  cut(): Promise<void>;
  /** Lets nothing pass any more, and says nothing, as when the other end has lost power. */
  freeze(): void;
}

/** Opens a way to a database. @param delayMs how long each connection waits before anything passes */
export async function openWay(databaseUrl: string, delayMs = 0): Promise<Way> {
  const target = new URL(databaseUrl);
  const sockets = new Set<Socket>();
  let isFrozen = false;
  let count = 0;
  const way = createServer((socket) => {
    count += 1;
    sockets.add(socket);
    socket.on('error', () => undefined);
    void wait(delayMs).then(() => {
      if (isFrozen) return;
      const onward = connect(Number(target.port), target.hostname);
      sockets.add(onward);
      onward.on('error', () => undefined);
      onward.on('close', () => socket.destroy());
      socket.pipe(onward).pipe(socket);
    });
  });
  await new Promise<void>((resolve) => way.listen(0, '127.0.0.1', resolve));
  const host = `127.0.0.1:${(way.address() as AddressInfo).port}`;
  return {
    host,
    url: databaseUrl.replace(target.host, host),
    count: () => count,
    cut: () =>
      new Promise((resolve) => {
        way.close(() => resolve());
        for (const socket of sockets) socket.destroy();
      }),
    freeze: () => {
      isFrozen = true;
      for (const socket of sockets) socket.unpipe().pause();
    },
  };
}
