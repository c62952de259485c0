import pg from 'pg';
import { countInterval, render, type Search } from '../src/core/dialect';
import { cutsOf, nextStep } from '../src/core/harvest';
import { parse } from '../src/core/language';
import type { Person } from '../src/core/people';
import { makeStandIns } from '../src/sources/stand-ins/stand-ins';
import { makeWorld } from '../src/sources/world/world';

// Planning slices, held to reading the rows they bring in the same run; how planning grows with their number; and a page of the
// people of a harvest of 100,000, held to counting them.

const ms = (value: number) => (value >= 100 ? value.toFixed(0) : value.toFixed(1));
const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;

const harrow = makeStandIns(makeWorld(60_000)).find(({ sheet }) => sheet.id === 'harrow-guild')!;
const string = parse('title:(manager OR director OR head OR lead OR quality OR engineer OR sales)').query!;
const [whole] = render(string, harrow.sheet).searches;

/** Gathers all of a search from a place that shows no more than `most`; gives how often it was asked and how long planning took. */
function gather(most: number) {
  const sheet = { ...harrow.sheet, limits: { ...harrow.sheet.limits, shown: most } };
  const waiting: Search[] = [whole!];
  const came = new Map<string, Person>();
  let [planning, reading, slices] = [0, 0, 0];
  while (waiting.length) {
    const search = waiting.pop()!;
    const { said, people } = harrow.ask(search);
    const shown = people.slice(0, most);
    if (nextStep(countInterval(said, sheet.counting), most) === 'cut' || people.length > most) {
      const from = performance.now();
      const [cut] = cutsOf(search, { sheet, seen: [...came.values(), ...shown].slice(-2000), count: said, most });
      planning += performance.now() - from;
      if (cut) {
        waiting.push(...cut.parts.map((part) => part.search));
        continue;
      }
    }
    const from = performance.now();
    for (const person of shown) came.set(person.id, JSON.parse(JSON.stringify(person)) as Person);
    reading += performance.now() - from;
    slices++;
  }
  return { planning, reading, slices, came: came.size };
}

const all = harrow.count(whole!).said;
console.log(`\nSlices of about ${all.toLocaleString('en')} people; yardstick: copying the rows that come`);
for (const most of [1000, 400, 200, 100]) {
  const { planning, reading, slices, came } = gather(Math.min(most, 1000));
  console.log(
    `  ${String(slices).padStart(4)} slices of ${most}: planned in ${ms(planning)} ms (${ms(planning / slices)} each), ${(planning / reading).toFixed(1)} × yardstick; ${came.toLocaleString('en')} people came, ${(slices / Math.ceil(came / most)).toFixed(1)} × the fewest slices there could be`
  );
}

const client = new pg.Client({ connectionString: process.env.DATABASE_URL });
await client.connect();
await client.query(`
  CREATE UNLOGGED TABLE people (harvest int, number int, name text, title text, company text, place text, score float8, PRIMARY KEY (harvest, number));
  INSERT INTO people SELECT 1, n, 'Ana ' || n, 'Head of Quality ' || n % 97, 'Firm ' || n % 5000, 'Malmö', random() FROM generate_series(1, 100000) n;
  CREATE INDEX ON people (harvest, score DESC NULLS LAST, number);
  ANALYZE people`);
async function timed(sql: string) {
  const times: number[] = [];
  for (let i = 0; i < 21; i++) {
    const from = performance.now();
    await client.query(sql);
    times.push(performance.now() - from);
  }
  return median(times);
}
const count = await timed('SELECT count(*) FROM people WHERE harvest = 1');
const order = 'ORDER BY score DESC NULLS LAST, number LIMIT 100';
console.log(`\nA harvest of 100,000 people; yardstick: counting them, ${ms(count)} ms`);
for (const [what, sql] of [
  ['the first page', `SELECT * FROM people WHERE harvest = 1 ${order}`],
  [
    'a page from the middle',
    `SELECT * FROM people WHERE harvest = 1 AND (score < 0.5 OR score IS NULL OR (score = 0.5 AND number > 7)) ${order}`
  ],
  [
    'a page by words',
    `SELECT * FROM people WHERE harvest = 1 AND concat_ws(' ', name, title, company, place) ILIKE '%quality 13%' ${order}`
  ],
  [
    'how many by words',
    `SELECT count(*) FROM people WHERE harvest = 1 AND concat_ws(' ', name, title, company, place) ILIKE '%quality 13%'`
  ]
] as const) {
  const time = await timed(sql);
  console.log(`  ${what.padEnd(24)} ${ms(time).padStart(6)} ms  ${(time / count).toFixed(1).padStart(5)} × yardstick`);
}
await client.query('DROP TABLE people');
await client.end();
