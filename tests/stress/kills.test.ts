import { describe, expect, it } from 'vitest';
import { freePort } from '../browser/application';
import { amount, ask, freshDatabase, importFile, pause, query, sourcesReady, until, useServers } from './harness';
import { seededRandom } from '../../src/core/measure/random';

const start = useServers('test-kills', 2000);
const peopleOfFile = 1000;
const kills = amount(10, 50);

describe('a server killed again and again in the middle of work', () => {
  it(`loses and doubles nothing in ${kills} kills: verdicts, drafts, an import and trials`, async () => {
    const databaseUrl = await freshDatabase('eave_kills');
    const random = seededRandom('kills');
    const port = String(await freePort());
    const begin = () => start(databaseUrl, { PORT: port });
    let server = await begin();
    const { address } = server;
    await sourcesReady(address);
    const { body: brief } = await ask<{ id: string }>(address, 'POST', '/briefs', { name: 'Killed' });
    const texts = ['title:manager', 'title:(quality OR sales)', 'manager NOT intern'];
    for (const text of texts) await ask(address, 'POST', `/briefs/${brief.id}/versions`, { text });

    const { body: harvest } = await ask<{ id: string }>(address, 'POST', `/briefs/${brief.id}/harvests`, {
      name: 'Killed',
      from: ['harrow-guild', 'quillbank', 'lanternfield'].map((sourceId) => ({ sourceId, version: 2 })),
      budget: { requestsPerDay: null, records: null, spend: null }
    });

    const { body: watch } = await ask<{ id: string }>(address, 'POST', `/briefs/${brief.id}/watches`, {
      name: 'Killed',
      rhythm: { rule: 'FREQ=DAILY', from: '2026-01-05', hour: 6, zone: 'Europe/Oslo' },
      budget: { requestsPerDay: null, records: null, spend: null },
      from: [{ sourceId: 'marlow-register', version: 1 }]
    });

    const verdicts = new Map<string, { verdict: string; revision: number }>();
    let draft = { text: '', revision: 1 };
    const trials: string[] = [];
    const imports: string[] = [];
    let over = false;
    const judging = async () => {
      while (!over) {
        const personId = `p${Math.floor(random() * 60)}`;
        const before = verdicts.get(personId);
        const verdict = ['fit', 'miss', 'unsure'][Math.floor(random() * 3)]!;
        const given = { sourceId: 'quillbank', personId, verdict, revision: before?.revision ?? 0 };
        const { status, body } = await ask<{ revision: number; current?: { verdict: string; revision: number } }>(
          address,
          'PUT',
          `/briefs/${brief.id}/verdicts`,
          given
        );
        if (status === 200) {
          verdicts.set(personId, { verdict, revision: body.revision });
          await pause(5);
        }
        // It was kept, and the server killed before it could say so.
        else if (status === 409 && body.current) verdicts.set(personId, body.current);
        else await pause(30);
      }
    };
    const writing = async () => {
      for (let i = 0; !over; i++) {
        const text = `title:draft${i}`;
        const { status, body } = await ask<{
          revision: number;
          current?: { body: { text: string }; revision: number };
        }>(address, 'PUT', `/briefs/${brief.id}/draft`, { body: { text, from: null }, revision: draft.revision });
        if (status === 200) draft = { text, revision: body.revision };
        else if (status === 409 && body.current)
          draft = { text: body.current.body.text, revision: body.current.revision };
        else await pause(30);
      }
    };
    const running = async () => {
      while (!over) {
        const version = 1 + Math.floor(random() * texts.length);
        const sourceId = ['harrow-guild', 'quillbank', 'lanternfield'][Math.floor(random() * 3)]!;
        const { status, body } = await ask<{ id: string }>(address, 'POST', `/briefs/${brief.id}/trials`, {
          version,
          sourceId,
          wait: 0
        });
        if (status === 201) trials.push(body.id);
        await pause(700);
      }
    };
    const importing = async () => {
      const rows = Array.from({ length: peopleOfFile }, (_, i) => `Person ${i},Manager,p${i}@firm.example`).join('\n');
      while (!over) {
        await importFile(address, `name,title,mail\n${rows}\n`).then(
          (id) => imports.push(id),
          () => undefined
        );
        await pause(2000);
      }
    };
    const watching = async () => {
      while (!over) {
        // A run that is begun while another goes on is refused, and what changes meanwhile is told by the next.
        await ask(address, 'POST', `/watches/${watch.id}/runs`);
        const { status, body: world } = await ask<{ day: number }>(address, 'GET', '/world');
        if (status === 200) await ask(address, 'POST', '/world/moves', { from: world.day, step: 'month' });
        await pause(3000);
      }
    };
    const work = Promise.all([judging(), judging(), writing(), running(), importing(), watching()]);
    for (let i = 0; i < kills; i++) {
      // Killed at any moment after it has taken up work.
      const before = trials.length;
      await until(async () => trials.length > before, 10_000, 'a trial is begun');
      // One import at least has been taken up when it is killed for the last time.
      const takenUp = () => query(databaseUrl, `SELECT 1 FROM imports WHERE state IN ('running', 'done')`);
      if (i === kills - 1) await until(async () => (await takenUp()).length > 0, 30_000, 'an import is begun');
      await pause(random() * 1000);
      server.stop();
      await pause(50);
      server = await begin();
    }
    await pause(500);
    over = true;
    await work;

    const underWay = `SELECT 1 FROM trials WHERE state IN ('waiting', 'running') UNION ALL SELECT 1 FROM imports WHERE state IN ('waiting', 'running')
      UNION ALL SELECT 1 FROM harvests WHERE state IN ('waiting', 'running') UNION ALL SELECT 1 FROM watch_runs WHERE state = 'running'`;
    await until(async () => !(await query(databaseUrl, underWay)).length, 90_000, 'all work comes to its end');
    // What changed while it was killed is told by the next run; how many runs fitted between kills depends on the machine.
    for (let run = 0; run < 3; run++) {
      const { body: world } = await ask<{ day: number }>(server.address, 'GET', '/world');
      await ask(server.address, 'POST', '/world/moves', { from: world.day, step: 'month' });
      await ask(server.address, 'POST', `/watches/${watch.id}/runs`);
      await until(async () => !(await query(databaseUrl, underWay)).length, 60_000, 'the last run comes to its end');
    }
    await expectNewsAddsUp(databaseUrl, watch.id);
    // Of the harvest every page was kept once, with how far its slice is.
    expect(await query(databaseUrl, `SELECT state FROM harvests WHERE id = $1`, [harvest.id])).toEqual([
      { state: 'done' }
    ]);
    const slices = await query<{ rows: number; kept: number; fresh: number; new: number }>(
      databaseUrl,
      `SELECT rows, fresh, (SELECT count(*)::int FROM harvest_rows r WHERE r.harvest_id = s.harvest_id AND s.id = ANY (r.slices)) AS kept,
         (SELECT count(*)::int FROM harvest_rows r WHERE r.harvest_id = s.harvest_id AND r.slices[1] = s.id) AS new
       FROM harvest_slices s WHERE harvest_id = $1`,
      [harvest.id]
    );
    expect(slices.length).toBeGreaterThan(2);
    for (const slice of slices) expect([slice.kept, slice.new]).toEqual([slice.rows, slice.fresh]);
    const kept = await query<{ person_id: string; verdict: string; revision: number }>(
      databaseUrl,
      'SELECT person_id, verdict, revision FROM verdicts'
    );
    const byPerson = new Map(kept.map((row) => [row.person_id, row]));
    expect(kept).toHaveLength(byPerson.size);
    expect(verdicts.size).toBeGreaterThan(20);
    for (const [personId, { verdict, revision }] of verdicts) {
      const row = byPerson.get(personId);
      // One sent and not acknowledged may have been kept besides.
      expect(row?.revision, personId).toBeGreaterThanOrEqual(revision);
      if (row!.revision === revision) expect(row!.verdict).toBe(verdict);
    }
    const { body: found } = await ask<{ body: { text: string }; revision: number }>(
      address,
      'GET',
      `/briefs/${brief.id}/draft`
    );
    expect(found.revision).toBeGreaterThanOrEqual(draft.revision);
    if (found.revision === draft.revision) expect(found.body.text).toBe(draft.text);

    const ended = await query<{ id: string; state: string; found: string[] }>(
      databaseUrl,
      'SELECT id, state, found FROM trials'
    );
    const states = new Map(ended.map((trial) => [trial.id, trial]));
    expect(trials.length).toBeGreaterThan(3);
    for (const id of trials) {
      expect(states.get(id)?.state, id).toBe('done');
      const people = states.get(id)!.found;
      expect(new Set(people).size).toBe(people.length);
    }
    const sources = await query<{ id: string; state: string; people: number; rows: string }>(
      databaseUrl,
      `SELECT i.id, i.state, s.people, (SELECT count(*) FROM source_people p WHERE p.source_id = s.id) AS rows
       FROM imports i LEFT JOIN sources s ON s.id = i.source_id`
    );
    for (const one of sources.filter(({ state }) => state === 'done'))
      expect([one.people, Number(one.rows)], one.id).toEqual([peopleOfFile, peopleOfFile]);
    for (const id of imports) expect(['done', 'ready'], id).toContain(sources.find((one) => one.id === id)?.state);
    expect(sources.some(({ state }) => state === 'done')).toBe(true);
    // The last one goes when what it did has been noted.
    const left = () => query(databaseUrl, 'SELECT 1 FROM graphile_worker.jobs');
    await until(async () => !(await left()).length, 20_000, 'no job is left');
  }, 600_000);
});

/** Whoever came, left and was back, told once each, gives whom the last run found; and nothing that was gathered is left. */
async function expectNewsAddsUp(databaseUrl: string, watch: string) {
  const runs = await query<{ people: number; state: string }>(
    databaseUrl,
    'SELECT people, state FROM watch_runs WHERE watch_id = $1 ORDER BY created_at',
    [watch]
  );
  const done = runs.filter(({ state }) => state === 'done');
  expect(done.length).toBeGreaterThan(2);
  const news = await query<{ number: number; kind: string }>(
    databaseUrl,
    'SELECT number, kind FROM watch_news WHERE watch_id = $1 ORDER BY id',
    [watch]
  );
  expect(news.length).toBeGreaterThan(0);
  const there = new Map<number, boolean>();
  let people = done[0]!.people;
  for (const { number, kind } of news) {
    const before = there.get(number);
    if (kind === 'new') expect(before).toBeUndefined();
    if (kind === 'back') expect(before).toBe(false);
    if (kind === 'left' || kind === 'changed') expect(before).not.toBe(false);
    if (kind === 'left') people--;
    else if (kind !== 'changed') people++;
    there.set(number, kind !== 'left');
  }
  expect(people).toBe(done.at(-1)!.people);
  expect(
    await query(databaseUrl, 'SELECT count(*)::int AS people FROM watch_people WHERE watch_id = $1 AND present', [
      watch
    ])
  ).toEqual([{ people }]);
  expect(await query(databaseUrl, 'SELECT 1 FROM harvests WHERE watch_id = $1', [watch])).toEqual([]);
}
