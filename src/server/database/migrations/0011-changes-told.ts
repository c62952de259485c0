import type { Schema } from '../schema';

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

const operations = ['INSERT', 'UPDATE', 'DELETE'] as const;

/** After each statement, with the rows that it changed as the table `changed`. */
const after = (operation: (typeof operations)[number], table: string, told: string) => `
  CREATE TRIGGER tell_${operation.toLowerCase()} AFTER ${operation} ON ${table}
    REFERENCING ${operation === 'DELETE' ? 'OLD' : 'NEW'} TABLE AS changed
    FOR EACH STATEMENT EXECUTE FUNCTION ${told}();`;

/**
 * Whatever changes is told to every server that listens, when it is committed: `brief` with its id and table, `import`
 * with its id, `sources`, and `people` where it was decided who is who.
 */
export async function up(schema: Schema): Promise<void> {
  const byColumn = Object.entries(briefsOf).map(
    ([column, ids]) => `
    CREATE FUNCTION tell_briefs_by_${column}() RETURNS trigger LANGUAGE plpgsql AS $body$
    BEGIN
      PERFORM pg_notify('eave', concat_ws(' ', 'brief', told.id, TG_TABLE_NAME)) FROM (${ids}) AS told (id);
      RETURN NULL;
    END $body$;`
  );
  const plain = (name: string, payload: string, from = '') => `
    CREATE FUNCTION ${name}() RETURNS trigger LANGUAGE plpgsql AS $body$
    BEGIN
      PERFORM pg_notify('eave', ${payload}) ${from};
      RETURN NULL;
    END $body$;`;
  await schema.query(
    [
      ...byColumn,
      plain('tell_imports', `'import ' || changed.id`, 'FROM changed'),
      plain('tell_sources', `'sources'`),
      plain('tell_people', `'people'`),
      ...operations.flatMap((operation) => [
        ...Object.entries(tables).map(([table, column]) => after(operation, table, `tell_briefs_by_${column}`)),
        after(operation, 'imports', 'tell_imports'),
        after(operation, 'sources', 'tell_sources'),
        after(operation, 'same_person', 'tell_people')
      ])
    ].join('\n')
  );
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.hasFunction('tell_people');
