import { describe, expect, it } from 'vitest';
import pairs from '../../../tests/people/adversarial-pairs.json';
import { personSchema } from './person';
import { sameness } from './same-person';

describe('pairs that are easily taken for one person, or for two', () => {
  it('are many enough', () => expect(pairs.length).toBeGreaterThanOrEqual(60));

  it.each(pairs.map(({ why, expect: wanted, a, b }) => [why, wanted, a, b] as const))(
    '%s: %s',
    (_, wanted, first, second) => {
      const [a, b] = [personSchema.parse(first), personSchema.parse(second)];
      expect(sameness(a, b)).toBe(wanted);
      expect(sameness(b, a)).toBe(wanted);
    }
  );
});
