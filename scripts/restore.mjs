import { existsSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureDependencies } from './lib/dependencies.mjs';
import { databaseTool } from './lib/database-tools.mjs';
import { withPostgres } from './lib/postgres.mjs';
import { say, stopWith } from './lib/say.mjs';

// npm run restore -- FILE             into an empty database
// npm run restore -- FILE --replace   in place of what is there, which goes
const called = process.cwd();
process.chdir(resolve(dirname(fileURLToPath(import.meta.url)), '..'));
const [name, ...flags] = process.argv.slice(2);
if (!name) stopWith('Name the backup to bring back: npm run restore -- FILE');
const file = resolve(called, name);
if (!existsSync(file)) stopWith(`There is no file ${file}. npm run backup says where it keeps them.`);

/**
 * Whether another program works on the database. PostgreSQL's own workers are none (it clears up after rows were written), and
 * who has just gone is seen for a moment longer.
 */
async function isWorkedOn(client) {
  for (let look = 0; look < 10; look++) {
    const { rows } = await client.query(
      `SELECT 1 FROM pg_stat_activity
       WHERE datname = current_database() AND pid <> pg_backend_pid() AND backend_type = 'client backend'`
    );
    if (!rows.length) return false;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  return true;
}

/** Takes away all that Eave keeps in a database; refused while somebody works on it. */
async function clear(client) {
  if (await isWorkedOn(client)) throw new Error('Eave, or another program, works on this database. Stop it first.');
  await client.query(
    'DROP SCHEMA IF EXISTS graphile_worker CASCADE; DROP SCHEMA public CASCADE; CREATE SCHEMA public;'
  );
}

await ensureDependencies();
await withPostgres('eave', async (url) => {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rows } = await client.query(
      `SELECT 1 FROM pg_tables WHERE schemaname IN ('public', 'graphile_worker') LIMIT 1`
    );
    if (rows.length && !flags.includes('--replace'))
      throw new Error(
        'The database is not empty. Make a backup of it, then bring this one back in its place with --replace.'
      );
    if (rows.length) await clear(client);
  } finally {
    await client.end();
  }
  // All or nothing: a file that is broken leaves an empty database.
  const { code, output } = await databaseTool('pg_restore', url, [
    '--no-owner',
    '--no-privileges',
    '--exit-on-error',
    '--single-transaction',
    '--dbname',
    decodeURIComponent(new URL(url).pathname.slice(1)),
    file
  ]);
  if (code !== 0) throw new Error(`The backup could not be brought back:\n${output.trim()}`);
}).catch((error) => stopWith(error.message));
say('brought back; npm start makes what a newer Eave needs besides');
