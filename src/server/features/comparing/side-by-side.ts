import { hasPeopleHere } from '$api/source-kinds';
import { countInterval, shownCount } from '$core/dialect';
import { mcNemar, wilson, drawSample, middleOf, type Estimate } from '$core/measure';
import type { Sheet } from '$core/dialect';
import type { SampledPerson, StringText } from '$server/workers/people-messages';
import { refuse } from '$server/platform/refusals';
import { askPeople } from '$server/workers/people';
import { contextOf } from '$server/features/trials/brief-context';
import { peopleOfTrials } from '$server/features/trials/identity';
import type { Judged } from '$server/features/trials/judged';
import { findSource, readySource } from '$server/features/sources/sources';
import { foundIn } from '$server/features/trials/latest-trials';
import { verdictsOn } from '$server/features/trials/verdicts';
import { findVersion, versionString } from '$server/features/trials/versions';
import { stringOf } from '$server/features/library/word-sets';

/** Who goes, comes and stays when one string is changed into another, with a sample of just each of these three. */
export async function sidesOf(
  briefId: string,
  from: StringText,
  to: StringText,
  sourceId: string,
  size: number,
  certain: boolean
) {
  const context = await contextOf(briefId);
  const { personaId } = context;
  const judged = await context.judged();
  const source = await readySource(sourceId);
  const seed = `${personaId}/${sourceId}`;
  const sides = await askPeople('sample', { sourceId: source.id, from, to, size, seed, certain });
  const estimate = (count: number) => estimateOfCount(count, source.sheet);
  const side = ({ ids, shown, sample }: (typeof sides)['goes']) =>
    reply(personaId, judged, sourceId, { count: estimate(ids.length), shown, ids, sample });
  const [goes, comes, stays] = await Promise.all([side(sides.goes), side(sides.comes), side(sides.stays)]);
  return { goes, comes, stays, test: pairedTest(goes.fits, comes.fits) };
}

/** A count of people with the uncertainty of the source's count, and its midpoint. */
function estimateOfCount(count: number, { counting }: Sheet): Estimate {
  const interval = countInterval(shownCount(count, counting), counting);
  return { ...interval, middle: middleOf(interval) };
}

/** One side as the API returns it: the judged among its people, each once, and the sample with each person's verdict. */
async function reply(
  personaId: string,
  { identity, byPerson }: Judged,
  sourceId: string,
  { ids, count, shown, sample }: { ids: string[]; count: Estimate; shown: number; sample: SampledPerson[] }
) {
  const own = await verdictsOn(
    personaId,
    sourceId,
    sample.map(({ person }) => person.id)
  );
  const judged = [...new Set(ids.map((id) => identity.numberOf(sourceId, id)))].flatMap((number) => {
    const verdict = number === undefined ? undefined : byPerson.get(number)?.verdict;
    return verdict === 'fit' || verdict === 'miss' ? [verdict] : [];
  });
  const fits = judged.filter((verdict) => verdict === 'fit').length;
  return {
    count,
    shown,
    fits: {
      judged: judged.length,
      count: fits,
      misses: judged.length - fits,
      interval: wilson(fits, judged.length, Math.max(ids.length, judged.length))
    },
    sample: sample.map(({ rank, person }) => ({ rank, person, verdict: own.get(person.id) ?? null }))
  };
}

/** Judged people whom only one of two strings treats correctly (finds a fit, or leaves out a miss), with McNemar's exact test. */
function pairedTest(goes: { count: number; misses: number }, comes: { count: number; misses: number }) {
  const [gone, come] = [goes, comes].map(({ count, misses }) => ({ fits: count, misses }));
  const before = gone!.fits + come!.misses;
  const after = gone!.misses + come!.fits;
  return { before, after, gone: gone!, come: come!, p: mcNemar(before, after) };
}

/** A sample of just those who go, come and stay when a text is changed. */
export async function whoGoes(
  briefId: string,
  from: string,
  to: string,
  sourceId: string,
  size: number,
  certain = false
) {
  const [before, after] = await Promise.all([from, to].map(stringOf));
  return sidesOf(briefId, before!, after!, sourceId, size, certain);
}

/** Two versions at one source: who was removed, added and kept. A place run by hand is compared by what it brought. */
export async function versionsSideBySide(
  briefId: string,
  from: number,
  to: number,
  sourceId: string,
  size: number,
  certain = false
) {
  const [before, after, source] = await Promise.all([
    findVersion(briefId, from),
    findVersion(briefId, to),
    findSource(sourceId)
  ]);
  if (hasPeopleHere(source.kind))
    return sidesOf(briefId, versionString(before), versionString(after), sourceId, size, certain);
  const context = await contextOf(briefId);
  const { trials, personaId } = context;
  const trialOf = (number: number) => {
    const one = trials.find(({ trial, version }) => trial.sourceId === sourceId && version.number === number);
    if (!one) throw refuse('not-run-there', number, source.name);
    return one.trial;
  };
  const [first, second] = [trialOf(from), trialOf(to)];
  const [people, judged] = await Promise.all([peopleOfTrials([first, second]), context.judged()]);
  const byId = new Map(people.map((person) => [person.id, person]));
  const [had, has] = [new Set(foundIn(first, certain)), new Set(foundIn(second, certain))];
  const side = (ids: string[], name: string) =>
    reply(personaId, judged, sourceId, {
      ids,
      count: { low: ids.length, middle: ids.length, high: ids.length },
      shown: ids.length,
      sample: drawSample(ids, size, `${personaId}/${sourceId}/${name}`).flatMap((rank) => {
        const person = byId.get(ids[rank - 1]!);
        return person ? [{ rank, person }] : [];
      })
    });
  const [goes, comes, stays] = await Promise.all([
    side(
      [...had].filter((id) => !has.has(id)),
      'who goes'
    ),
    side(
      [...has].filter((id) => !had.has(id)),
      'who comes'
    ),
    side(
      [...had].filter((id) => has.has(id)),
      'who stays'
    )
  ]);
  return { goes, comes, stays, test: pairedTest(goes.fits, comes.fits) };
}

/** People whose absence is looked into at once, at most. */
const maxExplained = 300;

/** One version at two sources: the people that the first finds and the second doesn’t have, and why. */
export async function sourcesSideBySide(briefId: string, number: number, here: string, there: string, certain = false) {
  const context = await contextOf(briefId);
  const { personaId, trials } = context;
  const [version, source, other, identity] = await Promise.all([
    findVersion(briefId, number),
    findSource(here),
    findSource(there),
    context.identity()
  ]);
  const trialAt = (id: string, name: string) => {
    const one = trials.find((tried) => tried.trial.sourceId === id && tried.version.number === number);
    if (!one) throw refuse('not-run-there', number, name);
    return one.trial;
  };
  const [mine, theirs] = [trialAt(here, source.name), trialAt(there, other.name)];
  const own = foundIn(mine, certain);
  const has = new Set(foundIn(theirs, certain).map((id) => identity.numberOf(there, id)));
  const lacking = own.filter((id) => !has.has(identity.numberOf(here, id)));
  const looked = drawSample(lacking, maxExplained, `${personaId}/${here}/${there}`).map((rank) => lacking[rank - 1]!);
  const people = !hasPeopleHere(source.kind)
    ? (await peopleOfTrials([mine])).filter(({ id }) => looked.includes(id))
    : await askPeople('people-by-id', { sourceId: (await readySource(here)).id, ids: looked });
  const reasons = !hasPeopleHere(other.kind)
    ? people.map(() => ({ reason: 'not in it' as const, there: null }))
    : await askPeople('lacking', {
        ...versionString(version),
        at: (await readySource(there)).id,
        people,
        matching: source.sheet.matching
      });
  const judged = await context.judged();
  return {
    version: number,
    here,
    there,
    found: own.length,
    both: own.length - lacking.length,
    lacking: lacking.length,
    looked: people.length,
    people: people.map((person, i) => ({
      person,
      there: reasons[i]!.there,
      reason: reasons[i]!.reason,
      verdict: judged.of(here, person.id)?.verdict ?? null
    }))
  };
}
