import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { personaSchema } from '$core/persona';
import { parse, type Problem } from '$core/language';
import { matcher } from '$core/semantics';
import { wilson } from '$core/measure';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { refusal } from '$server/testing/refusal';
import {
  changeBrief,
  copyBrief,
  createBrief,
  deleteBrief,
  leaveOutSources,
  readDocument,
  writeDocument
} from './briefs';
import { listBriefs, readBrief } from '$server/features/trials/brief-overview';
import { builtString } from '$server/features/strings/built-string';
import { boardFor } from '$server/features/comparing/board';
import { ledgerOf as ledgerOfJson } from '$server/features/strings/ledger';
import { writeNote } from '$server/features/trials/notes';
import { arrangeSources, listSources, openSources } from '$server/features/sources/sources';
import { listTrials, readTrial, runTrial } from '$server/features/trials/trials';
import { giveVerdict } from '$server/features/trials/verdicts';
import { keepVersion, listVersions, nameVersion } from '$server/features/trials/versions';
import { readable } from '$server/testing/readable';

useFreshDatabase();
const ledgerOf = readable(ledgerOfJson);
beforeAll(openSources);

describe('briefs', () => {
  it('are made, renamed, archived, brought back, copied and deleted', async () => {
    const brief = await createBrief('Loggers');
    const renamed = await changeBrief(brief.id, { revision: 1, name: 'Loggers, north' });
    expect(renamed).toMatchObject({ name: 'Loggers, north', revision: 2 });
    await writeDocument(brief.id, 'draft', { body: { text: 'QA' }, revision: 1 });
    const copy = await copyBrief(brief.id);
    expect(copy.name).toBe('Loggers, north (copy)');
    expect((await readDocument(copy.id, 'draft')).body.text).toBe('QA');
    expect((await refusal(deleteBrief(brief.id))).message).toContain('Archive it first');
    expect((await changeBrief(brief.id, { revision: 2, archived: true })).archived).toBe(true);
    await deleteBrief(brief.id);
    expect((await listBriefs()).map(({ id }) => id)).toEqual([copy.id]);
    expect((await refusal(readBrief(brief.id))).status).toBe(404);
  });

  it('never lose a change to another tab silently', async () => {
    const { id } = await createBrief('Two tabs');
    await writeDocument(id, 'persona', { body: personaSchema.parse({ titles: ['QA'] }), revision: 1 });
    const refused = await refusal(
      writeDocument(id, 'persona', { body: personaSchema.parse({ titles: ['RP'] }), revision: 1 })
    );
    expect(refused.status).toBe(409);
    expect(refused.extra.current).toMatchObject({ revision: 2, body: { titles: ['QA'] } });
    expect((await refusal(changeBrief(id, { revision: 7, name: 'x' }))).status).toBe(409);
  });

  it('follow the persona’s titles with word sets, and build the string', async () => {
    const { id } = await createBrief('Built');
    await writeDocument(id, 'persona', {
      body: personaSchema.parse({ titles: ['Head of Quality', 'QA'], mustNot: ['intern'] }),
      revision: 1
    });
    const wording = await readDocument(id, 'wording');
    expect(wording).toMatchObject({ revision: 2, body: [{ name: 'Head of Quality' }, { name: 'QA' }] });
    expect((await builtString(id)).text).toBe('title:("Head of Quality" OR QA)\nNOT intern');
  });
});

describe('versions', () => {
  it('are numbered; the same text is the same version; what cannot be read is refused', async () => {
    const { id } = await createBrief('Versions');
    expect((await keepVersion(id, 'QA')).number).toBe(1);
    expect((await keepVersion(id, 'QA NOT software')).number).toBe(2);
    expect((await keepVersion(id, 'QA')).number).toBe(1);
    const refused = await refusal(keepVersion(id, 'title:(QA'));
    expect(refused.message).toContain('never closed');
    expect((refused.extra.problems as Problem[]).filter(({ severity }) => severity === 'error')).toHaveLength(1);
    expect((await refusal(keepVersion(id, '  '))).title).toBe('The string is empty');
    await nameVersion(id, 2, { note: 'no software' });
    expect((await listVersions(id)).map(({ number, note }) => [number, note])).toEqual([
      [2, 'no software'],
      [1, '']
    ]);
    const many = await Promise.all(Array.from({ length: 5 }, (_, i) => keepVersion(id, `QA OR word${i}`)));
    expect(new Set(many.map(({ number }) => number)).size).toBe(5);
  });
});

describe('trials, verdicts and comparing', () => {
  it('go from a string to two measured versions', async () => {
    const { id } = await createBrief('Whole');
    const wide = await keepVersion(id, 'title:(QA OR quality)');
    const narrow = await keepVersion(id, 'title:(QA OR quality) NOT software');
    const first = await runTrial(id, wide.number, 'harrow-guild', 30);
    expect(first.sample).toHaveLength(30);
    expect(
      first.sample.every(({ person }) => matcher(parse('title:(QA OR quality OR qualities)').query!)(person))
    ).toBe(true);
    expect(first.sample.every(({ marks }) => marks.length > 0)).toBe(true);
    expect(first.sample.at(-1)!.rank).toBeGreaterThan(first.people * 0.9);

    const again = await runTrial(id, wide.number, 'harrow-guild', 30);
    expect(again.sample.map(({ person }) => person.id)).toEqual(first.sample.map(({ person }) => person.id));
    expect(await listTrials(id)).toHaveLength(1);

    for (const [i, { person }] of first.sample.entries())
      await giveVerdict(id, {
        sourceId: 'harrow-guild',
        personId: person.id,
        verdict: i % 3 ? 'fit' : 'miss',
        reason: '',
        revision: 0
      });
    const second = await runTrial(id, narrow.number, 'harrow-guild', 30);
    expect(second.sample.some(({ verdict }) => verdict !== null)).toBe(true);

    const marlow = await runTrial(id, narrow.number, 'marlow-register', 30);
    expect(marlow.rendering.exactness).toBe('wider');

    const board = await boardFor(id, [1, 2]);
    expect(board.cells.map(({ version, sourceId }) => `${version} ${sourceId}`).sort()).toEqual([
      '1 harrow-guild',
      '2 harrow-guild',
      '2 marlow-register'
    ]);
    const cell = board.cells.find(({ version }) => version === 1)!;
    const { precision } = cell.figures;
    expect(precision.possible).toMatchObject({ fits: 20, misses: 10 });
    expect(precision.possible.interval).toEqual(wilson(20, 30, first.people));
    expect(cell.missesPerHundred).toBeCloseTo(33.33, 1);

    const software = matcher(parse('software').query!);
    expect(
      first.sample
        .filter(({ person }) => software(person))
        .every(({ person }) => !second.sample.some((other) => other.person.id === person.id))
    ).toBe(true);

    expect((await ledgerOf(id, 'headcount:[1 TO 5]', 'marlow-register')).rows).toBeNull();
    const { rows } = await ledgerOf(id, 'title:(QA OR quality) NOT software', 'harrow-guild');
    expect(rows!.possible.map(({ path }) => path.join('.'))).toEqual(['', '0', '0.0', '0.1', '1']);
    expect(rows!.possible[4]!.without!.low).toBeLessThanOrEqual(first.found.estimated.possible.high);
    expect(rows!.possible[4]!.without!.high).toBeGreaterThanOrEqual(first.found.estimated.possible.low);
  });

  it('keep a note on a person, whether judged or not, and refuse to overwrite a newer one', async () => {
    const { id } = await createBrief('Notes');
    await keepVersion(id, 'title:quality');
    const trial = await runTrial(id, 1, 'marlow-register', 5);
    const on = { sourceId: 'marlow-register', personId: trial.sample[0]!.person.id };
    expect(trial.sample[0]!.note).toBeNull();
    expect(await writeNote(id, { ...on, text: ' ask in March ', revision: 0 })).toEqual({
      text: 'ask in March',
      revision: 1
    });
    expect((await refusal(writeNote(id, { ...on, text: 'mine', revision: 0 }))).status).toBe(409);
    await writeNote(id, { ...on, text: 'asked', revision: 1 });
    expect((await readTrial(id, trial.id)).sample[0]!.note).toEqual({ text: 'asked', revision: 2 });
    expect((await refusal(writeNote(id, { ...on, text: '', revision: 1 }))).status).toBe(409);
    expect(await writeNote(id, { ...on, text: '', revision: 2 })).toBeNull();
    expect((await readTrial(id, trial.id)).sample[0]!.note).toBeNull();
  });

  it('keep a verdict with the person and the persona, and refuse to overwrite a newer one', async () => {
    const { id } = await createBrief('Verdicts');
    const version = await keepVersion(id, 'title:quality');
    const { sample, id: trialId } = await runTrial(id, version.number, 'marlow-register', 5);
    const on = { sourceId: 'marlow-register', personId: sample[0]!.person.id, reason: '' };
    expect(await giveVerdict(id, { ...on, verdict: 'fit', revision: 0 })).toMatchObject({
      verdict: 'fit',
      revision: 1
    });
    const refused = await refusal(giveVerdict(id, { ...on, verdict: 'miss', revision: 0 }));
    expect(refused).toMatchObject({ status: 409, extra: { current: { verdict: 'fit' } } });
    expect(await giveVerdict(id, { ...on, verdict: 'miss', reason: 'wrong rank', revision: 1 })).toMatchObject({
      revision: 2
    });
    expect((await refusal(giveVerdict(id, { ...on, verdict: null, revision: 1 }))).status).toBe(409);
    expect((await readTrial(id, trialId)).sample[0]!.verdict).toMatchObject({ verdict: 'miss', reason: 'wrong rank' });
    expect(await giveVerdict(id, { ...on, verdict: null, revision: 2 })).toBeNull();
    expect((await readTrial(id, trialId)).figures!.precision.possible.share).toBeNull();
  });

  it('say what is not there', async () => {
    const { id } = await createBrief('Missing');
    expect((await refusal(runTrial(id, 1, 'harrow-guild', 5))).message).toContain('Version 1');
    await keepVersion(id, 'QA');
    expect((await refusal(runTrial(id, 1, 'nowhere', 5))).status).toBe(404);
    expect((await refusal(readTrial(id, randomUUID()))).status).toBe(404);
    expect((await listSources()).map(({ id: source }) => source)).toEqual(
      expect.arrayContaining(['harrow-guild', 'marlow-register'])
    );
  });
});

describe('the order of sources', () => {
  it('is one’s own, those not put anywhere come last, and hidden ones are named so', async () => {
    const before = await listSources();
    const ids = before.map(({ id }) => id);
    const wanted = ['quillbank', 'harrow-guild'];
    const arranged = await arrangeSources({ order: wanted, hidden: ['lanternfield'] });
    expect(arranged.map(({ id }) => id)).toEqual([...wanted, ...ids.filter((id) => !wanted.includes(id))]);
    expect(arranged.filter(({ hidden }) => hidden).map(({ id }) => id)).toEqual(['lanternfield']);
    // A start registers the stand-ins again, and changes nothing of it.
    await openSources();
    expect((await listSources()).map(({ id, hidden }) => [id, hidden])).toEqual(
      arranged.map(({ id, hidden }) => [id, hidden])
    );
    await arrangeSources({ order: ids, hidden: [] });
    expect((await listSources()).map(({ id }) => id)).toEqual(ids);
  });
});

describe('the sources of a brief', () => {
  it('are all but those left out, which are kept with it beside what else was chosen', async () => {
    const { id } = await createBrief('Sources left out');
    expect((await readBrief(id)).leftOut).toEqual([]);
    const choice = await readDocument(id, 'choice');
    await writeDocument(id, 'choice', { body: { ...choice.body, baseline: 2 }, revision: choice.revision });
    await leaveOutSources(id, ['quillbank', 'marlow-register', 'quillbank']);
    expect((await readBrief(id)).leftOut).toEqual(['quillbank', 'marlow-register']);
    expect((await readDocument(id, 'choice')).body).toMatchObject({
      baseline: 2,
      leftOut: ['quillbank', 'marlow-register']
    });
    await leaveOutSources(id, []);
    expect((await readBrief(id)).leftOut).toEqual([]);
    expect((await refusal(leaveOutSources(randomUUID(), []))).status).toBe(404);
  });
});
