import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureDependencies } from './lib/dependencies.mjs';
import { ensurePostgres } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { freshDatabases } from './lib/test-databases.mjs';

process.chdir(resolve(dirname(fileURLToPath(import.meta.url)), '..'));
await ensureDependencies();
const postgres = await ensurePostgres('eave_test');
let code;
try {
  const [url] = await freshDatabases(postgres.url, ['eave_bench']);
  ({ code } = await run('npx', ['tsx', '--expose-gc', 'bench/counting.ts'], {
    env: { ...process.env, DATABASE_URL: url }
  }));
} finally {
  await postgres.stop();
}
process.exit(code ?? 1);
