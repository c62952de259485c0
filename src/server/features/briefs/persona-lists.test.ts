import { beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '$core/people';
import { contactKeys, regions } from '$core/people';
import { Refusal } from '$server/platform/refusal';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief, readDocument, writeDocument } from './briefs';
import { readHouseList, writeHouseList } from '$server/features/library/house-lists';
import { openSources } from '$server/features/sources/sources';
import { runTrial } from '$server/features/trials/trials';
import { keepVersion } from '$server/features/trials/versions';
import { sensesOf as sensesOfJson } from '$server/features/strings/worth';
import { readable } from '$server/testing/readable';

useFreshDatabase();
const sensesOf = readable(sensesOfJson);
beforeAll(openSources);

describe('lists of the house', () => {
  it('are as shipped until changed, and never overwrite what was changed elsewhere', async () => {
    const shipped = await readHouseList('regions');
    expect(shipped).toEqual({ body: regions, revision: 1 });
    const alps = { names: ['Alps'], countries: ['AT', 'CH'] };
    expect(await writeHouseList('regions', { body: [alps], revision: 1 })).toEqual({ revision: 2 });
    expect(await readHouseList('regions')).toEqual({ body: [alps], revision: 2 });
    const refused = await writeHouseList('regions', { body: [], revision: 1 }).catch((error: unknown) => error);
    expect(refused).toBeInstanceOf(Refusal);
    expect((refused as Refusal).status).toBe(409);
    expect((await readHouseList('consent')).body.map(({ country }) => country)).toContain('DE');
  });
});

describe('people already contacted', () => {
  it('are left out of a trial, which says how many, whatever the legal form of their firm', async () => {
    const { id } = await createBrief('Contacted');
    const { number } = await keepVersion(id, 'title:(kvalitetschef OR "head of quality" OR "quality manager")');
    const before = await runTrial(id, number, 'marlow-register', 500);
    expect(before.contacted).toBe(0);
    const [mailed, named] = before.sample.map(({ person }) => person) as [Person, Person];
    const contacted: Person[] = [
      { id: '1', name: 'Someone Else', contact: [mailed.contact![0]!.toUpperCase()] },
      { id: '2', name: named.name, jobs: [{ title: '', company: `${named.jobs![0]!.company} Holding` }] },
      { id: '3', name: 'Nobody There', jobs: [{ title: '', company: 'Nowhere' }] }
    ];
    await writeDocument(id, 'contacted', { body: contacted, revision: 1 });
    expect((await readDocument(id, 'contacted')).revision).toBe(2);
    const keys = new Set(contacted.flatMap(contactKeys));
    const known = before.sample.filter(({ person }) => contactKeys(person).some((key) => keys.has(key))).length;
    expect(known).toBeGreaterThanOrEqual(2);
    const after = await runTrial(id, number, 'marlow-register', 500);
    expect(after.contacted).toBe(known);
    expect(after.people).toBe(before.people - known);
    expect(after.sample.map(({ person }) => person.id)).not.toContain(mailed.id);
  });
});

describe('meanings of words among the people found', () => {
  it('are counted at the source, with what telling them apart keeps and leaves', async () => {
    const { words, estimated } = await sensesOf('title:(QA OR "quality manager")', 'harrow-guild');
    expect(words.map(({ word }) => word)).toEqual(['qa']);
    const [goods, software] = words[0]!.senses;
    expect(goods!.name).toBe('quality assurance of goods');
    expect(goods!.people).toBeGreaterThan(0);
    expect(software!.people).toBeGreaterThan(0);
    expect(goods!.people + software!.people).toBeLessThanOrEqual(words[0]!.people);
    const [asking, excluding] = goods!.changes;
    expect([asking!.how, excluding!.how]).toEqual(['asking', 'excluding']);
    expect(asking!.estimated.possible.high).toBeLessThan(estimated.possible.high);
    expect(excluding!.estimated.possible.high).toBeLessThan(estimated.possible.high);
    expect(excluding!.othersLeft).toBeLessThan(software!.people);
    expect(await sensesOf('title:"quality manager"', 'harrow-guild')).toMatchObject({ words: [] });
  });
});
