import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { Refusal } from '$server/platform/refusal';
import { models } from '$server/platform/database/models';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief, readDocument, writeDocument } from '$server/features/briefs/briefs';
import { addKnown } from '$server/features/briefs/people-lists';
import { openSources } from '$server/features/sources/sources';
import { keepVersion, listVersions, takeChanges } from '$server/features/trials/versions';
import { judgeByRule, takeBackRules } from '$server/features/trials/rule-verdicts';
import { drawAtOnce, listTrials, readTrial, runAtSources, runTrial } from '$server/features/trials/trials';
import { giveVerdict, judgeMany } from '$server/features/trials/verdicts';

useFreshDatabase();
beforeAll(openSources);
const brief = async () => (await createBrief('Flows')).id;
const nobody = '00000000-0000-4000-8000-000000000000';

describe('flows that change several things', () => {
  it('keep what the string was and what changes make of it, or neither', async () => {
    const id = await brief();
    const given = { text: 'title:QA', parent: null, note: 'quoted' };
    const { before, version } = await takeChanges(id, { ...given, changed: 'title:"QA manager"' });
    expect(before).toMatchObject({ number: 1, text: 'title:QA', note: '' });
    expect(version).toMatchObject({ number: 2, text: 'title:"QA manager"', parent: 1, note: 'quoted' });
    await expect(takeChanges(id, { ...given, text: 'title:RP', changed: 'title:(RP' })).rejects.toThrow(Refusal);
    expect(await listVersions(id)).toHaveLength(2);
    // Taken again, both are the versions they were.
    await takeChanges(id, { ...given, changed: 'title:"QA manager"', note: 'again' });
    expect((await listVersions(id)).map(({ note }) => note)).toEqual(['quoted', '']);
  });

  it('run a string at all sources named, or at none', async () => {
    const id = await brief();
    const wanted = { text: 'title:QA', parent: null, sampleSize: 10 };
    await expect(runAtSources(id, { ...wanted, sourceIds: ['harrow-guild', 'nobody'] })).rejects.toThrow(
      'doesn’t exist'
    );
    expect(await listVersions(id)).toEqual([]);
    const { version, trials } = await runAtSources(id, { ...wanted, sourceIds: ['harrow-guild', 'quillbank'] });
    expect(version.number).toBe(1);
    expect(trials.map(({ sourceId }) => sourceId)).toEqual(['harrow-guild', 'quillbank']);
    await expect
      .poll(async () => (await listTrials(id)).map(({ state }) => state), { timeout: 20_000 })
      .toEqual(['done', 'done']);
  });

  it('judge many or nobody, and never overwrite what was said meanwhile', async () => {
    const id = await brief();
    const one = (personId: string, revision = 0) => ({
      sourceId: 'quillbank',
      personId,
      verdict: 'fit' as const,
      reason: '',
      revision
    });
    await giveVerdict(id, { ...one('b'), verdict: 'miss' });
    await expect(judgeMany(id, [one('a'), one('b'), one('c')])).rejects.toMatchObject({ status: 409 });
    expect(await models().Verdict.count()).toBe(1);
    expect((await judgeMany(id, [one('c'), one('b', 1), one('a')])).map((received) => received?.revision)).toEqual([
      1, 2, 1
    ]);
    expect(await judgeMany(id, [{ ...one('a', 1), verdict: null }, one('d')])).toMatchObject([null, { revision: 1 }]);
    await models().Verdict.destroy({ where: {} });
  });

  it('judge one each at once, and each sees what became of their own', async () => {
    const id = await brief();
    const one = (personId: string, more = {}) => ({
      ...{ sourceId: 'quillbank', personId, verdict: 'fit' as const, reason: '', revision: 0 },
      ...more
    });
    await Promise.all([giveVerdict(id, one('old')), giveVerdict(id, one('said')), giveVerdict(id, one('gone'))]);
    const received = await Promise.allSettled([
      giveVerdict(id, one('new', { reason: 'a “reason”, \\ and all' })),
      giveVerdict(id, one('old', { verdict: 'miss', revision: 1 })),
      giveVerdict(id, one('old', { verdict: 'unsure', revision: 1 })),
      giveVerdict(id, one('old', { verdict: 'unsure' })),
      giveVerdict(id, one('said', { verdict: 'miss', revision: 1, by: 'rule' })),
      giveVerdict(id, one('x', { sourceId: 'nowhere' })),
      giveVerdict(id, one('gone', { verdict: null, revision: 1 })),
      giveVerdict(id, one('gone too', { verdict: 'miss', revision: 3 })),
      ...Array.from({ length: 40 }, (_, i) => giveVerdict(id, one(`p${i}`)))
    ]);
    const outcome = received.map((was) => (was.status === 'fulfilled' ? was.value?.revision : was.reason));
    // Of two who change the same verdict at once either may be first; the other is told what stands.
    const [won, lost] = received[1]!.status === 'fulfilled' ? [1, 2] : [2, 1];
    expect(outcome[won]).toBe(2);
    expect(outcome[lost]).toMatchObject({
      status: 409,
      extra: { current: { verdict: won === 1 ? 'miss' : 'unsure', revision: 2 } }
    });
    expect([outcome[0], ...outcome.slice(3, 8)]).toMatchObject([
      1,
      { status: 409, extra: { current: { revision: expect.any(Number) } } },
      { status: 409, extra: { current: { by: 'person', verdict: 'fit' } } },
      { name: 'SequelizeForeignKeyConstraintError' },
      undefined,
      { status: 409, extra: { current: null } }
    ]);
    expect(outcome.slice(8)).toEqual(Array.from({ length: 40 }, () => 1));
    const rows = await models().Verdict.findAll({ where: {}, raw: true });
    expect(rows.length).toBe(43);
    expect(rows.find(({ personId }) => personId === 'new')).toMatchObject({
      reason: 'a “reason”, \\ and all',
      by: 'person'
    });
    await expect(giveVerdict(randomUUID(), one('a'))).rejects.toMatchObject({ status: 404 });
    await models().Verdict.destroy({ where: {} });
  });

  it('judge by rule those facts alone make a miss, and whom nobody has judged', async () => {
    const id = await brief();
    await keepVersion(id, 'title:QA');
    const trial = await runTrial(id, 1, 'harrow-guild', 40);
    const [persona, countries] = [await readDocument(id, 'persona'), trial.sample.map(({ person }) => person.country)];
    const wanted = countries.find((country) => country !== undefined)!;
    await writeDocument(id, 'persona', {
      body: { ...persona.body, countries: [wanted] },
      revision: persona.revision
    });
    const others = trial.sample.filter(({ person }) => person.country && person.country !== wanted);
    expect(others.length).toBeGreaterThan(1);
    const [first, ...rest] = others.map(({ person }) => person.id);
    await giveVerdict(id, { sourceId: 'harrow-guild', personId: first!, verdict: 'fit', reason: '', revision: 0 });
    const given = await judgeByRule(id, trial.id);
    expect(given.map(({ personId }) => personId).sort()).toEqual(rest.sort());
    expect(given.every(({ verdict, by, reason }) => verdict === 'miss' && by === 'rule' && reason !== '')).toBe(true);
    expect(await judgeByRule(id, trial.id)).toEqual([]);
    // Undone in one step; what a person has said stays, and it can be done again.
    const [ruled] = given;
    await giveVerdict(id, {
      sourceId: ruled!.sourceId,
      personId: ruled!.personId,
      verdict: 'fit',
      reason: '',
      revision: 1
    });
    const { taken } = await takeBackRules(id, trial.id);
    expect(taken.sort()).toEqual(
      given
        .slice(1)
        .map(({ personId }) => personId)
        .sort()
    );
    expect(await judgeByRule(id, trial.id)).toHaveLength(given.length - 1);
    await expect(judgeByRule(id, nobody)).rejects.toMatchObject({ status: 404 });
  });

  it('add known-goods beside whatever else is written to them', async () => {
    const id = await brief();
    const person = (name: string, company = 'Cold') => ({ id: name, name, jobs: [{ title: 'QA', company }] });
    expect(await addKnown(id, [person('Ann'), person('Bo')])).toEqual({ added: 2, revision: 2 });
    const added = await Promise.all(
      ['Cy', 'Di', 'Ed', 'Fi'].map((name) => addKnown(id, [person(name), person('Ann')]))
    );
    expect(added.map((one) => one.added)).toEqual([1, 1, 1, 1]);
    const { body } = await readDocument(id, 'known');
    expect(body.map(({ name }) => name).sort()).toEqual(['Ann', 'Bo', 'Cy', 'Di', 'Ed', 'Fi']);
  });

  it('draw more people of several results, or of none', async () => {
    const id = await brief();
    await keepVersion(id, 'title:QA');
    const first = await runTrial(id, 1, 'harrow-guild', 5);
    const second = await runTrial(id, 1, 'quillbank', 5);
    const draws = [first, second].map(({ id: trial }) => ({ trial, size: 12 }));
    await expect(drawAtOnce(id, [...draws, { trial: nobody, size: 12 }])).rejects.toMatchObject({ status: 404 });
    expect((await readTrial(id, first.id)).sample).toHaveLength(5);
    await drawAtOnce(id, draws);
    for (const { id: trial } of [first, second]) {
      const { sample } = await readTrial(id, trial);
      expect(sample).toHaveLength(12);
      expect(new Set(sample.map(({ rank }) => rank)).size).toBe(12);
    }
  });
});
