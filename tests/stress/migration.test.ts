import { describe, expect, it } from 'vitest';
import { spawn } from 'node:child_process';
import { ask, freshDatabase, pause, query, useServers } from './harness';
import { seededRandom } from '../../src/core/measure/random';

const start = useServers('test-migration', 1000);

describe('a first start that is killed while it makes its tables', () => {
  it('starts the next time, after 20 kills', async () => {
    const random = seededRandom('migration');
    let cutShort = 0;
    for (let database = 0; database < 4; database++) {
      const databaseUrl = await freshDatabase('eave_migration');
      for (let kill = 0; kill < 5; kill++) {
        // The server itself the first time; then what it calls to migrate, which begins sooner.
        const server = spawn(process.execPath, [kill ? 'build/migrate.js' : 'build/index.js'], {
          stdio: 'ignore',
          env: {
            ...process.env,
            PORT: '0',
            DATABASE_URL: databaseUrl,
            EAVE_DATA: '.data/test-migration',
            EAVE_WORLD_PEOPLE: '1000',
            EAVE_THREADS: '2',
            EAVE_LOG: 'none'
          }
        });
        // Killed soon after it has begun to speak to PostgreSQL.
        const speaks = `SELECT 1 FROM pg_stat_activity WHERE datname = 'eave_migration' AND application_name = 'eave'`;
        while (!(await query(databaseUrl, speaks)).length && server.exitCode === null) await pause(5);
        await pause(random() * 120);
        server.kill('SIGKILL');
        await pause(100);
        if (!(await query(databaseUrl, `SELECT 1 FROM pg_tables WHERE tablename = 'notes'`)).length) cutShort++;
      }
      const { address, stop } = await start(databaseUrl);
      expect((await ask(address, 'GET', '/briefs')).status, `database ${database}`).toBe(200);
      stop();
    }
    // Some of the kills came in the middle.
    expect(cutShort).toBeGreaterThan(0);
  }, 300_000);
});
