import { ownNamesOf, personFromRow } from '$core/formats';
import { contactKeys, type Person } from '$core/people';
import { withLanguageRead } from '$sources/detect-language';
import type { ImportOutcome, ImportSettings } from '$api/import-shapes';
import type { ImportRow } from '$server/platform/database/models';
import { standardizer } from './import-values';
import { readRows } from './read-table';
import { pathOf } from './upload-files';

const maxErrors = 1000;
/** Most people of one file. */
const maxRows = 500_000;

/** An import came to an end that is not the end of the file. */
export class Ended extends Error {
  readonly state: 'refused' | 'stopped';
  constructor(state: 'refused' | 'stopped', message: string) {
    super(message);
    this.state = state;
  }
}
/** The lease was lost: another server works on it, or it was thrown away. */
export class Lost extends Error {}

/** How far an import is, and whether it is to halt. */
export interface Progress {
  outcome: ImportOutcome;
  halt: 'stop' | 'lost' | null;
  /** Rows that look like one before them under a key made for them. */
  duplicates: number;
}

/** The rows of a file in their order, noted in the outcome. Throws Ended where it was stopped or has too many, and Lost. */
export async function* eachRow(row: ImportRow, progress: Progress) {
  const { outcome } = progress;
  for await (const read of readRows(pathOf(row.id), row.reading)) {
    if (progress.halt === 'lost') throw new Lost();
    if (progress.halt === 'stop') throw new Ended('stopped', 'Import stopped. Nothing was saved.');
    outcome.rows = read.row;
    outcome.bytesRead = Math.max(outcome.bytesRead, read.bytes);
    if (read.row > maxRows)
      throw new Ended(
        'refused',
        `The file has more than ${maxRows.toLocaleString('en')} rows. Split it and import the parts.`
      );
    yield read;
  }
}

/**
 * The people of a file in their order, each with their own key; what of it cannot be read is noted in the outcome. Throws
 * Ended where it was stopped or has too many rows, or where rows cannot be read that are not to be left out, and Lost.
 */
export async function* eachPerson(
  row: ImportRow,
  { mapping, skipBadRows, badCells = 'empty', values = [] }: ImportSettings,
  progress: Progress
): AsyncGenerator<Person> {
  const { outcome } = progress;
  const keys = new Set<string>();
  const ownNames = ownNamesOf(
    row.reading.columns.map(({ name }) => name),
    mapping
  );
  const standard = standardizer(mapping, values);
  for await (const read of eachRow(row, progress)) {
    const ownKey = `row-${read.row}`;
    const result = 'error' in read ? read : personFromRow(standard(read.cells), mapping, ownKey, ownNames);
    if ('person' in result && result.person.id === ownKey) {
      // Without a key of the file's own, a person is known by mail, or by name and firm, so that a newer file updates them.
      const [known] = contactKeys(result.person);
      if (known !== undefined) {
        let key = known;
        for (let i = 2; keys.has(key); i++) key = `${known} (${i})`;
        if (key !== known) progress.duplicates++;
        result.person.id = key.slice(0, 300);
      }
    }
    const error =
      'error' in result
        ? result.error
        : keys.has(result.person.id)
          ? `The key “${result.person.id}” stands twice in the file.`
          : null;
    const note = (message: string, cell = false) => {
      if (outcome.errors.length < maxErrors) outcome.errors.push({ row: read.row, line: read.line, message, cell });
    };
    const faults = 'person' in result ? result.faults : [];
    if (error !== null) {
      outcome.skipped++;
      note(error);
    } else if (faults.length && badCells === 'skip') {
      outcome.leftOut++;
      note(faults.map(({ message }) => message).join(' '));
    } else if ('person' in result) {
      outcome.emptied += faults.length;
      for (const { message } of faults) note(message, true);
      keys.add(result.person.id);
      yield await withLanguageRead(result.person);
    }
  }
  if (outcome.skipped && !skipBadRows)
    throw new Ended(
      'refused',
      `${outcome.skipped.toLocaleString('en')} of ${outcome.rows.toLocaleString('en')} rows couldn’t be read, so nothing was saved. Fix the rows below, match the columns differently, or import without these rows.`
    );
  if (!keys.size) throw new Ended('refused', 'None of the rows could be read as a person, so nothing was saved.');
}

/** What of a file was left out, for the sentence that says how its import ended. */
export const whatWasLeftOut = ({ outcome, duplicates }: Progress): string[] => [
  ...(duplicates ? [`${duplicates.toLocaleString('en')} look like one before them`] : []),
  ...(outcome.skipped + outcome.leftOut
    ? [`${(outcome.skipped + outcome.leftOut).toLocaleString('en')} rows left out`]
    : []),
  ...(outcome.emptied ? [`${outcome.emptied.toLocaleString('en')} cells left empty, which are named below`] : [])
];
