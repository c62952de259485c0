import type { Schema } from '../schema';
import { notifyOnChange } from '../notify-on-change';

export const name = '0015-hand-diary';

/** What was seen at places run by hand is a diary: entries by date, of which none takes another's place. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    CREATE TABLE hand_entries (
      id uuid PRIMARY KEY,
      version_id uuid NOT NULL REFERENCES versions ON DELETE CASCADE,
      source_id text NOT NULL REFERENCES sources ON DELETE CASCADE,
      search integer NOT NULL,
      seen_at timestamptz NOT NULL DEFAULT now(),
      said text NOT NULL DEFAULT '',
      count jsonb,
      page integer,
      rows jsonb NOT NULL DEFAULT '[]',
      taken_back boolean NOT NULL DEFAULT false,
      revision integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX hand_entries_of ON hand_entries (version_id, source_id);
    ${notifyOnChange('hand_entries', 'tell_briefs_by_version_id')}`);
  // The page that each of the people found stood on, where pages were read by hand.
  await schema.query('ALTER TABLE trials ADD COLUMN found_on jsonb');
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('trials', 'found_on');
