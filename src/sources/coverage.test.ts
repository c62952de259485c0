import { describe, expect, it } from 'vitest';
import { drawSample, extendSample, precisionOf } from '$core/measure';
import { parse } from '$core/language';
import { harrowGuild, lanternfield, quillbank } from '$core/dialect';
import { makeStandIn, standIns } from './stand-ins/stand-ins';
import { tryString } from './try-string';
import { isTrulyWanted, makeWorld } from './world/world';

const world = makeWorld(60_000);
const truth = new Map(world.people.map((person) => [person.number.toString(36), isTrulyWanted(person)]));
const wanted = (id: string) => truth.get(id.replace(/-2$/, '').split('-').at(-1)!)!;
/** Strings of different breadth, so that shares of fits and sizes of results differ: at one share alone an interval for counts covers now a little more, now a little less. */
const strings = [
  'title:(quality OR kvalitetschef OR qa OR kwaliteit) AND (pharma OR chilled OR cold OR gdp)',
  'title:("quality manager" OR "head of quality" OR "responsible person")',
  'title:(qa OR rp OR quality) AND headcount:[51 TO 1000]',
  'title:manager AND (pharma OR gdp OR haccp)',
  'quality AND (wholesale OR chilled)',
  'title:(compliance OR quality) NOT (software OR tester OR specialist)'
];

describe('precision of samples drawn through the depth', () => {
  it('has an interval that holds the world’s truth in 93 to 97 of 100 seeded runs, and so it has when the sample has grown', () => {
    const sources = [harrowGuild, lanternfield, quillbank].map(
      ({ id }) =>
        makeStandIn(
          standIns.find(({ sheet }) => sheet.id === id)!,
          world
        ).source
    );
    const tally = { first: 0, grown: 0, runs: 0 };
    for (const source of sources)
      for (const text of strings) {
        const ids = tryString(parse(text).query!, source).people.map(({ id }) => id);
        const share = ids.filter(wanted).length / ids.length;
        if (ids.length < 100 || share < 0.02) continue;
        const holds = (ranks: readonly number[]) => {
          const verdicts = ranks.map((rank) => (wanted(ids[rank - 1]!) ? ('fit' as const) : ('miss' as const)));
          const { low, high } = precisionOf(verdicts, ids.length).interval;
          return low <= share && share <= high;
        };
        let [first, grown] = [0, 0];
        const runs = 300;
        for (let run = 0; run < runs; run++) {
          const seed = `coverage ${run}`;
          const ranks = drawSample(ids, 40, seed);
          if (holds(ranks)) first++;
          if (holds([...ranks, ...extendSample(ids, ranks, 73, seed)])) grown++;
        }
        console.log(
          `${source.sheet.name}: ${ids.length} people, true share ${share.toFixed(3)}; held ${((100 * first) / runs).toFixed(1)} %, grown ${((100 * grown) / runs).toFixed(1)} %: ${text}`
        );
        tally.first += first;
        tally.grown += grown;
        tally.runs += runs;
      }
    console.log(
      `in all: ${((100 * tally.first) / tally.runs).toFixed(1)} % and ${((100 * tally.grown) / tally.runs).toFixed(1)} % of ${tally.runs}`
    );
    expect(tally.runs).toBeGreaterThanOrEqual(3000);
    for (const held of [tally.first, tally.grown]) {
      expect(held / tally.runs).toBeGreaterThan(0.93);
      expect(held / tally.runs).toBeLessThan(0.97);
    }
  }, 120_000);
});
