import { describe, expect, it } from 'vitest';
import { parse } from '$core/language';
import type { Answer } from '$api';
import { broughtBy, changeOf, keptOutBy, ledgerLines, sortLines, standsOut, wholeOf } from './ledger-rows';
import { changeWords, fullestLimit, judgedWords } from './ledger-words';

type Row = NonNullable<Answer<'ledger'>['rows']>['possible'][number];
const exact = (count: number) => ({ low: count, middle: count, high: count });
const row = (path: number[], alone: number, without: number | null, more: Partial<Row> = {}): Row => ({
  path,
  excludes: false,
  alone: exact(alone),
  without: without === null ? null : exact(without),
  only: { fits: 0, misses: 0 },
  brings: { fits: 0, misses: 0 },
  ...more
});
const answer = (rows: Row[]) => ({
  here: {
    rows: { certain: [], possible: rows },
    found: { estimated: { certain: exact(0), possible: rows[0]!.alone! } }
  } as unknown as Answer<'ledger'>
});
const query = parse('title:(a OR b OR c) NOT (d OR e)').query!;
const rows = [
  row([], 10, null),
  row([0], 30, 50),
  row([0, 0], 20, 8),
  row([0, 1], 0, 10),
  row([0, 2], 9, 3, { only: { fits: 1, misses: 8 } }),
  row([1], 7, 15, { excludes: true }),
  row([1, 0], 4, 12, { excludes: true, only: { fits: 2, misses: 1 } }),
  row([1, 1], 3, 11, { excludes: true })
];
const lines = (unfolded: string[]) => ledgerLines(query, new Set(unfolded), answer(rows));
const whole = () => wholeOf(answer(rows).here);

describe('lines of the ledger', () => {
  it('are the outermost parts, and what is in those unfolded', () => {
    expect(lines([]).map(({ text }) => text)).toEqual(['title:(a OR b OR c)', 'd OR e']);
    expect(lines(['0']).map(({ key, level }) => [key, level])).toEqual([
      ['0', 1],
      ['0.0', 2],
      ['0.1', 2],
      ['0.2', 2],
      ['1', 1]
    ]);
    expect(lines([])[1]).toMatchObject({ excludes: true, isGroup: true, part: 1 });
  });
  it('of a string of one part begin with it', () => {
    expect(ledgerLines(parse('qa').query!, new Set(), {}).map(({ key, level }) => [key, level])).toEqual([['', 1]]);
    expect(ledgerLines(parse('qa OR rp').query!, new Set(['']), {}).map(({ level }) => level)).toEqual([1, 2, 2]);
  });
  it('tell the change when a part is left out', () => {
    expect(changeOf(rows[2]!, exact(10))).toBe(-2);
    expect(changeOf(rows[0]!, exact(10))).toBeNull();
  });
  it('stand out when they find nobody, bring misses, or throw out fits', () =>
    expect(lines(['0', '1']).map((line) => standsOut(line, whole))).toEqual([
      null,
      null,
      'idle',
      'harmful',
      null,
      'costs fits',
      null
    ]));
  it('tell a part that shuts everyone out from one without effect', () => {
    const of = [row([], 0, null), row([0], 0, 5), row([1], 0, 5, { excludes: true }), row([2], 0, 0)];
    const parts = ledgerLines(parse('a NOT b c').query!, new Set(), answer(of));
    expect(parts.map((line) => standsOut(line, () => exact(0)))).toEqual(['blocking', null, 'idle']);
  });
  it('are sorted among their fellows', () => {
    const sorted = sortLines(lines(['0', '1']), { sourceId: 'here', what: 'change' }, whole);
    expect(sorted.map(({ key }) => key)).toEqual(['0', '0.2', '0.0', '0.1', '1', '1.0', '1.1']);
    const misses = sortLines(lines(['0']), { sourceId: 'here', what: 'misses' }, whole);
    expect(misses.map(({ key }) => key).slice(0, 2)).toEqual(['0', '0.2']);
    expect(sortLines(lines(['0']), null, whole)).toEqual(lines(['0']));
  });
  it('sum the people a part brings, over all sources', () => {
    const judged = [
      row([], 10, null, { brings: { fits: 5, misses: 9 } }),
      row([0], 30, 50, { brings: { fits: 5, misses: 9 } }),
      row([1], 7, 15, { excludes: true, brings: { fits: 1, misses: 4 } })
    ];
    const both = { ...answer(judged), there: answer(judged).here };
    const parts = ledgerLines(query, new Set(), both);
    // 40 and 5 more at either source.
    expect(parts.map((line) => keptOutBy(line, whole))).toEqual([80, 10]);
    expect(keptOutBy({ ...parts[0]!, figures: {} }, whole)).toBeNull();
    expect(ledgerLines(query, new Set(), both).map(broughtBy)).toEqual([
      { fits: 10, misses: 18 },
      { fits: 2, misses: 8 }
    ]);
  });
});

describe('what is said of a line', () => {
  const here = { id: 'here', sheet: { price: null } } as Parameters<typeof judgedWords>[1];
  const [group, excluded] = lines([]);

  it('is the change when it is left out, with a sign, and “about” where a count is not exact', () => {
    const change = (line: NonNullable<typeof group>) => changeWords(line, here, answer(rows).here, 'possible');
    expect([group!, excluded!].map(change)).toEqual(['+ 40', '+ 5']);
    const guessed = answer(rows.map((one, i) => (i ? one : { ...one, alone: { low: 5, middle: 10, high: 20 } }))).here;
    expect(changeWords(group!, here, guessed, 'possible')).toMatch(/^≈ \+ /);
    expect(changeWords(group!, here, undefined, 'possible')).toBe('');
  });
  it('is the judged people it alone decides on, with the cost', () => {
    const [, , , bad] = lines(['0']);
    expect(judgedWords(group!, here, answer(rows).here, 'possible')).toBeNull();
    const said = judgedWords(bad!, here, answer(rows).here, 'possible')!;
    expect(said).toMatchObject({ fits: 1, misses: 8 });
    expect(said.explanation).toContain('It alone brings 8 judged misses and 1 judged fits: 89% misses');
    const priced = { ...here, sheet: { price: { perSearch: 0, perRecord: 2, unit: 'EUR' } } } as typeof here;
    expect(judgedWords(bad!, priced, answer(rows).here, 'possible')!.explanation).toContain(
      'Price of those it alone brings: 14 EUR.'
    );
  });
  it('is the limit of a source that the string comes nearest to', () => {
    const received = {
      rendering: { use: { characters: 100, words: 30, operators: 2, nesting: 1 } }
    } as Answer<'ledger'>;
    const source = (limits: object) => ({ sheet: { limits } }) as Parameters<typeof fullestLimit>[0];
    expect(fullestLimit(source({ characters: 2000, words: 32, operators: null }), received)).toEqual({
      kind: 'words',
      used: 30,
      most: 32
    });
    expect(fullestLimit(source({ characters: null, words: null, operators: null }), received)).toBeUndefined();
  });
});
