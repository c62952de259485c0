import { beforeAll, describe, expect, it } from 'vitest';
import { harrowGuild } from '$core/dialect';
import { readResultPage } from '$core/formats';
import { briefFileSchema } from '$api/brief-file';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { boardFor } from '$server/features/comparing/board';
import { exportBrief, importBrief } from './brief-file';
import { createBrief, readDocument, writeDocument } from '$server/features/briefs/briefs';
import { listBriefs } from '$server/features/trials/brief-overview';
import { recordByHand } from '$server/features/manual/record-by-hand';
import { loadDemo } from '$server/demo/demo';
import { decideSame } from '$server/features/comparing/same-people';
import { giveJudgement } from '$server/features/trials/judges';
import { writeNote } from '$server/features/trials/notes';
import { reportOf } from '$server/features/comparing/report';
import { createByHand, deleteSource, openSources } from '$server/features/sources/sources';
import { exportQrels, exportRuns, importQrels, importRuns } from './trec';
import { runTrial } from '$server/features/trials/trials';
import { giveVerdict } from '$server/features/trials/verdicts';
import { keepVersion } from '$server/features/trials/versions';

useFreshDatabase();
const sent = (text: string) => new TextEncoder().encode(JSON.stringify({ text }));
beforeAll(openSources);

const text = 'title:(QA OR "quality manager") AND (GDP OR pharma)';

/** A brief with two versions at three places, one of them run by hand, with verdicts of two judges and a choice. */
async function whole() {
  const { id } = await createBrief('Whole, with “quotes”');
  await keepVersion(id, text);
  await keepVersion(id, `${text} NOT software`, 1);
  const hand = await createByHand({ ...harrowGuild, name: 'Over There' });
  const rows = readResultPage('Anna Ström\nQA Manager\nNordkyl AB\n\nBo Lindgren\nQA Tester\nNordkyl AB\n');
  await recordByHand(id, text, null, hand.id, [{ said: 2, interval: { low: 2, high: 2 }, rows }]);
  const trial = await runTrial(id, 1, 'harrow-guild', 20);
  await runTrial(id, 2, 'quillbank', 20);
  for (const [i, { person }] of trial.sample.entries()) {
    const on = { sourceId: 'harrow-guild', personId: person.id, reason: i ? '' : 'wrong rank', revision: 0 };
    await giveVerdict(id, { ...on, verdict: i % 3 ? 'fit' : i % 2 ? 'unsure' : 'miss' });
    await giveJudgement(id, 'Berit', { ...on, verdict: i % 4 ? 'fit' : 'miss' });
  }
  await decideSame(
    { sourceId: 'harrow-guild', personId: trial.sample[0]!.person.id },
    { sourceId: hand.id, personId: (await boardPerson(id, hand.id))! },
    false
  );
  await writeNote(id, { sourceId: hand.id, personId: 'somebody', text: 'ask in March', revision: 0 });
  await writeDocument(id, 'choice', {
    body: { baseline: 1, winners: [{ sourceId: 'harrow-guild', version: 1, note: 'finds most' }] },
    revision: 1
  });
  return { id, hand: hand.id };
}
const boardPerson = async (id: string, sourceId: string) =>
  (await exportBrief(id)).trials.find((trial) => trial.sourceId === sourceId)?.found[0];

describe('a brief as a file', () => {
  it('is equal after it left and came back, and measures the same', async () => {
    const { id } = await whole();
    const file = await exportBrief(id);
    const sent = briefFileSchema.parse(JSON.parse(JSON.stringify(file)));
    const copy = await importBrief(sent);
    expect(copy.id).not.toBe(id);
    expect(await exportBrief(copy.id)).toEqual(file);
    const [mine, theirs] = [await boardFor(id), await boardFor(copy.id)];
    const measures = ({ cells }: typeof mine) => cells.map((cell) => ({ ...cell, trialId: '' }));
    expect(measures(theirs)).toEqual(measures(mine));
    expect(JSON.stringify(file)).not.toContain(id);
  });

  it('brings places that are not here as run by hand', async () => {
    const { id, hand } = await whole();
    const file = await exportBrief(id);
    await deleteSource(hand);
    const copy = await importBrief(briefFileSchema.parse(file));
    expect((await exportBrief(copy.id)).trials.some(({ sourceId }) => sourceId === hand)).toBe(true);
  });

  it('of the demo comes back too, and a broken one leaves nothing behind', async () => {
    await loadDemo();
    const { id } = await whole();
    const file = await exportBrief(id);
    const before = (await listBriefs()).length;
    const broken = (change: Partial<typeof file>) => importBrief({ ...file, ...change });
    await expect(broken({ versions: [] })).rejects.toThrow('no such version');
    await expect(broken({ people: [] })).rejects.toThrow('holds only 0');
    await expect(broken({ sources: [] })).rejects.toThrow('doesn’t describe');
    expect(await listBriefs()).toHaveLength(before);
    expect(briefFileSchema.safeParse({ ...file, format: 'else' }).error!.issues[0]!.message).toContain('no brief');
  });
});

describe('verdicts and results as TREC files', () => {
  it('leave and come back in', async () => {
    const { id } = await whole();
    const { text: qrels } = await exportQrels(id);
    expect(qrels.split('\n')[0]).toMatch(/^1 0 harrow-guild\/\S+ (1|0|-1)$/);
    const other = await createBrief('Other');
    const lines = qrels.trim().split('\n').length;
    expect(await importQrels(other.id, qrels)).toEqual({ added: lines, same: 0, otherwise: 0, elsewhere: 0 });
    expect(await importQrels(other.id, qrels)).toEqual({ added: 0, same: lines, otherwise: 0, elsewhere: 0 });
    expect((await exportQrels(other.id)).text).toBe(qrels);
    const turned = qrels.replace(/ 1\n/, ' 0\n') + '1 0 nowhere/x 1\n';
    expect(await importQrels(other.id, turned)).toEqual({ added: 0, same: lines - 1, otherwise: 1, elsewhere: 1 });
    await expect(importQrels(other.id, '1 0 a/b')).rejects.toThrow('Line 1');
    await expect(importQrels(other.id, ' ')).rejects.toThrow('no line');

    const { text: runs } = await exportRuns(id);
    expect(await importRuns(id, sent(runs))).toEqual({ added: 0, same: 3, unknown: 0 });
    const [first] = runs.split('\n').filter((line) => line.includes('version-1/harrow-guild'));
    expect(await importRuns(id, sent(`${first}\n1 Q0 harrow-guild/nobody 2 1 version-1/harrow-guild`))).toEqual({
      added: 1,
      same: 0,
      unknown: 1
    });
    const cell = (await boardFor(id, [1])).cells.find(({ sourceId }) => sourceId === 'harrow-guild')!;
    expect(cell.figures.estimated.possible).toEqual({ low: 1, middle: 1, high: 1 });
    await expect(importRuns(id, sent(runs.replaceAll('version-1/', 'version-9/')))).rejects.toThrow('no such version');
    await expect(importRuns(id, sent('1 Q0 quillbank/nobody 1 1 version-1/quillbank'))).rejects.toThrow(
      'None of the people'
    );
  });
});

describe('the report', () => {
  it('has for each source the version chosen, or the newest, with evidence and what was not seen', async () => {
    const { id } = await whole();
    const report = await reportOf(id);
    expect(report.entries.map(({ source, version, chosen }) => [source, version, chosen])).toEqual([
      ['Harrow Guild', 1, true],
      expect.arrayContaining(['Quillbank', 2, false]),
      expect.arrayContaining(['Over There', 1, false])
    ]);
    const [first] = report.entries;
    expect(first!.note).toBe('finds most');
    expect(first!.searches[0]).toContain('QA');
    expect(
      first!.figures.precision.possible.fits +
        first!.figures.precision.possible.misses +
        first!.figures.precision.possible.unsure
    ).toBe(20);
    expect(report.agreement).toMatchObject({ judge: 'Berit', judged: 20 });
    expect((await readDocument(id, 'choice')).body.winners).toHaveLength(1);
  });
});
