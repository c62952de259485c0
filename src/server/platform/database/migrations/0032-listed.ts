import type { Schema } from '../schema';

export const name = '0032-listed';

/** Columns, and fields within JSON, get the names that the rest of the product uses for them. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    ALTER TABLE harvest_rows RENAME COLUMN untold TO unlisted;
    ALTER TABLE watch_runs RENAME COLUMN told_at TO mailed_at;
    UPDATE sources SET sheet = sheet - 'tells' || jsonb_build_object('lists', sheet -> 'tells') WHERE sheet ? 'tells';
    UPDATE house_lists SET body = jsonb_set(body, '{meanings}', coalesce((
        SELECT jsonb_agg(word || jsonb_build_object('senses', (
          SELECT jsonb_agg(sense - 'tells' || jsonb_build_object('indicators', sense -> 'tells') ORDER BY place)
          FROM jsonb_array_elements(word -> 'senses') WITH ORDINALITY AS of (sense, place)
        )) ORDER BY place)
        FROM jsonb_array_elements(body -> 'meanings') WITH ORDINALITY AS of (word, place)
      ), '[]'))
      WHERE name = 'lexicon' AND body ? 'meanings';
    ALTER TABLE shortlists RENAME COLUMN reckoned TO exclusions_mark`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('shortlists', 'exclusions_mark');
