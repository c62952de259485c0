import { existsSync } from 'node:fs';
import { run } from './run.mjs';
import { say, stopWith } from './say.mjs';
import { hashOf, isStamped, stamp } from './stamp.mjs';

const stampFile = 'build/.eave-built';
const inputs = [
  'src',
  'static',
  'package-lock.json',
  'svelte.config.js',
  'vite.config.ts',
  'vite.workers.config.ts',
  'tsconfig.json'
];

/** Builds the application when its sources have changed since it was built. */
export async function ensureBuild() {
  const hash = hashOf(inputs);
  if (existsSync('build/index.js') && isStamped(stampFile, hash)) return;
  say('building (about half a minute)');
  const { code, output } = await run('npm', ['run', 'build', '--silent'], { quiet: true });
  if (code !== 0) stopWith(`The build failed:\n${output.trim().split('\n').slice(-30).join('\n')}`);
  stamp(stampFile, hash);
}
