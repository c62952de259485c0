import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { takeUpLexicon } from '$core/titles';
import { LexiconPage } from './lexicon-page.svelte';

const asked = vi.hoisted(() => ({ call: vi.fn() }));
vi.mock('$lib/api/call', async (original) => ({ ...(await original<object>()), call: asked.call }));

const none = { functions: [], titles: [], meanings: [] };
beforeEach(() => {
  vi.useFakeTimers();
  asked.call.mockReset().mockResolvedValue({ revision: 2 });
});
afterEach(() => {
  vi.useRealTimers();
  takeUpLexicon(none);
});
const page = () => new LexiconPage({ body: none, revision: 1 });

describe('what is added to the lexicon', () => {
  it('is kept as it is added, listed, tried at once, and taken out', async () => {
    const lexicon = page();
    expect(lexicon.addName('beekeeping', 'en', 'beekeeping')).toBe(true);
    expect(lexicon.addTitle({ rank: 'head', function: 'beekeeping' }, 'es', 'Maestro Colmenero')).toBe(true);
    expect(lexicon.texts.map(({ text, language, kind }) => [text, language, kind])).toEqual([
      ['beekeeping', 'en', 'function'],
      ['Maestro Colmenero', 'es', 'title']
    ]);
    await vi.advanceTimersByTimeAsync(1000);
    expect(asked.call).toHaveBeenLastCalledWith('writeLexicon', {
      body: expect.objectContaining({ revision: 1, body: expect.objectContaining({ meanings: [] }) })
    });
    lexicon.tried = 'Maestro Colmenero';
    expect(lexicon.reading).toMatchObject({ rank: 'head', function: 'beekeeping' });
    lexicon.remove(lexicon.texts[1]!);
    expect(lexicon.texts).toHaveLength(1);
    expect(lexicon.reading).toMatchObject({ function: null });
    lexicon.document.undo();
    expect(lexicon.texts).toHaveLength(2);
  });

  it('is refused with a sentence, and nothing typed is taken', () => {
    const lexicon = page();
    expect(lexicon.addTitle({ rank: 'head', function: 'falconry' }, 'en', 'Falconer')).toBe(false);
    expect(String(lexicon.refused)).toContain('no function is called “falconry”');
    expect(lexicon.addMeaning('drone', 'male bee: hive')).toBe(false);
    expect(String(lexicon.refused)).toContain('at least two meanings');
    expect(lexicon.addMeaning('two words', 'a: b\nc: d')).toBe(false);
    expect(String(lexicon.refused)).toContain('is one word of letters');
    expect(lexicon.document.value).toEqual(none);
    expect(lexicon.addMeaning('drone', 'male bee: hive\naircraft: rotor')).toBe(true);
    expect(lexicon.refused).toBeNull();
    lexicon.removeMeaning('drone');
    expect(lexicon.document.value.meanings).toEqual([]);
  });

  it('leaves as JSON, and what a file holds is joined with what is there', async () => {
    const lexicon = page();
    lexicon.addName('beekeeping', 'en', 'beekeeping');
    const file = new File([lexicon.json.replaceAll('"beekeeping"', '"falconry"')], 'lexicon.json');
    await lexicon.take(file);
    expect(lexicon.texts.map(({ text }) => text)).toEqual(['beekeeping', 'falconry']);
    await lexicon.take(new File(['{"functions":1}'], 'other.json'));
    expect(String((lexicon.refused as Error).message)).toContain('other.json isn’t a lexicon');
    expect(lexicon.texts).toHaveLength(2);
  });
});
