import { describe, expect, it } from 'vitest';
import { rhythmFault } from '$core/changes';
import { rhythmInWords, rhythms, withDays } from './rhythm-words';

describe('a rhythm in words', () => {
  it('is a rule that holds, and is said as it was chosen', () => {
    for (const [rule, words] of Object.entries(rhythms)) {
      expect(rhythmFault({ rule, zone: 'Europe/Oslo' })).toBeNull();
      expect(rhythmInWords(rule)).toBe(words);
    }
    const rule = withDays('FREQ=WEEKLY', ['MO', 'TH']);
    expect(rule).toBe('FREQ=WEEKLY;BYDAY=MO,TH');
    expect(rhythmInWords(rule)).toBe('every week on Monday, Thursday');
    expect(withDays('FREQ=MONTHLY', ['MO'])).toBe('FREQ=MONTHLY');
    expect(rhythmInWords('FREQ=YEARLY;BYMONTH=2')).toBe('FREQ=YEARLY;BYMONTH=2');
  });
});
