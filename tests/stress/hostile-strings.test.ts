import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import { ask, freshDatabase, sourcesReady, useServers, watchMachine } from './harness';

const start = useServers('test-hostile', 20_000);
const machineStall = watchMachine();
let address: string;
let server: number;
let briefId: string;
beforeAll(async () => {
  const application = await start(await freshDatabase('eave_hostile'), { EAVE_THREADS: '3' });
  ({ address } = application);
  server = application.process.pid!;
  await sourcesReady(address);
  briefId = (await ask<{ id: string }>(address, 'POST', '/briefs', { name: 'Hostile' })).body.id;
});

const words =
  'the quality of chilled goods depends on people who read temperatures every day and write them down'.split(' ');
const normalForm = (groups: number, size: number, inner: string, outer: string) =>
  Array.from(
    { length: groups },
    (_, i) => `(${Array.from({ length: size }, (_, j) => `w${i}x${j}`).join(` ${inner} `)})`
  ).join(` ${outer} `);
const wildcards = (operator: string) => Array.from({ length: 5000 }, (_, i) => `ab${i}*`).join(` ${operator} `);

const strings: [string, string][] = [
  ['64 KiB of brackets', `${'('.repeat(32_000)}a${')'.repeat(32_000)}`],
  ['64 KiB of quotes', '"'.repeat(64_000)],
  ['5,000 wildcards, and-ed', wildcards('AND')],
  ['5,000 wildcards, or-ed', wildcards('OR')],
  ['2⁴⁰ alternatives', normalForm(40, 2, 'OR', 'AND')],
  ['3²⁰⁰ alternatives', normalForm(200, 3, 'OR', 'AND')],
  [
    '800 words of prose',
    Array.from({ length: 800 }, (_, i) => `${words[i % words.length]}${i % 5 ? '' : i}`).join(' ')
  ],
  ['5,000 words', Array.from({ length: 5000 }, (_, i) => 'abcdefghij'[i % 10]).join(' ')]
];

/** Processor time that the server and its threads have used so far, in milliseconds: fields 14 and 15 of proc(5), in ticks of 10 ms. */
function processorTime(): number {
  const fields = readFileSync(`/proc/${server}/stat`, 'utf8').split(') ')[1]!.split(' ');
  return (Number(fields[11]) + Number(fields[12])) * 10;
}

describe('strings that ask for too much', () => {
  it.each(strings)(
    '%s: an answer or a refusal for at most 4 s of work in all threads, and nobody else held up',
    async (_, text) => {
      const all = ['harrow-guild', 'lanternfield', 'quillbank', 'marlow-register'];
      await ask(address, 'GET', '/health/ready');
      await machineStall();
      const asked: [string, unknown][] = [
        ['/parse', { text }],
        ...all.map((sourceId): [string, unknown] => ['/render', { text, sourceId }]),
        [`/briefs/${briefId}/ledger`, { text, sourceId: 'harrow-guild' }],
        ['/senses', { text, sourceId: 'lanternfield' }],
        ['/read', { text, sourceId: 'marlow-register' }],
        [`/briefs/${briefId}/who-goes`, { from: text, to: 'a', sourceId: 'quillbank' }],
        [`/briefs/${briefId}/versions`, { text }]
      ];
      for (const [path, body] of asked) {
        const before = processorTime();
        const { status } = await ask(address, 'POST', path, body);
        // A thread works 1.5 s at most; others collect its garbage beside it, and one makes its answer into JSON.
        expect(processorTime() - before, path).toBeLessThan(4000);
        expect([200, 201, 422], `${path} ${status}`).toContain(status);
      }
      const { body } = await ask<{ stall: number }>(address, 'GET', '/health/ready');
      expect(body.stall - (await machineStall())).toBeLessThanOrEqual(100);
    }
  );

  it('do not hold up the short questions of others', async () => {
    const text = strings[2]![1];
    const heavy = Promise.all(
      Array.from({ length: 6 }, () =>
        ask(
          address,
          'POST',
          `/briefs/${briefId}/ledger`,
          { text, sourceId: 'harrow-guild' },
          { 'x-eave-page': 'heavy' }
        )
      )
    );
    const waits: number[] = [];
    for (let i = 0; i < 20; i++) {
      const began = performance.now();
      await ask(address, 'POST', '/parse', { text: `title:word${i}` }, { 'x-eave-page': 'other' });
      waits.push(performance.now() - began);
    }
    await heavy;
    waits.sort((a, b) => a - b);
    expect(waits[Math.floor(waits.length / 2)]).toBeLessThan(250);
  });
});
