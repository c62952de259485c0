import { beforeEach, describe, expect, it } from 'vitest';
import { stubLocalStorage } from '$lib/testing/local-storage';
import { Onward } from './onward.svelte';

describe('going on to the next person', () => {
  const kept = stubLocalStorage();
  beforeEach(() => kept.clear());

  it('happens after a fit or an unsure, and after the reason of a miss', () => {
    const onward = new Onward();
    onward.recall();
    expect(['fit', 'unsure', 'miss'].map((verdict) => onward.after(verdict as never))).toEqual([true, true, false]);
    expect(onward.afterReason()).toBe(true);
  });

  it('is switched off for good, and on again', () => {
    new Onward().switch(false);
    const later = new Onward();
    later.recall();
    expect([later.after('fit'), later.afterReason()]).toEqual([false, false]);
    later.switch(true);
    expect(later.after('fit')).toBe(true);
  });
});
