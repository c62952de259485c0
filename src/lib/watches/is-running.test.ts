import { expect, it } from 'vitest';
import { isRunning } from './is-running';

const run = { id: '', problem: '', dueAt: '', endedAt: null, people: 0, counts: {}, breaks: [] };
const at = (iso: string) => Date.parse(iso);

it('is running while its last run is, before its first, and once the next is due', () => {
  const now = at('2026-12-01T10:00:00Z');
  const done = { ...run, state: 'done' as const };
  const next = { active: true, nextAt: '2026-12-02T06:00:00Z' };
  expect(isRunning({ ...next, lastRun: { ...run, state: 'running' } }, now)).toBe(true);
  expect(isRunning({ ...next, lastRun: null }, now)).toBe(true);
  expect(isRunning({ ...next, lastRun: done }, now)).toBe(false);
  expect(isRunning({ ...next, lastRun: done }, at('2026-12-02T06:00:00Z'))).toBe(true);
  expect(isRunning({ active: false, nextAt: null, lastRun: null }, now)).toBe(false);
  expect(isRunning({ ...next, lastRun: { ...run, state: 'due' } }, now)).toBe(false);
});
