import { learn, signReader, type JudgedRow, type Learnt } from '$core/harvest';
import { parse, setQueries } from '$core/language';
import type { Person } from '$core/people';
import { matchingOf } from '$core/semantics';
import { models } from '$server/platform/database/models';
import { recordName } from '$server/records/record-name';

/** A record of a harvest. */
export interface HarvestRecord {
  sourceId: string;
  person: Person;
}

/**
 * What the verdicts on a persona tell of who among the people of a harvest is likely to fit. `records` are the places of each
 * person's rows. Gives what was learnt, null while there are too few verdicts, and how likely a person is.
 */
export async function learnFromVerdicts(
  { harvestId, personaId }: { harvestId: string; personaId: string },
  rows: readonly HarvestRecord[],
  records: readonly (readonly number[])[]
): Promise<{ learnt: Omit<Learnt, 'likelihoodOf'> | null; likely: (list: readonly number[]) => number | null }> {
  const signs = await signsOf(harvestId, rows);
  const verdicts = await verdictsOn(personaId);
  const judged = records.flatMap((list): JudgedRow[] => {
    const given = list.flatMap((i) => verdicts.get(recordName(rows[i]!.sourceId, rows[i]!.person.id)) ?? []);
    return given.length ? [{ signs: signs(list[0]!), fit: given[0]! }] : [];
  });
  const learnt = learn(judged, personaId);
  if (!learnt) return { learnt, likely: () => null };
  const { likelihoodOf, ...reply } = learnt;
  return { learnt: reply, likely: (list) => Math.max(...list.map((one) => likelihoodOf(signs(one)))) };
}

/** Whether each record that was judged is a fit; unsure is neither. */
async function verdictsOn(personaId: string): Promise<ReadonlyMap<string, boolean>> {
  const rows = await models().Verdict.findAll({ where: { personaId, verdict: ['fit', 'miss'] }, raw: true });
  return new Map(rows.map((row) => [recordName(row.sourceId, row.personId), row.verdict === 'fit']));
}

/** What each row shows, read as its source's version asks. */
export async function signsOf(harvestId: string, rows: readonly HarvestRecord[]): Promise<(i: number) => string[]> {
  const { HarvestSource, Version, Source } = models();
  const readers = new Map<string, (person: Person) => string[]>();
  for (const run of await HarvestSource.findAll({ where: { harvestId } })) {
    const [version, source] = await Promise.all([Version.findByPk(run.versionId), Source.findByPk(run.sourceId)]);
    const { query } = parse(version!.text, setQueries(version!.sets));
    if (query) readers.set(run.sourceId, signReader(query, matchingOf(source!.sheet.matching)));
  }
  const known: (string[] | undefined)[] = [];
  return (i) => (known[i] ??= readers.get(rows[i]!.sourceId)?.(rows[i]!.person) ?? []);
}
