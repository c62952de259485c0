import type { Query } from '$core/language';
import { narrowingSteps, type Both, type Estimate } from '$core/measure';
import { countString, foundAt } from '$sources/count-string';
import type { IndexedSource } from '$sources/indexed-source';
import { keptBack } from '$sources/reading';
import type { JudgedIds, LedgerAnswer } from '../people-messages';
import { isTooLong } from '../too-long';
import { partsCounted, partsJudged } from './part-worth';

/** All of a ledger that no verdict changes, of the strings that are available: with the next verdict the same one is asked for. */
const ledgers = new WeakMap<IndexedSource, WeakMap<Query, ReturnType<typeof countLedger>>>();

function ledgerCounted(query: Query, source: IndexedSource): ReturnType<typeof countLedger> {
  let known = ledgers.get(source);
  if (!known) ledgers.set(source, (known = new WeakMap()));
  let ledger = known.get(query);
  if (!ledger) known.set(query, (ledger = countLedger(query, source)));
  return ledger;
}

function countLedger(query: Query, source: IndexedSource) {
  const counted = countString(query, source);
  const { rendering, asked } = counted;
  if (rendering.exactness === 'impossible') return { keptBack: null, parts: null };
  return {
    keptBack: keptBack(query, rendering.leftover, asked, source),
    parts: partsCounted(query, counted, source)
  };
}

/** The estimated count of a query at a source; null where it can't be searched there. */
export const countAt = (query: Query, source: IndexedSource): Both<Estimate> | null =>
  foundAt(query, source)?.estimated ?? null;

/** What each part of a string does at a source; of the whole string only, and `unfinished`, where there is no time for its parts. */
export function ledgerAt(
  query: Query,
  source: IndexedSource,
  judged: JudgedIds,
  order?: readonly number[]
): LedgerAnswer {
  const { rendering, found } = countString(query, source);
  const whole = { rendering, found, keptBack: null, rows: null, narrowing: [], unfinished: false };
  try {
    const { keptBack: dropped, parts } = ledgerCounted(query, source);
    if (!parts) return whole;
    const narrowing = narrowingSteps(query, isOrderOf(order, query) ? order : undefined);
    return {
      ...whole,
      keptBack: dropped,
      rows: partsJudged(query, rendering.leftover, parts, source, judged),
      narrowing: narrowing.map((step) => ({ part: step.part, estimated: countAt(step.query, source) }))
    };
  } catch (error) {
    if (!isTooLong(error)) throw error;
    return { ...whole, unfinished: true };
  }
}

/** Whether an order of a string's outermost parts names each of them once. */
function isOrderOf(order: readonly number[] | undefined, query: Query): order is readonly number[] {
  const parts = query.kind === 'and' ? query.parts.length : 1;
  return (
    order !== undefined &&
    new Set(order).size === parts &&
    order.length === parts &&
    order.every((part) => part < parts)
  );
}
