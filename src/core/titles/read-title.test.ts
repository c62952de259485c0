import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { functionOf, rankOf, ranks } from './lexicon';
import { readTitle } from './read-title';

/** Everyday and invented titles, written for this test and not made by the lexicon. */
const titles = readFileSync('tests/titles/everyday-titles.txt', 'utf8')
  .trim()
  .split('\n')
  .flatMap((line) => {
    const [, rank, name, list] = /^(.*?)\|(.*?): (.*)$/.exec(line)!;
    return list!.split('; ').map((title) => ({ title, rank: rank!, function: name! }));
  });

describe('readTitle', () => {
  it('agrees with at least 600 titles, and prints how far', () => {
    expect(titles.length).toBeGreaterThanOrEqual(600);
    for (const { rank, function: name } of titles)
      expect([rankOf.has(rank), functionOf.has(name)]).toEqual([true, true]);
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
        if (name) expect(functionOf.has(name)).toBe(true);
      })
    );
  });
});
