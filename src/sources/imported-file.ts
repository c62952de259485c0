import type { Person } from '$core/corpus/person';
import { sheetSchema, type Sheet } from '$core/dialect/sheet';
import { IndexedSource } from './indexed-source';

/** The sheet of a file the user imported: it takes the whole notation, counts exactly and shows everything. */
export function importedSheet(id: string, name: string): Sheet {
  return sheetSchema.parse({
    id,
    name,
    about: 'A file of your own. Takes every string as it is.',
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
    limits: { characters: null, words: null, operators: null, shown: null, searches: 1 },
    matching: { stemming: null, diacritics: 'kept' },
    counting: { kind: 'exact' }
  });
}

/** An imported file as a source; its rows keep the order of the file. */
export const importedSource = (sheet: Sheet, people: readonly Person[]) => new IndexedSource(sheet, people);
