import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { ensureBuild } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { withPostgres } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { say, stopWith } from './lib/say.mjs';
import { freshDatabases } from './lib/test-databases.mjs';
import { readyForTypeScript } from './lib/typescript.mjs';

// npm run bench              counting, comparing, strings, harvest, world and pages
// npm run bench -- harvest   planning slices, and lists of 100,000 people
// npm run bench -- shortlist  pages of a shortlist of 100,000 people
// npm run bench -- watches    a year of 50 watches: what they keep, and reading what is new
// npm run bench -- world      moving the stand-ins' world on, held to making it anew
// npm run bench -- pages     from asking for a page until it can be used
// npm run bench -- load      many people at once
// npm run bench -- load REF  the same, side by side with a release of before (a commit or a tag)
const [what, before] = process.argv.slice(2);
await readyForTypeScript();

/** A release of before, checked out and built beside this one. */
async function built(ref) {
  const folder = resolve('.data', 'bench', ref.replaceAll(/[^\w.-]/g, '_'));
  if (!existsSync(`${folder}/build/index.js`)) {
    say(`building ${ref} in ${folder}`);
    const steps = [
      ['git', ['worktree', 'add', '--force', '--detach', folder, ref], '.'],
      ['npm', ['ci', '--include=dev', '--ignore-scripts', '--no-audit', '--no-fund'], folder],
      ['npm', ['run', 'build', '--silent'], folder]
    ];
    for (const [command, args, cwd] of steps) {
      const { code, output } = await run(command, args, { quiet: true, cwd });
      if (code !== 0)
        stopWith(`${command} ${args.join(' ')} failed:\n${output.trim().split('\n').slice(-8).join('\n')}`);
    }
  }
  return folder;
}

async function load(url) {
  await ensureBuild();
  const folders = ['.', ...(before ? [await built(before)] : [])];
  const databases = await freshDatabases(
    url,
    folders.map((_, i) => `eave_load_${i}`)
  );
  const env = { ...process.env, LOAD_DATABASES: databases.join(',') };
  return (await run('npx', ['tsx', 'bench/load.ts', ...folders], { env })).code;
}

async function pages(url) {
  await ensureChromium();
  await ensureBuild();
  const [bench] = await freshDatabases(url, ['eave_bench_pages']);
  return (await run('npx', ['tsx', 'bench/pages.ts'], { env: { ...process.env, DATABASE_URL: bench } })).code;
}

/** A bench that fills a database of its own. */
const alone = (file) => async (url) => {
  const [bench] = await freshDatabases(url, ['eave_bench']);
  return (
    await run('npx', ['tsx', '--expose-gc', `bench/${file}.ts`], { env: { ...process.env, DATABASE_URL: bench } })
  ).code;
};

async function figures(url) {
  for (const file of ['counting', 'comparing', 'strings', 'harvest', 'world']) {
    const code = await alone(file)(url);
    if (code !== 0) return code;
  }
  return pages(url);
}

if (what === 'world') process.exit((await run('npx', ['tsx', 'bench/world.ts'])).code);
process.exit(
  await withPostgres(
    'eave_test',
    { load, pages, harvest: alone('harvest'), shortlist: alone('shortlist'), watches: alone('watches') }[what] ??
      figures
  )
);
