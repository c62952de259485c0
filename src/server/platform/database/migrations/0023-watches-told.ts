import type { Schema } from '../schema';
import { briefTeller, notifyOnChange } from '../notify-on-change';

export const name = '0023-watches-told';

/** Runs of watches and their news are told as they come; a kept person has no number of changes that nobody asks for. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    ${briefTeller('watch_id', 'SELECT DISTINCT w.brief_id FROM changed JOIN watches w ON w.id = changed.watch_id')}
    ${notifyOnChange('watch_runs', 'tell_briefs_by_watch_id')}
    ${notifyOnChange('watch_news', 'tell_briefs_by_watch_id')}
    ALTER TABLE shortlist_people DROP COLUMN revision`);
}

/** Its last step has been done. */
export const isDone = async (schema: Schema): Promise<boolean> =>
  (await schema.has('shortlist_people')) && !(await schema.has('shortlist_people', 'revision'));
