import type { Person } from '$core/corpus';
import { applyChanges, type Change } from '$core/suggest';
import { setQueries } from '$core/query';
import { askPeople } from '../workers/people';
import type { FitOrMiss } from '../workers/people-messages';
import { readDocument } from './briefs';
import { listSources, readySource } from './sources';
import { judgedIn, type Judged } from './judged';
import { runnable } from './versions';
import { queriesOf, setsOf } from './word-sets';

/** The people of a source who were judged fit or miss, there or as the same person elsewhere, by the verdict the brief goes by. */
export function fitsAndMisses({ identity, byPerson }: Judged, sourceId: string): FitOrMiss[] {
  const said = identity.recordsAt(sourceId);
  const once = new Set<number>();
  return said.flatMap(({ id, number }) => {
    const verdict = byPerson.get(number)?.verdict;
    // Two records of one person there are judged once.
    if (!verdict || verdict === 'unsure' || once.has(number)) return [];
    once.add(number);
    return [{ id, fit: verdict === 'fit' }];
  });
}

async function judgedSources(briefId: string, sourceIds: readonly string[]) {
  // All at once: asking the database takes longer than counting.
  const [judged] = await Promise.all([judgedIn(briefId), ...sourceIds.map(readySource)]);
  return sourceIds.map((sourceId) => ({ sourceId, verdicts: fitsAndMisses(judged, sourceId) }));
}

/** What each part of a string is worth at a source, and how the count falls part by part. */
export async function ledgerOf(briefId: string, text: string, sourceId: string, order?: readonly number[]) {
  const [query, [source]] = await Promise.all([
    queriesOf(text).then((sets) => runnable(text, sets)),
    judgedSources(briefId, [sourceId])
  ]);
  const parts = query.kind === 'and' ? query.parts.length : 1;
  const whole = order && new Set(order).size === parts && order.every((part) => part < parts);
  return askPeople('ledger', { ...source!, query, ...(whole && { order: [...order] }) });
}

/** Changes of a string that verdicts speak for, each measured at every source. */
export async function proposalsFor(briefId: string, text: string, sourceIds: readonly string[]) {
  const sets = await setsOf(text);
  runnable(text, setQueries(sets));
  return askPeople('propose', { text, sets, sources: await judgedSources(briefId, sourceIds) });
}

/** The text with several changes made, and what they do together at every source. */
export async function jointEffect(
  briefId: string,
  text: string,
  changes: readonly Change[],
  sourceIds: readonly string[]
) {
  const sets = await queriesOf(text);
  const from = runnable(text, sets);
  const changed = applyChanges(text, changes, sets);
  const to = runnable(changed, sets);
  const effects = await askPeople('effect', { from, to, sources: await judgedSources(briefId, sourceIds) });
  return { text: changed, effects };
}

/** What other sources, whose people are there, say of the same person. */
export async function elsewhere(person: Person, except: string) {
  const sources = (await listSources()).filter(
    ({ id, kind, readiness }) => id !== except && kind !== 'by-hand' && readiness.state === 'ready'
  );
  const told = await Promise.all(
    sources.map(async ({ id, name }) => {
      const ready = await readySource(id);
      const [found] = await askPeople('locate', { sourceId: ready.id, people: [person] });
      return found ? [{ sourceId: id, sourceName: name, person: found }] : [];
    })
  );
  return told.flat();
}

/** Each known-good of a brief at a source: there or not, found or not, and what would let them in. */
export async function knownAt(briefId: string, text: string, sourceId: string) {
  const { body: known } = await readDocument(briefId, 'known');
  if (!known.length) return [];
  const sets = await setsOf(text);
  runnable(text, setQueries(sets));
  const source = await readySource(sourceId);
  const answers = await askPeople('known', {
    sourceId: source.id,
    text,
    sets,
    known
  });
  return answers.map((answer, i) => ({ ...answer, name: known[i]!.name, company: known[i]!.jobs?.[0]?.company ?? '' }));
}
