import type { Schema } from '../schema';

export const name = '0012-verdict-changes';

/** Every verdict given or changed gets a number above all before it, so that only what is new since a number need be read. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    CREATE SEQUENCE verdict_changes;
    ALTER TABLE verdicts ADD COLUMN change bigint NOT NULL DEFAULT nextval('verdict_changes');
    ALTER SEQUENCE verdict_changes OWNED BY verdicts.change;
    CREATE FUNCTION number_verdict_change() RETURNS trigger LANGUAGE plpgsql AS $body$
    BEGIN
      NEW.change := nextval('verdict_changes');
      RETURN NEW;
    END $body$;
    CREATE TRIGGER number_change BEFORE UPDATE ON verdicts FOR EACH ROW EXECUTE FUNCTION number_verdict_change();
    CREATE INDEX verdicts_by_change ON verdicts (persona_id, change);
  `);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('verdicts', 'change');
