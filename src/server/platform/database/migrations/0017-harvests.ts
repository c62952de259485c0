import type { Schema } from '../schema';
import { notifyOnChange } from '../notify-on-change';

export const name = '0017-harvests';

/** Whole results, gathered slice by slice: what is asked, the rows that came, and the people that they are records of. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    CREATE TABLE harvests (
      id uuid PRIMARY KEY,
      brief_id uuid NOT NULL REFERENCES briefs ON DELETE CASCADE,
      name text NOT NULL,
      state text NOT NULL CHECK (state IN ('waiting', 'running', 'paused', 'done', 'failed')),
      problem text NOT NULL DEFAULT '',
      budget jsonb NOT NULL,
      events jsonb NOT NULL DEFAULT '[]',
      goes_on_at timestamptz,
      people integer NOT NULL DEFAULT 0,
      learnt jsonb,
      created_at timestamptz NOT NULL DEFAULT now(),
      updated_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX harvests_of ON harvests (brief_id);
    CREATE TABLE harvest_sources (
      harvest_id uuid NOT NULL REFERENCES harvests ON DELETE CASCADE,
      source_id text NOT NULL REFERENCES sources ON DELETE CASCADE,
      version_id uuid NOT NULL REFERENCES versions ON DELETE CASCADE,
      position integer NOT NULL,
      rendering jsonb NOT NULL,
      state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'done', 'failed')),
      problem text NOT NULL DEFAULT '',
      requests integer NOT NULL DEFAULT 0,
      spent double precision NOT NULL DEFAULT 0,
      day date NOT NULL DEFAULT current_date,
      day_requests integer NOT NULL DEFAULT 0,
      PRIMARY KEY (harvest_id, source_id)
    );
    CREATE TABLE harvest_slices (
      id uuid PRIMARY KEY,
      harvest_id uuid NOT NULL,
      source_id text NOT NULL,
      parent uuid REFERENCES harvest_slices ON DELETE CASCADE,
      place text COLLATE "C" NOT NULL,
      search jsonb NOT NULL,
      what text NOT NULL,
      rest boolean NOT NULL DEFAULT false,
      expected double precision,
      state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'read', 'cut', 'stuck', 'left out')),
      cut_by jsonb,
      lost jsonb,
      said integer,
      pages integer NOT NULL DEFAULT 0,
      cursor text,
      ended boolean NOT NULL DEFAULT false,
      rows integer NOT NULL DEFAULT 0,
      fresh integer NOT NULL DEFAULT 0,
      FOREIGN KEY (harvest_id, source_id) REFERENCES harvest_sources ON DELETE CASCADE,
      UNIQUE (harvest_id, source_id, place)
    );
    CREATE TABLE harvest_rows (
      harvest_id uuid NOT NULL REFERENCES harvests ON DELETE CASCADE,
      source_id text NOT NULL,
      person_id text NOT NULL,
      slices uuid[] NOT NULL,
      ordinal bigint GENERATED ALWAYS AS IDENTITY,
      person jsonb NOT NULL,
      reading text NOT NULL CHECK (reading IN ('met', 'unknown', 'not met')),
      untold text[] NOT NULL DEFAULT '{}',
      seen_at timestamptz NOT NULL DEFAULT now(),
      number integer,
      PRIMARY KEY (harvest_id, source_id, person_id)
    );
    CREATE INDEX harvest_rows_numbered ON harvest_rows (harvest_id, number);
    CREATE TABLE harvest_people (
      harvest_id uuid NOT NULL REFERENCES harvests ON DELETE CASCADE,
      number integer NOT NULL,
      name text NOT NULL,
      title text NOT NULL DEFAULT '',
      company text NOT NULL DEFAULT '',
      country text NOT NULL DEFAULT '',
      place text NOT NULL DEFAULT '',
      sources text[] NOT NULL,
      certain boolean NOT NULL,
      score double precision,
      drawn integer NOT NULL,
      PRIMARY KEY (harvest_id, number)
    );
    CREATE INDEX harvest_people_drawn ON harvest_people (harvest_id, drawn);
    CREATE INDEX harvest_people_likely ON harvest_people (harvest_id, score DESC NULLS LAST, number);
    ${notifyOnChange('harvests', 'tell_briefs_by_brief_id')}`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('harvest_people');
