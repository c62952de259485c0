import { chmodSync, mkdirSync, statSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { databaseTool } from './lib/database-tools.mjs';
import { withPostgres } from './lib/postgres.mjs';
import { say, stopWith } from './lib/say.mjs';

// npm run backup                  into .data/backups, by the hour
// npm run backup -- FILE          into a file
// It may be done while Eave runs: PostgreSQL tells one moment's state.
const called = process.cwd();
process.chdir(resolve(dirname(fileURLToPath(import.meta.url)), '..'));
process.umask(0o077);
const stamp = new Date().toISOString().slice(0, 19).replaceAll(':', '-');
const file = process.argv[2] ? resolve(called, process.argv[2]) : resolve('.data', 'backups', `eave-${stamp}.dump`);

await withPostgres('eave', async (url) => {
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const { code, output } = await databaseTool('pg_dump', url, [
    '--format=custom',
    '--no-owner',
    '--no-privileges',
    `--file=${file}`
  ]);
  if (code !== 0) throw new Error(`The backup failed:\n${output.trim()}`);
  chmodSync(file, 0o600);
}).catch((error) => stopWith(error.message));
say(
  `kept in ${file} (${Math.ceil(statSync(file).size / 1024).toLocaleString('en')} KiB); npm run restore -- FILE brings it back`
);
