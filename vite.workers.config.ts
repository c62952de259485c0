import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const source = (path: string) => fileURLToPath(new URL(path, import.meta.url));

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
        index: source('./src/server/serve.ts'),
        migrate: source('./src/server/migrate-only.ts'),
        ...Object.fromEntries(
          [
            'people-worker',
            'index-worker',
            'world-worker',
            'file-index-worker',
            'import-worker',
            'import-values-worker',
            'brief-worker',
            'workbook-process',
            'service-answer-worker',
            'harvest-worker',
            'harvest-file-worker',
            'shortlist-keep-worker',
            'shortlist-file-worker'
          ].map((name) => [`workers/${name}`, source(`./src/server/workers/${name}.ts`)])
        )
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
