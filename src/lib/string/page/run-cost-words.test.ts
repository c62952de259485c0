import { describe, expect, it } from 'vitest';
import { runCostWords } from './run-cost-words';

describe('the price in the run button', () => {
  it('names each unit once, says what is not known yet, and nothing where nobody charges', () => {
    expect(runCostWords({ units: [], open: [] })).toBe('');
    expect(runCostWords({ units: [['credit', { low: 12, high: 40 }]], open: [] })).toBe(' · 12–40 credits');
    expect(runCostWords({ units: [['credit', { low: 5, high: 5 }]], open: ['A service'] })).toBe(
      ' · 5 credits + price not known yet'
    );
  });
});
