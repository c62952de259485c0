import { beforeAll, describe, expect, it } from 'vitest';
import { readResultPage } from '$core/formats';
import { harrowGuild } from '$core/dialect';
import { parse } from '$core/language';
import { matches } from '$core/semantics';
import type { Person } from '$core/people';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { boardFor, peopleBehind } from './board';
import { countCertainOnly, createBrief, readDocument, writeDocument } from '$server/features/briefs/briefs';
import { readBrief } from '$server/features/trials/brief-overview';
import { recordByHand } from '$server/features/manual/record-by-hand';
import { contextOf, peopleJudged } from '$server/features/trials/brief-context';
import { decideSame, pairsOf, recordsNamed } from './same-people';
import { agreementWith, giveJudgement, judgementsOn, listJudges, settle } from '$server/features/trials/judges';
import { markOf } from '$server/features/briefs/mark';
import { reportOf } from './report';
import { settleConflict } from '$server/features/trials/settle-conflict';
import { sourcesSideBySide, versionsSideBySide } from './side-by-side';
import { createByHand, openSources } from '$server/features/sources/sources';
import { exportRuns } from '$server/features/exchange/trec';
import { readTrial, runTrial } from '$server/features/trials/trials';
import { giveVerdict } from '$server/features/trials/verdicts';
import { keepVersion } from '$server/features/trials/versions';

useFreshDatabase();
const identityOf = async (briefId: string) => (await contextOf(briefId)).identity();
const judgedIn = async (briefId: string) => (await contextOf(briefId)).judged();
beforeAll(openSources);

const wide = 'title:(QA OR "quality manager") AND (GDP OR pharma OR chilled)';
const narrow = `${wide} NOT (software OR tester)`;
const isMiss = (person: Person) => matches(parse('software OR tester OR intern').query!, person);
const judge = async (id: string, sourceId: string, person: Person) =>
  giveVerdict(id, {
    sourceId,
    personId: person.id,
    verdict: isMiss(person) ? 'miss' : 'fit',
    reason: '',
    revision: 0
  });

/** Two versions at two sources, the first judged at the first source. */
async function compared() {
  const { id } = await createBrief('Compared');
  await keepVersion(id, wide);
  await keepVersion(id, narrow, 1);
  const trials = new Map<string, Awaited<ReturnType<typeof runTrial>>>();
  for (const number of [1, 2])
    for (const sourceId of ['harrow-guild', 'quillbank'])
      trials.set(`${number} ${sourceId}`, await runTrial(id, number, sourceId, 40));
  for (const { person } of trials.get('1 harrow-guild')!.sample) await judge(id, 'harrow-guild', person);
  return { id, trials };
}

describe('the board of a brief', () => {
  it('measures every version at every source, with who is found where', async () => {
    const { id, trials } = await compared();
    const board = await boardFor(id);
    expect(board.cells).toHaveLength(4);
    const cell = (version: number, sourceId: string) =>
      board.cells.find((one) => one.version === version && one.sourceId === sourceId)!;
    const first = cell(1, 'harrow-guild');
    expect(first.figures.precision.possible.fits + first.figures.precision.possible.misses).toBe(
      trials.get('1 harrow-guild')!.sample.length
    );
    expect(cell(2, 'harrow-guild').onlyVersion.people).toBe(0);
    expect(first.onlyVersion.people).toBe(trials.get('1 harrow-guild')!.people - trials.get('2 harrow-guild')!.people);
    expect(cell(1, 'quillbank').spent).toMatchObject({ unit: 'credit' });
    expect(first.spent).toBeNull();
    const [overlap] = board.overlaps.filter(({ version }) => version === 1);
    const here = overlap!.sourceIds.indexOf('harrow-guild');
    const inBoth = overlap!.parts.find(({ sets }) => sets.length === 2)!;
    expect(inBoth.people).toBeGreaterThan(0);
    const atHarrow = overlap!.parts
      .filter(({ sets }) => sets.includes(here))
      .reduce((sum, { people }) => sum + people, 0);
    expect(atHarrow).toBeLessThanOrEqual(first.figures.possible);
    expect(atHarrow).toBeGreaterThan(first.figures.possible * 0.97);
    expect(overlap!.parts.reduce((sum, { people }) => sum + people, 0)).toBe(overlap!.people);
    expect((await readTrial(id, trials.get('1 harrow-guild')!.id)).figures).toEqual(first.figures);

    const behind = await peopleBehind(id, 1, 'harrow-guild', 'onlyVersion');
    expect(behind.count).toBe(first.onlyVersion.people);
    expect(behind.people.every(({ person }) => matches(parse('software OR tester').query!, person))).toBe(true);
    expect((await peopleBehind(id, 1, 'harrow-guild', 'fits')).count).toBe(first.figures.precision.possible.fits);
    expect((await peopleBehind(id, 1, 'harrow-guild', 'misses')).count).toBe(first.figures.precision.possible.misses);
    expect((await peopleBehind(id, 1, 'quillbank', 'onlySource')).count).toBe(cell(1, 'quillbank').onlySource.people);
  });

  it('knows a verdict again at another source, and known-goods at each', async () => {
    const { id, trials } = await compared();
    const { sample } = trials.get('1 quillbank')!;
    const identity = await identityOf(id);
    const judgedBefore = (await readTrial(id, trials.get('1 quillbank')!.id)).sample.filter(
      ({ verdict, counts }) => !verdict && counts
    );
    for (const { person, counts } of judgedBefore) {
      expect(counts!.records[0]!.sourceId).toBe('harrow-guild');
      expect(identity.numberOf('quillbank', person.id)).toBeDefined();
    }
    const cell = (await boardFor(id, [1])).cells.find(({ sourceId }) => sourceId === 'quillbank')!;
    const { fits, misses } = cell.figures.precision.possible;
    expect(fits + misses).toBe(judgedBefore.length);

    const [known] = sample.map(({ person }) => person) as [Person];
    await writeDocument(id, 'known', {
      body: [
        { id: 'k', name: known.name, jobs: [{ title: '', company: known.jobs![0]!.company }] },
        { id: 'l', name: 'Nobody Known', jobs: [{ title: '', company: 'Nowhere' }] }
      ],
      revision: 1
    });
    const after = (await boardFor(id, [1])).cells.find(({ sourceId }) => sourceId === 'quillbank')!;
    expect(after.known).toEqual({ found: 1, inSource: 1 });
    expect((await peopleBehind(id, 1, 'quillbank', 'known')).people[0]!.person.id).toBe(known.id);
  });

  it('keeps what was chosen, and says when it was changed elsewhere', async () => {
    const { id } = await createBrief('Chosen');
    const mark = await markOf(id);
    const body = { baseline: 1, winners: [{ sourceId: 'quillbank', version: 2, note: 'cheap' }] };
    await writeDocument(id, 'choice', { body, revision: 1 });
    expect((await readDocument(id, 'choice')).body).toEqual({ ...body, certainOnly: false, leftOut: [] });
    expect(await markOf(id)).not.toBe(mark);
    await expect(writeDocument(id, 'choice', { body, revision: 1 })).rejects.toThrow('changed');
  });
});

describe('verdicts on records of one person', () => {
  it('that disagree are a conflict, counted once by the newest, and settled in one go', async () => {
    const { id, trials } = await compared();
    const identity = await identityOf(id);
    const harrow = trials.get('1 harrow-guild')!;
    const quill = trials.get('1 quillbank')!;
    const numbers = new Map(harrow.sample.map(({ person }) => [identity.numberOf('harrow-guild', person.id), person]));
    const board = await boardFor(id, [1]);
    const all = await peopleBehind(id, 1, 'quillbank', 'found');
    const other = all.people.find(({ person }) => numbers.has(identity.numberOf('quillbank', person.id)))!;
    const same = numbers.get(identity.numberOf('quillbank', other.person.id))!;
    const before = await judgedIn(id);
    const said = before.of('harrow-guild', same.id)!.verdict;
    const turned = said === 'fit' ? 'miss' : 'fit';
    await giveVerdict(id, {
      sourceId: 'quillbank',
      personId: other.person.id,
      verdict: turned,
      reason: '',
      revision: 0
    });
    const after = await judgedIn(id);
    expect(after.byPerson.size).toBe(before.byPerson.size);
    expect(after.of('harrow-guild', same.id)).toMatchObject({ verdict: turned, conflict: true });
    expect((await boardFor(id, [1])).judged).toBe(board.judged);
    expect(await peopleJudged(await contextOf(id))).toBe(board.judged);
    await settleConflict(id, { sourceId: 'harrow-guild', personId: same.id, verdict: said, reason: '' });
    expect((await judgedIn(id)).of('quillbank', other.person.id)).toMatchObject({ verdict: said, conflict: false });
    await expect(
      settleConflict(id, { sourceId: 'harrow-guild', personId: same.id, verdict: said, reason: '' })
    ).rejects.toThrow('no longer differ');
    expect(quill.state).toBe('done');
  });
});

describe('certain only', () => {
  it('is kept with the brief, and every figure is given for both', async () => {
    const { id } = await createBrief('Certain');
    await keepVersion(id, 'title:quality AND headcount:[51 TO 1000]');
    const trial = await runTrial(id, 1, 'lanternfield', 20);
    // Its pages tell no headcount: anybody who is found is possible.
    expect(trial.found).toMatchObject({ certain: 0 });
    expect(trial.found.possible).toBeGreaterThan(20);
    expect(trial.sample.every(({ unlisted }) => unlisted.length > 0)).toBe(true);
    await countCertainOnly(id, true);
    expect((await readBrief(id)).certainOnly).toBe(true);
    const cell = (await boardFor(id, undefined, true)).cells[0]!;
    expect(cell).toMatchObject({ people: 0, sampled: 0, figures: { possible: trial.found.possible } });
    expect((await reportOf(id)).certainOnly).toBe(true);
    expect((await exportRuns(id, true)).text).toBe('');
    expect((await exportRuns(id)).text.split('\n').length).toBeGreaterThan(20);
  });
});

describe('two versions side by side', () => {
  it('are the people removed, added and kept, and a test of those judged', async () => {
    const { id, trials } = await compared();
    const { goes, comes, stays, test } = await versionsSideBySide(id, 1, 2, 'harrow-guild', 15);
    expect(goes.sample.length).toBe(Math.min(15, goes.shown));
    expect(goes.sample.every(({ person }) => matches(parse('software OR tester').query!, person))).toBe(true);
    expect(comes.shown).toBe(0);
    expect(stays.shown).toBe(trials.get('2 harrow-guild')!.people);
    const gone = trials
      .get('1 harrow-guild')!
      .sample.filter(({ person }) => matches(parse('software OR tester').query!, person)).length;
    expect(test).toMatchObject({ before: 0, after: gone, gone: { fits: 0, misses: gone } });
    expect(test.p).toBeCloseTo(Math.min(1, 2 * 0.5 ** gone), 10);
    const turned = await versionsSideBySide(id, 2, 1, 'harrow-guild', 15);
    expect(turned.comes.shown).toBe(goes.shown);
  });

  it('of a place run by hand go by what came back', async () => {
    const { id } = await createBrief('By hand');
    const source = await createByHand({ ...harrowGuild, name: 'Over There' });
    const rows = readResultPage('Anna Ström\nQA Manager\nNordkyl AB\n\nBo Lindgren\nQA Tester\nNordkyl AB\n');
    const answer = (some: typeof rows) => ({
      said: some.length,
      interval: { low: some.length, high: some.length },
      rows: some
    });
    const first = await recordByHand(id, wide, null, source.id, [answer(rows)]);
    const same = await versionsSideBySide(id, 1, 1, 'harrow-guild', 5);
    expect([same.goes.sample, same.comes.sample]).toEqual([[], []]);
    expect(same.stays.sample).not.toEqual([]);
    await recordByHand(id, narrow, 1, source.id, [answer(rows.slice(0, 1))]);
    await judge(id, source.id, first.sample[1]!.person);
    const { goes, stays, test } = await versionsSideBySide(id, 1, 2, source.id, 5);
    expect(goes.sample.map(({ person }) => person.name)).toEqual(['Bo Lindgren']);
    expect(stays.sample.map(({ person }) => person.name)).toEqual(['Anna Ström']);
    expect(test.gone).toEqual({ fits: 0, misses: 1 });
    const other = await keepVersion(id, 'title:never');
    await expect(versionsSideBySide(id, 1, other.number, source.id, 5)).rejects.toThrow('Run it there first');
  });
});

describe('two sources side by side', () => {
  it('tell whom one doesn’t have, and why', async () => {
    const { id, trials } = await compared();
    const received = await sourcesSideBySide(id, 1, 'harrow-guild', 'quillbank');
    expect(received.found).toBe(trials.get('1 harrow-guild')!.people);
    expect(received.both + received.lacking).toBe(received.found);
    expect(received.people.length).toBe(received.looked);
    const reasons = new Set(received.people.map(({ reason }) => reason));
    expect(reasons).toContain('not in it');
    expect(reasons.size).toBeGreaterThan(1);
    for (const { reason, there } of received.people) expect(there === null).toBe(reason === 'not in it');
    await keepVersion(id, 'title:never');
    await expect(sourcesSideBySide(id, 3, 'harrow-guild', 'quillbank')).rejects.toThrow('has no results');
  });
});

describe('the same person', () => {
  it('is split and joined by hand, and that is undone', async () => {
    const { id, trials } = await compared();
    const identity = await identityOf(id);
    const [mine, theirs] = ['harrow-guild', 'quillbank'].map((sourceId) => trials.get(`1 ${sourceId}`)!.sample);
    const numberOf = async (sourceId: string, personId: string) => (await identityOf(id)).numberOf(sourceId, personId);
    const a = { sourceId: 'harrow-guild', personId: mine![0]!.person.id };
    const other = theirs!.find(
      ({ person }) => identity.numberOf('quillbank', person.id) !== identity.numberOf(a.sourceId, a.personId)
    )!;
    const b = { sourceId: 'quillbank', personId: other.person.id };
    await decideSame(a, b, true);
    expect(await numberOf(a.sourceId, a.personId)).toBe(await numberOf(b.sourceId, b.personId));
    expect((await pairsOf(id)).decided).toMatchObject([{ same: true }]);
    await decideSame(b, a, false);
    expect(await numberOf(a.sourceId, a.personId)).not.toBe(await numberOf(b.sourceId, b.personId));
    await decideSame(a, b, null);
    expect((await pairsOf(id)).decided).toEqual([]);
    const named = await recordsNamed(id, other.person.name);
    expect(named.map(({ person }) => person.id)).toContain(other.person.id);
    expect(new Set(named.map(({ person }) => person.name)).size).toBe(1);
    expect(await recordsNamed(id, '%')).toEqual([]);
    await expect(decideSame(a, a, true)).rejects.toThrow('the same record');
  });
});

describe('two judges', () => {
  it('judge apart, are compared with each other, and settle what they see otherwise', async () => {
    const { id, trials } = await compared();
    const sourceId = 'harrow-guild';
    const { sample } = await readTrial(id, trials.get('1 harrow-guild')!.id);
    const opposite = { fit: 'miss', miss: 'fit', unsure: 'fit' } as const;
    for (const [i, { person, verdict }] of sample.entries())
      await giveJudgement(id, 'Berit', {
        sourceId,
        personId: person.id,
        verdict: i < 3 ? opposite[verdict!.verdict] : verdict!.verdict,
        reason: i < 3 ? 'seen otherwise' : '',
        revision: 0
      });
    expect(await listJudges(id)).toEqual([{ judge: 'Berit', judged: sample.length }]);
    expect(await judgementsOn(id, 'Berit', sourceId)).toHaveLength(sample.length);
    const agreement = await agreementWith(id, 'Berit');
    expect(agreement).toMatchObject({ judged: sample.length, agreed: sample.length - 3 });
    expect(agreement.differences).toHaveLength(3);
    const [one] = agreement.differences;
    expect(one!.person.name).not.toBe(one!.person.id);

    await settle(id, 'Berit', {
      sourceId,
      personId: one!.person.id,
      verdict: one!.second.verdict,
      revision: one!.revision
    });
    const after = await agreementWith(id, 'Berit');
    expect(after.kappa).toBe(agreement.kappa);
    expect(after.differences.find(({ person }) => person.id === one!.person.id)!.settled).toEqual({
      verdict: one!.second.verdict,
      reason: 'seen otherwise'
    });
    const standing = (await readTrial(id, trials.get('1 harrow-guild')!.id)).sample.find(
      ({ person }) => person.id === one!.person.id
    )!;
    expect(standing.verdict!.verdict).toBe(one!.second.verdict);
    await expect(
      settle(id, 'Berit', { sourceId, personId: one!.person.id, verdict: 'fit', revision: one!.revision })
    ).rejects.toThrow('changed');
  });

  it('never overwrite each other silently', async () => {
    const { id, trials } = await compared();
    const personId = trials.get('1 quillbank')!.sample[0]!.person.id;
    const given = { sourceId: 'quillbank', personId, reason: '', verdict: 'fit' as const };
    await giveJudgement(id, 'Berit', { ...given, revision: 0 });
    await expect(giveJudgement(id, 'Berit', { ...given, revision: 0 })).rejects.toThrow('changed');
    expect(await giveJudgement(id, 'Berit', { ...given, verdict: 'miss', revision: 1 })).toMatchObject({ revision: 2 });
    await expect(giveJudgement(id, 'Berit', { ...given, verdict: null, revision: 1 })).rejects.toThrow('changed');
    expect(await giveJudgement(id, 'Berit', { ...given, verdict: null, revision: 2 })).toBeNull();
    expect(await listJudges(id)).toEqual([]);
  });
});
