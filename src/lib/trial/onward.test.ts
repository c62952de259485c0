import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Onward } from './onward.svelte';

describe('going on to the next person', () => {
  const kept = new Map<string, string>();
  beforeEach(() => {
    kept.clear();
    vi.stubGlobal('localStorage', {
      getItem: (name: string) => kept.get(name) ?? null,
      setItem: (name: string, value: string) => kept.set(name, value)
    });
  });

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
