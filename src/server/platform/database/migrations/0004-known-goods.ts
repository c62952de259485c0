import type { Schema } from '../schema';

export const name = '0004-known-goods';

export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    ALTER TABLE documents
      DROP CONSTRAINT documents_kind_check,
      ADD CONSTRAINT documents_kind_check CHECK (kind IN ('persona', 'wording', 'draft', 'known'));
    INSERT INTO documents (brief_id, kind, body, created_at, updated_at)
      SELECT id, 'known', '[]', now(), now() FROM briefs ON CONFLICT DO NOTHING;
  `);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.checks('documents_kind_check', 'known');
