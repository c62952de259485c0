import type { Schema } from '../schema';
import { notifyOnChange } from '../notify-on-change';

export const name = '0026-lexicon-told';

/** What the users add to the lexicon is kept as a list of the house, and every server is told when it has changed. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    ALTER TABLE house_lists DROP CONSTRAINT house_lists_name_check,
      ADD CONSTRAINT house_lists_name_check CHECK (name IN ('regions', 'consent', 'lexicon'));
    CREATE FUNCTION tell_lexicon() RETURNS trigger LANGUAGE plpgsql AS $body$
    BEGIN
      IF EXISTS (SELECT 1 FROM changed WHERE name = 'lexicon') THEN PERFORM pg_notify('eave', 'lexicon'); END IF;
      RETURN NULL;
    END $body$;
    ${notifyOnChange('house_lists', 'tell_lexicon')}`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.hasFunction('tell_lexicon');
