import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PageReader, type PageQuestion, type PageRead } from './page-reader';

const page = 'Ana Ruiz\nJefa de cocina\nHotel Sol, Sevilla\n\nBo Lind\nKøkkenchef\nKroen, Aarhus\n\n2 resultados';

/** A worker that is spoken to by the test. */
class FakeWorker {
  static made: FakeWorker[] = [];
  onmessage: ((event: { data: PageRead & { id: number } }) => void) | null = null;
  onerror: (() => void) | null = null;
  heard: PageQuestion[] = [];
  ended = false;
  constructor() {
    FakeWorker.made.push(this);
  }
  postMessage(question: PageQuestion) {
    this.heard.push(question);
  }
  terminate() {
    this.ended = true;
  }
  answers(id: number, name: string) {
    this.onmessage!({
      data: { id, rows: [{ values: { name }, doubtful: [] }], counted: null } as unknown as PageRead & { id: number }
    });
  }
}

describe('pages read in a worker', () => {
  beforeEach(() => {
    FakeWorker.made = [];
    vi.stubGlobal('Worker', FakeWorker);
  });
  afterEach(() => vi.unstubAllGlobals());

  it('are answered each for itself, in whatever order, by one worker', async () => {
    const reader = new PageReader();
    const [first, second] = [reader.read('one'), reader.read('two')];
    const [worker] = FakeWorker.made;
    worker!.answers(2, 'Bo');
    worker!.answers(1, 'Ana');
    expect([(await first).rows, (await second).rows]).toMatchObject([
      [{ values: { name: 'Ana' } }],
      [{ values: { name: 'Bo' } }]
    ]);
    expect(FakeWorker.made).toHaveLength(1);
    // What was added to the lexicon is told once.
    expect(worker!.heard.map(({ lexicon }) => lexicon !== null)).toEqual([true, false]);
  });

  it('are told not to be read where the reader stops or breaks down, and another begins anew', async () => {
    const reader = new PageReader();
    const lost = [reader.read('one'), reader.read('two')].map((read) =>
      read.catch((problem: Error) => problem.message)
    );
    FakeWorker.made[0]!.onerror!();
    expect(await Promise.all(lost)).toEqual(Array(2).fill('The page was not read to its end.'));
    expect(FakeWorker.made[0]!.ended).toBe(true);
    const next = reader.read('three');
    FakeWorker.made[1]!.answers(3, 'Ana');
    expect((await next).rows).toHaveLength(1);
    expect(FakeWorker.made[1]!.heard[0]!.lexicon).not.toBeNull();
  });
});

describe('pages where there are no workers', () => {
  it('are read in place, with the count that stands on them', async () => {
    vi.stubGlobal('Worker', undefined);
    const { rows, counted } = await new PageReader().read(page);
    vi.unstubAllGlobals();
    expect(rows.map(({ values }) => values.name)).toEqual(['Ana Ruiz', 'Bo Lind']);
    expect(counted!.line).toBe('2 resultados');
  });
});
