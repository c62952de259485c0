import { type IndexParts, type PeopleList, PeopleIndex } from '$core/corpus';
import { type Person } from '$core/people';
import { sheetSchema, type Sheet } from '$core/dialect';
import type { ColumnField } from '$core/formats';
import { scopes, type Scope } from '$core/language';
import { matchingOf } from '$core/semantics';
import { IndexedSource } from './indexed-source';

/** What a file tells whose columns are matched so. What someone says of themselves, or what they know, is taken for their profile. */
export function listedByColumns(mapping: readonly ColumnField[]): Scope[] {
  if (mapping.includes('person')) return [...scopes];
  return [...new Set(mapping.flatMap((field) => columnLists[field] ?? []))];
}
const columnLists: Partial<Record<ColumnField, readonly Scope[]>> = {
  title: ['title'],
  company: ['company'],
  pastTitle: ['pasttitle'],
  pastCompany: ['pastcompany'],
  about: ['about', 'any'],
  skills: ['skill', 'any'],
  school: ['school'],
  group: ['group'],
  mail: ['contact'],
  phone: ['contact'],
  url: ['contact'],
  place: ['place', 'country'],
  country: ['country'],
  industry: ['industry'],
  function: ['function'],
  rank: ['rank'],
  headcount: ['headcount'],
  founded: ['founded'],
  language: ['language']
};

/** The sheet of a file the user imported: it takes the whole notation, counts exactly and shows everything; `tells` is what its columns hold. */
export function importedSheet(id: string, name: string, lists: readonly Scope[] = scopes): Sheet {
  return sheetSchema.parse({
    id,
    name,
    about: 'Your own file. Accepts any string as is.',
    boxes: [
      {
        id: 'string',
        label: 'String',
        searches: 'any',
        scoped: true,
        and: 'AND',
        or: 'OR',
        not: 'NOT',
        phrase: true,
        group: true,
        prefix: true
      }
    ],
    facts: [],
    lists,
    listsAll: true,
    limits: { characters: null, words: null, operators: null, shown: null, searches: 1, page: 1000 },
    matching: { stemming: null, diacritics: 'kept' },
    counting: { kind: 'exact' }
  });
}

/** People of a file, each kept as JSON and read when asked for: hundreds of thousands would weigh on memory as objects. */
export const writtenPeople = (written: readonly string[]): PeopleList => ({
  length: written.length,
  at: (row) => (written[row] === undefined ? undefined : (JSON.parse(written[row]) as Person))
});

/** An imported file as a source; its rows keep the order of the file. `parts` are those of its index, where that is built. */
export function importedSource(sheet: Sheet, people: PeopleList, parts?: IndexParts): IndexedSource {
  return new IndexedSource(sheet, people, parts && PeopleIndex.fromParts(parts, matchingOf(sheet.matching)));
}
