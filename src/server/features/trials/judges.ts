import { recordName } from '$server/records/record-name';
import { agreementOf, type Verdict } from '$core/measure';
import { database } from '$server/platform/database/connection';
import { models, type JudgementRow } from '$server/platform/database/models';
import { changedElsewhere, refuse } from '$server/platform/refusals';
import type { RecordName } from '$server/workers/people-messages';
import { findBrief } from '$server/features/briefs/briefs';
import { writeRevisioned } from '$server/platform/database/revisioned-row';

/** Names what the first judge said of one the two settled otherwise. */
const firstJudge = '';

const serialize = ({ verdict, reason, revision }: JudgementRow) => ({
  verdict,
  reason,
  by: 'person' as const,
  revision
});

/** The further judges of a brief, each with the number of people they judged. The first judge's verdicts are the brief's own. */
export async function listJudges(briefId: string) {
  const { personaId } = await findBrief(briefId);
  const rows = await models().Judgement.findAll({ where: { personaId }, attributes: ['judge'], raw: true });
  const counts = new Map<string, number>();
  for (const { judge } of rows) if (judge !== firstJudge) counts.set(judge, (counts.get(judge) ?? 0) + 1);
  return [...counts].map(([judge, judged]) => ({ judge, judged })).sort((a, b) => a.judge.localeCompare(b.judge));
}

/** What a judge said of people of one source. */
export async function judgementsOn(briefId: string, judge: string, sourceId: string) {
  const { personaId } = await findBrief(briefId);
  const rows = await models().Judgement.findAll({ where: { personaId, judge, sourceId } });
  return rows.map((row) => ({ personId: row.personId, ...serialize(row) }));
}

/** Gives, changes or (with null) takes back what a named judge says; the verdicts the brief goes by stay as they are. */
export async function giveJudgement(
  briefId: string,
  judge: string,
  given: RecordName & { verdict: Verdict | null; reason: string; revision: number }
) {
  const { personaId } = await findBrief(briefId);
  const { sourceId, personId, verdict, reason, revision } = given;
  return writeRevisioned(
    models().Judgement,
    { personaId, sourceId, personId, judge },
    verdict && { verdict, reason },
    revision,
    { name: 'This verdict', serialize }
  );
}

/** How far a second judge agrees with the first on the people both judged, and those they see otherwise. */
export async function agreementWith(briefId: string, judge: string) {
  const { personaId } = await findBrief(briefId);
  const { Verdict: Verdicts, Judgement, TrialPerson, Trial, Version } = models();
  const [standing, said] = await Promise.all([
    Verdicts.findAll({ where: { personaId, by: 'person' } }),
    Judgement.findAll({ where: { personaId, judge: [judge, firstJudge] } })
  ]);
  const name = ({ sourceId, personId }: RecordName) => recordName(sourceId, personId);
  const settled = new Map(said.filter((one) => one.judge === firstJudge).map((one) => [name(one), one]));
  const now = new Map(standing.map((one) => [name(one), one]));
  const both = said
    .filter((one) => one.judge === judge)
    .flatMap((second) => {
      const current = now.get(name(second));
      const first = settled.get(name(second)) ?? current;
      return first && current ? [{ first, second, current, isSettled: settled.has(name(second)) }] : [];
    });
  const differing = both.filter(({ first, second }) => first.verdict !== second.verdict);
  const versions = await Version.findAll({ where: { briefId }, attributes: ['id'] });
  const trials = await Trial.findAll({
    where: { versionId: versions.map(({ id }) => id) },
    attributes: ['id', 'sourceId']
  });
  const sourceOf = new Map(trials.map(({ id, sourceId }) => [id, sourceId]));
  const drawn = differing.length
    ? await TrialPerson.findAll({
        where: { trialId: trials.map(({ id }) => id), personId: differing.map(({ second }) => second.personId) }
      })
    : [];
  const people = new Map(
    drawn.map(({ trialId, personId, person }) => [name({ sourceId: sourceOf.get(trialId)!, personId }), person])
  );
  const said2 = ({ verdict, reason }: { verdict: Verdict; reason: string }) => ({ verdict, reason });
  return {
    judge,
    ...agreementOf(both.map(({ first, second }) => [first.verdict, second.verdict] as const)),
    table: (['fit', 'miss', 'unsure'] as const).map((row) =>
      (['fit', 'miss', 'unsure'] as const).map(
        (column) => both.filter(({ first, second }) => first.verdict === row && second.verdict === column).length
      )
    ),
    differences: differing.map(({ first, second, current, isSettled }) => ({
      sourceId: second.sourceId,
      person: people.get(name(second)) ?? { id: second.personId, name: second.personId },
      first: said2(first),
      second: said2(second),
      settled: isSettled ? { ...said2(current) } : null,
      revision: current.revision
    }))
  };
}

/** Settles a difference between two judges: the brief goes by `verdict` from now on, and what each said first is kept. */
export async function settle(
  briefId: string,
  judge: string,
  { sourceId, personId, verdict, revision }: RecordName & { verdict: Verdict; revision: number }
): Promise<void> {
  const { personaId } = await findBrief(briefId);
  const { Verdict: Verdicts, Judgement } = models();
  const where = { personaId, sourceId, personId };
  await database().transaction(async (transaction) => {
    const current = await Verdicts.findOne({ where, transaction, lock: true });
    const second = await Judgement.findOne({ where: { ...where, judge }, transaction });
    if (!current || !second) throw refuse('not-judged-by-both');
    if (current.revision !== revision)
      throw changedElsewhere('This verdict', { verdict: current.verdict, revision: current.revision });
    await Judgement.findOrCreate({
      where: { ...where, judge: firstJudge },
      defaults: { ...where, judge: firstJudge, verdict: current.verdict, reason: current.reason },
      transaction
    });
    await current.update(
      {
        verdict,
        reason: verdict === second.verdict && second.reason ? second.reason : current.reason,
        revision: revision + 1
      },
      { transaction }
    );
  });
}
