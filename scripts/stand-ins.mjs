import { existsSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureDependencies } from './lib/dependencies.mjs';
import { run } from './lib/run.mjs';

// npm run stand-ins      the stand-ins as services and as websites, in a process of their own (docs/connector.md)
process.chdir(resolve(dirname(fileURLToPath(import.meta.url)), '..'));
await ensureDependencies();
// Path aliases come from what SvelteKit writes.
if (!existsSync('.svelte-kit/tsconfig.json')) await run('npx', ['svelte-kit', 'sync'], { quiet: true });
const { code } = await run('npx', ['tsx', 'src/sources/served/main.ts', ...process.argv.slice(2)]);
process.exit(code);
