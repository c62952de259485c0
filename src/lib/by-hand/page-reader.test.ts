import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeWorker, madeWorkers } from '$lib/testing/fake-worker';
import { inventedPages } from './invented-page';
import { PageReader, type PageQuestion } from './page-reader';
import type { PageRead } from './read-page';

const page = 'Ana Ruiz\nJefa de cocina\nHotel Sol, Sevilla\n\nBo Lind\nKøkkenchef\nKroen, Aarhus\n\n2 resultados';

const made = madeWorkers<PageQuestion, PageRead & { id: number }>;
const answerOf = (id: number, name: string) =>
  ({ id, rows: [{ values: { name }, doubtful: [] }], counted: null }) as PageRead & { id: number };

describe('pages read in a worker', () => {
  beforeEach(() => {
    FakeWorker.made = [];
    vi.stubGlobal('Worker', FakeWorker);
  });
  afterEach(() => vi.unstubAllGlobals());

  it('are answered one by one, in any order, by one worker', async () => {
    const reader = new PageReader();
    const [first, second] = [reader.read('one'), reader.read('two')];
    const [worker] = made();
    worker!.says(answerOf(2, 'Bo'));
    worker!.says(answerOf(1, 'Ana'));
    expect([(await first).rows, (await second).rows]).toMatchObject([
      [{ values: { name: 'Ana' } }],
      [{ values: { name: 'Bo' } }]
    ]);
    expect(made()).toHaveLength(1);
    // Additions to the lexicon are sent once.
    expect(worker!.questions.map(({ lexicon }) => lexicon !== null)).toEqual([true, false]);
  });

  it('fail when the reader stops or breaks, and a new reader starts', async () => {
    const reader = new PageReader();
    const lost = [reader.read('one'), reader.read('two')].map((read) =>
      read.catch((problem: Error) => problem.message)
    );
    made()[0]!.onerror!();
    expect(await Promise.all(lost)).toEqual(Array(2).fill('The page couldn’t be read completely.'));
    expect(made()[0]!.ended).toBe(true);
    const next = reader.read('three');
    made()[1]!.says(answerOf(3, 'Ana'));
    expect((await next).rows).toHaveLength(1);
    expect(made()[1]!.questions[0]!.lexicon).not.toBeNull();
  });
});

describe('an invented page, read before any that is pasted', () => {
  it('is read whole, and answered to nobody', async () => {
    FakeWorker.made = [];
    vi.stubGlobal('Worker', FakeWorker);
    const reader = new PageReader();
    void reader.warm();
    const [worker] = made();
    const pasted = reader.read('one');
    worker!.says(answerOf(1, 'Invented'));
    worker!.says(answerOf(2, 'Ana'));
    expect((await pasted).rows).toMatchObject([{ values: { name: 'Ana' } }]);
    // It makes room for what is pasted, and is not read again after it.
    expect(worker!.questions).toHaveLength(2);
    vi.stubGlobal('Worker', undefined);
    for (const text of inventedPages()) {
      const { rows } = await reader.read(text);
      expect(rows).toHaveLength(1144);
      expect(rows.every(({ values: { title, company, phone } }) => title && company && phone)).toBe(true);
    }
    vi.unstubAllGlobals();
  });
});

describe('invented pages', () => {
  it('are read again while nothing is pasted, and not for ever', async () => {
    FakeWorker.made = [];
    vi.stubGlobal('Worker', FakeWorker);
    const warming = new PageReader().warm();
    const [worker] = made();
    let heard = 0;
    while (heard < worker!.questions.length) {
      worker!.says(answerOf(++heard, 'Invented'));
      await new Promise((next) => setTimeout(next));
    }
    await warming;
    vi.unstubAllGlobals();
    expect(heard).toBeGreaterThan(1);
    expect(heard).toBeLessThan(10);
  });
});

describe('pages where there are no workers', () => {
  it('are read in place, with the count on them', async () => {
    vi.stubGlobal('Worker', undefined);
    const { rows, counted } = await new PageReader().read(page);
    vi.unstubAllGlobals();
    expect(rows.map(({ values }) => values.name)).toEqual(['Ana Ruiz', 'Bo Lind']);
    expect(counted!.line).toBe('2 resultados');
  });
});
