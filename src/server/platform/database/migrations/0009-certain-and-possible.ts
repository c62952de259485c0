import type { Schema } from '../schema';
import { upgradedSheet } from '$core/dialect';

export const name = '0009-certain-and-possible';

/**
 * Sheets say what their sources tell, texts too; trials keep what each search brought, and who is possible but not
 * certain. Those that ended are put together anew out of their pages, which are kept, at the next start.
 */
export async function up(schema: Schema): Promise<void> {
  const rows = await schema.select<{ id: string; sheet: unknown }>(
    `SELECT id, sheet FROM sources WHERE kind = 'by-hand'`
  );
  for (const { id, sheet } of rows)
    await schema.query('UPDATE sources SET sheet = $sheet::jsonb WHERE id = $id', {
      id,
      sheet: JSON.stringify(upgradedSheet(sheet))
    });
  await schema.query(`
    UPDATE sources SET sheet = sheet || jsonb_build_object('listsAll', true, 'tells', jsonb_build_array(
      'any', 'title', 'pasttitle', 'company', 'pastcompany', 'about', 'skill', 'school', 'group', 'contact',
      'place', 'country', 'industry', 'function', 'rank', 'hiring', 'funded', 'tech', 'mail',
      'headcount', 'growth', 'tenure', 'moved', 'active', 'founded')) WHERE kind = 'file';
    ALTER TABLE trials ADD COLUMN open jsonb NOT NULL DEFAULT '[]';
    UPDATE trials SET answers = coalesce((
      SELECT jsonb_agg(one || jsonb_build_object('certain', one -> 'shown', 'possible', one -> 'shown', 'complete',
        (one -> 'interval' ->> 'high')::numeric <= (one ->> 'shown')::numeric)) FROM jsonb_array_elements(answers) AS one), '[]');
    UPDATE trials SET state = 'waiting'
      WHERE state = 'done' AND EXISTS (SELECT 1 FROM trial_pages WHERE trial_id = trials.id);
    ALTER TABLE trials DROP COLUMN count_low, DROP COLUMN count_high, DROP COLUMN shown;
  `);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('trials', 'open');
