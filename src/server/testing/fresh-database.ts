import { afterAll, beforeAll } from 'vitest';
import { closeDatabase, database } from '$server/platform/database/connection';
import { startJobs } from '../app/jobs';
import { stopQueue } from '$server/platform/jobs/queue';
import { migrate } from '$server/platform/database/migrate';
import { closeThreads } from '../workers/people';

/** Gives a test file the real PostgreSQL with an empty, migrated schema. */
export function useFreshDatabase(): void {
  beforeAll(async () => {
    await database().query(
      'DROP SCHEMA public CASCADE; DROP SCHEMA IF EXISTS graphile_worker CASCADE; CREATE SCHEMA public;'
    );
    await migrate(database());
    await startJobs();
  });
  afterAll(async () => {
    await stopQueue();
    await Promise.all([closeDatabase(), closeThreads()]);
  });
}
