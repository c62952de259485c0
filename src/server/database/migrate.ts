import { QueryTypes, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import * as firstTables from './migrations/0001-first-tables';
import * as houseWordings from './migrations/0003-house-wordings';
import * as knownGoods from './migrations/0004-known-goods';
import * as houseListsAndContacted from './migrations/0005-house-lists-and-contacted';
import * as trialJobs from './migrations/0006-trial-jobs';
import * as comparing from './migrations/0007-comparing';
import * as notes from './migrations/0008-notes';
import * as certainAndPossible from './migrations/0009-certain-and-possible';
import * as wordSetsAndSheets from './migrations/0002-word-sets-and-sheets';

const migrations = [
  firstTables,
  wordSetsAndSheets,
  houseWordings,
  knownGoods,
  houseListsAndContacted,
  trialJobs,
  comparing,
  notes,
  certainAndPossible
];

/** Any number: names the lock that keeps two servers from migrating at once. */
const migrationLock = 7_203_441;

/** Told when the database was made by a later release than this one. */
export class NewerSchema extends Error {}

/**
 * Brings the schema up to date; safe to run twice and from two processes. Throws NewerSchema, and changes nothing,
 * when the database holds migrations that this release does not know.
 */
export async function migrate(database: Sequelize): Promise<void> {
  await database.transaction(async (transaction) => {
    await database.query(`SELECT pg_advisory_xact_lock(${migrationLock})`, { type: QueryTypes.SELECT, transaction });
    const storage = new SequelizeStorage({ sequelize: database, tableName: 'migrations' });
    const umzug = new Umzug({
      migrations: migrations.map(({ name, up }) => ({ name, up: () => up(database) })),
      storage,
      logger: undefined
    });
    const known = new Set<string>(migrations.map(({ name }) => name));
    const unknown = (await storage.executed()).filter((name) => !known.has(name));
    if (unknown.length)
      throw new NewerSchema(
        `This database was made by a newer Eave (it holds “${unknown[0]}”). Start that release, or point DATABASE_URL to another database.`
      );
    await umzug.up();
  });
}
