import type { Schema } from '../schema';

export const name = '0005-house-lists-and-contacted';

export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    ALTER TABLE documents
      DROP CONSTRAINT documents_kind_check,
      ADD CONSTRAINT documents_kind_check CHECK (kind IN ('persona', 'wording', 'draft', 'known', 'contacted'));
    INSERT INTO documents (brief_id, kind, body, created_at, updated_at)
      SELECT id, 'contacted', '[]', now(), now() FROM briefs ON CONFLICT DO NOTHING;

    CREATE TABLE house_lists (
      name text PRIMARY KEY CHECK (name IN ('regions', 'consent')),
      body jsonb NOT NULL,
      revision integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL,
      updated_at timestamptz NOT NULL
    );

    ALTER TABLE trials ADD COLUMN contacted integer NOT NULL DEFAULT 0;
  `);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('trials', 'contacted');
