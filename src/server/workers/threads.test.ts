import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ownLexicon, takeUpLexicon } from '$core/titles';
import { environment } from '$server/platform/environment';
import { NotNow } from '$server/platform/jobs/not-now';
import { KeptThreads, runThread } from './threads';

/** A thread that does as it is told, at its start or with each message. */
const thread = `
const { parentPort, threadId, workerData } = require('node:worker_threads');
const act = ({ does, ms, messages, sum }) => {
  if (does === 'dies') throw new Error('out of order');
  if (does === 'ends') return process.exit(0);
  if (does === 'never') return;
  if (does === 'adds') return parentPort.postMessage({ answer: sum.reduce((all, one) => all + one, 0) });
  for (const one of messages ?? []) parentPort.postMessage(one);
  setTimeout(() => parentPort.postMessage({ answer: threadId }), ms ?? 0);
};
if (workerData) act(workerData);
parentPort.on('message', act);
`;

let folder: string;
let file: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'threads-'));
  writeFileSync(join(folder, 'thread.cjs'), thread);
  file = relative(environment().workers, join(folder, 'thread.cjs'));
});
afterAll(() => rmSync(folder, { recursive: true }));

describe('a thread that does one thing', () => {
  it('says how far it is, and what came of it', async () => {
    const far: number[] = [];
    const messages = [{ progress: 1 }, { progress: 2 }];
    const answer = await runThread<number, number>(
      file,
      { does: 'works', messages },
      { progressed: (at) => far.push(at) }
    );
    expect(far).toEqual([1, 2]);
    expect(answer).toBeGreaterThan(0);
  });

  it('is given memory, and not a copy of it', async () => {
    const numbers = new Float64Array([1, 2, 3.5]);
    const how = { transferList: [numbers.buffer as ArrayBuffer] };
    expect(await runThread<number>(file, { does: 'adds', sum: numbers }, how)).toBe(6.5);
    expect(numbers).toHaveLength(0);
  });

  it.each([
    ['refused', [{ refusal: { status: 422, title: 'No', detail: 'Not like this.', extra: {} } }], /Not like this/],
    ['wrong', [{ error: 'It is wrong.' }], /It is wrong/]
  ])('that is %s says so', async (_, messages, says) => {
    await expect(runThread(file, { does: 'works', messages, ms: 10_000 })).rejects.toThrow(says);
  });

  it('that dies, or ends without a word, is no answer', async () => {
    await expect(runThread(file, { does: 'dies' })).rejects.toThrow('out of order');
    await expect(runThread(file, { does: 'ends' })).rejects.toThrow(/without an answer/);
  });

  it('is to be done later where the database is away, or where it is broken off', async () => {
    const away = runThread(file, { does: 'works', messages: [{ error: 'gone', away: true }] });
    await expect(away).rejects.toBeInstanceOf(NotNow);
    const breaking = new AbortController();
    const broken = runThread(file, { does: 'never' }, { signal: breaking.signal });
    breaking.abort();
    await expect(broken).rejects.toBeInstanceOf(NotNow);
    await expect(runThread(file, { does: 'works' }, { signal: breaking.signal })).rejects.toBeInstanceOf(NotNow);
  });
});

describe('threads that are kept', () => {
  const threads = (idleFor = 60_000) => new KeptThreads<object, number>(file, idleFor);

  it('do one thing after the other, and several at once in several', async () => {
    const kept = threads();
    const first = await kept.run({ does: 'works' });
    expect(await kept.run({ does: 'works' })).toBe(first);
    const both = await Promise.all([kept.run({ ms: 50 }), kept.run({ ms: 50 })]);
    expect(new Set(both).size).toBe(2);
    expect(both).toContain(first);
  });

  it('end when they have nothing to do for a while', async () => {
    const kept = threads(20);
    const first = await kept.run({ does: 'works' });
    await expect.poll(() => kept.run({ does: 'works' }), { interval: 100 }).not.toBe(first);
  });

  it('do no more when they were broken off or died', async () => {
    const kept = threads();
    const first = await kept.run({ does: 'works' });
    await expect(kept.run({ does: 'dies' })).rejects.toThrow('out of order');
    const second = await kept.run({ does: 'works' });
    expect(second).not.toBe(first);
    const breaking = new AbortController();
    const broken = kept.run({ does: 'never' }, { signal: breaking.signal });
    breaking.abort();
    await expect(broken).rejects.toBeInstanceOf(NotNow);
    expect(await kept.run({ does: 'works' })).not.toBe(second);
  });

  it('go on after a refusal', async () => {
    const kept = threads();
    const first = await kept.run({ does: 'works' });
    const refusal = { status: 409, title: 'No', detail: 'Somebody else was first.', extra: {} };
    await expect(kept.run({ messages: [{ refusal }], ms: 1 })).rejects.toThrow(/Somebody else/);
    await new Promise((done) => setTimeout(done, 50));
    expect(await kept.run({ does: 'works' })).toBe(first);
  });

  it('that began before something was added to the lexicon are not asked any more', async () => {
    const kept = threads();
    const before = ownLexicon();
    const first = await kept.run({ does: 'works' });
    takeUpLexicon({ ...before });
    try {
      const second = await kept.run({ does: 'works' });
      expect(second).not.toBe(first);
      expect(await kept.run({ does: 'works' })).toBe(second);
    } finally {
      takeUpLexicon(before);
    }
  });
});
