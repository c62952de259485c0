import { render } from '../src/core/dialect/render';
import { sheets } from '../src/core/dialect/sheets';
import { sourceProblems } from '../src/core/lint/source-problems';
import { equivalent } from '../src/core/semantics/equivalent';
import { parse } from '../src/core/language/parse';
import { simplify } from '../src/core/semantics/simplify';

/** A realistic string of so many terms: titles, trades, places, sizes and exclusions. */
function stringOf(terms: number): string {
  const group = (word: string, count: number) =>
    Array.from({ length: Math.max(1, count) }, (_, i) => (i % 3 ? `"${word} manager ${i}"` : `${word}${i}`)).join(
      ' OR '
    );
  const titles = Math.round(terms * 0.6);
  const words = Math.round(terms * 0.2);
  return `title:(${group('quality', titles)}) AND (${group('chilled', words)}) AND country:(Denmark OR Sweden OR Norway) AND headcount:[51 TO 1000] NOT (${group('software', terms - titles - words - 4)})`;
}

function median(times: number, work: () => void): number {
  const taken = Array.from({ length: times }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return taken[Math.floor(times / 2)]!;
}

const frame = 16;
console.log('\nStrings: reading with problems, and all renderings, in one thread');
console.log('terms   parse+problems   problems of sources + 7 renderings   both, in frames of 16 ms   per term');
for (const terms of [20, 150, 2000]) {
  const text = stringOf(terms);
  for (let i = 0; i < 5; i++) parse(text);
  const reading = median(terms > 1000 ? 7 : 41, () => void parse(text));
  const query = parse(text).query!;
  const rendering = median(terms > 1000 ? 7 : 41, () => {
    for (const sheet of sheets) sourceProblems(text, query, sheet, render(query, sheet));
  });
  const both = reading + rendering;
  console.log(
    `${String(terms).padStart(5)}   ${reading.toFixed(2).padStart(11)} ms   ${rendering.toFixed(2).padStart(29)} ms   ${(both / frame).toFixed(2).padStart(22)}   ${((1000 * both) / terms).toFixed(1)} µs`
  );
}
const hostile = Array.from(
  { length: 400 },
  (_, i) => `((w${i} OR v${(i * 37) % 400}) AND (u${(i * 17) % 400} OR NOT w${(i * 23) % 400}))`
).join(' OR ');
const query = parse(hostile).query!;
console.log(
  `hostile string of ${hostile.length} characters: simplify ${median(3, () => void simplify(query)).toFixed(0)} ms, equivalent ${median(3, () => void equivalent(query, { kind: 'not', part: query })).toFixed(0)} ms`
);

// Words side by side: eight times as many, at every shipped sheet, as a ratio of the same run. Fewer may fit into one search.
const joined = (count: number) => parse(Array.from({ length: count }, (_, i) => `word${i}`).join(' ')).query!;
const [few, many] = [joined(600), joined(4800)];
const least = (query: typeof few, sheet: (typeof sheets)[number]) =>
  Math.min(
    ...[0, 1, 2].map(() => {
      const from = performance.now();
      render(query, sheet);
      return performance.now() - from;
    })
  );
console.log('\n4,800 words side by side, against 600:');
for (const sheet of sheets) {
  const [short, long] = [least(few, sheet), least(many, sheet)];
  console.log(
    `  ${sheet.name.padEnd(18)} ${long.toFixed(0)} ms, ${(long / short).toFixed(1)} × as long for 8 × as many`
  );
}
