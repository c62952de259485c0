import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureBuild } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { ensureDependencies } from './lib/dependencies.mjs';
import { withPostgres } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { say } from './lib/say.mjs';
import { freshDatabases } from './lib/test-databases.mjs';

// npm test              everything: lint, types, unit, server and browser tests
// npm test -- --project core      what Vitest is given; no lint and no types
process.chdir(resolve(dirname(fileURLToPath(import.meta.url)), '..'));
const chosen = process.argv.slice(2);

await ensureDependencies();
let passed = 0;
let failed = 0;
await withPostgres('eave_test', async (url) => {
  await ensureChromium();
  await ensureBuild();
  const [server, browser] = await freshDatabases(url, ['eave_test_server', 'eave_test_browser']);

  const check = async (name, command, args) => {
    say(name);
    const { code } = await run(command, args);
    if (code === 0) passed++;
    else failed++;
  };
  if (!chosen.length) {
    await check('ESLint, with the import directions', 'npx', ['eslint', '.']);
    await check('Prettier', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
    await check('types', 'npx', ['svelte-check', '--tsconfig', './tsconfig.json', '--threshold', 'warning']);
  }
  say('tests');
  mkdirSync('.data/test', { recursive: true });
  const report = '.data/test/report.json';
  rmSync(report, { force: true });
  const { code } = await run(
    'npx',
    ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${report}`, ...chosen],
    {
      env: { ...process.env, TEST_SERVER_DATABASE_URL: server, TEST_BROWSER_DATABASE_URL: browser }
    }
  );
  const told = JSON.parse(readFileSync(report, 'utf8'));
  passed += told.numPassedTests;
  failed += told.numFailedTests;
  // A file that cannot be loaded, or an error outside any test, fails the run without failing a test.
  if (code !== 0 && told.numFailedTests === 0) failed++;
});
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
