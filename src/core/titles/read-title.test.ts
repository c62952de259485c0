import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { functionOf, rankOf, ranks } from './lexicon';
import { readTitle } from './read-title';

/** Titles of a file, a line for each rank and function that they are. */
const titlesIn = (file: string) =>
  readFileSync(`tests/titles/${file}`, 'utf8')
    .trim()
    .split('\n')
    .flatMap((line) => {
      const [, rank, name, list] = /^(.*?)\|(.*?): (.*)$/.exec(line)!;
      return list!.split('; ').map((title) => ({ title, rank: rank!, function: name! }));
    });
/** Everyday and invented titles, written for this test and not made by the lexicon. */
const titles = titlesIn('everyday-titles.txt');
/** Titles of other trades in all languages, written apart from the lexicon. At first sight 98.1 % of 428 were read rightly, and 5 of the 425 read with confidence were wrong. */
const trades = titlesIn('trades.txt');

describe('readTitle', () => {
  it('agrees with at least 600 titles, and prints how far', () => {
    expect(titles.length).toBeGreaterThanOrEqual(600);
    for (const { rank, function: name } of titles)
      expect([rankOf.has(rank), functionOf(name) !== undefined]).toEqual([true, true]);
    const level = new Map(ranks.map(({ id, level: own }) => [id, own]));
    const wrong: string[] = [];
    let rankRight = 0;
    let near = 0;
    let functionRight = 0;
    let both = 0;
    for (const { title, rank, function: name } of titles) {
      const read = readTitle(title);
      if (read.rank === rank) rankRight++;
      if (read.rank && Math.abs(level.get(read.rank)! - level.get(rank)!) <= 1) near++;
      if (read.function === name) functionRight++;
      if (read.rank === rank && read.function === name) both++;
      else wrong.push(`${title}: ${read.rank} ${read.function}, not ${rank} ${name}`);
    }
    const share = (count: number) => `${((100 * count) / titles.length).toFixed(1)} %`;
    console.log(
      `titles read: ${titles.length}; rank ${share(rankRight)} (within one ${share(near)}), function ${share(functionRight)}, both ${share(both)}`
    );
    expect(rankRight / titles.length).toBeGreaterThan(0.93);
    expect(functionRight / titles.length).toBeGreaterThan(0.93);
    expect(both / titles.length).toBeGreaterThan(0.9);
  });

  it('reads titles of twenty trades and more, and where it is sure it is wrong in at most one of a hundred', () => {
    expect(trades.length).toBeGreaterThanOrEqual(400);
    expect(new Set(trades.map((one) => one.function)).size).toBeGreaterThanOrEqual(20);
    const read = trades.map((one) => ({ ...one, read: readTitle(one.title) }));
    const wrong = read.filter((one) => one.read.rank !== one.rank || one.read.function !== one.function);
    const sure = read.filter((one) => one.read.confidence >= 0.85);
    const wrongly = wrong.filter((one) => one.read.confidence >= 0.85);
    console.log(
      `titles of trades: ${read.length - wrong.length} of ${read.length} right; sure of ${sure.length}, ${wrongly.length} of them wrong`
    );
    expect(wrong.length / read.length).toBeLessThan(0.05);
    expect(wrongly.map(({ title }) => title).length).toBeLessThanOrEqual(sure.length / 100);
  });

  it('is surer of what it knows than of what it infers', () => {
    expect(readTitle('Head of Quality').confidence).toBeGreaterThan(readTitle('Head of Gardens').confidence);
    expect(readTitle('foo bar')).toEqual({ rank: null, function: null, confidence: 0 });
  });

  it('takes anything', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 120 }), (title) => {
        const { confidence, rank, function: name } = readTitle(title);
        expect(confidence).toBeGreaterThanOrEqual(0);
        expect(confidence).toBeLessThanOrEqual(1);
        if (rank) expect(rankOf.has(rank)).toBe(true);
        if (name) expect(functionOf(name) !== undefined).toBe(true);
      })
    );
  });
});
