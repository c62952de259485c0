import type { Schema } from '../schema';

export const name = '0002-word-sets-and-sheets';

export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    CREATE TABLE word_sets (
      name text PRIMARY KEY,
      kind text NOT NULL CHECK (kind IN ('wanted', 'unwanted')),
      wordings jsonb NOT NULL,
      note text NOT NULL DEFAULT '',
      revision integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL,
      updated_at timestamptz NOT NULL
    );
    ALTER TABLE versions
      ADD COLUMN name text NOT NULL DEFAULT '',
      ADD COLUMN parent integer,
      ADD COLUMN sets jsonb NOT NULL DEFAULT '[]';
    ALTER TABLE sources
      DROP CONSTRAINT sources_kind_check,
      ADD CONSTRAINT sources_kind_check CHECK (kind IN ('stand-in', 'file', 'by-hand')),
      ADD COLUMN revision integer NOT NULL DEFAULT 1;
  `);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('sources', 'revision');
