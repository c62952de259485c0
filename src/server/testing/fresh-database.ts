import { afterAll, beforeAll } from 'vitest';
import { closeDatabase, database } from '$server/platform/database/connection';
import { startJobs, stopJobs } from '../app/jobs';
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
    await stopJobs();
    await Promise.all([closeDatabase(), closeThreads()]);
  });
}
