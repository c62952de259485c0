import { describe, expect, it } from 'vitest';
import { useFreshDatabase } from '../testing/fresh-database';
import { database } from './connection';
import { migrate, NewerSchema } from './migrate';

useFreshDatabase();

describe('migrations', () => {
  it('are safe to run twice, and by two at once', async () => {
    await migrate(database());
    await Promise.all([migrate(database()), migrate(database())]);
    const [rows] = await database().query('SELECT name FROM migrations');
    expect(rows.length).toBeGreaterThan(0);
  });

  it('stop at a schema that a newer release made, changing nothing', async () => {
    await database().query(`INSERT INTO migrations VALUES ('9999-from-the-future')`);
    await expect(migrate(database())).rejects.toThrow(NewerSchema);
    await expect(migrate(database())).rejects.toThrow(/newer Eave.*9999-from-the-future/);
  });
});
