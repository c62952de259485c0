import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { tasks } from './jobs';

describe('the list of tasks', () => {
  it('holds every kind of job that is defined, each once', () => {
    const root = new URL('..', import.meta.url).pathname;
    const defined = readdirSync(root, { recursive: true, encoding: 'utf8' })
      .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && !file.startsWith('jobs/'))
      .flatMap((file) => [...readFileSync(join(root, file), 'utf8').matchAll(/export const (\w+) = defineTask\(/g)]);
    expect(defined.length).toBeGreaterThan(5);
    expect(tasks).toHaveLength(defined.length);
    expect(new Set(tasks.map(({ name }) => name)).size).toBe(tasks.length);
  });
});
