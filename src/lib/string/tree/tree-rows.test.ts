import { describe, expect, it } from 'vitest';
import { isLeaf, outlineOf, setQueries, nodeAt } from '$core/language';
import { treeRows, wordingsOf } from './tree-rows';

const rows = (text: string, folded: string[] = []) =>
  treeRows(outlineOf(text), new Set(folded)).map(({ path, node, level, part, aside, position, fellows }) => [
    path.join('.'),
    isLeaf(node) ? node.text : node.kind,
    level,
    part,
    aside,
    `${position}/${fellows}`
  ]);

describe('the lines of a tree', () => {
  it('follow the string, with level, place and part', () => {
    expect(rows('title:(QA OR RP) AND pharma NOT intern')).toEqual([
      ['0', 'any', 1, 0, false, '1/3'],
      ['0.0', 'QA', 2, 0, false, '1/2'],
      ['0.1', 'RP', 2, 0, false, '2/2'],
      ['1', 'pharma', 1, 1, false, '2/3'],
      ['2', 'intern', 1, 2, false, '3/3']
    ]);
  });

  it('count parts as the string does: what is set aside is none, alternatives are one', () => {
    expect(rows('a /* AND b */ AND c').map((row) => [row[1], row[3], row[4]])).toEqual([
      ['a', 0, false],
      ['b', null, true],
      ['c', 1, false]
    ]);
    expect(rows('a OR b').map((row) => row[3])).toEqual([0, 0]);
  });

  it('leave out what is inside a folded group', () => {
    expect(rows('(a OR (b AND c)) d', ['0.1']).map((row) => row[1])).toEqual(['any', 'a', 'all', 'd']);
  });
});

describe('wordings for a set', () => {
  const of = (text: string, path: number[]) => wordingsOf(nodeAt(outlineOf(text), path)!);

  it('are the alternatives of a group, without the scope they share', () => {
    expect(of('title:("head of quality" OR QA) x', [0])).toEqual({
      scope: 'title',
      wordings: ['"head of quality"', 'QA']
    });
    expect(of('(title:QA OR pharma*) x', [0])).toEqual({ scope: 'any', wordings: ['title:QA', 'pharma*'] });
    expect(of('title:QA x', [0])).toEqual({ scope: 'title', wordings: ['QA'] });
  });

  it('leave out what is set aside', () => {
    expect(of('title:(QA OR RP /* OR GDP */) x', [0])!.wordings).toEqual(['QA', 'RP']);
  });

  it('are none of a group that is no list of alternatives', () => {
    expect(of('(a AND b) OR c', [0])).toBeNull();
    expect(of('(a OR (b AND c)) d', [0])).toBeNull();
    expect(of('(a OR NOT b) d', [0])).toBeNull();
    const sets = setQueries([{ name: 'heads', wordings: ['QA'] }]);
    expect(wordingsOf(nodeAt(outlineOf('@heads x', sets), [0])!)).toBeNull();
  });
});
