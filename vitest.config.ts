import { fileURLToPath } from 'node:url';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vitest/config';

const path = (folder: string) => fileURLToPath(new URL(folder, import.meta.url));
const resolve = {
  alias: {
    $api: path('./src/api'),
    $core: path('./src/core'),
    $sources: path('./src/sources'),
    $server: path('./src/server')
  }
};

export default defineConfig({
  test: {
    // npm run coverage. What runs in threads of its own is not seen, and neither is what the browser tests walk through.
    coverage: {
      provider: 'v8',
      include: ['src/core/**/*.ts', 'src/sources/**/*.ts', 'src/server/**/*.ts', 'src/lib/**/*.ts'],
      reporter: ['text-summary', 'html'],
      reportsDirectory: '.data/coverage',
      reportOnFailure: true,
      thresholds: {
        'src/core/**': { lines: 95, branches: 85 },
        'src/sources/**': { lines: 75, branches: 65 },
        'src/server/**': { lines: 72, branches: 60 },
        'src/lib/**': { lines: 40, branches: 40 }
      }
    },
    projects: [
      {
        resolve,
        test: {
          name: 'core',
          include: ['src/core/**/*.test.ts', 'src/sources/**/*.test.ts', 'tests/*.test.ts'],
          // Nothing there is kept between tests but what is read of data files, which is read once so.
          isolate: false,
          testTimeout: 60_000,
          // Making a world takes several seconds where other tests run beside.
          hookTimeout: 60_000
        }
      },
      {
        resolve: { ...resolve, alias: { ...resolve.alias, $lib: path('./src/lib') }, conditions: ['browser'] },
        plugins: [svelte({ configFile: false })],
        test: { name: 'interface', include: ['src/lib/**/*.test.ts'] }
      },
      {
        resolve,
        test: {
          name: 'server',
          include: ['src/server/**/*.test.ts'],
          isolate: false,
          env: {
            DATABASE_URL: process.env.TEST_SERVER_DATABASE_URL ?? '',
            EAVE_DATA: process.env.TEST_DATA ?? '.data/test',
            EAVE_WORLD_PEOPLE: '6000',
            EAVE_FAULTS: 'none',
            EAVE_PRIVATE_SERVICES: 'yes',
            EAVE_SERVICE_SECONDS: '1'
          },
          fileParallelism: false,
          testTimeout: 60_000,
          hookTimeout: 60_000
        }
      },
      {
        resolve,
        test: { name: 'linear', include: ['tests/linear/*.test.ts'], fileParallelism: false, testTimeout: 120_000 }
      },
      {
        test: {
          name: 'stress',
          include: ['tests/stress/**/*.test.ts'],
          globalSetup: ['tests/stress/databases.ts'],
          fileParallelism: false,
          testTimeout: 180_000,
          hookTimeout: 120_000
        }
      },
      {
        test: {
          name: 'browser',
          include: ['tests/browser/**/*.test.ts'],
          globalSetup: ['tests/browser/built-application.ts'],
          fileParallelism: false,
          // A page may answer slowly while other lanes use the cores.
          expect: { poll: { timeout: 20_000 } },
          testTimeout: 90_000,
          hookTimeout: 90_000
        }
      }
    ]
  }
});
