import type { Schema } from '../schema';
import { notifyOnChange } from '../notify-on-change';

export const name = '0019-watches';

/**
 * Searches that go on working: what is watched and when, each run of it, whom it knows, and what was new. A run gathers by a
 * harvest of its own, which goes when the differences are kept.
 */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    CREATE TABLE watches (
      id uuid PRIMARY KEY,
      brief_id uuid NOT NULL REFERENCES briefs ON DELETE CASCADE,
      name text NOT NULL,
      rule text NOT NULL,
      first_day date NOT NULL,
      hour integer NOT NULL,
      zone text NOT NULL,
      budget jsonb NOT NULL,
      active boolean NOT NULL DEFAULT true,
      -- Null where it never comes again.
      next_at timestamptz,
      feed text NOT NULL UNIQUE,
      created_at timestamptz NOT NULL DEFAULT now(),
      updated_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX watches_of ON watches (brief_id);
    CREATE INDEX watches_due ON watches (next_at) WHERE active;
    CREATE TABLE watch_sources (
      watch_id uuid NOT NULL REFERENCES watches ON DELETE CASCADE,
      source_id text NOT NULL REFERENCES sources ON DELETE CASCADE,
      version_id uuid NOT NULL REFERENCES versions ON DELETE CASCADE,
      position integer NOT NULL,
      PRIMARY KEY (watch_id, source_id)
    );
    ALTER TABLE harvests ADD COLUMN watch_id uuid REFERENCES watches ON DELETE CASCADE;
    CREATE TABLE watch_runs (
      id uuid PRIMARY KEY,
      watch_id uuid NOT NULL REFERENCES watches ON DELETE CASCADE,
      harvest_id uuid REFERENCES harvests ON DELETE SET NULL,
      state text NOT NULL CHECK (state IN ('running', 'done', 'failed')),
      problem text NOT NULL DEFAULT '',
      due_at timestamptz NOT NULL,
      ended_at timestamptz,
      people integer NOT NULL DEFAULT 0,
      counts jsonb NOT NULL DEFAULT '{}',
      -- What of the sources and the string was otherwise than at the run before: a break in the series.
      breaks jsonb NOT NULL DEFAULT '[]',
      marks jsonb NOT NULL DEFAULT '{}',
      -- When its news was sent by mail.
      told_at timestamptz,
      created_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX watch_runs_of ON watch_runs (watch_id, created_at);
    -- No two runs of a watch at once, whichever servers look.
    CREATE UNIQUE INDEX watch_runs_alone ON watch_runs (watch_id) WHERE state = 'running';
    CREATE TABLE watch_people (
      watch_id uuid NOT NULL REFERENCES watches ON DELETE CASCADE,
      number integer NOT NULL,
      records text[] NOT NULL,
      keys text[] NOT NULL,
      facts jsonb NOT NULL,
      present boolean NOT NULL,
      PRIMARY KEY (watch_id, number)
    );
    CREATE TABLE watch_news (
      id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
      watch_id uuid NOT NULL REFERENCES watches ON DELETE CASCADE,
      run_id uuid NOT NULL REFERENCES watch_runs ON DELETE CASCADE,
      kind text NOT NULL CHECK (kind IN ('new', 'back', 'changed', 'left')),
      number integer NOT NULL,
      facts jsonb NOT NULL,
      changes jsonb NOT NULL DEFAULT '[]',
      why text NOT NULL DEFAULT '',
      source_id text NOT NULL DEFAULT '',
      person_id text NOT NULL DEFAULT '',
      -- The record as it was found, so that the person can be kept.
      person jsonb,
      read boolean NOT NULL DEFAULT false,
      at timestamptz NOT NULL DEFAULT now(),
      UNIQUE (run_id, number)
    );
    CREATE INDEX watch_news_of ON watch_news (watch_id, id DESC);
    CREATE INDEX watch_news_unread ON watch_news (watch_id, id DESC) WHERE NOT read;
    ${notifyOnChange('watches', 'tell_briefs_by_brief_id')}`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('watch_news');
