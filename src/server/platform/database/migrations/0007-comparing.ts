import type { Schema } from '../schema';

export const name = '0007-comparing';

export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    ALTER TABLE documents
      DROP CONSTRAINT documents_kind_check,
      ADD CONSTRAINT documents_kind_check CHECK (kind IN ('persona', 'wording', 'draft', 'known', 'contacted', 'choice'));
    INSERT INTO documents (brief_id, kind, body, created_at, updated_at)
      SELECT id, 'choice', '{"baseline": null, "winners": []}', now(), now() FROM briefs ON CONFLICT DO NOTHING;

    CREATE TABLE judgements (
      persona_id uuid NOT NULL REFERENCES briefs (persona_id) ON DELETE CASCADE,
      source_id text NOT NULL REFERENCES sources ON DELETE CASCADE,
      person_id text NOT NULL,
      judge text NOT NULL,
      verdict text NOT NULL CHECK (verdict IN ('fit', 'miss', 'unsure')),
      reason text NOT NULL DEFAULT '',
      revision integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL,
      updated_at timestamptz NOT NULL,
      PRIMARY KEY (persona_id, source_id, person_id, judge)
    );

    CREATE TABLE same_person (
      first_source text NOT NULL REFERENCES sources ON DELETE CASCADE,
      first_person text NOT NULL,
      second_source text NOT NULL REFERENCES sources ON DELETE CASCADE,
      second_person text NOT NULL,
      same boolean NOT NULL,
      created_at timestamptz NOT NULL,
      updated_at timestamptz NOT NULL,
      PRIMARY KEY (first_source, first_person, second_source, second_person)
    );
  `);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('same_person');
