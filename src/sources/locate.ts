import { rowsOf } from '$core/corpus';
import { type Person } from '$core/people';
import { samePeople } from '$core/people';
import { join, type Query, tokenKeys } from '$core/language';
import { matchingOf } from '$core/semantics';
import type { IndexedSource } from './indexed-source';

/** Records looked at for one person, at most. */
const maxLookedAt = 300;

/** Where a person known from elsewhere is in a source: the rows of all records that are theirs, best first. */
export function locate(person: Person, source: IndexedSource): number[] {
  // Initials and small words are written here and left out there.
  const { stopWords } = matchingOf(source.sheet.matching);
  const together = (text: string, scope: 'any' | 'contact', shortest: number): Query[] => {
    const keys = tokenKeys(text).filter((key) => key.length >= shortest && !stopWords.has(key));
    const words = keys.map((key): Query => ({ kind: 'word', scope, text: key }));
    return words.length ? [join('and', words)] : [];
  };
  const ways = [
    ...together(person.name, 'any', 3),
    ...(person.contact ?? []).flatMap((contact) => together(contact, 'contact', 1))
  ];
  if (!ways.length) return [];
  const rows = rowsOf(source.index.rows(join('or', ways)), maxLookedAt);
  const records = [person, ...rows.map((row) => source.personAt(row))].map((one, i) => ({
    sourceId: i ? source.sheet.id : '',
    person: one
  }));
  const { personOf } = samePeople(records)!;
  return rows.filter((_, i) => personOf[i + 1] === personOf[0]);
}
