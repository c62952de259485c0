import { existsSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureDependencies } from './dependencies.mjs';
import { run } from './run.mjs';

/** Goes to the project's folder and has there what a TypeScript file of it needs to run: dependencies, and the path aliases that SvelteKit writes. */
export async function readyForTypeScript() {
  process.chdir(resolve(dirname(fileURLToPath(import.meta.url)), '../..'));
  await ensureDependencies();
  if (!existsSync('.svelte-kit/tsconfig.json')) await run('npx', ['svelte-kit', 'sync'], { quiet: true });
}

/** Runs a TypeScript file with what was given on the command line, and ends as it does. */
export async function runFile(file) {
  await readyForTypeScript();
  const { code } = await run('npx', ['tsx', file, ...process.argv.slice(2)]);
  process.exit(code);
}
