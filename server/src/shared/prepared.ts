import type { PoolConnection } from 'mysql2';
import type { DataSource } from 'typeorm';

/**
 * Asks what is asked again and again: a connection has the statement parsed once and sends only the values after that.
 * @param values none of them undefined
 * @returns the rows of a question, or what a change did
 */
export async function prepared<T>(
  source: DataSource,
  statement: string,
  values: readonly unknown[],
): Promise<T> {
  const runner = source.createQueryRunner();
  try {
    const connection = (await runner.connect()) as PoolConnection;
    return await new Promise<T>((resolve, reject) => {
      connection.execute(statement, [...values] as never, (error, answer) => {
        if (error) reject(error);
        else resolve(answer as T);
      });
    });
  } finally {
    await runner.release();
  }
}
