import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { harrowGuild, quillbank } from '$core/dialect';
import { FakeWorker, madeWorkers } from '$lib/testing/fake-worker';
import type { ReadingAnswer, ReadingQuestion } from './reading-messages';
import { StringReading } from './reading.svelte';

const made = madeWorkers<ReadingQuestion, ReadingAnswer>;
const worker = () => made().at(-1)!;
const lastId = () => worker().questions.at(-1)!.id;
const read = (id: number, description: string): ReadingAnswer => ({
  id,
  kind: 'read',
  problems: [],
  description,
  shorter: null
});
const ask = (reading: StringReading, text: string) => reading.ask({ text, sets: [], sheets: [] });

describe('what a worker makes of a string', () => {
  beforeEach(() => {
    FakeWorker.made = [];
    vi.stubGlobal('Worker', FakeWorker);
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('is taken of the newest text alone', () => {
    const reading = new StringReading();
    ask(reading, 'chef');
    const first = lastId();
    ask(reading, 'cook');
    worker().says(read(first, 'who are chefs'));
    expect(reading.text).toBeNull();
    worker().says(read(lastId(), 'who are cooks'));
    expect([reading.text, reading.description]).toEqual(['cook', 'who are cooks']);
    expect(made()).toHaveLength(1);
  });

  it('stays while a newer text is read, source by source', () => {
    const reading = new StringReading();
    ask(reading, 'chef');
    const rendered = (id: number, sourceId: string, copy: string) =>
      ({ id, kind: 'rendered', sourceId, rendering: { searches: [] }, copy, problems: [] }) as unknown as ReadingAnswer;
    worker().says(rendered(lastId(), 'a', 'chef'));
    worker().says(rendered(lastId(), 'b', '"chef"'));
    ask(reading, 'cook');
    worker().says(rendered(lastId(), 'a', 'cook'));
    expect(Object.entries(reading.sources).map(([id, { copy }]) => [id, copy])).toEqual([
      ['a', 'cook'],
      ['b', '"chef"']
    ]);
  });

  it('is given up where it takes long and a newer text is there', () => {
    const reading = new StringReading();
    ask(reading, 'slow');
    vi.advanceTimersByTime(300);
    ask(reading, 'slow too');
    expect(made()).toHaveLength(1);
    vi.advanceTimersByTime(200);
    ask(reading, 'fast');
    expect(made().map(({ ended }) => ended)).toEqual([true, false]);
    expect(worker().questions).toHaveLength(2);
    worker().says({ id: lastId(), kind: 'done' });
    vi.advanceTimersByTime(5000);
    ask(reading, 'later');
    expect(made()).toHaveLength(2);
  });

  it('ends with the page', () => {
    const reading = new StringReading();
    reading.stop();
    ask(reading, 'chef');
    reading.stop();
    expect(worker().ended).toBe(true);
  });
});

describe('the worker itself', () => {
  const received: ReadingAnswer[] = [];
  let ask: (question: ReadingQuestion | { lexicon: object }) => void;
  const until = async (id: number) => {
    await vi.waitFor(() => expect(received.some((one) => one.id === id && one.kind === 'done')).toBe(true), 5000);
    return received.filter((one) => one.id === id);
  };
  beforeEach(async () => {
    received.length = 0;
    vi.resetModules();
    vi.stubGlobal('postMessage', (answer: ReadingAnswer) => received.push(answer));
    vi.stubGlobal('addEventListener', (_: string, on: (event: { data: unknown }) => void) => {
      ask = (data) => on({ data });
    });
    await import('./reading.worker');
  });
  afterEach(() => vi.unstubAllGlobals());

  it('says what a string means, what is wrong with it, and how each source is asked', async () => {
    const sheets = [harrowGuild, quillbank];
    ask({ id: 1, text: 'title:(chef OR chef OR cook) country:Spain', sets: [], sheets });
    const answers = await until(1);
    expect(answers.map(({ kind }) => kind)).toEqual(['read', 'rendered', 'rendered', 'done']);
    const first = answers[0] as Extract<ReadingAnswer, { kind: 'read' }>;
    expect(first.description).toMatch(/chef/);
    expect(first.shorter).toMatch(/chef OR cook/);
    expect(first.problems.length).toBeGreaterThan(0);
    const rendered = answers.flatMap((one) => (one.kind === 'rendered' ? [one] : []));
    expect(rendered.map(({ sourceId }) => sourceId)).toEqual([harrowGuild.id, quillbank.id]);
    for (const { copy } of rendered) expect(copy).toMatch(/chef/);
  });

  it('translates nothing of a string with errors, nor of an empty one', async () => {
    ask({ id: 1, text: 'title:(chef OR', sets: [], sheets: [harrowGuild] });
    const [first, ...others] = await until(1);
    expect((first as { problems: { severity: string }[] }).problems.map(({ severity }) => severity)).toContain('error');
    expect(others.map(({ kind }) => kind)).toEqual(['done']);
    ask({ id: 2, text: '', sets: [], sheets: [harrowGuild] });
    expect((await until(2)).map(({ kind }) => kind)).toEqual(['read', 'done']);
  });

  it('leaves an older string for a newer', async () => {
    const sheets = [harrowGuild, quillbank];
    ask({ id: 1, text: 'title:chef', sets: [], sheets });
    ask({ id: 2, text: 'title:cook', sets: [], sheets });
    await until(2);
    expect(received.filter((one) => one.id === 1).map(({ kind }) => kind)).toEqual(['read']);
  });

  it('knows what was added to the lexicon', async () => {
    const words = (answers: ReadingAnswer[]) => JSON.stringify(answers[0]);
    ask({ id: 1, text: 'title:plonge', sets: [], sheets: [] });
    const before = words(await until(1));
    const senses = [
      { name: 'washing up', indicators: ['kitchen'] },
      { name: 'a dive', indicators: ['sea'] }
    ];
    ask({ lexicon: { functions: [], titles: [], meanings: [{ word: 'plonge', senses }] } });
    ask({ id: 2, text: 'title:plonge', sets: [], sheets: [] });
    const after = words(await until(2));
    expect(before).not.toMatch(/several meanings|meanings/);
    expect(after).toMatch(/meanings/);
  });
});
