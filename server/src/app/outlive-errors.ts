import { Logger } from '@nestjs/common';

/** Errors outside any request in a minute, above which something is broken for good. */
const MOST_A_MINUTE = 30;
const MINUTE_MS = 60_000;

/** Exit code of a server that gives up, so that the start script begins it anew. */
const GIVES_UP = 70;

/**
 * Keeps an error of one request, stream or timer from ending the process: it is logged, and others go on. A process
 * that throws without end is given up in words.
 */
export function outliveErrors(process: NodeJS.Process): void {
  const log = new Logger('Errors');
  let times: number[] = [];
  const note = (thrown: unknown): void => {
    log.error(
      `outside any request: ${thrown instanceof Error ? (thrown.stack ?? thrown.message) : String(thrown)}`,
    );
    const now = Date.now();
    times = [...times.filter((time) => now - time < MINUTE_MS), now];
    if (times.length <= MOST_A_MINUTE) return;
    log.error(
      `more than ${MOST_A_MINUTE} such errors in a minute: the server ends and is to be started again`,
    );
    process.exit(GIVES_UP);
  };
  process.on('uncaughtException', note);
  process.on('unhandledRejection', note);
}
