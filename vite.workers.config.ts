import { readdirSync } from 'node:fs';
import { basename } from 'node:path';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const source = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Every thread and child process, by the name of its file, beside the feature it works for. */
const threads = Object.fromEntries(
  readdirSync(source('./src/server'), { recursive: true, encoding: 'utf8' })
    .filter((file) => /-(worker|process)\.ts$/.test(file))
    .map((file) => [`workers/${basename(file, '.ts')}`, source(`./src/server/${file}`)])
);

/**
 * Builds what is started by file name beside SvelteKit's server: the entry that listens, in place of the adapter's own,
 * the one that only migrates, and the worker threads.
 */
export default defineConfig({
  resolve: {
    alias: {
      $api: source('./src/api'),
      $core: source('./src/core'),
      $sources: source('./src/sources'),
      $server: source('./src/server')
    }
  },
  // Packages of many small files, of which little is used: a thread begins sooner where they are part of its file.
  ssr: {
    noExternal: [
      'zod',
      'libphonenumber-js',
      'stopword',
      'snowball-stemmers',
      'lru-cache',
      'iso-3166-1',
      'csv-parse',
      'csv-stringify',
      'ical.js',
      '@noble/hashes',
      'p-retry'
    ]
  },
  build: {
    ssr: true,
    rollupOptions: {
      input: {
        index: source('./src/server/app/serve.ts'),
        migrate: source('./src/server/app/migrate-only.ts'),
        ...threads
      },
      output: { entryFileNames: '[name].js', chunkFileNames: 'workers/chunks/[name]-[hash].js' }
    },
    outDir: 'build',
    emptyOutDir: false,
    target: 'node20',
    // A thread reads its code anew each time it begins.
    minify: true
  }
});
