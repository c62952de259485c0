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

/** Does some things in their order, two of them at a time. */
async function twoAtATime(works) {
  const left = [...works];
  const next = async () => {
    for (let work = left.shift(); work; work = left.shift()) await work();
  };
  await Promise.all([next(), next()]);
}

await ensureDependencies();
let passed = 0;
let failed = 0;
/** What failed, with why; said once more at the end, where it is looked for. */
const failures = [];
await withPostgres('eave_test', async (url) => {
  await ensureChromium();
  if (chosen.length) await ensureBuild();
  // What it writes is read by all that follows.
  else await run('npx', ['svelte-kit', 'sync'], { quiet: true });
  const [server, harvests, browser] = await freshDatabases(url, [
    'eave_test_server',
    'eave_test_harvests',
    'eave_test_browser'
  ]);

  mkdirSync('.data/test', { recursive: true });
  const env = { ...process.env, TEST_SERVER_DATABASE_URL: server, TEST_BROWSER_DATABASE_URL: browser };

  /** What is run beside something else is shown when it has ended, so that each can be read by itself. */
  const step = async (name, command, args, quiet, more = {}) => {
    say(quiet ? `${name}, beside` : name);
    const { code, output } = await run(command, args, { env: { ...env, ...more }, quiet });
    if (quiet) {
      say(`${name}:`);
      process.stdout.write(output);
    }
    return code;
  };
  const check = async (name, command, args) => {
    if ((await step(name, command, args, true)) === 0) passed++;
    else {
      failed++;
      failures.push(name);
    }
  };
  /** Runs Vitest; a file that cannot be loaded, or an error outside any test, fails it without failing a test. */
  const tests = async (name, args, quiet = false, more = {}) => {
    const report = `.data/test/report-${name.replaceAll(/\W+/g, '-')}.json`;
    rmSync(report, { force: true });
    const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${report}`];
    const code = await step(`tests: ${name}`, 'npx', ['vitest', 'run', ...reporters, ...args], quiet, more);
    const received = JSON.parse(readFileSync(report, 'utf8'));
    passed += received.numPassedTests;
    failed += received.numFailedTests || Number(code !== 0);
    for (const { name: file, message, assertionResults } of received.testResults) {
      if (message) failures.push(`${file}: ${message}`);
      for (const { status, fullName, failureMessages } of assertionResults)
        if (status === 'failed') failures.push(`${file}: ${fullName}\n${failureMessages.join('\n')}`);
    }
    if (code !== 0 && !received.numFailedTests) failures.push(`${name}: Vitest ended with ${code}`);
  };
  const projects = (...names) => names.flatMap((name) => ['--project', name]);
  const statics = [
    () => check('types', 'npx', ['svelte-check', '--tsconfig', './tsconfig.json', '--threshold', 'warning']),
    () => check('Prettier', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']),
    () => check('ESLint, with the import directions', 'npx', ['eslint', '.']),
    () => check('rooms of the core, and cycles', 'npx', ['depcruise', '--config', '.dependency-cruiser.cjs', 'src']),
    () => check('what nobody uses', 'npx', ['knip', '--no-progress'])
  ];
  // What answers within a time is measured by itself.
  const timed = 'tests/stress/hostile-strings.test.ts';

  if (chosen.length) await tests('chosen', chosen);
  else {
    await twoAtATime([() => tests('core and interface', projects('core', 'interface')), ensureBuild, ...statics]);
    // Lanes of about the same length, each with a database and a folder of its own.
    const part = 'src/server/features/harvest';
    await twoAtATime([
      () => tests('server', [...projects('server'), '--exclude', `${part}/**`], true),
      () => tests('browser', projects('browser'), true),
      () => tests('stress tests', [...projects('stress'), '--exclude', timed], true),
      () =>
        tests('server: harvests', [...projects('server'), part], true, {
          TEST_SERVER_DATABASE_URL: harvests,
          TEST_DATA: '.data/test-harvests'
        })
    ]);
    await tests('hostile strings', [...projects('stress'), timed]);
    await tests('linear time', projects('linear'));
  }
});
for (const failure of failures) console.log(`\nfailed: ${failure}`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
