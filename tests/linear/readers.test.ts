import { describe, expect, it } from 'vitest';
import { readers } from './outside-readers';

/** Pieces of which long hostile texts are made: runs of what expressions repeat, and openings that are never closed. */
const pieces = [
  'a',
  'a ',
  ' ',
  '1',
  '1 ',
  '<a ',
  '(',
  '"',
  '“a ',
  '[a ',
  '@',
  'a@',
  'a.',
  '.',
  ', ',
  '- ',
  ' - ',
  ' at ',
  '\t',
  '\n',
  'a\n',
  'Aa Bb\n',
  ' | ',
  'x:',
  'x:(',
  'NOT ',
  'a OR ',
  '-a ',
  '*a ',
  '@a ',
  '1,000 ',
  '1-2 ',
  'a/',
  "a'",
  '\u0301',
  'é',
  'Ana Gil, Head of QA at Cold Ltd\n',
  'employees '
];

/** Milliseconds that reading takes, the least of some runs. */
function time(read: (text: string) => unknown, text: string, runs: number): number {
  let least = Infinity;
  for (let run = 0; run < runs; run++) {
    const began = performance.now();
    read(text);
    least = Math.min(least, performance.now() - began);
  }
  return least;
}

const longest = 48_000;
/** Where a text takes less than this, noise is larger than what is measured. */
const measurable = 4;

/** How many times longer twice the text takes; 1 where even a long one takes next to no time. */
function growth(read: (text: string) => unknown, piece: string): number {
  const text = (length: number) => piece.repeat(Math.ceil(length / piece.length)) + '!';
  for (let length = 1500; length <= longest; length *= 2) {
    const short = time(read, text(length), 1);
    if (short < measurable && length * 2 <= longest) continue;
    if (short < measurable) return 1;
    // A busy machine makes some measurements too long and none too short: the least of either length are compared.
    let [once, twice] = [short, Infinity];
    for (let round = 0; round < 12; round++) {
      twice = Math.min(twice, time(read, text(length * 2), 1));
      if (twice / once <= 2.5) break;
      once = Math.min(once, time(read, text(length), 1));
    }
    return twice / once;
  }
  return 1;
}

describe('twice the text takes no more than about twice the time', () => {
  it.each(Object.entries(readers))('%s', (_, read) => {
    const slow = pieces.flatMap((piece) => {
      const ratio = growth(read, piece);
      return ratio > 2.5 ? [`${JSON.stringify(piece)}: ${ratio.toFixed(1)} times`] : [];
    });
    expect(slow).toEqual([]);
  });
});
