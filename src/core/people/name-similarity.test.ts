import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { jaro, jaroWinkler } from './name-similarity';

describe('how alike names are', () => {
  // Winkler, Proceedings of the Section on Survey Research Methods, American Statistical Association (1990), table 1.
  it.each([
    ['MARTHA', 'MARHTA', 0.944, 0.961],
    ['DWAYNE', 'DUANE', 0.822, 0.84],
    ['DIXON', 'DICKSONX', 0.767, 0.813]
  ])('%s and %s', (a, b, plain, raised) => {
    expect(jaro(a, b)).toBeCloseTo(plain, 3);
    expect(jaroWinkler(a, b)).toBeCloseTo(raised, 3);
  });
  it('is 1 for the same and 0 for nothing in common', () => {
    expect(jaroWinkler('ida', 'ida')).toBe(1);
    expect(jaroWinkler('', '')).toBe(1);
    expect(jaroWinkler('', 'ida')).toBe(0);
    expect(jaro('abc', 'xyz')).toBe(0);
  });
  it('is the same both ways and never outside 0 to 1', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), (a, b) => {
        expect(jaro(a, b)).toBeCloseTo(jaro(b, a), 10);
        expect(jaroWinkler(a, b)).toBeGreaterThanOrEqual(0);
        expect(jaroWinkler(a, b)).toBeLessThanOrEqual(1);
      })
    );
  });
});
