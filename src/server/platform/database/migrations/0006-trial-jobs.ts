import type { Schema } from '../schema';

export const name = '0006-trial-jobs';

export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    ALTER TABLE trials
      ADD COLUMN state text NOT NULL DEFAULT 'done' CHECK (state IN ('waiting', 'running', 'done', 'stopped', 'failed')),
      ADD COLUMN sample_size integer NOT NULL DEFAULT 40,
      ADD COLUMN found jsonb NOT NULL DEFAULT '[]',
      ADD COLUMN duplicates integer NOT NULL DEFAULT 0,
      ADD COLUMN requests integer NOT NULL DEFAULT 0,
      ADD COLUMN events jsonb NOT NULL DEFAULT '[]',
      ADD COLUMN problem text NOT NULL DEFAULT '';

    CREATE TABLE trial_pages (
      trial_id uuid NOT NULL REFERENCES trials ON DELETE CASCADE,
      search integer NOT NULL,
      page integer NOT NULL,
      said integer NOT NULL,
      last boolean NOT NULL,
      people jsonb NOT NULL,
      PRIMARY KEY (trial_id, search, page)
    );

    ALTER TABLE sources ADD COLUMN faults jsonb;
    ALTER TABLE verdicts ADD COLUMN by text NOT NULL DEFAULT 'person' CHECK (by IN ('person', 'rule'));
  `);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('verdicts', 'by');
