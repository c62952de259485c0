import type pg from 'pg';
import { database, noteSlow } from './connection';

/**
 * The rows of a statement that is run again and again: each connection reads and plans it once, which takes longer than
 * running it. `name` is that of this text alone; `values` are in it as $1, $2 and so on.
 */
export async function prepared<T>(name: string, text: string, values: readonly unknown[]): Promise<T[]> {
  const { connectionManager } = database();
  const connection = await connectionManager.getConnection({ type: 'read' });
  const began = performance.now();
  try {
    return (await (connection as pg.Client).query({ name, text, values: [...values] })).rows as T[];
  } finally {
    connectionManager.releaseConnection(connection);
    noteSlow(text, performance.now() - began);
  }
}
