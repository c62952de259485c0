import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';
import { build, type Rolldown } from 'vite';
import { describe, expect, it } from 'vitest';

const path = (at: string) => fileURLToPath(new URL(`../${at}`, import.meta.url));
const alias = { $api: path('src/api'), $core: path('src/core'), $lib: path('src/lib') };

/** Bytes of a script with all it imports, as it goes over the wire. */
async function weightOf(script: string): Promise<number> {
  const entry = 'virtual:entry';
  const built = (await build({
    configFile: false,
    root: path('.'),
    logLevel: 'error',
    resolve: { alias },
    plugins: [
      {
        name: 'entry',
        resolveId: (id) => (id === entry ? path('src/entry.ts') : null),
        load: (id) => (id === path('src/entry.ts') ? script : null)
      }
    ],
    build: {
      write: false,
      target: 'es2022',
      modulePreload: { polyfill: false },
      rolldownOptions: { input: entry, preserveEntrySignatures: 'strict', output: { minify: true } }
    }
  })) as Rolldown.RolldownOutput;
  return built.output.reduce((sum, one) => sum + (one.type === 'chunk' ? gzipSync(one.code).length : 0), 0);
}

describe('the contract', () => {
  it('with what asks it is light enough for a browser', async () => {
    const script = `export { contract } from '$api'; export { call } from '$lib/api/call';`;
    expect(await weightOf(script)).toBeLessThan(40 * 1024);
  }, 60_000);

  it('costs a page its paths alone', async () => {
    const weight = await weightOf(`export { call } from '$lib/api/call';`);
    expect(weight).toBeGreaterThan(500);
    expect(weight).toBeLessThan(4 * 1024);
  }, 60_000);
});
