import type { Schema } from '../schema';
import { briefTeller, notifyOnChange } from '../notify-on-change';

export const name = '0018-shortlists';

/**
 * People kept, with what is known, written and said of them; what was done, so that it can be undone; checks of mail
 * addresses; what was taken along; and keyed hashes of people who objected.
 */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    CREATE TABLE shortlists (
      id uuid PRIMARY KEY,
      brief_id uuid NOT NULL REFERENCES briefs ON DELETE CASCADE,
      name text NOT NULL,
      purpose text NOT NULL DEFAULT '',
      columns jsonb NOT NULL DEFAULT '[]',
      views jsonb NOT NULL DEFAULT '[]',
      tags jsonb NOT NULL DEFAULT '[]',
      firms jsonb NOT NULL DEFAULT '{"customers":[],"competitors":[],"own":[]}',
      consent boolean NOT NULL DEFAULT true,
      taken_counts boolean NOT NULL DEFAULT true,
      -- By which lists it was worked out last who is left out.
      reckoned text NOT NULL DEFAULT '',
      next_number integer NOT NULL DEFAULT 0,
      revision integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL DEFAULT now(),
      updated_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX shortlists_of ON shortlists (brief_id);
    CREATE TABLE shortlist_people (
      shortlist_id uuid NOT NULL REFERENCES shortlists ON DELETE CASCADE,
      number integer NOT NULL,
      records jsonb NOT NULL,
      keys text[] NOT NULL,
      choice jsonb NOT NULL DEFAULT '{}',
      name text NOT NULL,
      title text NOT NULL DEFAULT '',
      company text NOT NULL DEFAULT '',
      country text NOT NULL DEFAULT '',
      place text NOT NULL DEFAULT '',
      mail text NOT NULL DEFAULT '',
      -- What is wrong with the address, told without asking anybody.
      mail_fault text NOT NULL DEFAULT '',
      phone text NOT NULL DEFAULT '',
      page text NOT NULL DEFAULT '',
      industry text NOT NULL DEFAULT '',
      headcount integer,
      greeting text NOT NULL DEFAULT '',
      firm_said text NOT NULL DEFAULT '',
      tidy_title text NOT NULL DEFAULT '',
      -- What of these three was written by hand.
      written jsonb NOT NULL DEFAULT '{}',
      own jsonb NOT NULL DEFAULT '{}',
      tags text[] NOT NULL DEFAULT '{}',
      priority smallint,
      next_step text NOT NULL DEFAULT '',
      next_on date,
      note text NOT NULL DEFAULT '',
      likelihood double precision,
      kept_from text NOT NULL,
      kept_why text NOT NULL DEFAULT '',
      kept_at timestamptz NOT NULL DEFAULT now(),
      held_out boolean NOT NULL DEFAULT false,
      held_why text NOT NULL DEFAULT '',
      left_out text[] NOT NULL DEFAULT '{}',
      taken_at timestamptz,
      revision integer NOT NULL DEFAULT 1,
      PRIMARY KEY (shortlist_id, number)
    );
    CREATE INDEX shortlist_people_keys ON shortlist_people USING gin (keys);
    CREATE INDEX shortlist_people_mail ON shortlist_people (shortlist_id, mail);
    CREATE TABLE shortlist_records (
      shortlist_id uuid NOT NULL,
      source_id text NOT NULL,
      person_id text NOT NULL,
      number integer NOT NULL,
      PRIMARY KEY (shortlist_id, source_id, person_id),
      FOREIGN KEY (shortlist_id, number) REFERENCES shortlist_people ON DELETE CASCADE
    );
    CREATE INDEX shortlist_records_of ON shortlist_records (shortlist_id, number);
    CREATE TABLE shortlist_steps (
      id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
      shortlist_id uuid NOT NULL REFERENCES shortlists ON DELETE CASCADE,
      at timestamptz NOT NULL DEFAULT now(),
      what text NOT NULL,
      -- People who came by it, and those whom it changed or took off, as they were.
      came integer[] NOT NULL DEFAULT '{}',
      before jsonb NOT NULL DEFAULT '[]',
      -- Records of which it was said that they are one person's, or are not.
      said jsonb NOT NULL DEFAULT '[]'
    );
    CREATE INDEX shortlist_steps_of ON shortlist_steps (shortlist_id, id);
    CREATE TABLE shortlist_pairs (
      shortlist_id uuid NOT NULL REFERENCES shortlists ON DELETE CASCADE,
      a text NOT NULL,
      b text NOT NULL,
      same boolean NOT NULL,
      at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (shortlist_id, a, b)
    );
    CREATE TABLE takings (
      id uuid PRIMARY KEY,
      shortlist_id uuid NOT NULL REFERENCES shortlists ON DELETE CASCADE,
      at timestamptz NOT NULL DEFAULT now(),
      form text NOT NULL,
      people integer NOT NULL,
      what text NOT NULL DEFAULT ''
    );
    CREATE TABLE mail_checks (
      address text PRIMARY KEY,
      state text NOT NULL CHECK (state IN ('valid', 'risky', 'invalid', 'unknown')),
      why text NOT NULL DEFAULT '',
      price double precision NOT NULL DEFAULT 0,
      checked_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX mail_checks_at ON mail_checks (checked_at);
    CREATE TABLE mail_runs (
      id uuid PRIMARY KEY,
      shortlist_id uuid NOT NULL REFERENCES shortlists ON DELETE CASCADE,
      state text NOT NULL CHECK (state IN ('waiting', 'running', 'paused', 'done', 'failed')),
      problem text NOT NULL DEFAULT '',
      addresses integer NOT NULL,
      checked integer NOT NULL DEFAULT 0,
      valid integer NOT NULL DEFAULT 0,
      spent double precision NOT NULL DEFAULT 0,
      goes_on_at timestamptz,
      created_at timestamptz NOT NULL DEFAULT now(),
      updated_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE TABLE mail_plan (
      only_one boolean PRIMARY KEY DEFAULT true CHECK (only_one),
      per_day integer NOT NULL DEFAULT 1000,
      per_month integer NOT NULL DEFAULT 10000
    );
    CREATE TABLE column_profiles (
      name text PRIMARY KEY,
      body jsonb NOT NULL,
      revision integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL DEFAULT now(),
      updated_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE TABLE objections (
      hash bytea PRIMARY KEY,
      -- The same for all hashes of one person.
      person uuid NOT NULL,
      at timestamptz NOT NULL DEFAULT now()
    );
    ${briefTeller('shortlist_id', 'SELECT DISTINCT s.brief_id FROM changed JOIN shortlists s ON s.id = changed.shortlist_id')}
    ${notifyOnChange('shortlists', 'tell_briefs_by_brief_id')}
    ${notifyOnChange('mail_runs', 'tell_briefs_by_shortlist_id')}`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('objections');
