import { beforeAll, describe, expect, it } from 'vitest';
import type { Sheet } from '$core/dialect';
import { standInSheets } from '$core/dialect';
import type { Person } from '$core/people';
import { database } from '$server/platform/database/connection';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { budget, fileSource, over, person, rhythm, setPeople, received } from '$server/testing/watched';
import { createBrief } from '$server/features/briefs/briefs';
import { addEntry } from '$server/features/manual/diary';
import { objectTo } from '$server/records/objections/erase';
import { keepPeople } from '$server/features/shortlist/keep';
import { createShortlist } from '$server/features/shortlist/shortlists';
import { createByHand, openSources } from '$server/features/sources/sources';
import { keepVersion } from '$server/features/trials/versions';
import { listNews } from './news';
import { lookAtWatches } from './watch-run';
import { changeWatch, createWatch, listWatches, runsOfWatch, runWatch } from './watches';

useFreshDatabase();
beforeAll(openSources);

async function listed(name: string, sourceId: string, people: readonly Person[]) {
  const { id: briefId } = await createBrief(name);
  await fileSource(sourceId, people);
  const { id: list } = await createShortlist(briefId, { name, purpose: '' });
  await keepPeople({ briefId, id: list, why: '', from: { kind: 'people', people: [...people] } });
  // All but the second are known by their records; she is to be met by what she is known by.
  await database().query(
    `UPDATE shortlist_people SET records = jsonb_set(jsonb_set(records, '{0,sourceId}', to_jsonb($sourceId::text)), '{0,person,id}', to_jsonb('p' || (ascii(right(name, 1)) - 97)))
     WHERE shortlist_id = $list AND name NOT LIKE '%b'`,
    { bind: { sourceId, list } }
  );
  return { briefId, list };
}

describe('people who are watched', () => {
  const rules = [
    { name: 'changed firm', rule: 'changed:company OR moved:[* TO 90]' },
    { name: 'came from B', rule: 'was.company:B NOT company:B' },
    { name: 'new leaders', rule: 'leaders:[* TO 90]' }
  ];

  it('are news once, when a rule begins to hold by what was listed before and is listed now', async () => {
    const first = [
      person(0, 'QA', 'A'),
      person(1, 'QA', 'B', { contact: ['b@b.example'] }),
      person(2, 'QA', 'C', { moved: 20 }),
      person(3, 'QA', 'D')
    ];
    const { briefId, list } = await listed('Past buyers', 'file-people', first);
    const { id } = await createWatch(briefId, {
      name: 'Past buyers move',
      rhythm,
      budget,
      people: { list, sources: ['file-people'], rules }
    });
    await over(id);
    // At the first look, what holds already.
    expect(await received(id)).toEqual([{ kind: 'changed', name: 'c', why: 'changed firm', changes: [] }]);
    await setPeople('file-people', [
      person(0, 'Head of QA', 'A'),
      // Under another id: met by the address.
      { ...person(1, 'QA', 'New Firm', { contact: ['b@b.example'] }), id: 'renamed' },
      person(2, 'QA', 'C', { moved: 27 }),
      person(7, 'Managing Director', 'A', { rank: 'chief', moved: 40 })
    ]);
    await runWatch(id);
    expect(await over(id, 2)).toMatchObject({ people: 3, counts: { changed: 2, left: 1 } });
    expect((await received(id)).slice(1)).toEqual([
      {
        kind: 'changed',
        name: 'a',
        why: 'new leaders',
        changes: [{ field: 'title', before: 'QA', now: 'Head of QA' }]
      },
      {
        kind: 'changed',
        name: 'b',
        why: 'changed firm, came from B',
        changes: [{ field: 'company', before: 'B', now: 'New Firm' }]
      },
      { kind: 'left', name: 'd', why: 'the sources have them no more', changes: [] }
    ]);
    await runWatch(id);
    expect(await over(id, 3)).toMatchObject({ counts: {} });
    await setPeople('file-people', first);
    await runWatch(id);
    expect(await over(id, 4)).toMatchObject({ counts: { back: 1, changed: 1 } });
    expect((await listWatches()).find((one) => one.id === id)).toMatchObject({
      list: { id: list, name: 'Past buyers' },
      rules,
      sources: [{ sourceId: 'file-people', version: null }]
    });
    // Anybody who objects is watched no more.
    await objectTo({ sourceId: 'file-people', personId: 'p2' });
    const known = await database().query(
      `SELECT 1 FROM watch_people WHERE watch_id = '${id}' AND person->>'id' = 'p2'`
    );
    expect(known[0]).toEqual([]);
  }, 60_000);

  it('are refused a rule that cannot be read, and sources where nobody can be looked up', async () => {
    const { briefId, list } = await listed('Refused', 'file-refused', [person(0, 'QA', 'A')]);
    const wanted = { name: 'x', rhythm, budget };
    const people = { list, sources: ['file-refused'], rules };
    await expect(
      createWatch(briefId, { ...wanted, people: { ...people, rules: [{ name: 'Odd', rule: 'changed:shoes' }] } })
    ).rejects.toThrow('“Odd”: “changed:” goes with title');
    const { id: place } = await createByHand({ ...(standInSheets[0] as Sheet), name: 'Guild' });
    await expect(createWatch(briefId, { ...wanted, people: { ...people, sources: [place] } })).rejects.toThrow(
      'holds whole'
    );
    const { id } = await createWatch(briefId, { ...wanted, people });
    await expect(changeWatch(id, { rules: [{ name: 'Odd', rule: 'title:(' }] })).rejects.toMatchObject({ status: 422 });
    await changeWatch(id, { rules: [{ name: 'title', rule: 'changed:title' }] });
    await over(id);
  }, 60_000);
});

describe('a place run by hand that is watched', () => {
  it('is looked at when it is due: what is pasted then is compared with all earlier entries', async () => {
    const { id: briefId } = await createBrief('By hand');
    const { number } = await keepVersion(briefId, 'title:quality');
    const { id: sourceId } = await createByHand({ ...(standInSheets[0] as Sheet), name: 'Guild' });
    const row = (name: string, title: string, company: string) => ({ values: { name, title, company }, doubtful: [] });
    const entry = (rows: ReturnType<typeof row>[]) =>
      addEntry(briefId, number, sourceId, { search: 0, said: '', page: 1, rows });
    await entry([row('Ada Nord', 'QA', 'A'), row('Bo West', 'QA', 'B')]);
    const { id } = await createWatch(briefId, { name: 'Guild', rhythm, budget, from: [{ sourceId, version: number }] });
    expect(await over(id)).toMatchObject({ state: 'done', people: 2, counts: {} });
    await database().query(`UPDATE watches SET next_at = now() - interval '1 hour' WHERE id = '${id}'`);
    await Promise.all([lookAtWatches(), lookAtWatches()]);
    expect((await runsOfWatch(id)).map(({ state }) => state)).toEqual(['due', 'done']);
    await expect(runWatch(id)).rejects.toThrow('waiting for you to check');
    await lookAtWatches();
    expect((await runsOfWatch(id))[0]!.state).toBe('due');
    // Bo is not on the page that was read: nobody says that he left.
    await entry([row('Ada Nord', 'Head of QA', 'A'), row('Cy East', 'QA', 'C')]);
    await lookAtWatches();
    expect((await runsOfWatch(id))[0]).toMatchObject({ state: 'done', counts: { new: 1, changed: 1 } });
    const { news } = await listNews({ watch: id });
    expect(news.map(({ kind, facts }) => [kind, facts.name])).toEqual(
      expect.arrayContaining([
        ['new', 'Cy East'],
        ['changed', 'Ada Nord']
      ])
    );
    await expect(
      createWatch(briefId, {
        name: 'Both',
        rhythm,
        budget,
        from: [
          { sourceId, version: number },
          { sourceId: 'marlow-register', version: number }
        ]
      })
    ).rejects.toThrow('separate watch');
  }, 60_000);
});
