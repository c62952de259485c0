import type { Sequelize } from 'sequelize';

export const name = '0003-house-wordings';

export async function up(database: Sequelize): Promise<void> {
  await database.query(`
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
