import { beforeAll, describe, expect, it } from 'vitest';
import { generalSheets } from '$core/dialect';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { refusal } from '$server/testing/refusal';
import { createBrief } from '$server/features/briefs/briefs';
import {
  createByHand,
  deleteSource,
  listSources,
  openSources,
  readSource,
  readySource,
  writeSheet
} from '$server/features/sources/sources';
import { keepVersion, listVersions } from '$server/features/trials/versions';
import { createWordSet, deleteWordSet, exportWordSets, importWordSets, listWordSets, writeWordSet } from './word-sets';
import {
  parseText as parseTextJson,
  readFrom as readFromJson,
  renderFor as renderForJson
} from '$server/features/strings/worth';
import { parse, print, setQueries } from '$core/language';
import { readable } from '$server/testing/readable';

useFreshDatabase();
const parseText = readable(parseTextJson);
const readFrom = readable(readFromJson);
const renderFor = readable(renderForJson);
beforeAll(openSources);

const printed = ({ text, sets }: Awaited<ReturnType<typeof keepVersion>>) =>
  print(parse(text, setQueries(sets)).query!);
const heads = { name: 'heads', kind: 'wanted' as const, wordings: ['"head of quality"', 'QA'], note: '' };
const usedBrief = (text: string, name = 'Uses it') => createBrief(name, { draft: { text } });

describe('word sets', () => {
  it('are read where a string names them, and say where they are used', async () => {
    await createWordSet(heads);
    expect((await parseText('title:@heads NOT intern')).printed).toBe('title:("head of quality" OR QA) NOT intern');
    expect((await renderFor('title:@heads', 'harrow-guild')).searches[0]!.boxes).toEqual({
      title: '"head of quality" OR QA'
    });
    const { id } = await usedBrief('title:@heads');
    expect((await listWordSets()).find(({ name }) => name === 'heads')!.usedIn).toEqual([{ id, name: 'Uses it' }]);
    expect((await refusal(createWordSet(heads))).title).toBe('Name taken');
  });

  it('change only what the person has seen, and never overwrite a newer change', async () => {
    await createWordSet({ ...heads, name: 'roles' });
    const { id } = await usedBrief('@roles', 'One');
    const change = { kind: 'wanted' as const, wordings: ['QA', 'QC'], note: 'changed', revision: 1 };
    const asked = await refusal(writeWordSet('roles', { ...change, seen: [] }));
    expect(asked.status).toBe(409);
    expect(asked.message).toContain('“One”');
    expect(await writeWordSet('roles', { ...change, seen: [id] })).toMatchObject({
      wordings: ['QA', 'QC'],
      revision: 2
    });
    const stale = await refusal(writeWordSet('roles', { ...change, seen: [id] }));
    expect(stale.extra.current).toMatchObject({ revision: 2, note: 'changed' });
    expect((await refusal(deleteWordSet('roles'))).title).toBe('In use');
    expect((await refusal(deleteWordSet('nobody'))).status).toBe(404);
  });

  it('leave kept versions as they were', async () => {
    await createWordSet({ ...heads, name: 'kept' });
    const { id } = await createBrief('Keeps versions');
    const text = 'title:@kept NOT intern';
    const first = await keepVersion(id, text);
    expect(await keepVersion(id, text)).toEqual(first);
    await writeWordSet('kept', { kind: 'wanted', wordings: ['QC'], note: '', revision: 1, seen: [] });
    const second = await keepVersion(id, text, first.number);
    expect(second).toMatchObject({ number: 2, parent: 1 });
    const [newest, oldest] = await listVersions(id);
    expect(printed(oldest!)).toBe('title:("head of quality" OR QA) NOT intern');
    expect(printed(newest!)).toBe('title:QC NOT intern');
    await deleteWordSet('kept');
    expect(printed((await listVersions(id))[1]!)).toBe('title:("head of quality" OR QA) NOT intern');
    expect((await refusal(keepVersion(id, text))).message).toContain('no word set called “kept”');
  });

  it('leave and come back as files, all or none', async () => {
    await createWordSet({ ...heads, name: 'filed' });
    for (const format of ['json', 'csv'] as const) {
      const { text } = await exportWordSets(format);
      const { added, extended } = await importWordSets(text);
      expect({ added, extended }).toEqual({ added: 0, extended: 0 });
    }
    expect(await importWordSets('set,wording\nfiled,QC\nbrand-new,ferry\n')).toEqual({
      added: 1,
      extended: 1,
      unchanged: 0,
      wordings: 2
    });
    await usedBrief('@filed');
    const refused = await refusal(importWordSets('set,wording\nanother,truck\nfiled,QP\n'));
    expect(refused.message).toContain('nothing was imported');
    expect((await listWordSets()).map(({ name }) => name)).not.toContain('another');
    expect((await refusal(importWordSets('nothing like it'))).message).toContain('set and wording');
  });
});

describe('places run by hand', () => {
  it('have a sheet that is changed by one at a time, and are not asked', async () => {
    const made = await createByHand(generalSheets[1]!);
    expect(made).toMatchObject({ kind: 'by-hand', name: 'Web index', revision: 1, readiness: { state: 'ready' } });
    expect(made.sheet.id).toBe(made.id);
    const sheet = { ...made.sheet, name: 'Fjord search' };
    expect(await writeSheet(made.id, { sheet, revision: 1 })).toMatchObject({ name: 'Fjord search', revision: 2 });
    const stale = await refusal(writeSheet(made.id, { sheet: made.sheet, revision: 1 }));
    expect(stale.extra.current).toMatchObject({ name: 'Fjord search' });
    expect((await refusal(readySource(made.id))).message).toContain('Copy the search from its card');
    expect((await readFrom('QA OR RP pharma', made.id)).printed).toBe('(QA OR RP) AND pharma');
    expect((await listSources()).at(-1)!.id).toBe(made.id);
    await deleteSource(made.id);
    expect((await refusal(readSource(made.id))).status).toBe(404);
  });

  it('alone have a sheet that can be changed', async () => {
    const { sheet } = await readSource('harrow-guild');
    expect((await refusal(writeSheet('harrow-guild', { sheet, revision: 1 }))).message).toContain('Duplicate it');
    expect((await refusal(deleteSource('harrow-guild'))).message).toContain('can’t be deleted');
  });
});
