import { describe, expect, it, vi } from 'vitest';
import { outlineOf, parse, setQueries, type OutlineGroup } from '$core/language';
import { PartTree, type Given } from './part-tree.svelte';

/** A tree over a text, that follows what it changes. */
function treeOf(first: string, given: Partial<Given> = {}) {
  let text = first;
  const focus = vi.fn();
  const root = (): OutlineGroup =>
    outlineOf(text, setQueries([{ name: 'quality', wordings: ['QA', 'head of quality'] }]));
  const tree = new PartTree(
    () => ({
      root: root(),
      enabled: true,
      sets: [{ name: 'quality', wordings: ['QA', 'head of quality'] }],
      origins: new Map(),
      onchange: (next) => (text = next),
      onpull: () => Promise.resolve(true),
      ...given
    }),
    focus
  );
  const choose = (key: string) => (tree.selectedKey = key);
  return { tree, focus, choose, text: () => text };
}
const same = (a: string, b: string) => expect(parse(a).query).toMatchObject(strip(parse(b).query));
const strip = (query: unknown): object =>
  JSON.parse(JSON.stringify(query, (name, value: unknown) => (name === 'at' ? undefined : value))) as object;

describe('the string as a tree', () => {
  it('excludes, sets aside, rescopes and removes what is chosen, and keeps the keyboard on it', async () => {
    const { tree, text, choose, focus } = treeOf('title:(QA OR nurse) software');
    choose('1');
    tree.exclude();
    same(text(), 'title:(QA OR nurse) NOT software');
    await Promise.resolve();
    await vi.waitFor(() => expect(focus).toHaveBeenCalledWith('row'));
    expect(tree.selectedKey).toBe('1');
    tree.rescope('about');
    same(text(), 'title:(QA OR nurse) NOT about:software');
    tree.mute();
    expect(text()).toContain('/*');
    tree.mute();
    same(text(), 'title:(QA OR nurse) NOT about:software');
    choose('1');
    tree.remove();
    same(text(), 'title:(QA OR nurse)');
    expect(tree.selectedKey).toBe('0');
  });

  it('accepts text typed over a part, as a new part, and in a new group', async () => {
    const { tree, text, choose, focus } = treeOf('title:(QA OR nurse) software');
    choose('0.1');
    await tree.edit(tree.selected);
    expect(focus).toHaveBeenCalledWith('typed');
    expect(tree.typing!.text).toBe('nurse');
    tree.typing!.text = 'head of quality';
    tree.commit();
    same(text(), 'title:(QA OR "head of quality") software');
    choose('0');
    await tree.add();
    tree.typing!.text = '…';
    tree.commit();
    expect(tree.refused).toContain('nothing to search for');
    tree.typing!.text = 'midwife';
    tree.commit();
    same(text(), 'title:(QA OR "head of quality" OR midwife) software');
    choose('1');
    await tree.wrap();
    tree.typing!.text = 'audit';
    tree.commit();
    same(text(), 'title:(QA OR "head of quality" OR midwife) (software OR audit)');
    await tree.add();
    tree.typing!.text = '  ';
    tree.commit();
    expect(tree.typing).toBeNull();
  });

  it('goes through its rows, folds groups and comes out of them', () => {
    const { tree, choose } = treeOf('title:(QA OR nurse) software');
    choose('0');
    tree.goOut();
    expect(tree.rows).toHaveLength(2);
    tree.goIn();
    expect(tree.rows).toHaveLength(4);
    tree.goIn();
    expect(tree.selectedKey).toBe('0.0');
    tree.goOut();
    expect(tree.selectedKey).toBe('0');
    tree.go(-1);
    expect(tree.selectedKey).toBe('0');
    tree.select(tree.rows.at(-1));
    expect(tree.selectedKey).toBe('1');
    expect(tree.rows.map((row) => tree.placeOf(row))).toEqual(['title', '', '', '']);
  });

  it('moves parts by keys and by dropping them', () => {
    const { tree, text, choose } = treeOf('title:(QA OR nurse) software');
    choose('0.1');
    tree.shift(-1);
    same(text(), 'title:(nurse OR QA) software');
    tree.drop([1], tree.rows[0]!, 'combine');
    expect(text()).toMatch(/nurse.*QA.*software/);
  });

  it('makes a set of alternatives, and unfolds one again', async () => {
    const onpull = vi.fn(() => Promise.resolve(true));
    const { tree, text, choose, focus } = treeOf('(QA OR nurse) NOT software', { onpull });
    choose('1');
    tree.startPull();
    expect(tree.pulling).toMatchObject({ wordings: ['software'], unwanted: true });
    choose('0');
    tree.startPull();
    await vi.waitFor(() => expect(focus).toHaveBeenCalledWith('name'));
    tree.pulling!.name = '@Quality';
    await tree.pull();
    expect(onpull).toHaveBeenCalledWith('@Quality', false, ['QA', 'nurse']);
    expect(text()).toContain('@quality');
    choose('0');
    tree.unfoldSet();
    same(text(), '(QA OR "head of quality") NOT software');
    const refused = treeOf('(a OR b) c', { onpull: () => Promise.resolve(false) });
    refused.choose('0');
    refused.tree.startPull();
    await refused.tree.pull();
    expect(refused.text()).toBe('(a OR b) c');
    expect(refused.tree.pulling).not.toBeNull();
  });

  it('changes nothing while the text cannot be read whole', () => {
    const { tree, text } = treeOf('QA nurse', { enabled: false });
    for (const does of [tree.exclude, tree.mute, tree.remove, tree.unwrap, tree.unfoldSet, () => tree.shift(1)]) does();
    expect(tree.add()).toBeUndefined();
    expect(tree.wrap()).toBeUndefined();
    expect(text()).toBe('QA nurse');
  });

  it('offers what can be done with the chosen part', () => {
    const { tree, choose } = treeOf('title:(QA OR nurse) NOT software');
    const offered = () => tree.actions.map(({ name }) => name);
    choose('0');
    expect(offered()).toEqual(expect.arrayContaining(['Change to all of', 'Unwrap', 'Save as word set…']));
    choose('1');
    expect(offered()).toEqual(expect.arrayContaining(['Edit', 'Stop excluding', 'Save as word set…']));
    expect(offered()).not.toContain('Expand word set');
  });
});
