import { mcNemar } from '$core/measure/mcnemar';
import { wilson } from '$core/measure/wilson';
import { drawSample } from '$core/measure/draw-sample';
import { join, type Query } from '$core/query/query';
import type { Person } from '$core/corpus/person';
import { Refusal } from '../refusal';
import { askPeople } from '../workers/people';
import { findBrief } from './briefs';
import { identityOf, peopleOfTrials } from './identity';
import { fitsAndMisses } from './ledger';
import { findSource, readySource } from './sources';
import { latestTrials } from './latest-trials';
import { verdictsOn } from './verdicts';
import { findVersion, runnable, versionQuery } from './versions';
import { queriesOf } from './word-sets';

/** Who goes, comes and stays when one string is changed into another, with a sample of just each of these three. */
export async function sidesOf(briefId: string, from: Query, to: Query, sourceId: string, size: number) {
  const { personaId } = await findBrief(briefId);
  const source = await readySource(sourceId);
  const not = (part: Query): Query => ({ kind: 'not', part });
  const verdicts = await fitsAndMisses(personaId, sourceId);
  const [effect] = await askPeople('effect', { from, to, sources: [{ sourceId: source.id, verdicts }] });
  const side = async (query: Query, name: string) =>
    told(
      personaId,
      sourceId,
      await askPeople('sample', { sourceId: source.id, query, size, seed: `${personaId}/${sourceId}/${name}` })
    );
  const [goes, comes, stays] = [
    await side(join('and', [from, not(to)]), 'who goes'),
    await side(join('and', [to, not(from)]), 'who comes'),
    await side(join('and', [from, to]), 'who stays')
  ];
  return { goes, comes, stays, test: pairedTest(effect!.gone, effect!.come) };
}

async function told(
  personaId: string,
  sourceId: string,
  {
    sample,
    ...drawn
  }: { count: { low: number; high: number }; shown: number; sample: { rank: number; person: Person }[] }
) {
  const verdicts = await verdictsOn(
    personaId,
    sourceId,
    sample.map(({ person }) => person.id)
  );
  const judged = [...verdicts.values()].filter(({ verdict }) => verdict !== 'unsure');
  const fits = judged.filter(({ verdict }) => verdict === 'fit').length;
  return {
    ...drawn,
    fits: {
      judged: judged.length,
      count: fits,
      interval: wilson(fits, judged.length, Math.max(drawn.shown, judged.length))
    },
    sample: sample.map(({ rank, person }) => ({ rank, person, verdict: verdicts.get(person.id) ?? null }))
  };
}

/** A judged person whom just one of two strings treats rightly: finds a fit, or leaves a miss. McNemar's exact test on these. */
function pairedTest(gone: { fits: number; misses: number }, come: { fits: number; misses: number }) {
  const before = gone.fits + come.misses;
  const after = gone.misses + come.fits;
  return { before, after, gone, come, p: mcNemar(before, after) };
}

/** A sample of just those who go, come and stay when a text is changed. */
export async function whoGoes(briefId: string, from: string, to: string, sourceId: string, size: number) {
  const [before, after] = await Promise.all([from, to].map(async (text) => runnable(text, await queriesOf(text))));
  return sidesOf(briefId, before!, after!, sourceId, size);
}

/** Two versions at one source: who was removed, added and kept. A place run by hand is compared by what it brought. */
export async function versionsSideBySide(briefId: string, from: number, to: number, sourceId: string, size: number) {
  const { personaId } = await findBrief(briefId);
  const [before, after, source] = await Promise.all([
    findVersion(briefId, from),
    findVersion(briefId, to),
    findSource(sourceId)
  ]);
  if (source.kind !== 'by-hand') return sidesOf(briefId, versionQuery(before), versionQuery(after), sourceId, size);
  const trials = await latestTrials(briefId, [from, to]);
  const trialOf = (number: number) => {
    const one = trials.find(({ trial, version }) => trial.sourceId === sourceId && version.number === number);
    if (!one)
      throw new Refusal(
        409,
        'Not run there',
        `Version ${number} has no results from ${source.name} yet. Run it by hand there and paste what comes back.`
      );
    return one.trial;
  };
  const [first, second] = [trialOf(from), trialOf(to)];
  const people = new Map((await peopleOfTrials([first, second])).map((person) => [person.id, person]));
  const [had, has] = [new Set(first.found), new Set(second.found)];
  const verdicts = await verdictsOn(personaId, sourceId);
  const side = (ids: string[], name: string) =>
    told(personaId, sourceId, {
      count: { low: ids.length, high: ids.length },
      shown: ids.length,
      sample: drawSample(ids, size, `${personaId}/${sourceId}/${name}`).flatMap((rank) => {
        const person = people.get(ids[rank - 1]!);
        return person ? [{ rank, person }] : [];
      })
    });
  const gone = first.found.filter((id) => !has.has(id));
  const come = second.found.filter((id) => !had.has(id));
  const tally = (ids: string[]) => ({
    fits: ids.filter((id) => verdicts.get(id)?.verdict === 'fit').length,
    misses: ids.filter((id) => verdicts.get(id)?.verdict === 'miss').length
  });
  return {
    goes: await side(gone, 'who goes'),
    comes: await side(come, 'who comes'),
    stays: await side(
      first.found.filter((id) => has.has(id)),
      'who stays'
    ),
    test: pairedTest(tally(gone), tally(come))
  };
}

/** People whose absence is looked into at once, at most. */
const mostExplained = 300;

/** One version at two sources: whom the first finds and the second lacks, and why. */
export async function sourcesSideBySide(briefId: string, number: number, here: string, there: string) {
  const { personaId } = await findBrief(briefId);
  const [version, source, other, identity, trials] = await Promise.all([
    findVersion(briefId, number),
    findSource(here),
    findSource(there),
    identityOf(briefId),
    latestTrials(briefId, [number])
  ]);
  const trialAt = (id: string, name: string) => {
    const one = trials.find(({ trial }) => trial.sourceId === id);
    if (!one)
      throw new Refusal(409, 'Not run there', `Version ${number} was not run at ${name} yet. Run it there first.`);
    return one.trial;
  };
  const [mine, theirs] = [trialAt(here, source.name), trialAt(there, other.name)];
  const has = new Set(theirs.found.map((id) => identity.numberOf(there, id)));
  const lacking = mine.found.filter((id) => !has.has(identity.numberOf(here, id)));
  const looked = drawSample(lacking, mostExplained, `${personaId}/${here}/${there}`).map((rank) => lacking[rank - 1]!);
  const people =
    source.kind === 'by-hand'
      ? (await peopleOfTrials([mine])).filter(({ id }) => looked.includes(id))
      : await askPeople('people-by-id', { sourceId: (await readySource(here)).id, ids: looked });
  const reasons =
    other.kind === 'by-hand'
      ? people.map(() => ({ reason: 'not in it' as const, there: null }))
      : await askPeople('lacking', {
          query: versionQuery(version),
          at: (await readySource(there)).id,
          people,
          matching: source.sheet.matching
        });
  const verdicts = await verdictsOn(personaId, here);
  return {
    version: number,
    here,
    there,
    found: mine.found.length,
    both: mine.found.length - lacking.length,
    lacking: lacking.length,
    looked: people.length,
    people: people.map((person, i) => ({
      person,
      there: reasons[i]!.there,
      reason: reasons[i]!.reason,
      verdict: verdicts.get(person.id)?.verdict ?? null
    }))
  };
}
