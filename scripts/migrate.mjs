import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureBuild } from './lib/build.mjs';
import { ensureDependencies } from './lib/dependencies.mjs';
import { withPostgres } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';

// npm run migrate      makes or upgrades the tables, and ends; a server does the same when it starts
process.chdir(resolve(dirname(fileURLToPath(import.meta.url)), '..'));
await ensureDependencies();
await ensureBuild();
await withPostgres('eave', async (url) => {
  const { code } = await run(process.execPath, ['build/migrate.js'], { env: { ...process.env, DATABASE_URL: url } });
  process.exitCode = code;
});
