import type { Schema } from '../schema';

export const name = '0030-address-states';

/** The former names of an address's states, and what each is called now. */
const renamed = [
  ['verified|valid', 'good'],
  ['risky', 'uncertain'],
  ['invalid', 'bad'],
  ['unknown', 'unanswered']
] as const;

/**
 * Renames the states of addresses wherever they are stored: in checks, in people's records (`"mail": "verified"`), in saved
 * views (`mail=valid`), in strings (`mail:verified`, `mail:(verified OR risky)`) and in the values that a sheet offers.
 */
export async function up(schema: Schema): Promise<void> {
  const columns = await schema.select<{ table: string; column: string; type: string }>(
    `SELECT c.table_name AS table, c.column_name AS column, c.data_type AS type
     FROM information_schema.columns c JOIN information_schema.tables t USING (table_schema, table_name)
     WHERE c.table_schema = current_schema() AND t.table_type = 'BASE TABLE'
       AND (c.data_type = 'jsonb' OR (c.table_name, c.column_name) = ('versions', 'text'))`
  );
  const before = renamed.map(([word]) => word).join('|');
  for (const { table, column, type } of columns) {
    let text = `"${column}"::text`;
    for (const [word, now] of renamed) {
      text = `regexp_replace(${text}, '(\\mmail(": "|[=:]))(${word})\\M', '\\1${now}', 'g')`;
      text = `regexp_replace(${text}, '(\\mmail:\\([^()]*)\\m(${word})\\M', '\\1${now}', 'g')`;
    }
    text = `replace(${text}, '["verified", "risky", "none"]', '["good", "uncertain", "none"]')`;
    await schema.query(
      `UPDATE "${table}" SET "${column}" = ${type === 'jsonb' ? `(${text})::jsonb` : text}
       WHERE "${column}"::text ~ '\\mmail(": "|[=:]\\(?[^()]*)(${before})\\M|"verified", "risky", "none"'`
    );
  }
  await schema.query(`
    ALTER TABLE mail_runs RENAME COLUMN valid TO good;
    ALTER TABLE mail_checks DROP CONSTRAINT IF EXISTS mail_checks_state_check;
    UPDATE mail_checks SET state = CASE state WHEN 'valid' THEN 'good' WHEN 'risky' THEN 'uncertain'
      WHEN 'invalid' THEN 'bad' ELSE 'unanswered' END;
    ALTER TABLE mail_checks ADD CONSTRAINT mail_checks_state_check
      CHECK (state IN ('good', 'uncertain', 'bad', 'unanswered'))`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.checks('mail_checks_state_check', 'unanswered');
