const operations = ['INSERT', 'UPDATE', 'DELETE'] as const;

/** SQL that calls a trigger function after each statement that changes a table, with the changed rows as the table `changed`. */
export const notifyOnChange = (table: string, reply: string): string =>
  operations
    .map(
      (operation) => `
    CREATE TRIGGER tell_${operation.toLowerCase()} AFTER ${operation} ON ${table}
      REFERENCING ${operation === 'DELETE' ? 'OLD' : 'NEW'} TABLE AS changed
      FOR EACH STATEMENT EXECUTE FUNCTION ${reply}();`
    )
    .join('');

/** SQL that makes the trigger function `tell_briefs_by_…`, which tells the briefs whose rows were changed: `briefs` selects their ids out of `changed`. */
export const briefTeller = (column: string, briefs: string): string => `
    CREATE FUNCTION tell_briefs_by_${column}() RETURNS trigger LANGUAGE plpgsql AS $body$
    BEGIN
      PERFORM pg_notify('eave', concat_ws(' ', 'brief', touched.id, TG_TABLE_NAME)) FROM (${briefs}) AS touched (id);
      RETURN NULL;
    END $body$;`;
