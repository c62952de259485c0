import { recordName } from '$server/records/record-name';
import { hasPeopleHere } from '$api/source-kinds';
import { randomUUID } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import type { Person } from '$core/people';
import { spendOn, type Verdict } from '$core/measure';
import { samePeople } from '$core/people';
import { models, type SourceRow, type TrialRow } from '$server/platform/database/models';
import { notFound } from '$server/platform/refusals';
import { askPeople } from '$server/workers/people';
import { packed } from '$server/workers/packed-verdicts';
import type { SharedCell } from '$server/workers/people-messages';
import type { BehindKind } from '$api';
import { contextOf, type BriefContext } from '$server/features/trials/brief-context';
import { readDocument } from '$server/features/briefs/briefs';
import { peopleOfTrials, type Identity } from '$server/features/trials/identity';
import { findSource, listSources, readySource } from '$server/features/sources/sources';
import { foundIn, type Tried } from '$server/features/trials/latest-trials';
import { memoize } from '$server/platform/memoize';
import { peopleAtRanks } from '$server/features/trials/trial-run';
import { verdictsOn } from '$server/features/trials/verdicts';
import { serializeVersion } from '$server/features/trials/versions';

/** Numbers for people; those who are known but were never found get their own numbers behind the others. */
class Numbers {
  size: number;
  private readonly identity: Identity;
  private readonly more = new Map<string, number>();
  constructor(identity: Identity) {
    this.identity = identity;
    this.size = identity.people;
  }
  of(sourceId: string, personId: string): number {
    const number = this.identity.numberOf(sourceId, personId);
    if (number !== undefined) return number;
    const name = recordName(sourceId, personId);
    let own = this.more.get(name);
    if (own === undefined) this.more.set(name, (own = this.size++));
    return own;
  }
}

async function sourcesOf(trials: readonly Tried[]): Promise<Map<string, SourceRow>> {
  const rows = await models().Source.findAll({
    where: { id: [...new Set(trials.map(({ trial }) => trial.sourceId))] }
  });
  return new Map(rows.map((row) => [row.id, row]));
}

/** What a trial cost: each search, and each row that came. */
async function spentIn(trials: readonly Tried[], sources: ReadonlyMap<string, SourceRow>) {
  const priced = trials.filter(({ trial }) => sources.get(trial.sourceId)?.sheet.price);
  const rows = await models().TrialPage.findAll({
    where: { trialId: priced.map(({ trial }) => trial.id) },
    attributes: ['trialId', 'rows'],
    raw: true
  });
  const records = new Map<string, number>();
  for (const row of rows) records.set(row.trialId, (records.get(row.trialId) ?? 0) + row.rows);
  return ({ trial }: Tried) =>
    spendOn(
      sources.get(trial.sourceId)!.sheet,
      trial.rendering.searches.length,
      records.get(trial.id) ?? 0,
      trial.spent
    );
}

/** Known-goods of a brief at each source: their records' ids. */
async function knownAtSources(briefId: string, trials: readonly Tried[]): Promise<Map<string, string[]>> {
  const { body: known } = await readDocument(briefId, 'known');
  const at = new Map<string, string[]>();
  if (!known.length) return at;
  for (const sourceId of new Set(trials.map(({ trial }) => trial.sourceId))) {
    const { kind } = await findSource(sourceId);
    const found = !hasPeopleHere(kind)
      ? among(known, await peopleOfTrials(trials.map(({ trial }) => trial).filter((one) => one.sourceId === sourceId)))
      : await askPeople('locate', { sourceId: (await readySource(sourceId)).id, people: known });
    at.set(
      sourceId,
      found.flatMap((person) => person?.id ?? [])
    );
  }
  return at;
}

/** Which of a list each person is. */
function among(people: readonly Person[], list: readonly Person[]): (Person | null)[] {
  const records = [
    ...list.map((person) => ({ sourceId: 'list', person })),
    ...people.map((person, i) => ({ sourceId: `known ${i}`, person }))
  ];
  const { personOf } = samePeople(records)!;
  return people.map((_, i) => list.find((_, j) => personOf[j] === personOf[list.length + i]) ?? null);
}

/** Numbers that threads are handed without being copied. */
function shared(numbers: readonly number[]): Uint32Array {
  const list = new Uint32Array(new SharedArrayBuffer(numbers.length * 4));
  list.set(numbers);
  return list;
}

/** The inputs of a board except the verdicts. They change only when something is run, drawn or decided. */
interface BoardInputs {
  /** Names them to the threads that lay them out: never given twice. */
  name: string;
  trials: readonly Tried[];
  cells: SharedCell[];
  people: number;
  known: ReadonlyMap<string, readonly number[]>;
  spent: ({ trial }: Tried) => ReturnType<typeof spendOn>;
  /** The sources in the order in which they are listed. */
  order: string[];
}
const inputsCache = new LRUCache<string, Promise<BoardInputs>>({ max: 12 });
const boardCache = new LRUCache<string, Promise<Awaited<ReturnType<typeof makeBoard>>>>({ max: 24 });

async function boardInputs(context: BriefContext, numbers: readonly number[] | undefined): Promise<BoardInputs> {
  const trials = context.trials.filter(({ version }) => !numbers || numbers.includes(version.number));
  const [identity, sources] = await Promise.all([context.identity(), sourcesOf(trials)]);
  const [known, spent, drawn, listed] = await Promise.all([
    knownAtSources(context.briefId, trials),
    spentIn(trials, sources),
    models().TrialPerson.findAll({
      where: { trialId: trials.map(({ trial }) => trial.id) },
      attributes: ['trialId', 'rank'],
      order: ['rank'],
      raw: true
    }),
    listSources()
  ]);
  const people = new Numbers(identity);
  const sampled = new Map<string, number[]>();
  for (const { trialId, rank } of drawn) {
    const list = sampled.get(trialId);
    if (list) list.push(rank - 1);
    else sampled.set(trialId, [rank - 1]);
  }
  const cells = trials.map(({ trial, version }): SharedCell => ({
    version: version.number,
    sourceId: trial.sourceId,
    answers: trial.answers,
    checked: trial.rendering.leftover !== null,
    found: shared(trial.found.map((id) => people.of(trial.sourceId, id))),
    open: shared([...placesOf(trial)]),
    sampled: sampled.get(trial.id) ?? [],
    pages: trial.foundOn,
    spent: spent({ trial, version })?.amount ?? null
  }));
  return {
    name: randomUUID(),
    trials,
    cells,
    known: new Map([...known].map(([sourceId, ids]) => [sourceId, ids.map((id) => people.of(sourceId, id))])),
    people: people.size,
    spent,
    order: listed.map(({ id }) => id)
  };
}

/** Versions down, sources across: for each pair that was tried, its newest trial measured; and all that follows from several together. */
export const boardFor = async (briefId: string, numbers?: readonly number[], certain = false) =>
  boardIn(await contextOf(briefId), numbers, certain);

export function boardIn(context: BriefContext, numbers?: readonly number[], certain = false) {
  const which = numbers?.join() ?? '';
  return memoize(boardCache, `${context.mark} ${which} ${certain}`, async () => {
    const inputs = memoize(inputsCache, `${context.without} ${which}`, () => boardInputs(context, numbers));
    const [made, { verdicts }] = await Promise.all([inputs, context.judged()]);
    return makeBoard(made, verdicts, certain);
  });
}

async function makeBoard(inputs: BoardInputs, verdicts: ReadonlyMap<number, Verdict>, certain: boolean) {
  const { name, trials, cells, people, known, spent, order } = inputs;
  const asked = { name, verdicts: packed(verdicts), certain };
  const made = { cells, people, known: [...known], order };
  // Handing over all that it is made of takes the longest, and a thread that was asked before has it.
  const answer = (await askPeople('board', { ...asked, made: null })) ?? (await askPeople('board', { ...asked, made }));
  const { board, ...together } = answer!;
  return {
    versions: [...new Map(trials.map(({ version }) => [version.number, version])).values()].map(serializeVersion),
    judged: verdicts.size,
    ...together,
    cells: board.map((cell, i) => {
      const { trial } = trials[i]!;
      return {
        ...cell,
        trialId: trial.id,
        said: trial.answers.map((answer) => answer.said),
        exactness: trial.rendering.exactness,
        searches: trial.rendering.searches.length,
        spent: spent(trials[i]!)
      };
    })
  };
}

/** The places in a trial's result of those who are possible and not certain. */
function placesOf({ found, open }: TrialRow): ReadonlySet<number> {
  if (!open.length) return new Set();
  const ids = new Set(open);
  return new Set(found.flatMap((id, at) => (ids.has(id) ? [at] : [])));
}

/** People told behind a figure at once: others follow when they are asked for. */
const behindAtOnce = 1000;

/** The people behind a figure of the board, in the order shown. */
export async function peopleBehind(
  briefId: string,
  number: number,
  sourceId: string,
  kind: BehindKind,
  certain = false,
  skip = 0
) {
  const context = await contextOf(briefId);
  const { personaId, trials } = context;
  const identity = await context.identity();
  const mine = trials.find(({ trial, version }) => version.number === number && trial.sourceId === sourceId)?.trial;
  if (!mine) throw notFound(`A run of version ${number} at this source`);
  const numbers = (trial: TrialRow) => foundIn(trial, certain).map((id) => identity.numberOf(trial.sourceId, id));
  const byOthers = (isOther: (one: Tried) => boolean) =>
    new Set(trials.filter((one) => one.trial !== mine && isOther(one)).flatMap(({ trial }) => numbers(trial)));
  const own = await verdictsOn(personaId, sourceId);
  const { of } = await context.judged();
  const judged = (id: string) => of(sourceId, id)?.verdict;
  let keep: (id: string) => boolean = () => true;
  if (kind === 'fits') keep = (id) => judged(id) === 'fit';
  else if (kind === 'misses') keep = (id) => judged(id) === 'miss';
  else if (kind === 'known') {
    const known = new Set((await knownAtSources(briefId, [{ trial: mine } as Tried])).get(sourceId));
    keep = (id) => known.has(id);
  } else if (kind !== 'found') {
    const others = byOthers(({ trial, version }) =>
      kind === 'onlyVersion' ? trial.sourceId === sourceId : version.number === number
    );
    keep = (id) => !others.has(identity.numberOf(sourceId, id));
  }
  const drawn = new Set(
    kind === 'fits' || kind === 'misses'
      ? (await models().TrialPerson.findAll({ where: { trialId: mine.id }, attributes: ['personId'] })).map(
          ({ personId }) => personId
        )
      : mine.found
  );
  // Two records of one person are one.
  const once = new Set<number | undefined>();
  const isFirst = (id: string) => once.size < once.add(identity.numberOf(sourceId, id)).size;
  const ids = foundIn(mine, certain).filter((id) => drawn.has(id) && keep(id) && isFirst(id));
  const rankOf = new Map(mine.found.map((id, at) => [id, at + 1]));
  const people = await peopleAtRanks(
    mine,
    ids.slice(skip, skip + behindAtOnce).map((id) => rankOf.get(id)!)
  );
  return {
    count: ids.length,
    people: people.map(({ rank, person }) => ({ rank, person, verdict: own.get(person.id) ?? null }))
  };
}
