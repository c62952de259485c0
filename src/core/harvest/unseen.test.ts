import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/random';
import { chao, shareNew } from './unseen';

describe('people who were not seen', () => {
  it('are as many as Chao’s estimate says', () => {
    expect(chao(10, 5).middle).toBe(10);
    // None twice: the corrected form.
    expect(chao(4, 0).middle).toBe(6);
    expect(chao(0, 3)).toEqual({ low: 0, middle: 0, high: 0 });
    const { low, middle, high } = chao(40, 10);
    expect(low).toBeLessThan(middle);
    expect(high).toBeGreaterThan(middle);
    // The log-normal interval is as far above as below, on a logarithmic scale.
    expect(middle / low).toBeCloseTo(high / middle);
    expect(() => chao(-1, 0)).toThrow(RangeError);
  });

  it('are within the interval in about 95 of 100 draws, where everybody is as likely to come', () => {
    const random = seededRandom('chao');
    let held = 0;
    const runs = 600;
    for (let run = 0; run < runs; run++) {
      const there = 500;
      const times = new Uint8Array(there);
      for (let draw = 0; draw < 600; draw++) times[Math.floor(random() * there)]!++;
      const f = [0, 0, 0];
      for (const n of times) if (n < 3) f[n]!++;
      const { low, high } = chao(f[1]!, f[2]!);
      if (low <= f[0]! && f[0]! <= high) held++;
    }
    expect(held / runs).toBeGreaterThanOrEqual(0.93);
    expect(held / runs).toBeLessThanOrEqual(0.98);
  });

  it('come at the rate that Good gives', () => {
    expect(shareNew(20, 100)).toBe(0.2);
    expect(shareNew(0, 0)).toBe(1);
  });
});
