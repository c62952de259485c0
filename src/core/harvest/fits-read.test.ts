import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/random';
import { drawEvery, fitsRead } from './fits-read';

const nobody = { sampledFits: 0, sampledMisses: 0, otherFits: 0, otherMisses: 0 };

/** A list of people, the likely fits mostly first, and a random order of all; some are read of either, in turn. */
function worldOf(people: number, seed: string) {
  const random = seededRandom(seed);
  const isFit = Array.from({ length: people }, () => random() < 0.25);
  // So noisy that 80% of the fits are among the first 42%.
  const likely = isFit.map((fit) => Number(fit) + random() * 1.45);
  const order = [...isFit.keys()].sort((a, b) => likely[b]! - likely[a]!);
  const luck = isFit.map(() => random());
  const drawn = [...isFit.keys()].sort((a, b) => luck[a]! - luck[b]!);
  const read = new Set<number>();
  let [next, sampled] = [0, 0];
  const skip = () => {
    while (sampled < people && read.has(drawn[sampled]!)) sampled++;
    while (next < people && read.has(order[next]!)) next++;
  };
  return {
    isFit,
    read,
    fits: isFit.filter(Boolean).length,
    /** Reads one more, in turn from the random order. */
    step(turn: number) {
      skip();
      const every = drawEvery(people);
      read.add(turn % every === every - 1 ? drawn[sampled]! : order[next]!);
      skip();
    },
    judged() {
      const sample = new Set(drawn.slice(0, sampled));
      const behind = { people: people - next, ...nobody };
      for (const one of order.slice(next))
        if (read.has(one)) behind[`${sample.has(one) ? 'sampled' : 'other'}${isFit[one] ? 'Fits' : 'Misses'}`]++;
      const fits = [...read].filter((one) => isFit[one]).length;
      return { people, fits, misses: read.size - fits, behind };
    }
  };
}

describe('what share of the fits was read', () => {
  it('is not known before somebody of the random sample is judged', () => {
    expect(fitsRead({ people: 100, fits: 5, misses: 3, behind: { people: 95, ...nobody } })).toEqual({
      there: null,
      recall: null,
      atLeast: null
    });
  });

  it('is all of them where everybody was judged', () => {
    const { there, recall, atLeast } = fitsRead({ people: 50, fits: 20, misses: 30, behind: { people: 0, ...nobody } });
    expect(there).toEqual({ low: 20, high: 20 });
    expect(recall).toEqual({ low: 1, high: 1 });
    expect(atLeast).toBe(1);
  });

  it('never promises more fits than people are left to read', () => {
    const behind = { people: 40, ...nobody, sampledFits: 3, sampledMisses: 1, otherMisses: 30 };
    expect(fitsRead({ people: 100, fits: 40, misses: 54, behind }).there!.high).toBeLessThanOrEqual(46);
  });

  it('has the truth in its interval in 93 to 97% of looks, and never ends above what is left to read', () => {
    let [looks, held] = [0, 0];
    for (let world = 0; world < 300; world++) {
      const one = worldOf(400, `coverage ${world}`);
      for (let turn = 0; turn < 300; turn++) {
        one.step(turn);
        if (turn % 60 !== 59) continue;
        const judged = one.judged();
        const { there } = fitsRead(judged);
        expect(there!.high).toBeLessThanOrEqual(judged.fits + 400 - one.read.size);
        looks++;
        held += Number(there!.low <= one.fits + 1e-9 && one.fits <= there!.high + 1e-9);
      }
    }
    expect(held / looks).toBeGreaterThan(0.93);
    expect(held / looks).toBeLessThan(0.975);
  }, 60_000);

  it.each([
    [400, 0.15],
    [2000, 0.15],
    [5000, 0.15]
  ])(
    'says that 80%% are read soon after it is true, and hardly ever before, among %i people',
    (people, most) => {
      const delays: number[] = [];
      let early = 0;
      const worlds = people > 2000 ? 60 : 300;
      for (let world = 0; world < worlds; world++) {
        const one = worldOf(people, `delay ${people} ${world}`);
        let isTrue: number | null = null;
        const every = Math.max(1, Math.round(people / 200));
        for (let turn = 0; turn < people; turn++) {
          one.step(turn);
          if (turn % every) continue;
          const judged = one.judged();
          if (isTrue === null && judged.fits >= 0.8 * one.fits) isTrue = one.read.size / people;
          const { atLeast } = fitsRead(judged);
          if (atLeast === null || atLeast < 0.8) continue;
          if (isTrue === null) early++;
          delays.push(isTrue === null ? 0 : one.read.size / people - isTrue);
          break;
        }
      }
      delays.sort((a, b) => a - b);
      const median = delays[Math.floor(delays.length / 2)]!;
      console.log(`${people} people: speaks ${(100 * median).toFixed(1)} points after the truth, in the median`);
      expect(median).toBeLessThanOrEqual(most);
      // The bound holds in 95% of looks; here it is looked at after every other verdict.
      expect(early / worlds).toBeLessThanOrEqual(0.08);
    },
    120_000
  );
});
