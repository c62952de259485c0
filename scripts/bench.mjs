import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureDependencies } from './lib/dependencies.mjs';
import { withPostgres } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { freshDatabases } from './lib/test-databases.mjs';

process.chdir(resolve(dirname(fileURLToPath(import.meta.url)), '..'));
await ensureDependencies();
const code = await withPostgres('eave_test', async (url) => {
  const [bench] = await freshDatabases(url, ['eave_bench']);
  const counting = await run('npx', ['tsx', '--expose-gc', 'bench/counting.ts'], {
    env: { ...process.env, DATABASE_URL: bench }
  });
  if (counting.code !== 0) return counting.code;
  const comparing = await run('npx', ['tsx', 'bench/comparing.ts'], { env: { ...process.env, DATABASE_URL: bench } });
  if (comparing.code !== 0) return comparing.code;
  return (await run('npx', ['tsx', 'bench/strings.ts'])).code;
});
process.exit(code);
