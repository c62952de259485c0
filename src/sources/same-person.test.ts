import { describe, expect, it } from 'vitest';
import { samePeople, type SourceRecord } from '$core/people';
import { harrowPeople, lanternfieldPeople, marlowPeople, quillbankPeople } from './stand-ins/records';
import { makeWorld } from './world/world';

const pairs = (sizes: Iterable<number>) => [...sizes].reduce((sum, size) => sum + (size * (size - 1)) / 2, 0);
const sizes = (keys: Iterable<string | number>) => {
  const counts = new Map<string | number, number>();
  for (const key of keys) counts.set(key, (counts.get(key) ?? 0) + 1);
  return counts.values();
};

describe('the same person across the four stand-ins', () => {
  it('is found with precision of 0.99 and recall of 0.95 or more of the world’s true pairs', () => {
    const world = makeWorld(40_000);
    const records: SourceRecord[] = [];
    const truth: number[] = [];
    for (const [sourceId, people] of Object.entries({
      harrowPeople,
      lanternfieldPeople,
      quillbankPeople,
      marlowPeople
    }))
      for (const person of people(world)) {
        records.push({ sourceId, person });
        truth.push(parseInt(person.id.replace(/-2$/, '').split('-').at(-1)!, 36));
      }
    const { personOf, doubtful } = samePeople(records)!;
    const right = pairs(sizes(truth.map((person, i) => `${person} ${personOf[i]}`)));
    const precision = right / pairs(sizes(personOf));
    const recall = right / pairs(sizes(truth));
    const yes = doubtful.filter(({ a, b }) => truth[a] === truth[b]).length;
    console.log(
      `${records.length} records: precision ${precision.toFixed(4)}, recall ${recall.toFixed(4)} of pairs; ${doubtful.length} doubtful, ${yes} of them one person`
    );
    expect(precision).toBeGreaterThanOrEqual(0.99);
    expect(recall).toBeGreaterThanOrEqual(0.95);
  });
});
