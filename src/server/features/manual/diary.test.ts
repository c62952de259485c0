import { beforeAll, describe, expect, it } from 'vitest';
import { generalSheets, type Counting } from '$core/dialect';
import { readCsvRecords, reportCsv, reportMarkdown } from '$core/formats';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { refusal } from '$server/testing/refusal';
import { createBrief } from '$server/features/briefs/briefs';
import { readBrief } from '$server/features/trials/brief-overview';
import { boardFor } from '$server/features/comparing/board';
import { reportOf } from '$server/features/comparing/report';
import { createByHand, openSources } from '$server/features/sources/sources';
import { keepVersion } from '$server/features/trials/versions';
import { readTrial } from '$server/features/trials/trials';
import { giveVerdict } from '$server/features/trials/verdicts';
import { addEntry, changeEntry } from './diary';
import { readDiary } from './read-diary';

useFreshDatabase();
beforeAll(openSources);

const row = (name: string, title = 'Jefa de Cocina', company = 'Hotel Brisa Serena') => ({
  values: { name, title, company },
  doubtful: []
});
const letters = (number: number) => String.fromCodePoint(97 + (number % 26), 97 + Math.floor(number / 26));
const rows = (page: number, many = 25) =>
  Array.from({ length: many }, (_, i) => row(`Marta${letters(i)} Oliv${letters(page)}a`));

async function place(
  text = 'title:("Jefa de Cocina" OR "Chef Ejecutivo") AND oven',
  characters: number | null = null,
  counting?: Counting
) {
  const { id } = await createBrief('Cocinas');
  const sheet = generalSheets[0]!;
  const source = await createByHand({
    ...sheet,
    name: 'Guía de Hoteles',
    limits: { ...sheet.limits, page: 25, ...(characters !== null && { characters }) },
    ...(counting && { counting })
  });
  const { number } = await keepVersion(id, text);
  const see = (seen: object) =>
    addEntry(id, number, source.id, { search: 0, said: '', page: null, rows: [], ...seen } as Parameters<
      typeof addEntry
    >[3]);
  return { id, number, source, see, read: () => readDiary(id, number, source.id) };
}

describe('the diary of a place run by hand', () => {
  it('holds counts and pages over days, none in the place of another, each person once', async () => {
    const { see, read, id } = await place();
    expect(await read()).toMatchObject({
      entries: [],
      trialId: null,
      searches: [{ entries: 0, pages: null, drawn: [] }]
    });
    const counted = await see({ said: 'más de 800 resultados', seenAt: '2026-11-24T09:00:00.000Z' });
    expect(counted.entries[0]).toMatchObject({ said: 'más de 800 resultados', count: { said: 800, open: true } });
    expect(counted.searches[0]).toMatchObject({ pages: 32 });
    expect(counted.searches[0]!.drawn).toHaveLength(6);
    await see({ page: 1, rows: rows(1), seenAt: '2026-11-24T09:05:00.000Z' });
    await see({ said: 'unos 820', seenAt: '2026-11-26T09:00:00.000Z' });
    // One of the first page again, on another day, further down.
    const later = await see({ page: 4, rows: [...rows(1, 1), ...rows(4, 24)], seenAt: '2026-11-26T09:05:00.000Z' });
    expect(later.entries.map(({ page, known }) => [page, known])).toEqual([
      [4, 1],
      [null, 0],
      [1, 0],
      [null, 0]
    ]);
    expect(later.searches[0]).toMatchObject({ entries: 4, rows: 49, pagesRead: [1, 4], pages: 33 });
    const trial = await readTrial(id, later.trialId!);
    expect(trial).toMatchObject({ state: 'done', people: 49 });
    expect(trial.found).toMatchObject({ part: 'pages', shown: 49, reported: { low: 815, high: 824 } });
  });

  it('takes no count for more exact than the source counts', async () => {
    const { see, id } = await place(undefined, null, { kind: 'guess', factor: 3 });
    const { trialId } = await see({ said: 'About 7,610 results', page: 1, rows: rows(1) });
    const { reported } = (await readTrial(id, trialId!)).found!;
    expect(reported.low).toBeLessThanOrEqual(7610 / 3);
    expect(reported.high).toBeGreaterThanOrEqual(7610 * 3);
  });

  it('says how many of several searches were run, wherever its figures are', async () => {
    const long = ['chef', 'cook', 'cocina', 'kitchen', 'oven', 'grill', 'menu', 'hotel'];
    const { see, id } = await place(`title:(${long.map((word) => `${word} OR jefe${word}`).join(' OR ')})`, 60);
    const { trialId } = await see({ said: '240', page: 1, rows: rows(1) });
    const trial = await readTrial(id, trialId!);
    const of = trial.rendering.searches.length;
    expect(of).toBeGreaterThan(2);
    expect(trial.found).toMatchObject({ outstanding: { run: 1, of }, reported: { low: 240, high: 240 } });
    const [cell] = (await boardFor(id)).cells;
    expect(cell!.figures.outstanding).toEqual({ run: 1, of });
    const report = await reportOf(id);
    expect(reportMarkdown(report)).toContain(`1 of ${of} searches run`);
    expect(reportMarkdown(report)).toContain(`${of - 1} searches that were not run`);
    expect(readCsvRecords(reportCsv(report))[0]).toMatchObject({ searches: String(of), 'searches run': '1' });
    for (let search = 1; search < of; search++) await see({ search, said: '0' });
    expect((await readTrial(id, trialId!)).found).not.toHaveProperty('outstanding');
  });

  it('keeps the address of its trial over entries, and shows there what stands now', async () => {
    const { see, id, read } = await place();
    const first = await see({ said: '60', page: 1, rows: rows(1) });
    const trialId = first.trialId!;
    const onBoard = async () => (await boardFor(id)).cells.map(({ people }) => people);
    expect((await readTrial(id, trialId)).people).toBe(25);
    expect(await onBoard()).toEqual([25]);
    expect((await see({ page: 2, rows: rows(2) })).trialId).toBe(trialId);
    expect(await readTrial(id, trialId)).toMatchObject({ people: 50, found: { shown: 50 } });
    expect(await onBoard()).toEqual([50]);
    const { entries } = await read();
    const { id: entry, revision, said, page } = entries[0]!;
    await changeEntry(id, entry, { said, page, rows: [row('Solo Una')], takenBack: false, revision });
    expect(await readTrial(id, trialId)).toMatchObject({ people: 26, found: { shown: 26 } });
    expect(await onBoard()).toEqual([26]);
  });

  it('is measured as what it is: never a share without width from part of a result', async () => {
    const { see, id, source } = await place();
    await see({ said: '3.400' });
    const { trialId } = await see({ page: 1, rows: rows(1) });
    const before = await readTrial(id, trialId!);
    expect(before.found.part).toBe('top');
    for (const [i, { person }] of before.sample.entries())
      await giveVerdict(id, {
        sourceId: source.id,
        personId: person.id,
        verdict: i < 17 ? 'fit' : 'miss',
        reason: '',
        revision: 0,
        by: 'person'
      });
    const { figures } = await readTrial(id, trialId!);
    const { share, interval } = figures!.precision.possible;
    expect(share).toBe(0.68);
    expect(interval.high - interval.low).toBeGreaterThan(0.25);
    // Another page keeps all verdicts, and is judged as pages.
    const more = await see({ page: 30, rows: rows(30) });
    const after = await readTrial(id, more.trialId!);
    expect(after.found.part).toBe('pages');
    expect(after.figures!.precision.possible).toMatchObject({ fits: 17, misses: 8 });
  });

  it('is corrected and taken back at any time; a corrected row stays the person it was', async () => {
    const { see, id, source, read } = await place();
    const first = await see({ said: '40', page: 1, rows: [row('Marta Olivr'), row('Iker Sanz')] });
    const entry = first.entries[0]!;
    const { sample } = await readTrial(id, first.trialId!);
    await giveVerdict(id, {
      sourceId: source.id,
      personId: sample[0]!.person.id,
      verdict: 'fit',
      reason: '',
      revision: 0,
      by: 'person'
    });
    const corrected = await changeEntry(id, entry.id, {
      ...entry,
      rows: entry.rows.map((one, i) => (i ? one : { ...one, values: { ...one.values, name: 'Marta Oliver' } })),
      revision: entry.revision
    });
    const trial = await readTrial(id, corrected.trialId!);
    expect(trial.sample[0]).toMatchObject({ person: { name: 'Marta Oliver' }, verdict: { verdict: 'fit' } });
    // Anybody who still has the entry as it was is told.
    expect((await refusal(changeEntry(id, entry.id, { ...entry, revision: entry.revision }))).status).toBe(409);
    const now = corrected.entries[0]!;
    const gone = await changeEntry(id, now.id, { ...now, takenBack: true });
    expect(gone).toMatchObject({ trialId: null, searches: [{ entries: 0, rows: 0 }] });
    expect(gone.entries[0]!.rows).toHaveLength(2);
    const back = await changeEntry(id, now.id, { ...gone.entries[0]!, takenBack: false });
    expect((await readTrial(id, back.trialId!)).sample[0]!.verdict?.verdict).toBe('fit');
    expect((await readBrief(id)).judged).toBe(1);
    expect((await read()).entries).toHaveLength(1);
  });

  it('knows somebody again whose mail address one page doesn’t have, and never by another’s', async () => {
    const { see, id } = await place();
    const mailed = (mail?: string) => ({
      ...row('Carla Moreno'),
      values: { ...row('Carla Moreno').values, ...(mail && { mail }) }
    });
    await see({ page: 1, rows: [mailed('carla@brisa.example')] });
    await see({ page: 2, rows: [mailed()] });
    const last = await see({ page: 3, rows: [mailed('c.moreno@other.example')] });
    expect(last.entries.map(({ known }) => known)).toEqual([0, 1, 0]);
    expect((await readTrial(id, last.trialId!)).people).toBe(2);
  });

  it('may miss searches, and says which; two who write at once lose nothing', async () => {
    const { see, id, number, source } = await place();
    await Promise.all(Array.from({ length: 6 }, (_, i) => see({ page: i + 1, rows: rows(i + 1, 5) })));
    const diary = await readDiary(id, number, source.id);
    expect(diary.entries).toHaveLength(6);
    expect(diary.searches[0]!.rows).toBe(30);
    expect((await readTrial(id, diary.trialId!)).people).toBe(30);
  });

  it('takes no text for a count that is none, and nothing for an entry', async () => {
    const { see, id, number } = await place();
    expect((await refusal(see({ said: 'Seite 1 von 12' }))).message).toContain('Couldn’t read a count');
    expect((await refusal(see({ rows: [row('  ')] }))).message).toContain('a count, or rows with a name');
    expect((await refusal(see({ search: 7, said: '3' }))).status).toBe(409);
    expect((await refusal(readDiary(id, number, 'harrow-guild'))).message).toContain('searched by Eave');
  });
});
