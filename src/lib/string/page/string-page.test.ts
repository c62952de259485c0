import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem } from '$lib/api/call';
import { emptyPersona } from '$core/persona';
import { StringPage } from './string-page.svelte';

const asked = vi.hoisted(() => ({ call: vi.fn(), reload: vi.fn(async () => {}), goto: vi.fn(async () => {}) }));
vi.mock('$lib/api/call', async (original) => ({ ...(await original<object>()), call: asked.call }));
vi.mock('$lib/kept/reload', () => ({ reload: asked.reload }));
vi.mock('$app/state', () => ({ page: { data: {}, url: new URL('http://here/') } }));
vi.mock('$app/navigation', () => ({ goto: asked.goto }));

type Answers = Record<string, (input: { params: { source: string }; body: never }) => unknown>;
const answers: Answers = {
  writeDraft: () => ({ revision: 2 }),
  leaveOutSources: () => ({}),
  runAtSources: () => ({ version: { number: 4 }, trials: [{ id: 'first' }, { id: 'second' }] }),
  keepVersion: () => ({ number: 5 }),
  takeChanges: () => ({ version: { number: 6 } }),
  buildString: () => ({ text: 'title:"Jefe de cocina"' }),
  createWordSet: () => ({}),
  nameVersion: () => ({})
};
const serve = (more: Answers = {}) =>
  asked.call.mockImplementation(async (name: string, input = { body: {} }) => {
    const answer = { ...answers, ...more }[name];
    if (!answer) throw new Error(`Nobody answers ${name}.`);
    return answer(input as never);
  });
const calls = (name: string) => asked.call.mock.calls.filter(([one]) => one === name).map(([, input]) => input);

const source = (id: string, kind: string, lists: string[] = []) => ({
  id,
  kind,
  name: `The ${id}`,
  readiness: { state: 'ready' },
  sheet: { lists }
});
function desk(text: string, more: object = {}) {
  const data = {
    brief: { id: 'b', leftOut: [] },
    draft: { body: { text, from: null }, revision: 1 },
    persona: emptyPersona,
    wording: { body: [], revision: 1 },
    versions: [{ number: 3, text: 'title:Koch' }],
    wordSets: [{ name: 'chefs', wordings: ['chef', 'cook'] }],
    sources: [
      source('ledgers', 'file', ['own.score', 'title']),
      source('square', 'by-hand'),
      source('sheets', 'file', ['own.area'])
    ],
    ...more
  };
  return new StringPage(() => data as never);
}

beforeEach(() => {
  vi.useFakeTimers();
  for (const mock of Object.values(asked)) mock.mockClear();
  serve();
});
afterEach(() => vi.useRealTimers());

describe('what the String page knows of the string', () => {
  it('is its parts, the version that it is, and whether it can be run', () => {
    expect(desk('title:Koch').same).toMatchObject({ number: 3 });
    const page = desk('title:(chef OR cook) country:spain NOT any:"school canteen"');
    expect(page.parts).toHaveLength(3);
    expect(page.same).toBeUndefined();
    expect([page.blocked, page.hasError]).toEqual([false, false]);
    expect(desk('').blocked).toBe(true);
    expect(desk('title:(chef OR').hasError).toBe(true);
  });

  it('shows its own problems until the worker has read the same text', () => {
    const page = desk('title:(chef OR');
    expect(page.isRead).toBe(false);
    expect(page.problems).toEqual(page.parsed.problems);
    page.reading.text = page.text;
    page.reading.problems = [];
    expect(page.problems).toEqual([]);
  });

  it('narrows in the order of the string, or in another of the same parts', () => {
    const page = desk('title:chef country:spain');
    expect(page.order).toEqual([0, 1]);
    page.narrowed = [1, 0];
    expect(page.order).toEqual([1, 0]);
    page.write('title:chef country:spain rank:head');
    expect(page.order).toEqual([0, 1, 2]);
    page.narrowed = [0, 1, 3];
    expect(page.order).toEqual([0, 1, 2]);
  });

  it('lists the own fields of the chosen sources, and which are counted and run', () => {
    const page = desk('chef');
    expect(page.ownFields).toEqual(['own.area', 'own.score']);
    expect(page.counted.map(({ id }) => id)).toEqual(['ledgers', 'sheets']);
    expect(page.runAt.map(({ id }) => id)).toEqual(['ledgers', 'sheets']);
    page.leftOut = ['ledgers'];
    expect(page.ownFields).toEqual(['own.area']);
    expect(page.chosen.map(({ id }) => id)).toEqual(['square', 'sheets']);
  });

  it('adds up the values of a scope over the sources, in any letter case, most people first', async () => {
    serve({
      readValues: ({ params }) =>
        params.source === 'ledgers'
          ? [
              { text: 'Madrid', people: 5 },
              { text: 'Lisboa', people: 9 }
            ]
          : [{ text: 'MADRID', people: 6 }]
    });
    expect(await desk('chef').valuesOf('city' as never, 'm')).toEqual([
      { text: 'Madrid', people: 11 },
      { text: 'Lisboa', people: 9 }
    ]);
    serve({
      readValues: ({ params }) => {
        if (params.source === 'ledgers') throw new ApiProblem(503, 'Away', 'Away.');
        return [{ text: 'Porto', people: 1 }];
      }
    });
    expect(await desk('chef').valuesOf('city' as never, 'p')).toEqual([{ text: 'Porto', people: 1 }]);
  });

  it('counts a part alone at each source, and leaves a gap where one does not answer', async () => {
    const estimate = { low: 12, middle: 12, high: 12 };
    serve({
      count: ({ body }) => {
        const { sourceId, texts } = body as { sourceId: string; texts: string[] };
        expect(texts).toEqual(['title:chef']);
        if (sourceId === 'sheets') throw new ApiProblem(503, 'Away', 'Away.');
        return { counts: [{ certain: estimate, possible: estimate }] };
      }
    });
    const page = desk('title:chef');
    expect(await page.countAlone(page.parts[0]!.query)).toEqual(['The ledgers: 12', 'The sheets: –']);
  });
});

describe('what is done with the string', () => {
  it('is run as it stands after what was typed is kept, and opens the first trial', async () => {
    const page = desk('title:chef');
    page.write('title:cook');
    await page.run();
    expect(calls('writeDraft')[0]).toMatchObject({ body: { body: { text: 'title:cook', from: null } } });
    expect(calls('runAtSources')).toEqual([
      { params: { id: 'b' }, body: { text: 'title:cook', parent: null, sourceIds: ['ledgers', 'sheets'] } }
    ]);
    expect(page.draft.value).toEqual({ text: 'title:cook', from: 4 });
    expect(asked.goto).toHaveBeenCalledWith('/briefs/b/trial?trial=first');
    expect([page.running, page.refused]).toEqual([false, null]);
  });

  it.each([
    ['', [], /Write a string first/],
    ['title:(chef OR', [], /./],
    ['title:chef', ['ledgers', 'sheets'], /Only manual sources/],
    ['title:chef', ['ledgers', 'sheets', 'square'], /No source selected/]
  ])('is not run as %j without %j, and why is said', async (text, leftOut, why) => {
    const page = desk(text, { brief: { id: 'b', leftOut } });
    await page.run();
    expect((page.refused as ApiProblem).message).toMatch(why);
    expect(calls('runAtSources')).toEqual([]);
  });

  it('says what the server refuses, stays, and can be tried again', async () => {
    serve({
      runAtSources: () => {
        throw new ApiProblem(409, 'Busy', 'That source is busy.');
      }
    });
    const page = desk('title:chef');
    await page.run();
    expect((page.refused as ApiProblem).message).toBe('That source is busy.');
    expect(asked.goto).not.toHaveBeenCalled();
    serve();
    await page.run();
    expect(page.refused).toBeNull();
    expect(asked.goto).toHaveBeenCalledTimes(1);
  });

  it('is kept as a version, and opened at a place run by hand', async () => {
    const page = desk('title:chef');
    await page.runByHand('square');
    expect(page.draft.value.from).toBe(5);
    expect(asked.goto).toHaveBeenCalledWith('/briefs/b/by-hand?version=5&source=square');
  });

  it('leaves a source out at once, and takes it back where the server refuses', async () => {
    const page = desk('chef');
    await page.chooseSource('sheets', false);
    expect(page.leftOut).toEqual(['sheets']);
    await page.chooseSource('sheets', true);
    expect(calls('leaveOutSources').map(({ body }) => body.leftOut)).toEqual([['sheets'], []]);
    serve({
      leaveOutSources: () => {
        throw new ApiProblem(0, 'Away', 'Away.');
      }
    });
    await page.chooseSource('ledgers', false);
    expect(page.leftOut).toEqual([]);
    expect((page.refused as Error).message).toBe('Away.');
  });

  it('is built of the persona where nothing is written, and else only shown', async () => {
    const empty = desk('');
    await empty.build();
    expect([empty.text, empty.proposed]).toEqual(['title:"Jefe de cocina"', null]);
    const written = desk('title:chef');
    await written.build();
    expect([written.text, written.proposed]).toEqual(['title:chef', 'title:"Jefe de cocina"']);
    serve({ buildString: () => ({ text: '' }) });
    const nothing = desk('');
    await nothing.build();
    expect((nothing.refused as Error).message).toMatch(/Add at least one job title/);
  });

  it('takes a proposal as a version made from the one before, with what it says', async () => {
    const page = desk('title:chef', { draft: { body: { text: 'title:chef', from: 3 }, revision: 1 } });
    await page.takeProposal('title:(chef OR cook)', 'x'.repeat(600));
    expect(calls('takeChanges')[0]!.body).toEqual({
      text: 'title:chef',
      changed: 'title:(chef OR cook)',
      parent: 3,
      note: 'x'.repeat(500)
    });
    expect(page.draft.value).toEqual({ text: 'title:(chef OR cook)', from: 6 });
    page.draft.undo();
    expect(page.draft.value).toEqual({ text: 'title:chef', from: 3 });
  });

  it('pulls words out as a set, named without its sign', async () => {
    const page = desk('title:(chef OR cook)');
    await page.pull('@kitchens', true, ['chef', 'cook']);
    expect(calls('createWordSet')[0]!.body).toMatchObject({
      name: 'kitchens',
      kind: 'unwanted',
      wordings: ['chef', 'cook']
    });
    await page.nameVersion(3, { note: 'naive' });
    expect(calls('nameVersion')[0]).toEqual({ params: { id: 'b', number: 3 }, body: { note: 'naive' } });
  });

  it('is laid out and put on one line without a change of what it says', () => {
    const page = desk(
      'title:("jefe de cocina" OR chef OR "head of kitchen") country:(spain OR portugal) NOT any:school'
    );
    const received = JSON.stringify(page.parts.length);
    page.layOut();
    expect(page.text).toContain('\n');
    page.onOneLine();
    expect(page.text).not.toContain('\n');
    expect(JSON.stringify(page.parts.length)).toBe(received);
  });
});
