import { Worker } from 'node:worker_threads';
import pg from 'pg';
import { boardOf, type TriedCell } from '../src/core/measure/board';
import type { Verdict } from '../src/core/measure/precision';
import { seededRandom } from '../src/core/measure/random';

// The board, held to PostgreSQL working out the same figures from tables in the same run; and who is who among up to a
// million records, in a worker, by how time grows with their number.

const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;
const ms = (value: number) => (value >= 100 ? value.toFixed(0) : value.toFixed(1));

const random = seededRandom('board');
const people = 20_000;
const sources = ['a', 'b', 'c', 'd', 'e', 'f'];
const cells: TriedCell[] = [];
for (let version = 1; version <= 20; version++)
  for (const sourceId of sources) {
    const found = new Set<number>();
    while (found.size < 1000) found.add(Math.floor(random() ** 1.5 * people));
    const list = [...found];
    cells.push({
      version,
      sourceId,
      answers: [
        { said: 1100, interval: { low: 1000, high: 1200 }, shown: 1000, certain: 900, possible: 1000, complete: false }
      ],
      checked: true,
      open: new Set<number>(),
      found: list,
      sampled: Array.from({ length: 60 }, (_, i) => i * 16),
      spent: 100
    });
  }
const verdicts = new Map<number, Verdict>();
while (verdicts.size < 5000)
  verdicts.set(Math.floor(random() ** 1.5 * people), (['fit', 'miss', 'unsure'] as const)[Math.floor(random() * 3)]!);
const known = new Map(sources.map((id) => [id, Array.from({ length: 20 }, (_, i) => i * 7)]));

const times: number[] = [];
let board: ReturnType<typeof boardOf> = [];
for (let i = 0; i < 31; i++) {
  const from = performance.now();
  board = boardOf({ cells, people, verdicts, known });
  times.push(performance.now() - from);
}

const client = new pg.Client({ connectionString: process.env.DATABASE_URL });
await client.connect();
await client.query('CREATE UNLOGGED TABLE found (version int, source text, person int, sampled bool)');
await client.query('CREATE UNLOGGED TABLE said (person int PRIMARY KEY, verdict text)');
for (const cell of cells) {
  const sampled = new Set(cell.sampled);
  await client.query('INSERT INTO found SELECT $1, $2, * FROM unnest($3::int[], $4::bool[])', [
    cell.version,
    cell.sourceId,
    cell.found,
    cell.found.map((_, i) => sampled.has(i))
  ]);
}
await client.query('INSERT INTO said SELECT * FROM unnest($1::int[], $2::text[])', [
  [...verdicts.keys()],
  [...verdicts.values()]
]);
await client.query('CREATE INDEX ON found (source, person)');
await client.query('CREATE INDEX ON found (version, person)');
await client.query('VACUUM ANALYZE found, said');
const sql = `
  WITH counted AS (
    SELECT *, count(*) OVER (PARTITION BY source, person) AS of_source, count(*) OVER (PARTITION BY version, person) AS of_version
    FROM found)
  SELECT version, source,
    count(*) FILTER (WHERE sampled AND verdict = 'fit')::int AS fits,
    count(*) FILTER (WHERE sampled AND verdict = 'miss')::int AS misses,
    count(*) FILTER (WHERE of_source = 1)::int AS only_version,
    count(*) FILTER (WHERE of_version = 1)::int AS only_source,
    count(*) FILTER (WHERE verdict = 'fit')::int AS pooled
  FROM counted LEFT JOIN said USING (person) GROUP BY version, source`;
const theirs: number[] = [];
let rows: {
  version: number;
  source: string;
  fits: number;
  misses: number;
  only_version: number;
  only_source: number;
  pooled: number;
}[] = [];
for (let i = 0; i < 5; i++) {
  const from = performance.now();
  ({ rows } = await client.query(sql));
  theirs.push(performance.now() - from);
}
await client.end();
for (const row of rows) {
  const cell = board.find(({ version, sourceId }) => version === row.version && sourceId === row.source)!;
  const mine = [
    cell.figures.precision.possible.fits,
    cell.figures.precision.possible.misses,
    cell.onlyVersion.people,
    cell.onlySource.people,
    cell.pooled.found
  ];
  const told = [row.fits, row.misses, row.only_version, row.only_source, row.pooled];
  if (String(mine) !== String(told)) throw new Error(`Eave says ${mine.join()}, PostgreSQL ${told.join()}`);
}
console.log(
  `\nboard of 20 versions × 6 sources, 5,000 verdicts: ${ms(median(times))} ms (first ${ms(times[0]!)}); PostgreSQL, the five figures it can count: ${ms(median(theirs))} ms; ${(median(theirs) / median(times)).toFixed(1)} ×`
);

const most = Number(process.env.RECORDS ?? 1_000_000);
console.log('\nrecords        who is who      a record    against the smallest    people found');
let base = 0;
for (const size of [most / 8, most / 4, most / 2, most]) {
  const worker = new Worker(
    `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(new URL('./same-person-worker.ts', import.meta.url).href)})))`,
    { eval: true, workerData: { size }, resourceLimits: { maxOldGenerationSizeMb: 8192 } }
  );
  let steps = 0;
  const told = await new Promise<{ time: number; people: number }>((resolve, reject) => {
    worker.on('message', (message: { progress?: number; time?: number; people?: number }) => {
      if (message.progress !== undefined) steps++;
      else resolve(message as { time: number; people: number });
    });
    worker.on('error', reject);
  });
  await worker.terminate();
  const each = told.time / size;
  base ||= each;
  console.log(
    `${size.toLocaleString('en').padStart(9)} ${ms(told.time).padStart(12)} ms ${(each * 1000).toFixed(1).padStart(8)} µs ${(each / base).toFixed(2).padStart(18)} × ${told.people.toLocaleString('en').padStart(18)}   (told ${steps} times how far it was)`
  );
}
