import pg from 'pg';
import { makeStandIns } from '../src/sources/stand-ins/stand-ins';
import { makeWorld } from '../src/sources/world/world';
import { factsOf } from '../src/core/changes';
import { contactKeys } from '../src/core/people';
import { migrate } from '../src/server/platform/database/migrate';
import { closeDatabase, database } from '../src/server/platform/database/connection';
import { createBrief } from '../src/server/features/briefs/briefs';
import { listNews } from '../src/server/features/watches/news';
import { listWatches } from '../src/server/features/watches/watches';

// What 50 watches of 5,000 people each keep over a year of weeks, in bytes of the database; and how long reading what is new
// takes then, held to counting the news in the same run.

const [watches, weeks, people] = [50, 52, 5000];
/** Of those whom a watch knows, so many are news each week: about what the stand-ins' world brings. */
const share = 0.02;
const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;

await migrate(database());
const client = new pg.Client({ connectionString: process.env.DATABASE_URL });
await client.connect();
const { id: brief } = await createBrief('Bench');
const harrow = makeStandIns(makeWorld(20_000)).find(({ sheet }) => sheet.id === 'harrow-guild')!;
const records = Array.from({ length: people }, (_, row) => harrow.personAt(row));
await client.query('CREATE TEMP TABLE sampled (number int, person jsonb, facts jsonb, keys text[])');
await client.query(
  `INSERT INTO sampled SELECT (place - 1)::int, r->'person', r->'facts', ARRAY(SELECT jsonb_array_elements_text(r->'keys'))
   FROM jsonb_array_elements($1::jsonb) WITH ORDINALITY AS _ (r, place)`,
  [JSON.stringify(records.map((person) => ({ person, facts: factsOf(person), keys: contactKeys(person) })))]
);
await client.query(`
  INSERT INTO watches (id, brief_id, name, rule, first_day, hour, zone, budget, feed)
    SELECT gen_random_uuid(), '${brief}', 'Watch ' || n, 'FREQ=WEEKLY', '2026-01-05', 6, 'Europe/Oslo', '{}', 'feed' || n
    FROM generate_series(1, ${watches}) n;
  INSERT INTO watch_runs (id, watch_id, state, due_at, ended_at, people, created_at)
    SELECT gen_random_uuid(), w.id, 'done', now(), now(), ${people}, now() - n * interval '7 days'
    FROM watches w, generate_series(1, ${weeks}) n;
  INSERT INTO watch_people (watch_id, number, records, keys, facts, present)
    SELECT w.id, s.number, ARRAY['harrow-guild' || chr(10) || (s.person->>'id')], s.keys, s.facts, true FROM watches w, sampled s;
  INSERT INTO watch_news (watch_id, run_id, kind, number, facts, changes, why, source_id, person_id, person, read, at)
    SELECT r.watch_id, r.id, (ARRAY['new', 'changed', 'left', 'back'])[1 + s.number % 4], s.number, s.facts, '[]', 'not seen before',
      'harrow-guild', s.person->>'id', s.person, r.created_at < now() - interval '20 days', r.created_at
    FROM watch_runs r CROSS JOIN LATERAL
      (SELECT * FROM sampled WHERE (number + abs(hashtext(r.id::text) % 1000)) % ${Math.round(1 / share)} = 0) s;
  ANALYZE watch_news, watch_people, watch_runs, watches`);
const size = async (table: string) =>
  Number((await client.query<{ size: string }>(`SELECT pg_total_relation_size('${table}') AS size`)).rows[0]!.size);
const mebibytes = (bytes: number) => `${(bytes / 2 ** 20).toFixed(0)} MiB`;
const tables = await Promise.all(['watch_people', 'watch_news', 'watch_runs', 'watches'].map(size));
const { rows } = await client.query<{ news: string }>('SELECT count(*) AS news FROM watch_news');
console.log(
  `\n${watches} watches of ${people.toLocaleString('en')} people over ${weeks} weeks, ${Number(rows[0]!.news).toLocaleString('en')} news: ${mebibytes(tables.reduce((a, b) => a + b))} (people ${mebibytes(tables[0]!)}, news ${mebibytes(tables[1]!)})`
);
async function timed(work: () => Promise<unknown>): Promise<number> {
  await work();
  const times: number[] = [];
  for (let i = 0; i < 9; i++) {
    const begun = performance.now();
    await work();
    times.push(performance.now() - begun);
  }
  return median(times);
}
const counting = await timed(() => client.query('SELECT count(*) FROM watch_news'));
const { rows: some } = await client.query<{ id: string }>('SELECT id FROM watches LIMIT 1');
for (const [what, work] of [
  ['what is new, of all', () => listNews()],
  ['what is new, of one', () => listNews({ watch: some[0]!.id })],
  ['all of one, read too', () => listNews({ watch: some[0]!.id, unread: 'false' })],
  ['the watches on Home', () => listWatches()]
] as const) {
  const took = await timed(work);
  console.log(`  ${what}: ${took.toFixed(1)} ms, ${(took / counting).toFixed(2)} × counting the news`);
}
await client.end();
await closeDatabase();
process.exit(0);
