import type { Verdict } from '$core/measure';
import { models, type VerdictRow } from '../database/models';
import { findBrief } from './briefs';
import { identityOf, type Identity } from './identity';

/** A verdict on one record of a person. */
export interface RecordVerdict {
  sourceId: string;
  personId: string;
  verdict: Verdict;
  reason: string;
  by: 'person' | 'rule';
  revision: number;
}
/** The verdict that a brief goes by for a person, and what was said of each record of theirs, newest first. */
export interface PersonVerdict {
  verdict: Verdict;
  records: RecordVerdict[];
  /** Records of theirs were judged differently: the newest counts until someone settles it. */
  conflict: boolean;
}

/** The people judged in a brief: each once, whatever records of theirs were judged. */
export interface Judged {
  identity: Identity;
  byPerson: ReadonlyMap<number, PersonVerdict>;
  /** By number: what the brief goes by. */
  verdicts: ReadonlyMap<number, Verdict>;
  of(sourceId: string, personId: string): PersonVerdict | undefined;
}

/**
 * The one rule by which verdicts on several records of a person are counted: what a person said stands above what a rule
 * said, and the newest above what was said before.
 */
function together(rows: readonly VerdictRow[]): PersonVerdict {
  const newestFirst = [...rows].sort(
    (a, b) => Number(a.by === 'rule') - Number(b.by === 'rule') || b.updatedAt!.getTime() - a.updatedAt!.getTime()
  );
  const records = newestFirst.map(({ sourceId, personId, verdict, reason, by, revision }) => ({
    sourceId,
    personId,
    verdict,
    reason,
    by,
    revision
  }));
  const [newest] = records;
  // A rule that a person overruled is no conflict.
  const said = records.filter(({ by }) => by === newest!.by);
  return { verdict: newest!.verdict, records, conflict: new Set(said.map(({ verdict }) => verdict)).size > 1 };
}

export async function judgedIn(briefId: string, identity?: Identity): Promise<Judged> {
  const [{ personaId }, who] = await Promise.all([findBrief(briefId), identity ?? identityOf(briefId)]);
  const rows = await models().Verdict.findAll({ where: { personaId }, order: ['updatedAt'] });
  const byNumber = new Map<number, VerdictRow[]>();
  for (const row of rows) {
    const number = who.numberOf(row.sourceId, row.personId);
    if (number === undefined) continue;
    const list = byNumber.get(number);
    if (list) list.push(row);
    else byNumber.set(number, [row]);
  }
  const byPerson = new Map([...byNumber].map(([number, list]) => [number, together(list)]));
  return {
    identity: who,
    byPerson,
    verdicts: new Map([...byPerson].map(([number, { verdict }]) => [number, verdict])),
    of: (sourceId, personId) => {
      const number = who.numberOf(sourceId, personId);
      return number === undefined ? undefined : byPerson.get(number);
    }
  };
}

/** How long a page waits to know who is who, in milliseconds: right after a start the sources are not there yet. */
const patience = 1500;

/** How many people were judged; null while it is not known yet who is who. */
export async function peopleJudged(briefId: string): Promise<number | null> {
  const { personaId } = await findBrief(briefId);
  if (!(await models().Verdict.count({ where: { personaId } }))) return 0;
  const counting = judgedIn(briefId).then(
    ({ byPerson }) => byPerson.size,
    () => null
  );
  return Promise.race([counting, new Promise<null>((done) => setTimeout(() => done(null), patience).unref())]);
}
