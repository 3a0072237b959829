import { setTimeout as pause } from 'node:timers/promises';
import type { DataSource, EntityManager } from 'typeorm';

const TRIES = 8;
const FIRST_PAUSE_MS = 5;
const LOCK_CODES: readonly unknown[] = ['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD'];
const LOSS_CODES: readonly unknown[] = [
  'PROTOCOL_CONNECTION_LOST',
  'ECONNREFUSED',
  'ECONNRESET',
  'ETIMEDOUT',
  'EPIPE',
  'ENOENT',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'ER_OPTION_PREVENTS_STATEMENT',
];

/** A node of a cluster that has lost the others refuses every statement with this number (WSREP). */
const NODE_NOT_READY = 1047;

/** The table, the file or the disk is full; `ENOSPC` of the system as MariaDB tells it. */
const FULL_CODES: readonly unknown[] = ['ER_RECORD_FILE_FULL', 'ER_DISK_FULL', 'ENOSPC'];
const FULL_WORDS = /errno: 28\b|No space left on device|Error writing file|got error 135|is full/i;

function codeOf(thrown: unknown): unknown {
  return (thrown as { code?: unknown } | null)?.code;
}

/** True when the database could not be reached, went away, or is a node of a cluster that cannot write just now. */
export function isConnectionLoss(thrown: unknown): boolean {
  const closed =
    thrown instanceof Error && /closed state|is not established|Connection is closed/.test(thrown.message);
  return (
    closed ||
    LOSS_CODES.includes(codeOf(thrown)) ||
    (thrown as { errno?: unknown } | null)?.errno === NODE_NOT_READY
  );
}

/** True when there was no room left to write. */
export function isDiskFull(thrown: unknown): boolean {
  if (FULL_CODES.includes(codeOf(thrown))) return true;
  return thrown instanceof Error && 'sql' in thrown && FULL_WORDS.test(thrown.message);
}

/** True when a row with the same unique key is there already. */
export function isDuplicate(thrown: unknown): boolean {
  return codeOf(thrown) === 'ER_DUP_ENTRY';
}

/** True when the database broke a deadlock, or another node of a cluster was first: the same may be tried again. */
export function isDeadlock(thrown: unknown): boolean {
  return LOCK_CODES.includes(codeOf(thrown));
}

/**
 * Runs `work` again, after a pause that grows and differs, when the database broke a deadlock. `work` is one statement
 * or one whole transaction, so nothing of it was kept.
 */
export async function retried<T>(work: () => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt += 1) {
    try {
      return await work();
    } catch (thrown) {
      if (attempt === TRIES || !isDeadlock(thrown)) throw thrown;
      await pause(FIRST_PAUSE_MS * 2 ** (attempt - 1) * (0.5 + Math.random()));
    }
  }
}

/** Runs `work` in a transaction and runs it again when the database broke a deadlock. */
export function inTransaction<T>(
  source: DataSource,
  work: (manager: EntityManager) => Promise<T>,
): Promise<T> {
  return retried(() => source.transaction(work));
}
