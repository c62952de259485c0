import type { Schema } from '../schema';

export const name = '0003-house-wordings';

export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    CREATE TABLE house_wordings (
      title text NOT NULL,
      wording text NOT NULL,
      taken boolean NOT NULL,
      created_at timestamptz NOT NULL,
      updated_at timestamptz NOT NULL,
      PRIMARY KEY (title, wording)
    );
  `);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('house_wordings');
