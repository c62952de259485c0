import type { Person } from '$core/corpus';
import { boardOf, type TriedCell, mostSets, overlapOf, fitsThereAre, type Verdict, spendOn } from '$core/measure';
import { samePeople } from '$core/people';
import { models, type SourceRow, type TrialRow, type VersionRow } from '../database/models';
import { notFound } from '../refusal';
import { askPeople } from '../workers/people';
import type { BehindKind } from '../api/contract';
import { findBrief, readDocument } from './briefs';
import { identityOf, peopleOfTrials, type Identity } from './identity';
import { judgedIn } from './judged';
import { findSource, listSources, readySource } from './sources';
import { foundIn, latestTrials } from './latest-trials';
import { peopleAtRanks } from './trial-run';
import { verdictsOn } from './verdicts';
import { listVersions } from './versions';

type Tried = { trial: TrialRow; version: VersionRow };

/** Numbers for people; those who are known but were never found get numbers of their own behind the others. */
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
    const name = JSON.stringify([sourceId, personId]);
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
    attributes: ['trialId', [models().TrialPage.sequelize!.literal('jsonb_array_length(people)'), 'rows']],
    raw: true
  });
  const records = new Map<string, number>();
  for (const row of rows as unknown as { trialId: string; rows: number }[])
    records.set(row.trialId, (records.get(row.trialId) ?? 0) + row.rows);
  return ({ trial }: Tried) =>
    spendOn(sources.get(trial.sourceId)!.sheet, trial.rendering.searches.length, records.get(trial.id) ?? 0);
}

/** Known-goods of a brief at each source: their records' ids. */
async function knownAtSources(briefId: string, trials: readonly Tried[]): Promise<Map<string, string[]>> {
  const { body: known } = await readDocument(briefId, 'known');
  const at = new Map<string, string[]>();
  if (!known.length) return at;
  for (const sourceId of new Set(trials.map(({ trial }) => trial.sourceId))) {
    const { kind } = await findSource(sourceId);
    const found =
      kind === 'by-hand'
        ? among(
            known,
            await peopleOfTrials(trials.map(({ trial }) => trial).filter((one) => one.sourceId === sourceId))
          )
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

/** Versions down, sources across: for each pair that was tried, its newest trial measured; and all that follows from several together. */
export async function boardFor(briefId: string, numbers?: readonly number[], certain = false) {
  const [trials, versions, identity] = await Promise.all([
    latestTrials(briefId, numbers),
    listVersions(briefId),
    identityOf(briefId)
  ]);
  const sources = await sourcesOf(trials);
  const [{ verdicts }, known, spent, drawn] = await Promise.all([
    judgedIn(briefId, identity),
    knownAtSources(briefId, trials),
    spentIn(trials, sources),
    models().TrialPerson.findAll({
      where: { trialId: trials.map(({ trial }) => trial.id) },
      attributes: ['trialId', 'rank'],
      order: ['rank'],
      raw: true
    })
  ]);
  const people = new Numbers(identity);
  const sampled = new Map<string, number[]>();
  for (const { trialId, rank } of drawn) sampled.set(trialId, [...(sampled.get(trialId) ?? []), rank - 1]);
  const cells: TriedCell[] = trials.map(({ trial, version }) => ({
    version: version.number,
    sourceId: trial.sourceId,
    answers: trial.answers,
    checked: trial.rendering.leftover !== null,
    found: trial.found.map((id) => people.of(trial.sourceId, id)),
    open: placesOf(trial),
    sampled: sampled.get(trial.id) ?? [],
    spent: spent({ trial, version })?.amount ?? null
  }));
  const knownNumbers = new Map(
    [...known].map(([sourceId, ids]) => [sourceId, ids.map((id) => people.of(sourceId, id))])
  );
  const board = boardOf({ cells, people: people.size, verdicts, known: knownNumbers, certain });
  const shownIn = ({ found, open }: TriedCell) => found.filter((_, at) => !(certain && open.has(at)));
  const wanted = new Set(trials.map(({ version }) => version.number));
  const order = (await listSources()).map(({ id }) => id);
  return {
    versions: versions.filter((version) => wanted.has(version.number)),
    judged: verdicts.size,
    people: new Set(cells.flatMap(shownIn)).size,
    cells: board.map((cell, i) => {
      const { trial } = trials[i]!;
      return {
        ...cell,
        trialId: trial.id,
        people: shownIn(cells[i]!).length,
        said: trial.answers.map((answer) => answer.said),
        exactness: trial.rendering.exactness,
        searches: trial.rendering.searches.length,
        spent: spent(trials[i]!)
      };
    }),
    overlaps: [...wanted].flatMap((number) => {
      const mine = cells
        .filter(({ version }) => version === number)
        .sort((a, b) => order.indexOf(a.sourceId) - order.indexOf(b.sourceId))
        .slice(0, mostSets);
      if (mine.length < 2) return [];
      return [
        {
          version: number,
          sourceIds: mine.map(({ sourceId }) => sourceId),
          parts: overlapOf(mine.map(shownIn), verdicts),
          people: new Set(mine.flatMap(shownIn)).size,
          population: populationsOf(mine, board, verdicts, certain ? 'certain' : 'possible')
        }
      ];
    })
  };
}

/** The places in a trial's result of those who are possible and not certain. */
function placesOf({ found, open }: TrialRow): ReadonlySet<number> {
  if (!open.length) return new Set();
  const ids = new Set(open);
  return new Set(found.flatMap((id, at) => (ids.has(id) ? [at] : [])));
}

/** How many fits there are, by each pair of sources: the judged fits of one that the other finds too. */
function populationsOf(
  cells: readonly TriedCell[],
  board: ReturnType<typeof boardOf>,
  verdicts: ReadonlyMap<number, Verdict>,
  mode: 'certain' | 'possible'
) {
  return cells.flatMap((first) =>
    cells.flatMap((second) => {
      if (first === second) return [];
      const there = board.find((cell) => cell.version === second.version && cell.sourceId === second.sourceId)!;
      const counts = (cell: TriedCell) => (at: number) => !(mode === 'certain' && cell.open.has(at));
      const has = new Set(second.found.filter((_, at) => counts(second)(at)));
      const fits = [...new Set(first.sampled.filter(counts(first)).map((at) => first.found[at]!))].filter(
        (person) => verdicts.get(person) === 'fit'
      );
      const both = fits.filter((person) => has.has(person)).length;
      // Only those seen can be met again: fits beyond the cap are left out of this.
      const precision = there.figures.precision[mode];
      const shown = has.size;
      if (!both || precision.share === null) return [];
      return [
        {
          first: first.sourceId,
          second: second.sourceId,
          judgedFits: fits.length,
          both,
          fits: fitsThereAre(fits.length, both, {
            low: precision.interval.low * shown,
            middle: precision.share * shown,
            high: precision.interval.high * shown
          })
        }
      ];
    })
  );
}

/** People told behind a figure, at most. */
const mostBehind = 200;

/** The people behind a figure of the board, in the order shown. */
export async function peopleBehind(
  briefId: string,
  number: number,
  sourceId: string,
  kind: BehindKind,
  certain = false
) {
  const { personaId } = await findBrief(briefId);
  const [trials, identity] = await Promise.all([latestTrials(briefId), identityOf(briefId)]);
  const mine = trials.find(({ trial, version }) => version.number === number && trial.sourceId === sourceId)?.trial;
  if (!mine) throw notFound(`A run of version ${number} at this source`);
  const numbers = (trial: TrialRow) => foundIn(trial, certain).map((id) => identity.numberOf(trial.sourceId, id));
  const byOthers = (isOther: (one: Tried) => boolean) =>
    new Set(trials.filter((one) => one.trial !== mine && isOther(one)).flatMap(({ trial }) => numbers(trial)));
  const own = await verdictsOn(personaId, sourceId);
  const { of } = await judgedIn(briefId, identity);
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
    ids.slice(0, mostBehind).map((id) => rankOf.get(id)!)
  );
  return {
    count: ids.length,
    people: people.map(({ rank, person }) => ({ rank, person, verdict: own.get(person.id) ?? null }))
  };
}
