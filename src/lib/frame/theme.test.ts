import { beforeEach, describe, expect, it, vi } from 'vitest';
import { stubLocalStorage } from '$lib/testing/local-storage';
import { theme } from './theme.svelte';

const stored = stubLocalStorage();
const set: string[] = [];
let systemIsDark = false;

beforeEach(() => {
  stored.clear();
  set.length = 0;
  vi.stubGlobal('matchMedia', () => ({ matches: systemIsDark }));
  vi.stubGlobal('document', {
    documentElement: { setAttribute: (name: string, value: string) => set.push(`${name} ${value}`) }
  });
});

describe('light and dark', () => {
  it.each([
    [true, 'g100'],
    [false, 'white']
  ] as const)('follow the system until somebody chooses: dark is %s', (dark, wanted) => {
    systemIsDark = dark;
    theme.start();
    expect([theme.current, set.at(-1)]).toEqual([wanted, `theme ${wanted}`]);
    expect(stored.size).toBe(0);
  });

  it('are as somebody chose, also at the next visit', () => {
    systemIsDark = false;
    theme.start();
    theme.toggle();
    expect(theme.current).toBe('g100');
    theme.start();
    expect(theme.current).toBe('g100');
    theme.toggle();
    systemIsDark = true;
    theme.start();
    expect(theme.current).toBe('white');
  });

  it('take nothing from what is kept there by something else', () => {
    systemIsDark = true;
    stored.set('eave-theme', 'sepia');
    theme.start();
    expect(theme.current).toBe('g100');
  });
});
