import type { Schema } from '../schema';

export const name = '0031-foreign-key-indexes';

/** Foreign keys that had no index: table and columns. Deleting the row they point at read the whole table. */
const unindexed = [
  ['hand_entries', 'source_id'],
  ['harvest_slices', 'parent'],
  ['harvest_sources', 'source_id'],
  ['harvest_sources', 'version_id'],
  ['harvests', 'watch_id'],
  ['imports', 'source_id'],
  ['judgements', 'source_id'],
  ['mail_runs', 'shortlist_id'],
  ['notes', 'source_id'],
  ['same_person', 'second_source'],
  ['takings', 'shortlist_id'],
  ['trials', 'source_id'],
  ['verdicts', 'source_id'],
  ['watch_runs', 'harvest_id'],
  ['watch_sources', 'source_id'],
  ['watch_sources', 'version_id'],
  ['watches', 'shortlist_id']
] as const;

export async function up(schema: Schema): Promise<void> {
  for (const [table, column] of unindexed)
    await schema.query(`CREATE INDEX IF NOT EXISTS ${table}_${column}_key ON ${table} (${column})`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.hasIndex('watches_shortlist_id_key');
