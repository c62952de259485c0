import { describe, expect, it } from 'vitest';
import { rowsOf } from '$core/corpus';
import { render } from '$core/dialect';
import { learn, signReader, type JudgedRow } from '$core/harvest';
import { parse } from '$core/language';
import { seededRandom } from '$core/measure';
import { matchingOf } from '$core/semantics';
import { makeStandIns, worldPersonAt } from './stand-ins/stand-ins';
import { makeWorld, whyUnwanted } from './world/world';

const source = makeStandIns(makeWorld(160_000)).find(({ sheet }) => sheet.id === 'harrow-guild')!;
const query = parse(
  'title:("quality manager" OR "head of quality" OR "quality director" OR QA OR "responsible person") AND (pharma OR chilled OR "cold chain" OR GDP OR food) AND headcount:[50 TO 1000] NOT title:(software OR intern)'
).query!;
const [search] = render(query, source.sheet).searches;
const rows = rowsOf(source.count(search!).found, Infinity);
const read = signReader(query, matchingOf(source.sheet.matching));
const signs = rows.map((row) => read(source.personAt(row)));
const fits = rows.map((row) => whyUnwanted(worldPersonAt(source, row)!) === null);

describe('the likelihood of people nobody judged', () => {
  it.each([150, 300, 600])(
    'is within five points of the truth in each tenth of the list, after %i verdicts',
    (judged) => {
      const tenths = Array.from({ length: 10 }, () => ({ people: 0, said: 0, fits: 0 }));
      for (let run = 0; run < 10; run++) {
        const random = seededRandom(`run ${run} of ${judged}`);
        const order = [...rows.keys()].map((i) => ({ i, luck: random() })).sort((a, b) => a.luck - b.luck);
        const sample = order.slice(0, judged).map(({ i }): JudgedRow => ({ signs: signs[i]!, fit: fits[i]! }));
        const learnt = learn(sample, `run ${run}`);
        if (!learnt) continue;
        const unjudged = order
          .slice(judged)
          .map(({ i }) => ({ said: learnt.likelihoodOf(signs[i]!), fit: fits[i]! }))
          .sort((one, other) => other.said - one.said);
        unjudged.forEach(({ said, fit }, rank) => {
          const tenth = tenths[Math.floor((10 * rank) / unjudged.length)]!;
          tenth.people++;
          tenth.said += said;
          tenth.fits += Number(fit);
        });
      }
      const percent = (part: number, whole: number) => ((100 * part) / whole).toFixed(1);
      const lines = tenths.map(
        ({ people, said, fits: held }) => `${percent(said, people)} said, ${percent(held, people)} held`
      );
      console.log(`${judged} verdicts, tenths of the list:\n${lines.join('\n')}`);
      for (const { people, said, fits: held } of tenths) {
        expect(people).toBeGreaterThan(1000);
        expect(Math.abs(said - held) / people).toBeLessThan(0.05);
      }
    }
  );
});
