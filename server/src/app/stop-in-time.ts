import type { NestExpressApplication } from '@nestjs/platform-express';

/** How long requests that are being answered may still take. */
const PATIENCE_MS = 1500;

/**
 * Stops the server when it is told to: it takes nothing new, answers what it has begun, and closes what is still open
 * after a moment. Without that, tablets that keep their connections busy would keep it running.
 */
export function stopInTime(app: NestExpressApplication, process: NodeJS.Process): void {
  let isStopping = false;
  const stop = (): void => {
    if (isStopping) return;
    isStopping = true;
    const server = app.getHttpServer();
    server.prependListener('request', (_request, response) => response.setHeader('Connection', 'close'));
    server.close();
    server.closeIdleConnections();
    const late = setTimeout(() => server.closeAllConnections(), PATIENCE_MS);
    app
      .close()
      .catch(() => undefined)
      .finally(() => {
        clearTimeout(late);
        process.exit(0);
      });
  };
  for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP'] as const) process.on(signal, stop);
}
