import { beforeAll, describe, expect, it } from 'vitest';
import { personaSchema } from '$core/persona';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { copyBrief, createBrief, readDocument, writeDocument } from '$server/features/briefs/briefs';
import { builtString } from './built-string';
import { foundTitles } from './found-titles';
import { houseWordings, rememberWordings } from './house-wordings';
import { openSources } from '$server/features/sources/sources';
import { runTrial } from '$server/features/trials/trials';
import { giveVerdict } from '$server/features/trials/verdicts';
import { keepVersion } from '$server/features/trials/versions';
import { countTexts } from './worth';

useFreshDatabase();
beforeAll(openSources);

describe('counts of wordings', () => {
  it('are those of the source, in order, with null for what cannot be read or asked', async () => {
    const { counts, people } = await countTexts(
      ['title:"quality manager"', '   ', 'title:quality', 'title:zzzz'],
      'harrow-guild'
    );
    expect(people).toBeGreaterThan(3000);
    expect(counts[1]).toBeNull();
    expect(counts[2]!.possible.low).toBeGreaterThanOrEqual(counts[0]!.possible.low);
    expect(counts[3]!.possible).toEqual({ low: 0, middle: 0, high: 0 });
    expect((await countTexts(['headcount:[1 TO 5]'], 'marlow-register')).counts).toEqual([null]);
    expect((await countTexts([], 'harrow-guild')).counts).toEqual([]);
  });
});

describe('titles found in results', () => {
  it('are those of fits that no wording in use covers, each with its people', async () => {
    const persona = personaSchema.parse({ titles: ['Head of Quality'] });
    const { id } = await createBrief('Found', {
      persona,
      wording: [
        {
          id: 'a',
          name: 'Head of Quality',
          wordings: [{ text: 'Head of Quality', origin: 'typed', inUse: true }],
          refused: []
        }
      ]
    });
    const { number } = await keepVersion(id, 'title:(kvalitetschef OR "head of quality")');
    const trial = await runTrial(id, number, 'harrow-guild', 30);
    expect(await foundTitles(id)).toEqual([]);
    for (const { person } of trial.sample)
      await giveVerdict(id, { sourceId: 'harrow-guild', personId: person.id, verdict: 'fit', reason: '', revision: 0 });
    const found = await foundTitles(id);
    const isCovered = (title: string) => /\bhead of quality\b/i.test(title);
    const uncovered = trial.sample.filter(({ person }) => !isCovered(person.jobs![0]!.title));
    expect(uncovered).not.toEqual([]);
    expect(found.flatMap(({ people }) => people.map(({ name }) => name)).sort()).toEqual(
      uncovered.map(({ person }) => person.name).sort()
    );
    expect(found.filter(({ title, people }) => isCovered(title) || !people.length)).toEqual([]);
    expect(found.map(({ people }) => people.length)).toEqual(
      found.map(({ people }) => people.length).sort((a, b) => b - a)
    );
  });
});

describe('the memory of the house', () => {
  it('keeps the last decision on a wording of a title, whatever the brief and the case', async () => {
    await rememberWordings('Head of Quality', ['Quality Head', 'Head of QA', '—'], true);
    await rememberWordings('HEAD OF QUALITY', ['quality head'], false);
    expect(await houseWordings('head of quality')).toEqual([
      { wording: 'head of qa', taken: true },
      { wording: 'quality head', taken: false }
    ]);
    expect(await houseWordings('QA')).toEqual([]);
  });
});

describe('a persona with bands', () => {
  it('gives word sets to all its titles and builds alternatives', async () => {
    const { id } = await createBrief('Bands');
    const { revision } = await readDocument(id, 'persona');
    const persona = personaSchema.parse({
      bands: [
        { from: 1, to: 49, titles: ['Owner'] },
        { from: 50, to: null, titles: ['Head of Quality', 'owner'] }
      ]
    });
    await writeDocument(id, 'persona', { body: persona, revision });
    expect((await readDocument(id, 'wording')).body.map(({ name }) => name)).toEqual(['Owner', 'Head of Quality']);
    expect((await builtString(id)).text.replaceAll(/\s+/g, ' ')).toBe(
      '(headcount:[1 TO 49] AND title:Owner) OR (headcount:[50 TO *] AND title:(Owner OR "Head of Quality"))'
    );
  });
});

describe('known-goods', () => {
  it('are a document of the brief, copied with it', async () => {
    const { id } = await createBrief('Known');
    expect((await readDocument(id, 'known')).body).toEqual([]);
    const people = [
      { id: 'c1', name: 'Ida Brandsma', jobs: [{ title: 'Head of Quality', company: 'Polderkoel B.V.' }] }
    ];
    await writeDocument(id, 'known', { body: people, revision: 1 });
    await expect(writeDocument(id, 'known', { body: [], revision: 1 })).rejects.toThrow('changed in another tab');
    const copy = await copyBrief(id);
    expect((await readDocument(copy.id, 'known')).body).toEqual(people);
  });
});
