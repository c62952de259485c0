import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import pg from 'pg';
import * as z from 'zod';
import { startJobs } from '$server/app/jobs';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { Later } from './not-now';
import { addJob, defineTask, startQueue, stopQueue } from './queue';

useFreshDatabase();

const ran: string[] = [];
let release = () => {};
const released = new Promise<void>((done) => (release = done));
const underWay = new Map<string, number>();
let mostOfOne = 0;

const hang = defineTask('hang', z.object({ service: z.string() }), async ({ service }) => {
  underWay.set(service, (underWay.get(service) ?? 0) + 1);
  mostOfOne = Math.max(mostOfOne, underWay.get(service)!);
  await released;
  underWay.set(service, underWay.get(service)! - 1);
  ran.push(`hung ${service}`);
});
const quick = defineTask('quick', z.object({ name: z.string() }), ({ name }) => Promise.resolve(void ran.push(name)));
let times = 0;
const later = defineTask('later', z.object({}), () => {
  if (++times < 3) return Promise.reject(new Later(20, 'not yet'));
  return Promise.resolve(void ran.push('later'));
});

beforeAll(async () => {
  await stopQueue();
  await startQueue({ tasks: [hang, quick, later], sweeps: [] });
});
afterAll(async () => {
  release();
  await stopQueue();
  await startJobs();
});

describe('jobs that ask connected services', () => {
  it('leave the runners of all others free while services hang, one runner for each service', async () => {
    for (let i = 0; i < 9; i++) {
      const service = `slow-${i % 3}`;
      await addJob('hang', { service }, { key: `hang ${i}`, priority: 0, service });
    }
    await vi.waitFor(() => expect([...underWay.values()].filter(Boolean)).toHaveLength(3), 5000);
    await addJob('quick', { name: 'local' }, { key: 'quick', priority: 100 });
    await addJob('quick', { name: 'other service' }, { key: 'quick at', priority: 100, service: 'fast' });
    await vi.waitFor(() => expect([...ran].sort()).toEqual(['local', 'other service']), 5000);
    release();
    await vi.waitFor(() => expect(ran.filter((name) => name.startsWith('hung'))).toHaveLength(9), 20_000);
    expect(mostOfOne).toBe(1);
  });

  it('come again in their lane where they have to wait', async () => {
    await addJob('later', {}, { key: 'later', priority: 0, service: 'slow-1' });
    await vi.waitFor(() => expect(ran).toContain('later'), 10_000);
  });
});

describe('a job whose runner lost the connection as it was given it', () => {
  it('is soon run by another', async () => {
    const { query } = pg.Client.prototype;
    let lost = 0;
    vi.spyOn(pg.Client.prototype, 'query').mockImplementation(function (this: pg.Client, ...given: unknown[]) {
      const answer = Reflect.apply(query, this, given) as Promise<pg.QueryResult> | undefined;
      const { text } = given[0] as { text?: string };
      if (lost || !text?.includes('skip locked')) return answer;
      return answer?.then((result) => {
        if (!result.rowCount || lost++) return result;
        throw new Error('Connection terminated unexpectedly');
      });
    } as typeof query);
    await addJob('quick', { name: 'given in vain' }, { key: 'given in vain', priority: 0 });
    await vi.waitFor(() => expect(ran).toContain('given in vain'), 10_000);
    vi.restoreAllMocks();
    expect(lost).toBe(1);
  });
});
