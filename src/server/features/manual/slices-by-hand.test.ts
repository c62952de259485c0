import { beforeAll, describe, expect, it } from 'vitest';
import { generalSheets, type Search } from '$core/dialect';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief } from '$server/features/briefs/briefs';
import { changeSlice, cutsAt, wordsAt } from '$server/features/harvest/change-plan';
import { listHarvestPeople } from '$server/features/harvest/harvest-people';
import { goOn, readHarvest, startHarvest } from '$server/features/harvest/harvests';
import { createByHand, openSources } from '$server/features/sources/sources';
import { keepVersion } from '$server/features/trials/versions';
import { readTrial } from '$server/features/trials/trials';
import { addEntry, changeEntry } from './diary';
import { readDiary } from './read-diary';

useFreshDatabase();
beforeAll(openSources);

const noLimit = { requestsPerDay: null, records: null, spend: null };
const towns = ['Palma, Spain', 'Porto, Portugal', 'Milan, Italy', 'Lyon, France'] as const;
const codes = ['ES', 'PT', 'IT', 'FR'] as const;
const letters = (number: number) =>
  [number % 26, Math.floor(number / 26)].map((n) => String.fromCodePoint(97 + n)).join('');
/** Everybody at the place; each has their town as told there, but for every tenth. */
const everybody = Array.from({ length: 130 }, (_, i) => ({
  name: `Marta Oliv${letters(i)}`,
  at: i % 4,
  listed: i % 10 > 0
}));

/** A place that shows 40 of a search, and can be asked by country. */
async function place(
  facts: (typeof generalSheets)[number]['facts'],
  shown: number | null = 40,
  text = 'title:"Jefa de Cocina"'
) {
  const { id } = await createBrief('Cocinas');
  const sheet = generalSheets[0]!;
  const source = await createByHand({
    ...sheet,
    name: 'Guía de Hoteles',
    facts,
    limits: { ...sheet.limits, page: 20, shown }
  });
  const { number } = await keepVersion(id, text);
  const from = [{ sourceId: source.id, version: number }];
  const begin = async (budget: object = noLimit) =>
    (await startHarvest(id, { name: 'Cocinas, whole', from, budget: { ...noLimit, ...budget } })).id;
  return { id, number, sourceId: source.id, begin };
}
const byCountry = [
  { scope: 'country', include: true, exclude: true, range: false, values: null, most: 10, needsNo: [] }
] as never;

/** Whom the place finds by a search, as far as it shows them. */
function found({ facts }: Search) {
  const country = facts.find(({ scope }) => scope === 'country');
  const of = (person: (typeof everybody)[number]) => (person.listed ? codes[person.at]! : null);
  return everybody.filter(
    (person) =>
      (!country?.include || country.include.includes(of(person) ?? '')) &&
      (!country?.exclude || !country.exclude.includes(of(person) ?? ''))
  );
}
const rowOf = ({ name, at, listed: received }: (typeof everybody)[number]) => ({
  values: { name, title: 'Jefa de Cocina', company: 'Hotel Brisa', ...(received && { place: towns[at]! }) },
  doubtful: []
});
const settled = async (briefId: string, id: string) => {
  await expect
    .poll(async () => (await readHarvest(briefId, id)).state, { timeout: 20_000 })
    .toMatch(/paused|done|failed/);
  return readHarvest(briefId, id);
};

describe('a harvest at a place run by hand', () => {
  it('hands over one search after another, cuts what is too long, and brings everybody home', async () => {
    const { id, number, sourceId, begin } = await place(byCountry);
    // What is in the diary before it is started counts.
    await addEntry(id, number, sourceId, {
      search: 0,
      said: '130 resultados',
      page: 1,
      rows: found({ boxes: [], facts: [] } as never)
        .slice(0, 20)
        .map(rowOf)
    });
    const harvest = await begin();
    const begun = await settled(id, harvest);
    expect(begun).toMatchObject({
      state: 'paused',
      problem: expect.stringMatching(/^To be run by hand: \d searches at Guía de Hoteles\.$/)
    });
    expect(begun.people).toBe(20);
    const [whole, ...parts] = begun.sources[0]!.slices;
    expect(whole).toMatchObject({
      state: 'cut',
      cutBy: { kind: 'values', scope: 'country' },
      reported: { low: 130, high: 130 }
    });
    expect(parts.length).toBeGreaterThan(2);

    // Each slice is run to its end, its pages one after another; what is typed is read as a count.
    let rounds = 0;
    for (;;) {
      const diary = await readDiary(id, number, sourceId, harvest);
      const at = diary.searches.findIndex(({ slice }) => slice!.state === 'waiting');
      if (at < 0 || ++rounds > 20) break;
      const { slice } = diary.searches[at]!;
      const people = found(diary.rendering.searches[at]!);
      for (let page = 1; page === 1 || (page - 1) * 20 < Math.min(40, people.length); page++)
        await addEntry(id, number, sourceId, {
          search: 0,
          slice: slice!.id,
          said: page === 1 ? `${people.length} resultados` : '',
          page,
          rows: people.slice((page - 1) * 20, Math.min(40, page * 20)).map(rowOf)
        });
    }
    const done = await readHarvest(id, harvest);
    expect(done).toMatchObject({ state: 'done', problem: '' });
    await expect.poll(async () => (await readHarvest(id, harvest)).people, { timeout: 20_000 }).toBe(everybody.length);
    expect(done.sources[0]).toMatchObject({ state: 'done', gathered: { rows: 130 }, missing: { low: 0, high: 0 } });
    const { people } = await listHarvestPeople(id, harvest, {}, null);
    expect(people.length).toBeGreaterThan(20);
    expect(new Set(everybody.map(({ name }) => name)).has(people[0]!.name)).toBe(true);

    // The trial of the place goes by whole searches alone.
    const { trialId } = await readDiary(id, number, sourceId);
    expect((await readTrial(id, trialId!)).people).toBe(20);
  }, 60_000);

  it('follows what is corrected, taken back and said to be the end, and keeps what was typed when slices are joined', async () => {
    const { id, number, sourceId, begin } = await place(byCountry, 40);
    const harvest = await begin();
    await settled(id, harvest);
    const see = async (slice: string, seen: object) =>
      addEntry(id, number, sourceId, { search: 0, slice, said: '', page: null, rows: [], ...seen });
    const slices = async () => (await readHarvest(id, harvest)).sources[0]!.slices;
    const [whole] = await slices();
    await see(whole!.id, { said: '90', page: 1, rows: everybody.slice(0, 20).map(rowOf) });
    const [, first] = await slices();
    const seen = await see(first!.id, { said: 'unos 12', page: 1, rows: everybody.slice(30, 40).map(rowOf) });
    expect(seen.harvest).toMatchObject({ id: harvest });
    const entry = seen.entries[0]!;
    expect(seen.searches[entry.search]!.slice!.id).toBe(first!.id);
    expect((await slices())[1]).toMatchObject({
      state: 'waiting',
      rows: 10,
      fresh: 10,
      reported: entry.count!.interval
    });
    await changeSlice(id, harvest, first!.id, { do: 'end' });
    // A few more were said than came: that is not all.
    expect((await slices())[1]!.state).toBe(entry.count!.interval.low > 10 ? 'stuck' : 'read');
    await changeSlice(id, harvest, first!.id, { do: 'reopen' });
    expect((await slices())[1]!.state).toBe('waiting');

    await changeEntry(id, entry.id, { ...entry, said: '10', rows: entry.rows.slice(1), harvest });
    expect((await slices())[1]).toMatchObject({ rows: 9, reported: { low: 10, high: 10 } });
    const { entries } = await readDiary(id, number, sourceId, harvest);
    const now = entries.find((one) => one.id === entry.id)!;
    await changeEntry(id, entry.id, { ...now, takenBack: true, harvest });
    expect((await slices())[1]).toMatchObject({ rows: 0, reported: null });
    await expect.poll(async () => (await readHarvest(id, harvest)).people, { timeout: 20_000 }).toBe(20);
    await changeEntry(id, entry.id, { ...now, takenBack: false, revision: now.revision + 1, harvest });

    await changeSlice(id, harvest, whole!.id, { do: 'join' });
    const [joined, ...none] = await slices();
    expect(none).toEqual([]);
    expect(joined).toMatchObject({ state: 'waiting', rows: 29, reported: { low: 90, high: 90 } });
    await expect(see(first!.id, { said: '3' })).rejects.toThrow('the plan changed');
    const ways = await cutsAt(id, harvest, whole!.id);
    expect(ways.map(({ name }) => name)).toContain('country');
    await changeSlice(id, harvest, whole!.id, { do: 'cut', by: ways[0]!.by });
    expect((await slices()).length).toBeGreaterThan(2);
  }, 60_000);

  it('asks with neutral words where nothing can be cut, and takes what is shown for the cap where none is known', async () => {
    const { id, number, sourceId, begin } = await place([], null, 'cocina');
    const harvest = await begin({ newShare: 0.2 });
    await settled(id, harvest);
    const slices = async () => (await readHarvest(id, harvest)).sources[0]!.slices;
    const [whole] = await slices();
    const see = (slice: string, said: string, people: typeof everybody) =>
      addEntry(id, number, sourceId, { search: 0, slice, said, page: 1, rows: people.map(rowOf) });
    await see(whole!.id, '130', everybody.slice(0, 40));
    expect(await slices()).toHaveLength(1);
    await changeSlice(id, harvest, whole!.id, { do: 'end' });
    const planned = await slices();
    expect(planned.length).toBeGreaterThan(1);
    if (planned[0]!.cutBy!.kind !== 'neutral') {
      await changeSlice(id, harvest, whole!.id, { do: 'join' });
      expect((await wordsAt(id, harvest, whole!.id)).length).toBeGreaterThan(0);
      await changeSlice(id, harvest, whole!.id, { do: 'ask with', word: 'Milan' });
    }
    const [, word] = await slices();
    expect(word!.what).toMatch(/^with “/);
    // One of them is shown twice.
    await see(word!.id, '30', [...everybody.slice(30, 59), everybody[58]!]);
    const [asked, read] = await slices();
    expect(read).toMatchObject({ state: 'read', rows: 30, fresh: 19 });
    expect(asked!.words).toMatchObject({ people: 59, rows: 69 });
    expect((await goOn(id, harvest)).sources[0]!.gathered.rows).toBe(59);
    await settled(id, harvest);
  }, 60_000);
});
