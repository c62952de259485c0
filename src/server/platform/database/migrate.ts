import { QueryTypes, type Sequelize } from 'sequelize';
import type { UmzugStorage } from 'umzug';
import * as firstTables from './migrations/0001-first-tables';
import * as wordSetsAndSheets from './migrations/0002-word-sets-and-sheets';
import * as houseWordings from './migrations/0003-house-wordings';
import * as knownGoods from './migrations/0004-known-goods';
import * as houseListsAndContacted from './migrations/0005-house-lists-and-contacted';
import * as trialJobs from './migrations/0006-trial-jobs';
import * as comparing from './migrations/0007-comparing';
import * as notes from './migrations/0008-notes';
import * as certainAndPossible from './migrations/0009-certain-and-possible';
import * as leases from './migrations/0010-leases';
import * as changesTold from './migrations/0011-changes-told';
import * as verdictChanges from './migrations/0012-verdict-changes';
import * as demoBriefs from './migrations/0013-demo-briefs';
import * as sourceOrder from './migrations/0014-source-order';
import * as handDiary from './migrations/0015-hand-diary';
import * as connectedServices from './migrations/0016-connected-services';
import * as harvests from './migrations/0017-harvests';
import * as shortlists from './migrations/0018-shortlists';
import * as watches from './migrations/0019-watches';
import * as worldDay from './migrations/0020-world-day';
import * as peopleWatched from './migrations/0021-people-watched';
import * as keptBy from './migrations/0022-kept-by';
import * as watchesTold from './migrations/0023-watches-told';
import * as valueMeanings from './migrations/0024-value-meanings';
import * as slicesByHand from './migrations/0025-slices-by-hand';
import * as lexiconTold from './migrations/0026-lexicon-told';
import * as erasedOfTrials from './migrations/0027-erased-of-trials';
import * as checkedOfAddresses from './migrations/0028-checked-of-addresses';
import * as changeThresholds from './migrations/0029-change-thresholds';
import * as addressStates from './migrations/0030-address-states';
import * as foreignKeyIndexes from './migrations/0031-foreign-key-indexes';
import * as listed from './migrations/0032-listed';
import * as exportsTable from './migrations/0033-exports';
import { migrationLock } from './migration-lock';
import { Schema } from './schema';

/** All migrations, in the order in which they are made. */
export const migrations: readonly Migration[] = [
  firstTables,
  wordSetsAndSheets,
  houseWordings,
  knownGoods,
  houseListsAndContacted,
  trialJobs,
  comparing,
  notes,
  certainAndPossible,
  leases,
  changesTold,
  verdictChanges,
  demoBriefs,
  sourceOrder,
  handDiary,
  connectedServices,
  harvests,
  shortlists,
  watches,
  worldDay,
  peopleWatched,
  keptBy,
  watchesTold,
  valueMeanings,
  slicesByHand,
  lexiconTold,
  erasedOfTrials,
  checkedOfAddresses,
  changeThresholds,
  addressStates,
  foreignKeyIndexes,
  listed,
  exportsTable
];
interface Migration {
  name: string;
  up: (schema: Schema) => Promise<void>;
  /** Recognises from the schema itself that the migration ran, if it ran without being noted. */
  isDone: (schema: Schema) => Promise<boolean>;
}

/** Thrown when the database was made by a later release than this one. */
export class NewerSchema extends Error {}

/**
 * Brings the schema up to date; safe to run twice and from two processes. Migrations and the notes of them are one
 * transaction: a server killed in the middle leaves the schema as it was. `last` is the migration to stop at, for tests
 * of upgrades. Throws NewerSchema, and changes nothing, when the database holds migrations that this release does not know.
 */
export async function migrate(database: Sequelize, last = migrations.at(-1)!.name): Promise<void> {
  await database.transaction(async (transaction) => {
    const schema = new Schema(database, transaction);
    await schema.select(`SELECT pg_advisory_xact_lock(${migrationLock})`);
    await schema.query('CREATE TABLE IF NOT EXISTS migrations (name varchar(255) PRIMARY KEY)');
    const storage = notesIn(schema);
    const executed = await storage.executed({ context: {} });
    const known = new Set(migrations.map(({ name }) => name));
    const unknown = executed.filter((name) => !known.has(name));
    if (unknown.length)
      throw new NewerSchema(
        `This database was made by a newer Eave (it holds “${unknown[0]}”). Start that release, or point DATABASE_URL to another database.`
      );
    const noted = new Set(executed);
    for (const { name, isDone } of migrations)
      if (!noted.has(name) && (await isDone(schema))) {
        await storage.logMigration({ name, context: {} });
        noted.add(name);
      }
    const wanted = migrations.map(({ name }) => name).filter((name) => name <= last && !noted.has(name));
    if (!wanted.length) return;
    // It takes long to load, and most starts have nothing to make.
    const { Umzug } = await import('umzug');
    const umzug = new Umzug({
      migrations: migrations.map(({ name, up }) => ({ name, up: () => up(schema) })),
      storage,
      logger: undefined
    });
    await umzug.up({ migrations: wanted });
  });
}

/** Which migrations were made, noted in the transaction that makes them. */
const notesIn = (schema: Schema): UmzugStorage => ({
  logMigration: ({ name }) => schema.query('INSERT INTO migrations (name) VALUES ($name)', { name }),
  unlogMigration: ({ name }) => schema.query('DELETE FROM migrations WHERE name = $name', { name }),
  executed: async () =>
    (await schema.select<{ name: string }>('SELECT name FROM migrations ORDER BY name')).map(({ name }) => name)
});

/** Why nothing can begin on a database, in a sentence. */
export function startFault(error: unknown): string {
  const { message, parent } = error as Error & { parent?: Error };
  return error instanceof NewerSchema
    ? message
    : `Eave cannot use its database: ${message || parent?.message || String(error)}. Check that PostgreSQL runs and that DATABASE_URL names a database it lets you use.`;
}

/** Whether every migration of this release was made. */
export async function isMigrated(database: Sequelize): Promise<boolean> {
  const rows = await database.query<{ name: string }>('SELECT name FROM migrations', { type: QueryTypes.SELECT });
  const made = new Set(rows.map(({ name }) => name));
  return migrations.every(({ name }) => made.has(name));
}
