import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import type { Asker } from './asker';
import { Pool } from './pool';
import type { SharedSource } from './shared-source';
import { cells } from './thread-cells';

/**
 * A thread that answers what it is told to: at once, after some time that can be broken off, never, or by dying. It says in
 * its answer which of the threads it is and which sources it has.
 */
const thread = `
const { parentPort, threadId, workerData } = require('node:worker_threads');
const has = new Set();
parentPort.on('message', (told) => {
  if ('attach' in told) {
    for (const { id } of told.attach) has.add(id);
    return parentPort.postMessage({ attached: told.attach.map(({ id }) => id) });
  }
  if ('detach' in told) return has.delete(told.detach);
  if ('lexicon' in told) return;
  const { id, kind, ask } = told;
  if (kind === 'dies') throw new Error('out of order');
  if (kind === 'never') for (;;) Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 1000);
  if (kind === 'wrong') return parentPort.postMessage({ id, error: 'It is wrong.' });
  if (kind === 'refused')
    return parentPort.postMessage({ id, refusal: { status: 422, title: 'No', detail: 'Not like this.', more: {} } });
  const until = Date.now() + (ask?.ms ?? 0);
  while (Date.now() < until) {
    if (Atomics.load(workerData.shared, ${cells.dropped}) === id)
      return parentPort.postMessage({ id, error: 'broken off' });
    Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 5);
  }
  parentPort.postMessage({ id, answer: { thread: threadId, has: [...has], says: ask?.says } });
});
`;

let folder: string;
let file: string;
const pools: Pool[] = [];
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'pool-'));
  file = join(folder, 'thread.cjs');
  writeFileSync(file, thread);
});
afterEach(async () => {
  await Promise.all(pools.splice(0).map((pool) => pool.close()));
});
afterAll(() => rmSync(folder, { recursive: true }));

function pool(threads: number, most = threads): Pool {
  const made = new Pool({ file, threads, most });
  pools.push(made);
  return made;
}
const source = (id: string) => ({ id }) as SharedSource;
interface Said {
  thread: number;
  has: string[];
  says: string;
}
const how = (more: Partial<Parameters<Pool['ask']>[2]> = {}) => ({
  long: false,
  limit: 5000,
  json: false,
  asker: undefined,
  ...more
});
const asker = (id: string, more: Partial<Asker> = {}) =>
  ({ id, signal: new AbortController().signal, ...more }) as Asker;
/** Asks for something that takes so many milliseconds, and notes when it is answered. */
const ask = (on: Pool, says: string, ms: number, ended: string[], more = {}) =>
  on.ask('works', { says, ms }, how(more)).then((answer) => {
    ended.push(says);
    return answer as Said;
  });

describe('threads that answer', () => {
  it('open a source before they are asked about it, and forget it', async () => {
    const one = pool(2);
    await one.attach(source('a'));
    const answer = (await one.ask('works', { sourceId: 'a' }, how())) as Said;
    expect(answer.has).toEqual(['a']);
    one.detach('a');
    expect(((await one.ask('works', {}, how())) as Said).has).toEqual([]);
  });

  it('are asked again where they worked on the same source before', async () => {
    const two = pool(2);
    await Promise.all([two.attach(source('a')), two.attach(source('b'))]);
    // Until both have both.
    await Promise.all([ask(two, '', 30, []), ask(two, '', 30, [])]);
    const about = async (sourceId: string) => ((await two.ask('works', { sourceId, ms: 5 }, how())) as Said).thread;
    const [a, b] = await Promise.all([about('a'), about('b')]);
    expect(a).not.toBe(b);
    for (let i = 0; i < 3; i++) expect([await about('b'), await about('a')]).toEqual([b, a]);
    const [long, next] = await Promise.all([
      two.ask('works', { sourceId: 'a', ms: 300 }, how()) as Promise<Said>,
      about('a')
    ]);
    expect([long.thread, next]).toEqual([a, b]);
  });

  it('answer the next question when one that waits before it is dropped', async () => {
    const one = pool(1);
    await one.attach(source('a'));
    const about = (ms: number) => one.ask('works', { sourceId: 'a', ms, says: `${ms}` }, how()) as Promise<Said>;
    await about(1);
    const leaving = new AbortController();
    const [slow, left, next] = [
      about(80),
      one.ask('works', { sourceId: 'a' }, how({ asker: asker('x', { signal: leaving.signal }) })),
      about(2)
    ];
    leaving.abort();
    await expect(left).rejects.toMatchObject({ status: 499 });
    expect([(await slow).says, (await next).says]).toEqual(['80', '2']);
    expect(one.state()).toEqual({ threads: 1, running: 0, waiting: 0 });
  });

  it('leave the next question to another thread when they die', async () => {
    const one = pool(1);
    await one.attach(source('a'));
    await one.ask('works', { sourceId: 'a' }, how());
    const dies = one.ask('dies', { sourceId: 'a' }, how()).catch(({ status }: { status: number }) => status);
    const next = one.ask('works', { sourceId: 'a', says: 'on' }, how()) as Promise<Said>;
    expect(await dies).toBe(503);
    expect((await next).says).toBe('on');
  });

  it('answer short questions before long ones, and always leave a thread to them', async () => {
    const two = pool(2);
    // Until both threads run.
    await Promise.all([ask(two, '', 30, []), ask(two, '', 30, [])]);
    const ended: string[] = [];
    const work = [
      ask(two, 'long 1', 150, ended, { long: true }),
      ask(two, 'long 2', 10, ended, { long: true }),
      ask(two, 'short 1', 10, ended),
      ask(two, 'short 2', 10, ended)
    ];
    await Promise.all(work);
    expect(ended).toEqual(['short 1', 'short 2', 'long 1', 'long 2']);
  });

  it('answer a long question in the end, however many short ones keep coming', async () => {
    const two = pool(2);
    await Promise.all([ask(two, '', 30, []), ask(two, '', 30, [])]);
    let isDone = false;
    let shorts = 0;
    const keepAsking = async () => {
      for (const until = Date.now() + 5000; !isDone && Date.now() < until; shorts++) await ask(two, 'short', 20, []);
    };
    const coming = [keepAsking(), keepAsking(), keepAsking(), keepAsking()];
    await ask(two, 'long', 10, [], { long: true });
    isDone = true;
    await Promise.all(coming);
    expect(shorts).toBeGreaterThan(8);
    expect(shorts).toBeLessThan(250);
  });

  it('take turns among those who ask, however much one asks', async () => {
    const two = pool(2);
    // Until both threads run.
    await Promise.all([ask(two, '', 30, []), ask(two, '', 30, [])]);
    const ended: string[] = [];
    const many = asker('many');
    const work = Array.from({ length: 9 }, (_, i) => ask(two, `many ${i}`, 20, ended, { asker: many }));
    work.push(ask(two, 'few', 20, ended, { asker: asker('few') }));
    await Promise.all(work);
    expect(ended.indexOf('few')).toBeLessThan(3);
    expect(ended.filter((one) => one !== 'few')).toEqual(Array.from({ length: 9 }, (_, i) => `many ${i}`));
  });

  it('become more while all are held up, up to a number', async () => {
    const two = pool(1, 2);
    const ended: string[] = [];
    await Promise.all([ask(two, 'slow', 1500, ended), ask(two, 'next', 10, ended), ask(two, 'last', 10, ended)]);
    expect(ended).toEqual(['next', 'last', 'slow']);
    expect(two.state()).toMatchObject({ threads: 2, running: 0, waiting: 0 });
  });
});

describe('a question', () => {
  it('is broken off when nobody waits for it, and the next is answered by the same thread', async () => {
    const one = pool(1);
    const first = ((await one.ask('works', {}, how())) as Said).thread;
    const leaving = new AbortController();
    const left = one.ask('works', { ms: 4000 }, how({ asker: asker('x', { signal: leaving.signal }) }));
    const waits = new AbortController();
    const never = one.ask('works', {}, how({ asker: asker('y', { signal: waits.signal }) }));
    waits.abort();
    await expect(never).rejects.toMatchObject({ status: 499 });
    leaving.abort();
    await expect(left).rejects.toMatchObject({ status: 499 });
    expect(((await one.ask('works', {}, how())) as Said).thread).toBe(first);
    const late = one.ask('works', {}, how({ asker: asker('x', { signal: leaving.signal }) }));
    await expect(late).rejects.toMatchObject({ status: 499 });
  });

  it('that goes on beyond its time ends with its thread, which another takes the place of', async () => {
    const one = pool(1);
    await one.attach(source('a'));
    const first = (await one.ask('works', { sourceId: 'a' }, how())) as Said;
    const stuck = one.ask('never', {}, how({ limit: 50 }));
    const next = one.ask('works', { sourceId: 'a' }, how());
    await expect(stuck).rejects.toMatchObject({ status: 422 });
    const after = (await next) as Said;
    expect(after.thread).not.toBe(first.thread);
    expect(after.has).toEqual(['a']);
  });

  it('has no more time than is left of what all of a request have', async () => {
    const one = pool(1);
    await one.ask('works', {}, how());
    const hurried = asker('x', { within: 1000 });
    await one.ask('works', { ms: 40 }, how({ asker: hurried }));
    // It would run into the limit of the test before its own.
    await expect(one.ask('never', {}, how({ asker: hurried, limit: 600_000 }))).rejects.toMatchObject({ status: 422 });
  });

  it('is not charged for the time that it waits for a thread', async () => {
    const one = pool(1);
    await one.ask('works', {}, how());
    const patient = asker('x', { within: 1200 });
    await one.ask('works', { ms: 20 }, how({ asker: patient }));
    const before = ask(one, 'before', 1500, []);
    const answer = (await one.ask('works', { says: 'after', ms: 20 }, how({ asker: patient }))) as Said;
    await before;
    expect(answer.says).toBe('after');
    expect(patient.worked).toBeLessThan(1200);
  });

  it('that kills a thread is refused with that reason, and others are answered', async () => {
    const one = pool(1);
    const dies = one.ask('dies', {}, how());
    const next = one.ask('works', { says: 'on' }, how());
    await expect(dies).rejects.toMatchObject({ status: 503, message: expect.stringMatching(/stopped unexpectedly/) });
    expect(((await next) as Said).says).toBe('on');
  });

  it('is refused, or wrong, with the words of the thread', async () => {
    const one = pool(1);
    await expect(one.ask('refused', {}, how())).rejects.toMatchObject({ status: 422, message: 'Not like this.' });
    await expect(one.ask('wrong', {}, how())).rejects.toThrow('It is wrong.');
  });

  it('that waits, or is worked on, when the pool closes is refused with that reason', async () => {
    const one = pool(1);
    const asked = [ask(one, 'runs', 2000, []), ask(one, 'waits', 0, [])].map((work) =>
      work.catch(({ status }: { status: number }) => status)
    );
    await one.close();
    expect(await Promise.all(asked)).toEqual([499, 499]);
  });

  it('and a source that is being opened then, or is to be opened after, are refused too', async () => {
    const one = pool(1);
    const opening = one.attach(source('a')).catch(({ status }: { status: number }) => status);
    await one.close();
    expect(await opening).toBe(499);
    await expect(one.attach(source('b'))).rejects.toMatchObject({ status: 499 });
  });
});
