import pg from 'pg';
import { closeDatabase, database } from '../src/server/platform/database/connection';
import { migrate } from '../src/server/platform/database/migrate';
import { createBrief } from '../src/server/features/briefs/briefs';
import { listKept } from '../src/server/features/shortlist/list-kept';
import { createShortlist, readShortlist } from '../src/server/features/shortlist/shortlists';

// A shortlist of 100,000 people: pages of its table, held to counting its rows in the same run.

const people = 100_000;
const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;

await migrate(database());
const { id: brief } = await createBrief('Bench');
const { id: list } = await createShortlist(brief, { name: 'Bench', purpose: '' });
const client = new pg.Client({ connectionString: process.env.DATABASE_URL });
await client.connect();
await client.query(`
  INSERT INTO shortlist_people (shortlist_id, number, records, keys, name, title, company, country, mail, tags, priority, own, kept_from)
    SELECT '${list}', n,
      jsonb_build_array(jsonb_build_object('sourceId', 'bench', 'seenAt', now(), 'person', jsonb_build_object('id', 'p' || n, 'name', 'Person ' || n))),
      ARRAY['p' || n || '@firm' || n % 9000 || '.example'], 'Person ' || n, 'Head of Quality ' || n % 97, 'Firm ' || n % 9000,
      (ARRAY['DK', 'SE', 'NO', 'NL'])[1 + n % 4], 'p' || n || '@firm' || n % 9000 || '.example',
      CASE WHEN n % 3 = 0 THEN ARRAY['pharma'] ELSE '{}' END, 1 + n % 5, jsonb_build_object('score', n % 100), 'people'
    FROM generate_series(1, ${people}) n;
  ANALYZE shortlist_people`);

async function timed(work: () => Promise<unknown>): Promise<number> {
  await work();
  const times: number[] = [];
  for (let i = 0; i < 7; i++) {
    const begun = performance.now();
    await work();
    times.push(performance.now() - begun);
  }
  return median(times);
}
const counting = await timed(() => client.query('SELECT count(*) FROM shortlist_people'));
console.log(`\nA shortlist of ${people.toLocaleString('en')} people; counting them takes ${counting.toFixed(1)} ms`);
const page = { from: 0, sort: '' };
for (const [what, work] of [
  ['its first page', () => listKept(brief, list, page)],
  ['a page in the middle', () => listKept(brief, list, { ...page, from: people / 2 })],
  ['by priority and name', () => listKept(brief, list, { ...page, sort: '-priority,name' })],
  ['words in everything', () => listKept(brief, list, { ...page, words: 'quality 42' })],
  ['a country and a tag', () => listKept(brief, list, { ...page, country: 'DK', tag: 'pharma' })],
  ['its groups and numbers', () => readShortlist(brief, list)]
] as const) {
  const took = await timed(work);
  console.log(`  ${what.padEnd(24)} ${took.toFixed(0)} ms, ${(took / counting).toFixed(1)} × counting`);
}
await client.end();
await closeDatabase();
process.exit(0);
