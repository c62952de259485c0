import { beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '$core/people';
import { parse } from '$core/language';
import { matches } from '$core/semantics';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief, writeDocument } from '$server/features/briefs/briefs';
import { jointEffect as jointEffectJson, knownAt, ledgerOf as ledgerOfJson, proposalsFor } from './ledger';
import { whoGoes } from '$server/features/comparing/side-by-side';
import { openSources } from '$server/features/sources/sources';
import { runTrial } from '$server/features/trials/trials';
import { giveVerdict } from '$server/features/trials/verdicts';
import { keepVersion } from '$server/features/trials/versions';
import { readable } from '$server/testing/readable';

useFreshDatabase();
const jointEffect = readable(jointEffectJson);
const ledgerOf = readable(ledgerOfJson);
beforeAll(openSources);

const text = 'title:(QA OR "quality manager") AND (GDP OR pharma) NOT intern';
const sourceId = 'harrow-guild';
const software = (person: Person) => matches(parse('software OR tester OR specialist OR engineer').query!, person);

/** A brief whose found people are judged: specialists, engineers and who tests software are misses, the others fits. */
async function judged() {
  const { id } = await createBrief('Judged');
  const { number } = await keepVersion(id, text);
  const trial = await runTrial(id, number, sourceId, 60);
  for (const { person } of trial.sample)
    await giveVerdict(id, {
      sourceId,
      personId: person.id,
      verdict: software(person) ? 'miss' : 'fit',
      reason: '',
      revision: 0
    });
  const misses = trial.sample.filter(({ person }) => software(person)).length;
  return { id, trial, misses, fits: trial.sample.length - misses };
}

describe('the ledger at a source', () => {
  it('carries the verdicts of the brief, and narrows to the whole in any order', async () => {
    const { id, fits, misses } = await judged();
    const { rows: both, narrowing, found } = await ledgerOf(id, text, sourceId);
    const rows = both!.possible;
    const { middle } = found.estimated.possible;
    expect(rows[0]!.brings).toEqual({ fits, misses });
    expect(rows.find(({ path }) => path.join() === '2')!.excludes).toBe(true);
    expect(narrowing.map(({ part }) => part)).toEqual([0, 1, 2]);
    expect(narrowing.at(-1)!.estimated).toEqual(found.estimated);
    expect(Math.abs(rows[0]!.alone!.middle - middle)).toBeLessThan(1);
    const turned = await ledgerOf(id, text, sourceId, [2, 0, 1]);
    expect(turned.narrowing.map(({ part }) => part)).toEqual([2, 0, 1]);
    expect(turned.narrowing.at(-1)!.estimated).toEqual(found.estimated);
    expect((await ledgerOf(id, text, sourceId, [0, 0, 1])).narrowing.map(({ part }) => part)).toEqual([0, 1, 2]);
  });
});

describe('the ledger at a source that guesses', () => {
  it('never shows that leaving out what is wanted brings fewer people, and says what cannot be asked alone', async () => {
    const { id } = await createBrief('Guessed');
    const string = 'title:("quality manager" OR QA) AND (pharma OR chilled) AND headcount:[51 TO 1000] NOT software';
    const { rows, found } = await ledgerOf(id, string, 'lanternfield');
    const whole = found.estimated.possible.middle;
    const at = (path: string) => rows!.possible.find((row) => row.path.join('.') === path)!;
    for (const path of ['0', '1', '2', '3']) expect(at(path).without!.middle).toBeGreaterThanOrEqual(whole - 1e-6);
    expect(at('0.0').without!.middle).toBeLessThanOrEqual(whole + 1e-6);
    expect(at('2').alone).toBeNull();
  });
});

describe('proposals for a brief', () => {
  it('are measured at every source, and several at once have a joint effect', async () => {
    const { id, misses } = await judged();
    expect(misses).toBeGreaterThan(3);
    const { proposals, measured, of } = await proposalsFor(id, text, [sourceId, 'lanternfield']);
    expect(measured).toBe(of);
    const [best, next] = proposals.filter(({ kind }) => kind === 'exclude');
    expect(best!.effects.map((effect) => effect.sourceId)).toEqual([sourceId, 'lanternfield']);
    expect(best!.effects[0]!.gone.misses).toBeGreaterThan(0);
    expect(best!.effects[1]!.fitsLost).toBeNull();
    const joint = await jointEffect(id, text, [...best!.changes, ...(next?.changes ?? [])], [sourceId]);
    expect(joint.effects[0]!.gone.misses).toBeGreaterThanOrEqual(best!.effects[0]!.gone.misses);
    expect(parse(joint.text).query).not.toBeNull();
    const nobodyJudged = await createBrief('Nobody judged');
    expect(await proposalsFor(nobodyJudged.id, text, [sourceId])).toMatchObject({ proposals: [] });
  });

  it('come in parts when time is short, which together are all of them', async () => {
    const { id } = await judged();
    const many = Array.from({ length: 150 }, (_, i) => `"quality number ${i}"`).join(' OR ');
    const long = `title:(quality OR QA OR ${many})`;
    const whole = await proposalsFor(id, long, [sourceId]);
    const says = new Set<string>();
    let from = 0;
    let asked = 0;
    do {
      const part = await proposalsFor(id, long, [sourceId], { from, milliseconds: 0 });
      expect(part.of).toBe(whole.of);
      expect(part.measured).toBeGreaterThan(from);
      part.proposals.forEach((one) => says.add(one.says));
      from = part.measured;
      asked++;
    } while (from < whole.of);
    expect(asked).toBeGreaterThan(1);
    for (const one of whole.proposals) expect(says).toContain(one.says);
  });

  it('show just those who would go, with the verdicts there are', async () => {
    const { id } = await judged();
    const { goes, comes } = await whoGoes(id, text, `${text} NOT (software OR tester)`, sourceId, 25);
    expect(goes.shown).toBeGreaterThan(0);
    expect(goes.sample.length).toBe(Math.min(25, goes.shown));
    expect(goes.sample.every(({ person }) => software(person))).toBe(true);
    expect(goes.fits.count).toBe(0);
    expect(comes).toMatchObject({ shown: 0, sample: [] });
  });
});

describe('known-goods at a source', () => {
  it('are there or not, found or not, with what would let them in', async () => {
    const { id, trial } = await judged();
    const [there] = trial.sample.map(({ person }) => person) as [Person];
    const known: Person[] = [
      { id: 'k1', name: there.name, jobs: [{ title: '', company: there.jobs![0]!.company }] },
      { id: 'k2', name: 'Nobody Known', jobs: [{ title: '', company: 'Nowhere Ltd' }] }
    ];
    expect(await knownAt(id, text, sourceId)).toEqual([]);
    await writeDocument(id, 'known', { body: known, revision: 1 });
    const [first, second] = await knownAt(id, text, sourceId);
    expect(first).toMatchObject({ name: there.name, explanation: { found: true } });
    expect(second).toMatchObject({ person: null, explanation: null });
    const [missed] = await knownAt(id, 'title:"zz top"', sourceId);
    expect(missed!.explanation!.found).toBe(false);
    expect(missed!.explanation!.letIn!.says[0]).toMatch(/^add title/);
  });
});
