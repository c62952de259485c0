import { closeDatabase, database } from '$server/platform/database/connection';
import { migrate, startFault } from '$server/platform/database/migrate';

/** Makes or upgrades the tables and ends, for anybody who wants that done before new servers take the place of old ones. */
try {
  await migrate(database());
  console.log('The database is up to date.');
} catch (error) {
  console.error(startFault(error));
  process.exitCode = 1;
} finally {
  await closeDatabase();
}
