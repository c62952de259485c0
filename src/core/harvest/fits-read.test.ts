import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/random';
import { fitsRead } from './fits-read';

describe('what share of the fits was read', () => {
  it('is not known before somebody of the random sample is judged', () => {
    expect(fitsRead({ people: 100, fits: 5, sampledFits: 0, sampledMisses: 0 })).toEqual({ there: null, recall: null });
  });

  it('is all of them where everybody was judged', () => {
    const { there, recall } = fitsRead({ people: 50, fits: 20, sampledFits: 20, sampledMisses: 30 });
    expect(there).toEqual({ low: 20, high: 20 });
    expect(recall).toEqual({ low: 1, high: 1 });
  });

  it('has the truth in its interval in about 95 of 100 readings, whatever order the likely ones are read in', () => {
    const random = seededRandom('recall');
    let held = 0;
    const runs = 800;
    for (let run = 0; run < runs; run++) {
      const people = 400;
      const fits = Array.from({ length: people }, () => random() < 0.25);
      // The likely ones are read down a good order; besides, a random sample.
      const order = [...fits.keys()].sort((a, b) => Number(fits[b]) - Number(fits[a]) + (random() - 0.5) * 1.5);
      const read = new Set(order.slice(0, 60));
      const sample = [...fits.keys()].sort(() => random() - 0.5).slice(0, 60);
      for (const one of sample) read.add(one);
      const sampledFits = sample.filter((i) => fits[i]).length;
      const { there } = fitsRead({
        people,
        fits: [...read].filter((i) => fits[i]).length,
        sampledFits,
        sampledMisses: sample.length - sampledFits
      });
      const truth = fits.filter(Boolean).length;
      if (there!.low <= truth && truth <= there!.high) held++;
    }
    expect(held / runs).toBeGreaterThan(0.93);
  });
});
