import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** Builds the worker threads, which the page server starts by file name, beside the server itself. */
export default defineConfig({
  resolve: {
    alias: {
      $core: fileURLToPath(new URL('./src/core', import.meta.url)),
      $sources: fileURLToPath(new URL('./src/sources', import.meta.url))
    }
  },
  build: {
    ssr: true,
    rollupOptions: {
      input: ['people-worker', 'index-worker', 'file-index-worker'].map((name) => `src/server/workers/${name}.ts`)
    },
    outDir: 'build/workers',
    emptyOutDir: true,
    target: 'node20'
  }
});
