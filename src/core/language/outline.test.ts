import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import {
  addPart,
  exclude,
  movePart,
  mute,
  nodeAt,
  removePart,
  replacePart,
  rescopePart,
  shiftPart,
  switchKind,
  unwrapPart,
  wrapPart
} from './edit-outline';
import { matches } from '../semantics/matches';
import { isLeaf, outlineOf, printOutline, readLeaf, type Outline, type OutlineGroup } from './outline';
import { parse } from './parse';
import { print } from './print';

const line = (root: OutlineGroup) => printOutline(root).replaceAll(/\s+/g, ' ');
const edited = (text: string, edit: (root: OutlineGroup) => OutlineGroup) => line(edit(outlineOf(text)));

/** The places of all parts. */
const pathsOf = (group: OutlineGroup, path: number[] = []): number[][] =>
  group.parts.flatMap((part, i) => [[...path, i], ...(isLeaf(part) ? [] : pathsOf(part, [...path, i]))]);

describe('an outline', () => {
  it('takes a part up again where it was set aside: the string means what it meant', () => {
    fc.assert(
      fc.property(queries(), fc.nat(), people(8), (query, which, list) => {
        const before = outlineOf(print(query));
        const paths = pathsOf(before);
        const path = paths[which % paths.length];
        if (!path || nodeAt(before, path)!.muted) return;
        const aside = outlineOf(printOutline(mute(before, path)));
        const muted = pathsOf(aside).filter((one) => nodeAt(aside, one)!.muted);
        expect(muted.length).toBeGreaterThan(0);
        const again = parse(printOutline(mute(aside, muted[0]!))).query!;
        for (const person of list) expect(matches(again, person)).toBe(matches(query, person));
      }),
      { numRuns: 2000 }
    );
  });

  it('writes a string that means the same, whatever the string', () => {
    fc.assert(
      fc.property(queries(), people(8), (query, list) => {
        const outline = outlineOf(print(query));
        const again = parse(printOutline(outline));
        expect(again.problems.filter(({ severity }) => severity === 'error')).toEqual([]);
        for (const person of list) expect(matches(again.query!, person)).toBe(matches(query, person));
      }),
      { numRuns: 600 }
    );
  });

  it('stays the same when written and read again', () => {
    const shape = (outline: Outline): unknown =>
      isLeaf(outline)
        ? [outline.kind, outline.not, outline.muted, outline.scope, outline.text]
        : [outline.kind, outline.not, outline.muted, outline.parts.map(shape)];
    for (const text of [
      'title:("head of quality" OR QA) AND "cold chain" NOT (intern OR software)',
      'a /* AND b */ AND c',
      '/* a AND */ b',
      'title:(QA /* OR RP */ OR GDP) headcount:[51 TO *]',
      'x AND /* OR never closed ( */ y',
      '/* a OR b */'
    ]) {
      const outline = outlineOf(text);
      expect(shape(outlineOf(printOutline(outline)))).toEqual(shape(outline));
    }
  });

  it('lays each outermost part on a line, and a long group over several, indented', () => {
    const long = Array.from({ length: 12 }, (_, i) => `"quality manager ${i}"`).join(' OR ');
    expect(printOutline(outlineOf(`title:(${long}) pharma`)).split('\n')).toEqual([
      'title:(',
      '  "quality manager 0" OR "quality manager 1" OR "quality manager 2" OR "quality manager 3"',
      '  OR "quality manager 4" OR "quality manager 5" OR "quality manager 6" OR "quality manager 7"',
      '  OR "quality manager 8" OR "quality manager 9" OR "quality manager 10" OR "quality manager 11"',
      ')',
      'AND pharma'
    ]);
  });

  it('keeps a named word set as its name', () => {
    const sets = new Map([['heads', parse('"head of quality" OR QA').query!]]);
    const outline = outlineOf('title:@heads NOT intern', sets);
    expect(outline.parts[0]).toMatchObject({ kind: 'set', text: 'heads', scope: 'title' });
    expect(line(outline)).toBe('title:@heads NOT intern');
    expect(line(outlineOf('@heads pharma', sets))).toBe('@heads AND pharma');
  });
});

describe('edits of an outline', () => {
  const text = 'title:(QA OR RP) AND pharma NOT intern';
  it.each<[string, (root: OutlineGroup) => OutlineGroup, string]>([
    [
      'adds a part',
      (r) => addPart(r, [0], readLeaf('quality manager', 'title')!),
      'title:(QA OR RP OR "quality manager") AND pharma NOT intern'
    ],
    [
      'adds in between',
      (r) => addPart(r, [], readLeaf('chilled', 'any')!, 1),
      'title:(QA OR RP) AND chilled AND pharma NOT intern'
    ],
    ['removes a part', (r) => removePart(r, [0, 1]), 'title:QA AND pharma NOT intern'],
    ['removes a group left empty', (r) => removePart(removePart(r, [0, 1]), [0, 0]), 'pharma NOT intern'],
    [
      'writes a part anew',
      (r) => replacePart(r, [1], readLeaf('company:"cold chain"', 'any')!),
      'title:(QA OR RP) AND company:"cold chain" NOT intern'
    ],
    ['moves a part down', (r) => movePart(r, [0], [], 2), 'pharma AND title:(QA OR RP) NOT intern'],
    ['moves a part into a group', (r) => movePart(r, [1], [0], 0), '(pharma OR title:QA OR title:RP) NOT intern'],
    ['moves no group into itself', (r) => movePart(r, [0], [0], 1), text],
    ['shifts a part', (r) => shiftPart(r, [1], -1).root, 'pharma AND title:(QA OR RP) NOT intern'],
    [
      'shifts a part out of its group',
      (r) => shiftPart(r, [0, 1], 1).root,
      'title:QA AND title:RP AND pharma NOT intern'
    ],
    [
      'wraps a part',
      (r) => addPart(wrapPart(r, [1]), [1], readLeaf('chilled', 'any')!),
      'title:(QA OR RP) AND (pharma OR chilled) NOT intern'
    ],
    ['takes brackets off', (r) => unwrapPart(r, [0]), 'title:QA AND title:RP AND pharma NOT intern'],
    ['switches a group', (r) => switchKind(r, [0]), 'title:(QA AND RP) AND pharma NOT intern'],
    ['switches the whole', (r) => switchKind(r, []), 'title:(QA OR RP) OR pharma OR NOT intern'],
    ['excludes', (r) => exclude(r, [1]), 'title:(QA OR RP) NOT pharma NOT intern'],
    ['excludes no more', (r) => exclude(r, [2]), 'title:(QA OR RP) AND pharma AND intern'],
    ['sets aside', (r) => mute(r, [1]), 'title:(QA OR RP) /* AND pharma */ NOT intern'],
    ['sets an alternative aside', (r) => mute(r, [0, 0]), 'title:(/* QA OR */ RP) AND pharma NOT intern'],
    ['changes a scope', (r) => rescopePart(r, [0], 'any'), '(QA OR RP) AND pharma NOT intern']
  ])('%s', (_, edit, after) => expect(edited(text, edit)).toBe(after));

  it('takes up again what was set aside', () => {
    const aside = edited(text, (root) => mute(root, [0]));
    expect(edited(aside, (root) => mute(root, [0]))).toBe(text);
  });

  it('leaves what is set aside the scope of its place', () => {
    const again = outlineOf('NOT title:(/* QA OR */ RP OR (a b /* AND "c d" */)) pharma /* AND chilled */');
    expect(nodeAt(again, [0, 0])).toMatchObject({ text: 'QA', scope: 'title', muted: true });
    expect(nodeAt(again, [0, 2, 2])).toMatchObject({ text: '"c d"', scope: 'title', muted: true });
    expect(nodeAt(again, [2])).toMatchObject({ text: 'chilled', scope: 'any', muted: true });
    expect(line(mute(again, [0, 0]))).toBe(
      'NOT title:(QA OR RP OR (a AND b /* AND "c d" */)) AND pharma /* AND chilled */'
    );
  });

  it('tells the way to a part that was shifted', () => {
    const shifted = shiftPart(outlineOf(text), [0, 1], 1);
    expect(nodeAt(shifted.root, shifted.path)).toMatchObject({ text: 'RP' });
    expect(shiftPart(outlineOf(text), [0], -1).path).toEqual([0]);
  });

  it.each([
    ['cold chain', 'any', '"cold chain"'],
    ['pharma*', 'any', 'pharma*'],
    ['[5 TO 9]', 'headcount', '[5 TO 9]'],
    ['“curly ones”', 'any', '"curly ones"'],
    ['@heads', 'title', 'heads'],
    ['   ', 'any', null],
    ['(a OR', 'any', '"(a OR"']
  ] as const)('reads a leaf as typed: %s', (typed, scope, text) =>
    expect(readLeaf(typed, scope)?.text ?? null).toBe(text)
  );
});
