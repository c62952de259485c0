import type { Schema } from '../schema';

export const name = '0024-value-meanings';

/** What values of files were said to mean, for the next file. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(
    `CREATE TABLE value_meanings (
       field text NOT NULL,
       written text NOT NULL,
       standard text,
       changed_at timestamptz NOT NULL DEFAULT now(),
       PRIMARY KEY (field, written)
     )`
  );
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('value_meanings');
