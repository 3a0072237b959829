import type { DataSource, EntityManager } from 'typeorm';

const TRIES = 4;
const LOCK_CODES: readonly unknown[] = ['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT'];
const LOSS_CODES: readonly unknown[] = [
  'PROTOCOL_CONNECTION_LOST',
  'ECONNREFUSED',
  'ECONNRESET',
  'ETIMEDOUT',
  'EPIPE',
  'ENOENT',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
];

function codeOf(thrown: unknown): unknown {
  return (thrown as { code?: unknown } | null)?.code;
}

/** True when the database could not be reached or went away. */
export function isConnectionLoss(thrown: unknown): boolean {
  const closed = thrown instanceof Error && /closed state|is not established/.test(thrown.message);
  return closed || LOSS_CODES.includes(codeOf(thrown));
}

/** True when a row with the same unique key is there already. */
export function isDuplicate(thrown: unknown): boolean {
  return codeOf(thrown) === 'ER_DUP_ENTRY';
}

/** Runs `work` in a transaction and runs it again when the database broke a deadlock. */
export async function inTransaction<T>(
  source: DataSource,
  work: (manager: EntityManager) => Promise<T>,
): Promise<T> {
  for (let attempt = 1; ; attempt += 1) {
    try {
      return await source.transaction(work);
    } catch (thrown) {
      if (attempt === TRIES || !LOCK_CODES.includes(codeOf(thrown))) throw thrown;
    }
  }
}
