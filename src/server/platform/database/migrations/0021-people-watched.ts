import type { Schema } from '../schema';

export const name = '0021-people-watched';

/** People of a shortlist are watched by rules, and places run by hand by a look that is due. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    ALTER TABLE watches
      -- The people who are watched, where it is they and not a search.
      ADD COLUMN shortlist_id uuid REFERENCES shortlists ON DELETE CASCADE,
      -- When one of them is news: rules, each with what it is called.
      ADD COLUMN rules jsonb NOT NULL DEFAULT '[]';
    ALTER TABLE watch_sources ALTER COLUMN version_id DROP NOT NULL;
    ALTER TABLE watch_people
      -- All that was told of somebody watched, which rules are held against; of a search's people their facts are enough.
      ADD COLUMN person jsonb,
      -- The rules that held of them.
      ADD COLUMN met text[] NOT NULL DEFAULT '{}';
    ALTER TABLE watch_runs DROP CONSTRAINT watch_runs_state_check,
      ADD CONSTRAINT watch_runs_state_check CHECK (state IN ('due', 'running', 'done', 'failed'));
    CREATE INDEX watch_news_people ON watch_news (watch_id, source_id, person_id);
    DROP INDEX watch_runs_alone;
    CREATE UNIQUE INDEX watch_runs_alone ON watch_runs (watch_id) WHERE state IN ('due', 'running')`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('watch_people', 'met');
