import type { Schema } from '../schema';
import { briefTeller, notifyOnChange } from '../notify-on-change';

export const name = '0011-changes-told';

/** By which column a row of each table belongs to a brief. */
const tables = {
  briefs: 'id',
  documents: 'brief_id',
  versions: 'brief_id',
  trials: 'version_id',
  trial_pages: 'trial_id',
  verdicts: 'persona_id',
  judgements: 'persona_id',
  notes: 'persona_id'
};

const briefsOf: Record<string, string> = {
  id: 'SELECT DISTINCT id FROM changed',
  brief_id: 'SELECT DISTINCT brief_id FROM changed',
  version_id: 'SELECT DISTINCT v.brief_id FROM changed JOIN versions v ON v.id = changed.version_id',
  trial_id:
    'SELECT DISTINCT v.brief_id FROM changed JOIN trials t ON t.id = changed.trial_id JOIN versions v ON v.id = t.version_id',
  persona_id: 'SELECT DISTINCT b.id FROM changed JOIN briefs b USING (persona_id)'
};

/**
 * Whatever changes is told to every server that listens, when it is committed: `brief` with its id and table, `import`
 * with its id, `sources`, and `people` where it was decided who is who.
 */
export async function up(schema: Schema): Promise<void> {
  const plain = (name: string, payload: string, from = '') => `
    CREATE FUNCTION ${name}() RETURNS trigger LANGUAGE plpgsql AS $body$
    BEGIN
      PERFORM pg_notify('eave', ${payload}) ${from};
      RETURN NULL;
    END $body$;`;
  await schema.query(
    [
      ...Object.entries(briefsOf).map(([column, ids]) => briefTeller(column, ids)),
      plain('tell_imports', `'import ' || changed.id`, 'FROM changed'),
      plain('tell_sources', `'sources'`),
      plain('tell_people', `'people'`),
      ...Object.entries(tables).map(([table, column]) => notifyOnChange(table, `tell_briefs_by_${column}`)),
      notifyOnChange('imports', 'tell_imports'),
      notifyOnChange('sources', 'tell_sources'),
      notifyOnChange('same_person', 'tell_people')
    ].join('\n')
  );
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.hasFunction('tell_people');
