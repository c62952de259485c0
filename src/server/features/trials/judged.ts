import type { Verdict } from '$core/measure';
import type { Identity } from './identity';
import { nameOfRecord } from './record-name';

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

/** The people judged in a brief, each once, no matter which of their records were judged. */
export interface Judged {
  identity: Identity;
  rows: VerdictsByRecord;
  byPerson: ReadonlyMap<number, PersonVerdict>;
  /** By number: what the brief goes by. */
  verdicts: ReadonlyMap<number, Verdict>;
  /** What a person's record was judged, whichever of their records that was. */
  of(sourceId: string, personId: string): PersonVerdict | undefined;
  /** What was said of just this record. */
  on(sourceId: string, personId: string): RowOfVerdict | undefined;
}

/**
 * The one rule by which verdicts on several records of a person are counted: what a person said stands above what a rule
 * said, and the newest above what was said before.
 */
function together(rows: readonly RowOfVerdict[]): PersonVerdict {
  const [only] = rows;
  if (only && rows.length === 1) return { verdict: only.verdict, records: [serializeRecord(only)], conflict: false };
  const newestFirst = [...rows].sort(
    (a, b) => Number(a.by === 'rule') - Number(b.by === 'rule') || b.updatedAt - a.updatedAt || b.change - a.change
  );
  const records = newestFirst.map(serializeRecord);
  const [newest] = records;
  // A rule that a person overruled is no conflict.
  const said = records.filter(({ by }) => by === newest!.by);
  return { verdict: newest!.verdict, records, conflict: new Set(said.map(({ verdict }) => verdict)).size > 1 };
}

const serializeRecord = ({ sourceId, personId, verdict, reason, by, revision }: RowOfVerdict): RecordVerdict => ({
  sourceId,
  personId,
  verdict,
  reason,
  by,
  revision
});

/** A verdict as the database holds it. */
export interface RowOfVerdict extends RecordVerdict {
  /** Milliseconds since 1970. */
  updatedAt: number;
  /** Above that of every verdict that was given or changed before. */
  change: number;
}

/** The verdicts of a persona by record, in the order in which they were given. */
export type VerdictsByRecord = ReadonlyMap<string, RowOfVerdict>;

/** Puts the verdicts of a persona together by person. `before` is what they were put together to before, of the same people. */
export function judgedBy(who: Identity, rows: VerdictsByRecord, before?: Judged): Judged {
  const changed = before && changedSince(before.rows, rows);
  const byNumber = new Map<number, RowOfVerdict[]>();
  for (const row of changed ?? rows.values()) {
    const number = who.numberOf(row.sourceId, row.personId);
    if (number === undefined) continue;
    const list = byNumber.get(number);
    if (list) list.push(row);
    else byNumber.set(number, [row]);
  }
  const byPerson = new Map(changed && before.byPerson);
  const verdicts = new Map(changed && before.verdicts);
  for (const [number, list] of byNumber) {
    // Of the person's other records what was said stays.
    const mine = new Map(list.map((row) => [nameOfRecord(row), row]));
    for (const record of byPerson.get(number)?.records ?? []) {
      const name = nameOfRecord(record);
      if (!mine.has(name)) mine.set(name, rows.get(name)!);
    }
    const one = together([...mine.values()]);
    byPerson.set(number, one);
    verdicts.set(number, one.verdict);
  }
  return {
    identity: who,
    rows,
    byPerson,
    verdicts,
    on: (sourceId, personId) => rows.get(nameOfRecord({ sourceId, personId })),
    of: (sourceId, personId) => {
      const number = who.numberOf(sourceId, personId);
      return number === undefined ? undefined : byPerson.get(number);
    }
  };
}

/** The verdicts that are new or others than before; undefined where some were taken back. */
function changedSince(before: VerdictsByRecord, now: VerdictsByRecord): RowOfVerdict[] | undefined {
  const changed: RowOfVerdict[] = [];
  let old = 0;
  for (const [name, row] of now) {
    const known = before.get(name);
    if (known) old += 1;
    if (known !== row) changed.push(row);
  }
  return old === before.size ? changed : undefined;
}
