import { type Facts } from './watched';
import { watchedFields, type WatchedField } from './watched-fields';

/** A person known to a watch: their facts as last listed, and whether the last run found them. */
export interface Known {
  present: boolean;
  facts: Facts;
}

/** One field that changed; null where it is or was not listed. */
export interface FieldChange {
  field: WatchedField;
  before: string | null;
  now: string | null;
}

export type Difference =
  | { kind: 'new'; key: string; facts: Facts }
  | { kind: 'back'; key: string; facts: Facts; changes: FieldChange[] }
  | { kind: 'changed'; key: string; facts: Facts; changes: FieldChange[] }
  | { kind: 'left'; key: string };

const fieldsChanged = (before: Facts, now: Facts): FieldChange[] =>
  watchedFields.flatMap((field) =>
    before[field] === now[field] ? [] : [{ field, before: before[field] ?? null, now: now[field] ?? null }]
  );

/**
 * Differences between the people a watch knows and those it finds now, in the order in which they were found, those who
 * left behind. A field that is no longer told changes nothing on its own: a source that is silent has not said no.
 */
export function differences(known: ReadonlyMap<string, Known>, now: ReadonlyMap<string, Facts>): Difference[] {
  const found: Difference[] = [];
  for (const [key, facts] of now) {
    const before = known.get(key);
    if (!before) {
      found.push({ kind: 'new', key, facts });
      continue;
    }
    const together = { ...before.facts, ...facts };
    const changes = fieldsChanged(before.facts, together);
    if (!before.present) found.push({ kind: 'back', key, facts: together, changes });
    else if (changes.length) found.push({ kind: 'changed', key, facts: together, changes });
  }
  for (const [key, { present }] of known) if (present && !now.has(key)) found.push({ kind: 'left', key });
  return found;
}

/** What a watch knows after differences: the law is that those found now are then those who are present. */
export function applyDifferences(known: ReadonlyMap<string, Known>, found: readonly Difference[]): Map<string, Known> {
  const after = new Map(known);
  for (const one of found) {
    if (one.kind === 'left') {
      const before = after.get(one.key);
      if (before) after.set(one.key, { ...before, present: false });
    } else after.set(one.key, { present: true, facts: one.facts });
  }
  return after;
}
