import type pg from 'pg';
import { Sequelize } from 'sequelize';
import { environment } from '../environment';
import { log } from '../log';

let open: Sequelize | undefined;

/** What a slow statement did and to which tables; its values, which may be a person's, are left out. */
function shapeOf(sql: string): { verb: string; tables: string[] } {
  const statement = sql.replace(/^Executed \([^)]*\): /, '');
  const tables = [...statement.matchAll(/\b(?:FROM|INTO|UPDATE|JOIN)\s+"?([a-z_.]+)"?/gi)].map(([, table]) => table!);
  return { verb: /^\s*(\w+)/.exec(statement)?.[1]?.toUpperCase() ?? '', tables: [...new Set(tables)] };
}

/** Notes a statement that took long. */
export function noteSlow(sql: string, ms: number | undefined): void {
  if (ms !== undefined && ms >= environment().slowQuery) log().warn({ ms, ...shapeOf(sql) }, 'slow query');
}

/** The one connection pool of this process. */
export function database(): Sequelize {
  const { databaseUrl } = environment();
  open ??= new Sequelize(databaseUrl, {
    dialect: 'postgres',
    benchmark: true,
    logging: noteSlow,
    pool: { max: 12, idle: 10_000, acquire: 10_000 },
    dialectOptions: { connectionTimeoutMillis: 5_000, application_name: 'eave' },
    hooks: {
      // Compiling a statement takes a second and saves milliseconds: PostgreSQL overrates tables that it has not yet analysed.
      afterConnect: async (connection) => void (await (connection as pg.Client).query('SET jit = off'))
    }
  });
  return open;
}

export async function closeDatabase(): Promise<void> {
  const closing = open;
  open = undefined;
  await closing?.close();
}
