import pg from 'pg';
import { PeopleIndex } from '$core/corpus';
import { parse, terms, type Query, type Scope } from '$core/language';
import { countedParts, judgedParts, seededRandom } from '$core/measure';
import type { Person } from '$core/people';
import { partsOf } from '$core/semantics';
import { judgedSource } from '$core/suggest';
import { scopeTexts, toFullTextSearch } from '../src/server/platform/database/full-text';
import { makeWorld } from '../src/sources/world/world';

// Counting, held to PostgreSQL full-text search with GIN indexes on the same people in the same run.
// npm run bench            250,000 people
// PEOPLE=25000 npm run bench

const size = Number(process.env.PEOPLE ?? 250_000);
const text =
  'title:("head of quality" OR "quality manager" OR QA OR kvalitetschef OR "responsible person") ' +
  'AND any:(cold OR chilled OR pharma OR gdp) AND headcount:[51 TO 1000] NOT any:(software OR tester OR intern)';
const scopes = ['title', 'any'] as const;

const ms = (value: number) => (value >= 100 ? value.toFixed(0) : value >= 1 ? value.toFixed(1) : value.toFixed(3));
const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;
const line = (what: string, ours: number, theirs: number) =>
  console.log(
    `${what.padEnd(34)} ${ms(ours).padStart(9)} ms  ${ms(theirs).padStart(9)} ms  ${(theirs / ours).toFixed(theirs / ours < 10 ? 1 : 0).padStart(7)} ×`
  );

/** People of the demo world with about 50 words each, all facts known. */
function generate(): Person[] {
  const random = seededRandom('bench');
  const fill = [
    'route',
    'dock',
    'audit',
    'north',
    'van',
    'winter',
    'team',
    'night',
    'paper',
    'clear',
    'value',
    'plan',
    'deliver',
    'record',
    'people',
    'harbour'
  ];
  return makeWorld(size).people.map(({ number, name, career, about, skills, groups, school }) => {
    const padding = Array.from({ length: 22 }, () => fill[Math.floor(random() * fill.length)]).join(' ');
    return {
      id: `p${number}`,
      name,
      jobs: career
        .slice(0, 2)
        .map((job, i) => ({ title: job.title, company: job.firm.name, ...(i > 0 && { to: 'past' as const }) })),
      about: `${about} ${padding}`,
      skills,
      groups,
      schools: [school],
      place: career[0]!.firm.town,
      headcount: career[0]!.firm.headcount
    };
  });
}

const query = parse(text).query!;
const operators = text.match(/\b(AND|OR|NOT)\b/g)!.length;
const phrases = (text.match(/"/g)!.length / 2) | 0;
console.log(
  `${size.toLocaleString('en')} people, Node ${process.versions.node}; a string of ${operators} operators and ${phrases} phrases\n`
);

const people = generate();
const words = scopeTexts(people[0]!, scopes);
console.log(`words of the first person: ${words.any!.split(' ').length}`);

global.gc?.();
let started = performance.now();
const index = PeopleIndex.from(people);
const buildOurs = performance.now() - started;
const letters = index.parts.words.reduce((sum, word) => sum + word.length, 0);
console.log(
  `index: ${(index.bytes / size).toFixed(0)} bytes a person in arrays, and ${index.parts.words.length.toLocaleString('en')} words of ${letters.toLocaleString('en')} letters in all\n`
);

const client = new pg.Client({ connectionString: process.env.DATABASE_URL });
await client.connect();
const { rows: version } = await client.query<{ server_version: string }>('SHOW server_version');
await client.query('CREATE UNLOGGED TABLE texts (id text, title text, "any" text, headcount double precision)');
for (let from = 0; from < people.length; from += 5000) {
  const part = people.slice(from, from + 5000);
  const told = part.map((person) => scopeTexts(person, scopes));
  await client.query('INSERT INTO texts SELECT * FROM unnest($1::text[], $2::text[], $3::text[], $4::float8[])', [
    part.map(({ id }) => id),
    told.map(({ title }) => title),
    told.map(({ any }) => any),
    part.map(({ headcount }) => headcount ?? null)
  ]);
}
await client.query("SET maintenance_work_mem = '1GB'");
started = performance.now();
await client.query(
  `CREATE UNLOGGED TABLE people AS SELECT id, to_tsvector('simple', title) AS title, to_tsvector('simple', "any") AS "any", headcount FROM texts`
);
const vectors = performance.now() - started;
started = performance.now();
await client.query('CREATE INDEX ON people USING gin (title)');
await client.query('CREATE INDEX ON people USING gin ("any")');
await client.query('CREATE INDEX ON people (headcount)');
const gin = performance.now() - started;
await client.query('VACUUM ANALYZE people');
// From text to index, as Eave goes: the indexes on expressions of PostgreSQL's manual, 12.2.2.
started = performance.now();
await client.query(`CREATE INDEX ON texts USING gin (to_tsvector('simple', title))`);
await client.query(`CREATE INDEX ON texts USING gin (to_tsvector('simple', "any"))`);
await client.query('CREATE INDEX ON texts (headcount)');
const fromText = performance.now() - started;

const sql = `SELECT count(*)::int AS count FROM people WHERE ${toFullTextSearch(query)}`;
const theirs = async () => {
  const from = performance.now();
  const { rows } = await client.query<{ count: number }>(sql);
  return { time: performance.now() - from, count: rows[0]!.count };
};
const cold = await theirs();
const warm: number[] = [];
for (let i = 0; i < 7; i++) warm.push((await theirs()).time);

// First time: an index that has answered nothing of the string. Other strings of its kind come first, as on any day, so
// that the code is compiled and what the processor holds is of other words; several indexes, so that one slow moment does
// not decide.
const others = ['sales', 'plant', 'warehouse', 'logistics', 'operations', 'finance', 'marketing', 'purchasing'].map(
  (word, i) =>
    `title:("head of ${word}" OR "${word} manager" OR ${word} OR salgschef OR "${word} person") AND ` +
    `any:(audit OR winter OR harbour OR ${word}) AND headcount:[${i} TO ${500 * i}] NOT any:(kitchen OR route OR student)`
);
const first: number[] = [];
for (let i = 0; i < 9; i++) {
  const fresh = PeopleIndex.fromParts(index.parts);
  for (const other of others) fresh.count(parse(other).query!);
  started = performance.now();
  const count = fresh.count(query);
  first.push(performance.now() - started);
  if (count !== cold.count) throw new Error(`Eave counts ${count}, PostgreSQL ${cold.count}`);
}
const again = (wanted: Query) => {
  const rounds = 2000;
  const from = performance.now();
  for (let i = 0; i < rounds; i++) index.count(wanted);
  return (performance.now() - from) / rounds;
};
again(query);
const repeated = again(query);

console.log(`both find ${cold.count.toLocaleString('en')} people\n`);
console.log(
  `${''.padEnd(34)} ${'Eave'.padStart(12)}  ${`PostgreSQL ${version[0]!.server_version.split(' ')[0]}`.padStart(12)}   ratio`
);
line('counting, first time', median(first), median(warm));
line('counting, repeated', repeated, median(warm));
line('building, from text to index', buildOurs, fromText);
line('building, against words cut before', buildOurs, gin);
line('building, tsvectors kept besides', buildOurs, vectors + gin);

// Certain and possible, where little is told, against the one set of the two-valued reading: both the first time.
const littleTold = new Set<Scope>(['title', 'company']);
const firstTime = (work: (fresh: PeopleIndex) => void) =>
  median(
    Array.from({ length: 9 }, () => {
      const fresh = PeopleIndex.fromParts(index.parts);
      for (const other of others) fresh.count(parse(other).query!);
      const from = performance.now();
      work(fresh);
      return performance.now() - from;
    })
  );
const oneSet = firstTime((fresh) => fresh.rows(query));
const twoSets = firstTime((fresh) => fresh.readings(query, littleTold));
console.log(
  `\ncertain and possible: ${ms(twoSets)} ms, one set ${ms(oneSet)} ms, first time: ${(twoSets / oneSet).toFixed(2)} × one\n`
);

// The whole ledger of a string of 40 terms, over four sources that have answered other strings: against one count of the
// same string by PostgreSQL.
const long = parse(
  `title:(${['head of quality', 'quality manager', 'quality director', 'qa manager', 'qa', 'kvalitetschef', 'responsible person', 'rp', 'kwaliteitsmanager', 'qualitätsmanager', 'quality assurance manager', 'compliance manager', 'head of compliance', 'quality lead', 'quality specialist', 'warehouse manager', 'logistics manager', 'operations director', 'plant manager', 'quality engineer'].map((text) => `"${text}"`).join(' OR ')}) ` +
    `AND (${['cold', 'chilled', 'pharma', 'gdp', 'frozen', 'logistics', 'wholesale', 'audit', 'delivery', 'storage'].join(' OR ')}) ` +
    `AND headcount:[51 TO 1000] NOT (${['software', 'tester', 'intern', 'student', 'sales', 'marketing', 'recruiter', 'finance', 'restaurant'].join(' OR ')})`
).query!;
const longTerms = [...terms(long)].length;
const ledgerSources = [0, 1, 2, 3].map((i) => (i ? PeopleIndex.from(people) : index));
const verdicts = Array.from({ length: 200 }, (_, i) => ({ id: `p${i * 7}`, fit: i % 3 === 0 }));
const judged = ledgerSources.map((source) => judgedSource(source, verdicts, (id) => Number(id.slice(1))));
const longSql = `SELECT count(*)::int AS count FROM people WHERE ${toFullTextSearch(long)}`;
const longTheirs: number[] = [];
let longCount = 0;
for (let i = 0; i < 5; i++) {
  const from = performance.now();
  longCount = (await client.query<{ count: number }>(longSql)).rows[0]!.count;
  longTheirs.push(performance.now() - from);
}
const ledgers = () =>
  judged.map((source) => {
    const counted = countedParts(long, source.people);
    judgedParts(long, source.people, source);
    return counted;
  });
started = performance.now();
const [rows] = ledgers();
const ledgerFirst = performance.now() - started;
if (rows![0]!.alone !== longCount) throw new Error(`The ledger counts ${rows![0]!.alone}, PostgreSQL ${longCount}`);
const ledgerAgain = median(
  Array.from({ length: 15 }, () => {
    const from = performance.now();
    ledgers();
    return performance.now() - from;
  })
);
line(`ledger of ${longTerms} terms × 4, first`, ledgerFirst, median(longTheirs));
line(`ledger of ${longTerms} terms × 4, again`, ledgerAgain, median(longTheirs));

// Growth: the same string, first time and repeated, on more and more people.
const more = process.env.MOST ? Number(process.env.MOST) : 1_000_000;
console.log('\npeople        first time    repeated    ledger of 40 terms    index, bytes a person');
for (const count of [25_000, 100_000, 250_000, more].filter((one) => one <= more)) {
  const crowd = { length: count, at: (row: number) => ({ ...people[row % people.length]!, id: `p${row}` }) };
  const grown = PeopleIndex.from(crowd);
  for (const other of others) grown.count(parse(other).query!);
  started = performance.now();
  grown.count(query);
  const firstTime = performance.now() - started;
  started = performance.now();
  for (let i = 0; i < 200; i++) grown.count(query);
  const againTime = (performance.now() - started) / 200;
  countedParts(long, grown);
  started = performance.now();
  countedParts(long, grown);
  console.log(
    `${count.toLocaleString('en').padStart(9)}  ${ms(firstTime).padStart(9)} ms ${ms(againTime).padStart(8)} ms ${ms(performance.now() - started).padStart(18)} ms ${(grown.bytes / count).toFixed(0).padStart(20)}`
  );
}

// The limit: how fast this machine reads memory in a plain loop of the same engine, and copies it without one.
const numbers = new Int32Array(32 * 1024 * 1024).fill(1);
const copied = new Int32Array(numbers.length);
function sumUp(): number {
  let sum = 0;
  for (let i = 0; i < numbers.length; i++) sum = (sum + numbers[i]!) | 0;
  return sum;
}
const rate = (bytes: number, work: () => void) => {
  work();
  const times = [0, 1, 2].map(() => {
    const from = performance.now();
    work();
    return performance.now() - from;
  });
  return bytes / median(times) / 1e6;
};
const looped = rate(numbers.byteLength, sumUp);
const copying = rate(numbers.byteLength * 2, () => copied.set(numbers));
const parts = partsOf(query).length;
const bytes = (parts * size) / 8;
const reached = bytes / repeated / 1e6;
console.log(
  `\nThe limit: repeated, the kept sets of the string's ${parts} parts, ${(size / 8 / 1024).toFixed(0)} KiB each, are met and counted: ` +
    `${(bytes / 1024).toFixed(0)} KiB touched, ${reached.toFixed(1)} GB/s. A loop that only reads memory does ${looped.toFixed(1)} GB/s here, ` +
    `copying memory ${copying.toFixed(1)} GB/s: counting is at ${((100 * reached) / looped).toFixed(0)} % of the one and ${((100 * reached) / copying).toFixed(0)} % of the other. ` +
    `The first time, the words' lists are read once and their people marked, one by one save for common words.`
);
console.log(
  'PostgreSQL figures are with warm caches, over one connection, the round trip of well under a millisecond included.'
);
await client.end();
