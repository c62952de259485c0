import { closeDatabase, database } from './database/connection';
import { migrate, NewerSchema } from './database/migrate';

/** Makes or upgrades the tables and ends, for whoever wants that done before new servers take the place of old ones. */
try {
  await migrate(database());
  console.log('The database is up to date.');
} catch (error) {
  console.error(
    error instanceof NewerSchema
      ? error.message
      : `The database cannot be brought up to date: ${(error as Error).message}`
  );
  process.exitCode = 1;
} finally {
  await closeDatabase();
}
