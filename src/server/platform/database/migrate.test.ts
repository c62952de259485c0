import { describe, expect, it } from 'vitest';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { database } from './connection';
import { harrowGuild } from '$core/dialect';
import { isMigrated, migrate, migrations, NewerSchema } from './migrate';
import { models } from './models';

useFreshDatabase();

describe('migrations', () => {
  it('are safe to run twice, and by two at once', async () => {
    await migrate(database());
    await Promise.all([migrate(database()), migrate(database())]);
    const [rows] = await database().query('SELECT name FROM migrations');
    expect(rows.map((row) => (row as { name: string }).name).sort()).toEqual(migrations.map(({ name }) => name));
  });

  it('bring what an earlier release kept along: sheets say what is listed, trials are put together again', async () => {
    const sequelize = database();
    await sequelize.query(`
      DELETE FROM migrations WHERE name LIKE '0009%';
      ALTER TABLE trials DROP COLUMN open, ADD COLUMN count_low integer, ADD COLUMN count_high integer, ADD COLUMN shown integer;
    `);
    const sheet = { ...harrowGuild, id: 'hand-1', name: 'Old place', lists: undefined, tells: ['founded'] };
    const [brief, version, kept, taken] = [1, 2, 3, 4].map((n) => `00000000-0000-4000-8000-00000000000${n}`);
    await sequelize.query(
      `INSERT INTO sources (id, kind, name, sheet, created_at) VALUES ('hand-1', 'by-hand', 'Old place', $sheet::jsonb, now());`,
      { bind: { sheet: JSON.stringify(sheet) } }
    );
    const answers = JSON.stringify([{ said: 9, interval: { low: 9, high: 9 }, shown: 9 }]);
    await sequelize.query(`
      INSERT INTO briefs (id, persona_id, name, created_at, updated_at) VALUES ('${brief}', '${brief}', 'Old', now(), now());
      INSERT INTO versions (id, brief_id, number, text, created_at) VALUES ('${version}', '${brief}', 1, 'QA', now());
      INSERT INTO trials (id, version_id, source_id, seed, rendering, answers, count_low, count_high, shown, filtered, state, created_at)
        SELECT id::uuid, '${version}', 'hand-1', 's', '{}', '${answers}', 9, 9, 9, 0, 'done', now()
        FROM unnest(ARRAY['${kept}', '${taken}']) AS id;
      INSERT INTO trial_pages (trial_id, search, page, said, last, people) VALUES ('${kept}', 0, 0, 9, true, '[]');
    `);
    await migrate(sequelize);
    const { Source, Trial } = models();
    const { lists } = (await Source.findByPk('hand-1'))!.sheet;
    expect(lists).toEqual(expect.arrayContaining(['title', 'company', 'headcount', 'founded']));
    expect(lists).not.toContain('any');
    const [first, second] = await Promise.all([Trial.findByPk(kept!), Trial.findByPk(taken!)]);
    expect(first).toMatchObject({ state: 'waiting', open: [] });
    expect(second).toMatchObject({ state: 'done' });
    expect(second!.answers).toEqual([
      { said: 9, interval: { low: 9, high: 9 }, shown: 9, certain: 9, possible: 9, complete: true }
    ]);
    await sequelize.query(`DELETE FROM briefs; DELETE FROM sources`);
  });

  it('bring a database of the first release to the last with all that it holds', async () => {
    const sequelize = database();
    await sequelize.query('DROP SCHEMA public CASCADE; CREATE SCHEMA public;');
    await migrate(sequelize, migrations[0]!.name);
    expect(await isMigrated(sequelize)).toBe(false);
    const [brief, version, trial] = [1, 2, 3].map((n) => `10000000-0000-4000-8000-00000000000${n}`);
    await sequelize.query(`
      INSERT INTO briefs (id, persona_id, name, created_at, updated_at) VALUES ('${brief}', '${brief}', 'First', now(), now());
      INSERT INTO documents (brief_id, kind, body, created_at, updated_at) VALUES ('${brief}', 'draft', '{"text": "QA"}', now(), now());
      INSERT INTO versions (id, brief_id, number, text, created_at) VALUES ('${version}', '${brief}', 1, 'QA mail:(none OR verified OR risky) NOT mail:verified', now());
      INSERT INTO sources (id, kind, name, sheet, created_at) VALUES ('file-1', 'file', 'Old', '{"tells": []}', now());
      INSERT INTO source_people VALUES ('file-1', 0, '{"id": "1", "name": "Ann", "mail": "risky", "about": "verified"}');
      INSERT INTO imports (id, file_name, bytes, reading, state, created_at, updated_at)
        VALUES ('${trial}', 'a.csv', 1, '{}', 'running', now(), now());
      INSERT INTO trials (id, version_id, source_id, seed, rendering, answers, count_low, count_high, shown, filtered, created_at)
        VALUES ('${trial}', '${version}', 'file-1', 's', '{}', '[]', 1, 1, 1, 0, now());
      INSERT INTO verdicts (persona_id, source_id, person_id, verdict, created_at, updated_at)
        VALUES ('${brief}', 'file-1', '1', 'fit', now(), now());
    `);
    await migrate(sequelize);
    expect(await isMigrated(sequelize)).toBe(true);
    const { Brief, Document, Source, Trial, Verdict, Version } = models();
    expect(await Brief.count()).toBe(1);
    const kinds = (await Document.findAll({ where: { briefId: brief! } })).map(({ kind }) => kind).sort();
    expect(kinds).toEqual(['choice', 'contacted', 'draft', 'known']);
    expect(await Source.findByPk('file-1')).toMatchObject({ peopleRevision: 0 });
    expect((await Version.findByPk(version!))!.text).toBe('QA mail:(none OR good OR uncertain) NOT mail:good');
    const [people] = await sequelize.query('SELECT person FROM source_people');
    expect(people).toEqual([{ person: { id: '1', name: 'Ann', mail: 'uncertain', about: 'verified' } }]);
    expect(await Trial.findByPk(trial!)).toMatchObject({ state: 'done', open: [] });
    expect(await Verdict.findAll()).toMatchObject([{ verdict: 'fit', by: 'person' }]);
  });

  it('keep what sheets list and what indicates a meaning under their new names', async () => {
    const sequelize = database();
    await sequelize.query('DROP SCHEMA public CASCADE; CREATE SCHEMA public;');
    await migrate(sequelize, '0031-foreign-key-indexes');
    const meaning = {
      word: 'drone',
      senses: [
        { name: 'male bee', tells: ['hive'] },
        { name: 'aircraft', tells: ['rotor', 'pilot'] }
      ]
    };
    await sequelize.query(
      `INSERT INTO sources (id, kind, name, sheet, created_at) VALUES ('file-1', 'file', 'Old', '{"tells": ["title", "founded"]}', now())`
    );
    await sequelize.query(
      `INSERT INTO house_lists (name, body, created_at, updated_at) VALUES ('lexicon', $body::jsonb, now(), now())`,
      { bind: { body: JSON.stringify({ functions: [], titles: [], meanings: [meaning] }) } }
    );
    await migrate(sequelize);
    const [sheets] = await sequelize.query('SELECT sheet FROM sources');
    expect(sheets).toEqual([{ sheet: { lists: ['title', 'founded'] } }]);
    const [lexicons] = await sequelize.query('SELECT body FROM house_lists');
    const senses = [
      { name: 'male bee', indicators: ['hive'] },
      { name: 'aircraft', indicators: ['rotor', 'pilot'] }
    ];
    expect(lexicons).toEqual([{ body: { functions: [], titles: [], meanings: [{ word: 'drone', senses }] } }]);
    await sequelize.query('DELETE FROM sources; DELETE FROM house_lists');
  });

  it('are recognised by what they made where the note of them is missing', async () => {
    await database().query('DELETE FROM migrations');
    await migrate(database());
    expect(await isMigrated(database())).toBe(true);
    const [rows] = await database().query(`DELETE FROM migrations WHERE name > '0004-known-goods' RETURNING name`);
    expect(rows).toHaveLength(migrations.length - 4);
    await migrate(database());
    expect(await isMigrated(database())).toBe(true);
    await database().query('DELETE FROM briefs; DELETE FROM sources; DELETE FROM imports');
  });

  it('stop at a schema that a newer release made, changing nothing', async () => {
    await database().query(`INSERT INTO migrations VALUES ('9999-from-the-future')`);
    await expect(migrate(database())).rejects.toThrow(NewerSchema);
    await expect(migrate(database())).rejects.toThrow(/newer Eave.*9999-from-the-future/);
  });
});
