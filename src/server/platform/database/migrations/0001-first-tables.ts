import type { Schema } from '../schema';

export const name = '0001-first-tables';

export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    CREATE TABLE briefs (
      id uuid PRIMARY KEY,
      persona_id uuid NOT NULL UNIQUE,
      name text NOT NULL,
      archived_at timestamptz,
      revision integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL,
      updated_at timestamptz NOT NULL
    );
    CREATE TABLE documents (
      brief_id uuid NOT NULL REFERENCES briefs ON DELETE CASCADE,
      kind text NOT NULL CHECK (kind IN ('persona', 'wording', 'draft')),
      body jsonb NOT NULL,
      revision integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL,
      updated_at timestamptz NOT NULL,
      PRIMARY KEY (brief_id, kind)
    );
    CREATE TABLE versions (
      id uuid PRIMARY KEY,
      brief_id uuid NOT NULL REFERENCES briefs ON DELETE CASCADE,
      number integer NOT NULL,
      text text NOT NULL,
      note text NOT NULL DEFAULT '',
      created_at timestamptz NOT NULL,
      UNIQUE (brief_id, number)
    );
    CREATE TABLE sources (
      id text PRIMARY KEY,
      kind text NOT NULL CHECK (kind IN ('stand-in', 'file')),
      name text NOT NULL,
      sheet jsonb NOT NULL,
      people integer,
      created_at timestamptz NOT NULL
    );
    CREATE TABLE source_people (
      source_id text NOT NULL REFERENCES sources ON DELETE CASCADE,
      ordinal integer NOT NULL,
      person jsonb NOT NULL,
      PRIMARY KEY (source_id, ordinal)
    );
    CREATE TABLE imports (
      id uuid PRIMARY KEY,
      file_name text NOT NULL,
      bytes bigint NOT NULL,
      reading jsonb NOT NULL,
      state text NOT NULL CHECK (state IN ('ready', 'running', 'done', 'refused', 'stopped')),
      outcome jsonb,
      source_id text REFERENCES sources ON DELETE SET NULL,
      created_at timestamptz NOT NULL,
      updated_at timestamptz NOT NULL
    );
    CREATE TABLE trials (
      id uuid PRIMARY KEY,
      version_id uuid NOT NULL REFERENCES versions ON DELETE CASCADE,
      source_id text NOT NULL REFERENCES sources ON DELETE CASCADE,
      seed text NOT NULL,
      rendering jsonb NOT NULL,
      answers jsonb NOT NULL,
      count_low integer NOT NULL,
      count_high integer NOT NULL,
      shown integer NOT NULL,
      filtered integer NOT NULL,
      created_at timestamptz NOT NULL
    );
    CREATE INDEX trials_by_version ON trials (version_id, source_id, created_at DESC);
    CREATE TABLE trial_people (
      trial_id uuid NOT NULL REFERENCES trials ON DELETE CASCADE,
      rank integer NOT NULL,
      person_id text NOT NULL,
      person jsonb NOT NULL,
      PRIMARY KEY (trial_id, rank)
    );
    CREATE TABLE verdicts (
      persona_id uuid NOT NULL REFERENCES briefs (persona_id) ON DELETE CASCADE,
      source_id text NOT NULL REFERENCES sources ON DELETE CASCADE,
      person_id text NOT NULL,
      verdict text NOT NULL CHECK (verdict IN ('fit', 'miss', 'unsure')),
      reason text NOT NULL DEFAULT '',
      revision integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL,
      updated_at timestamptz NOT NULL,
      PRIMARY KEY (persona_id, source_id, person_id)
    );
  `);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('verdicts');
