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

/** Milliseconds of processor time that reading takes: what else runs on the machine does not lengthen it. */
function time(read: (text: string) => unknown, text: string): number {
  const before = process.cpuUsage();
  read(text);
  const { user, system } = process.cpuUsage(before);
  return (user + system) / 1000;
}

const longest = 200_000;
/** Where a text takes less than this, noise is larger than what is measured. */
const measurable = 4;

/**
 * How many times longer twice the text takes; 1 where even a long one takes next to no time. What grows faster than its text does so at
 * every length: a single step may be the compiler's or the collector's, so that the least of several steps counts.
 */
function growth(read: (text: string) => unknown, piece: string): number {
  const text = (length: number) => piece.repeat(Math.ceil(length / piece.length)) + '!';
  let least = Infinity;
  let steps = 0;
  for (let length = 1500; length <= longest && steps < 3; length *= 2) {
    let once = time(read, text(length));
    if (once < measurable) continue;
    steps++;
    let twice = Infinity;
    for (let round = 0; round < 5; round++) {
      twice = Math.min(twice, time(read, text(length * 2)));
      if (twice / once <= 2.5) return 1;
      once = Math.min(once, time(read, text(length)));
    }
    least = Math.min(least, twice / once);
    if (least <= 2.5) return 1;
  }
  return steps ? least : 1;
}

describe('twice the text takes no more than about twice the time', () => {
  it.each(Object.entries(readers))('%s', (_, read) => {
    const slow = pieces.flatMap((piece) => {
      // Once is chance, four times is the reader.
      let ratio = Infinity;
      for (let attempt = 0; attempt < 4 && ratio > 2.5; attempt++) ratio = Math.min(ratio, growth(read, piece));
      return ratio > 2.5 ? [`${JSON.stringify(piece)}: ${ratio.toFixed(1)} times`] : [];
    });
    expect(slow).toEqual([]);
  });
});
