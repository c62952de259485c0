import { Refusal } from './refusal';

const many = (count: number) => count.toLocaleString('en');
const says = <A extends unknown[]>(status: number, title: string, detail: (...given: A) => string) => ({
  status,
  title,
  detail
});
const nothingChanged = 'Nothing was changed.';
const choosePeople = 'Choose a file with people in it.';
const asCsv = 'Save its table as CSV and choose that.';

/**
 * Everything that Eave refuses, by its stable code: HTTP status, title, and the sentence for the person who asked. The code is the
 * last part of the `type` of an RFC 9457 problem; programs go by it, and never by the words.
 */
export const refusals = {
  // Of any request
  'another-site': says(403, 'Another site', () => 'Changes are taken from Eave’s own pages only.'),
  'unknown-host': says(421, 'Unknown host', (why: string) => why),
  'no-such-address': says(
    404,
    'Not found',
    (path: string) => `There is nothing at ${path}. /api/openapi.json lists what there is.`
  ),
  'method-not-allowed': says(
    405,
    'Not offered',
    (path: string, method: string) => `${path} does not take ${method}; /api/openapi.json lists what it takes.`
  ),
  'body-too-large': says(413, 'Too large', (kibibytes: number) =>
    kibibytes > 0
      ? `This is larger than the ${many(kibibytes)} KiB that are taken here. Split it and try again.`
      : 'This is too large. Split it and try again.'
  ),
  'too-deep': says(
    400,
    'Too deep',
    (levels: number) => `What was sent has lists or objects more than ${levels} levels deep.`
  ),
  'not-json': says(400, 'Not JSON', () => 'What was sent is not valid JSON.'),
  'invalid-input': says(422, 'Invalid input', (what: string) => what),
  'unsavable-character': says(
    422,
    'Invalid input',
    () => 'The text contains a character that can’t be saved (code zero). Remove it and try again.'
  ),
  'out-of-range': says(422, 'Invalid input', () => 'A number or date is out of range.'),

  // Of what is there, and what was changed meanwhile
  'not-found': says(
    404,
    'Not found',
    (what: string) =>
      `${what} doesn’t exist. It may have been deleted in another tab. Your changes are still on this page.`
  ),
  gone: says(
    404,
    'No longer there',
    () => `This no longer exists; it may have been deleted in another tab. ${nothingChanged} Reload the page.`
  ),
  'already-exists': says(
    409,
    'Already exists',
    () => `This already exists, or was sent twice. ${nothingChanged} Reload the page.`
  ),
  'changed-elsewhere': says(
    409,
    'Changed elsewhere',
    (what: string) =>
      `${what} was changed in another tab or by someone else. Nothing was overwritten: choose which version to keep.`
  ),
  'cell-changed-elsewhere': says(
    409,
    'Changed elsewhere',
    (what: string, stands: string, typed: string) =>
      `${what} was changed meanwhile, to ${stands}. Yours, ${typed}, wasn’t saved. Enter it again if you want it.`
  ),

  // Of the machine
  'database-away': says(
    503,
    'Database away',
    () =>
      'Couldn’t reach the database, so nothing was changed. Your changes are kept on this page and will be saved when it is back.'
  ),
  interrupted: says(503, 'Interrupted', () => `This was interrupted before it finished. ${nothingChanged} Try again.`),
  'brief-work-stopped': says(
    503,
    'Stopped',
    () =>
      `This was stopped before it finished: it took too long, or the database isn’t responding. ${nothingChanged} Try again.`
  ),
  'thread-died': says(503, 'Stopped', () => `This stopped unexpectedly. ${nothingChanged} Try again.`),
  'out-of-memory': says(
    503,
    'Out of memory',
    () => `This needs more memory than the server has, so it was stopped. ${nothingChanged} Do less at once.`
  ),
  'disk-full': says(
    507,
    'Disk full',
    () =>
      'The disk is full, so nothing was saved. Free up space on the machine that runs Eave or its database, then try again.'
  ),
  'page-closed': says(499, 'Cancelled', () => 'The page that asked for this was closed, so it was not finished.'),
  'takes-too-long': says(
    422,
    'Takes too long',
    () => `This took too long and was stopped. ${nothingChanged} Shorten the string, or do less at once.`
  ),
  unforeseen: says(
    500,
    'Unforeseen error',
    () => `Something went wrong in Eave. ${nothingChanged} The server’s log has the details.`
  ),
  'installation-key-damaged': says(
    500,
    'The key is damaged',
    (file: string) => `${file} does not hold a key of 32 bytes. Restore it from a backup.`
  ),
  'service-key-unreadable': says(
    409,
    'Couldn’t read the key',
    () =>
      'The key of this service was saved by another installation of Eave, or is damaged. Enter it again on the source’s page.'
  ),

  // Of briefs, strings and versions
  'not-archived': says(409, 'Not archived', () => 'You can only delete an archived brief. Archive it first.'),
  'string-unreadable': says(422, 'The string cannot be read', (why: string) => why),
  'string-empty': says(422, 'The string is empty', () => 'There’s nothing to run yet. Write a string first.'),
  'not-run-there': says(
    409,
    'Not run there',
    (version: number, source: string) => `Version ${version} has no results from ${source} yet. Run it there first.`
  ),
  'trial-not-done': says(
    409,
    'Not done yet',
    () => 'You can draw more people when the trial is done. Wait for it, or resume it.'
  ),
  'same-record': says(422, 'One record', () => 'These are the same record. Choose two different ones.'),
  'not-judged-by-both': says(
    409,
    'Nothing to settle',
    () => 'This person is no longer judged by both judges. Reload the page.'
  ),
  'no-conflict': says(
    409,
    'Nothing to settle',
    () => 'The verdicts on this person’s records no longer differ. Reload the page.'
  ),

  // Of sources
  'manual-source': says(
    409,
    'Manual source',
    (source: string) => `${source} is a manual source. Copy the search from its card and run it there.`
  ),
  'not-a-manual-source': says(
    409,
    'Not a manual source',
    (source: string) => `${source} is searched by Eave: run the string there.`
  ),
  'connected-source': says(
    409,
    'Connected service',
    (source: string) => `${source} is a connected service, so it is only counted when you run it.`
  ),
  'not-a-connected-source': says(
    409,
    'Not a connected service',
    (source: string) => `${source} isn’t a connected service, so it has no address.`
  ),
  'not-a-stand-in': says(409, 'Not a stand-in', (source: string) => `${source} has no faults: only stand-ins do.`),
  'not-an-imported-file': says(
    409,
    'No imported file',
    (source: string) => `${source} isn’t an imported file, so it can’t be updated from one.`
  ),
  'sheet-is-fixed': says(
    409,
    'Cannot be changed',
    (source: string) => `The sheet of ${source} can’t be changed. Duplicate it as a manual source and change that.`
  ),
  'source-is-fixed': says(
    409,
    'Cannot be deleted',
    (source: string) => `${source} ships with Eave and can’t be deleted.`
  ),
  'service-address-invalid': says(422, 'Invalid address', (why: string) => why),
  'service-key-required': says(422, 'Key required', () => 'A new address may be another service: enter its key, too.'),
  'service-silent': says(
    504,
    'No answer',
    () => `The service didn’t answer in time. ${nothingChanged} Try again later.`
  ),
  'service-unusable': says(502, 'Couldn’t use the service', (why: string) => `${why} ${nothingChanged}`),

  // Of manual entries
  'no-count': says(
    422,
    'No count',
    (said: string) =>
      `Couldn’t read a count in “${said}”. Write it as shown at the source: 1–10 of 140, about 3,000, 3K+.`
  ),
  'nothing-entered': says(422, 'Nothing entered', () => 'An entry has a count, or rows with a name, or both.'),
  'no-such-search': says(
    409,
    'Another search',
    (version: number, searches: number, source: string) => `Version ${version} makes ${searches} searches at ${source}.`
  ),
  'searches-changed': says(
    409,
    'Another search',
    (searches: number, source: string, answers: number) =>
      `This string makes ${searches} searches at ${source}, but ${answers} were answered. Copy the searches again.`
  ),
  'plan-changed': says(
    409,
    'Plan changed',
    () => 'This slice no longer exists because the plan changed. Reload the page; your entry is kept here.'
  ),

  // Of harvests and watches
  'harvest-running': says(
    409,
    'In progress',
    () => 'You can change the plan while the harvest is paused. Stop it first.'
  ),
  'ranking-later': says(409, 'In progress', () => 'You can re-rank people when the harvest is paused or done.'),
  'slice-not-waiting': says(409, 'Cannot be done', () => 'Only a waiting slice can be excluded.'),
  'slice-not-excluded': says(409, 'Cannot be done', () => 'This slice isn’t excluded.'),
  'slice-not-split': says(409, 'Cannot be done', () => 'This slice isn’t split.'),
  'slice-split-or-excluded': says(409, 'Cannot be done', () => 'This slice is split or excluded.'),
  'slice-split': says(409, 'Cannot be done', () => 'This slice is already split. Merge its parts first.'),
  'slice-read-by-eave': says(409, 'Cannot be done', (source: string) => `${source} is read by Eave itself.`),
  'slice-split-refused': says(
    409,
    'Cannot be done',
    () => 'It can’t be split this way any more. Choose one of the options shown.'
  ),
  'slice-word-refused': says(
    409,
    'Cannot be done',
    (source: string, word: string) =>
      `${source} can’t add “${word}” to this search, or it was used already. Choose another word.`
  ),
  'harvest-gone': says(404, 'Not found', () => 'This harvest no longer exists.'),
  'harvest-person-gone': says(404, 'Not found', () => 'This person is no longer in the harvest.'),
  'source-harvested-twice': says(
    422,
    'Duplicate source',
    () => 'Each source can only be collected with one version. Remove one.'
  ),
  'source-watched-twice': says(422, 'Duplicate source', () => 'Each source can only be watched once. Remove one.'),
  'version-cannot-be-asked': says(
    409,
    'Cannot be asked there',
    (source: string, version: number, why: string) =>
      `${source} cannot be asked version ${version}: ${why}. Remove that source.`
  ),
  'manual-source-watched-alone': says(
    422,
    'Manual source',
    () =>
      'You run a manual source yourself, so it can’t share a watch with other sources. Create a separate watch for it.'
  ),
  'watched-people-elsewhere': says(
    422,
    'Cannot be looked up',
    (source: string) => `People are only looked up at sources that Eave holds whole; ${source} isn’t one.`
  ),
  'invalid-schedule': says(422, 'Invalid schedule', (why: string) => why),
  'invalid-watch-rule': says(422, 'Invalid rule', (name: string, why: string) => `“${name}”: ${why}`),
  'nothing-to-watch': says(409, 'Nothing to watch', () => 'The sources or versions it watched were deleted.'),
  'watch-running': says(
    409,
    'In progress',
    () => 'This watch is already running, or waiting for you to check. Its updates will appear automatically.'
  ),

  // Of shortlists and exports
  'record-gone': says(409, 'No such record', () => 'That record no longer exists. Reload the page.'),
  'people-unknown': says(404, 'Not found', () => 'This brief hasn’t seen any of these people. Reload the page.'),
  'update-gone': says(404, 'Not found', () => 'This update no longer exists. Reload the page.'),
  'no-fits': says(409, 'No fits yet', () => 'No fits in this brief yet. Judge a sample first.'),
  'no-matches': says(409, 'No matches', () => 'Nobody in this harvest matches the filter.'),
  'only-record': says(409, 'Only one record', () => 'This person has only one record, so there’s nothing to split.'),
  'nothing-to-undo': says(409, 'Nothing to undo', () => 'There’s nothing to undo on this list.'),
  'nothing-to-check': says(
    409,
    'Nothing to check',
    () => 'Every address on this list has been checked or is excluded.'
  ),
  'too-few-selected': says(409, 'Too few', () => 'Select at least two people to see what they have in common.'),
  'too-many-rows': says(
    413,
    'Too many at once',
    (most: number) => `At most ${many(most)} people can be rewritten at once. Choose fewer.`
  ),
  'too-many-customers': says(
    409,
    'Too many customers',
    (list: string, most: number, count: number) =>
      `The shortlist “${list}” can exclude ${many(most)} customers, and with these there would be ${many(count)}.`
  ),
  'no-such-own-column': says(
    422,
    'Invalid input',
    (name: string) => `This list has no column “${name}”. ${nothingChanged}`
  ),
  'own-value-not-a-choice': says(
    422,
    'Invalid input',
    (value: string, column: string, choices: readonly string[]) =>
      `“${value}” isn’t one of the choices of ${column}: ${choices.join(', ')}. ${nothingChanged}`
  ),
  'own-value-misfit': says(
    422,
    'Invalid input',
    (value: string, type: string, column: string) =>
      `“${value}” isn’t a ${type}, as the column ${column} needs. ${nothingChanged}`
  ),
  'no-such-column': says(
    422,
    'No such column',
    (name: string) => `“${name}” isn’t a column that this list can be sorted by.`
  ),
  'not-csv': says(422, 'Not a CSV file', (why: string) => why),
  'csv-without-rows': says(
    422,
    'Not a CSV file',
    () =>
      'The file needs a header row and at least one row below it. Export it again from the receiving system, including the header row.'
  ),
  'erasure-too-vague': says(
    422,
    'Not enough',
    () => 'Enter a name with a firm, or an email address. A name alone could erase somebody else.'
  ),

  // Of the library
  'word-set-in-use': says(
    409,
    'In use',
    (name: string, briefs: readonly string[], what: string) =>
      `@${name} is used by ${briefs.map((brief) => `“${brief}”`).join(', ')}. ${what}`
  ),
  'word-set-name-taken': says(
    409,
    'Name taken',
    (name: string) => `There’s already a word set called ${name}. Choose another name.`
  ),
  'word-sets-unreadable': says(422, 'The file cannot be imported', (why: string) => why),
  'not-in-lexicon': says(422, 'Not in the lexicon', (why: string) => why),

  // Of files of people
  'import-over': says(
    409,
    'Import ended',
    () => 'This import has ended and its file was removed. Choose the file again.'
  ),
  'import-running': says(409, 'Already importing', () => 'This file is being imported or was already imported.'),
  'already-imported': says(
    409,
    'Already imported',
    () => 'This file was already imported, or its import has ended. Choose it again.'
  ),
  'value-not-listed': says(
    422,
    'Not on the list',
    (standard: string, field: string, text: string) =>
      `The standard list for ${field} has no “${standard}”. Choose one from the list, or leave “${text}” as it is.`
  ),
  'column-count-differs': says(
    422,
    'Columns do not match',
    (columns: number, given: number) => `The file has ${columns} columns and ${given} were given.`
  ),
  'columns-mismatch': says(422, 'Columns do not match', (why: string) => why),
  'file-too-large': says(
    413,
    'Too large',
    () => 'A file of people can be at most 512 MiB. Split it and import the parts.'
  ),
  'file-empty': says(
    422,
    'The file cannot be imported',
    (file: string) => `${file} is empty. Choose a CSV, XLSX or JSON Lines file with people in it.`
  ),
  'file-not-text': says(
    422,
    'The file cannot be imported',
    (file: string) => `${file} is not a text file. Save the table as CSV (UTF-8) or JSON Lines and choose that.`
  ),
  'file-not-table': says(
    422,
    'The file cannot be imported',
    (file: string) => `${file} is neither CSV nor JSON Lines. Save the table as CSV, or as one JSON object per line.`
  ),
  'file-without-columns': says(
    422,
    'The file cannot be imported',
    (file: string) => `${file} has no columns that Eave can see. Save the table as CSV with a header row.`
  ),
  'file-too-wide': says(
    422,
    'The file cannot be imported',
    (file: string, columns: number, most: number) =>
      `${file} has ${many(columns)} columns, and Eave reads at most ${most}. Remove those that don’t describe people, or check the separator.`
  ),
  'file-without-rows': says(
    422,
    'The file cannot be imported',
    (file: string) => `${file} has a header row and no other rows. ${choosePeople}`
  ),
  'file-row-unreadable': says(
    422,
    'The file cannot be imported',
    (file: string, line: number, why: string) => `${file}, line ${line}: ${why}`
  ),
  'workbook-too-large': says(
    422,
    'The file cannot be imported',
    (file: string) => `${file} is a workbook of more than 64 MiB. ${asCsv}`
  ),
  'workbook-too-slow': says(
    422,
    'The file cannot be imported',
    (file: string) => `${file} could not be read within two minutes. ${asCsv}`
  ),
  'workbook-too-much-memory': says(
    422,
    'The file cannot be imported',
    (file: string) => `${file} needs more memory than reading one file may take. ${asCsv}`
  ),
  'workbook-out-of-bounds': says(
    422,
    'The file cannot be imported',
    (file: string, why: string) => `${file} is too large to read as a workbook: ${why}. ${asCsv}`
  ),
  'workbook-unreadable': says(
    422,
    'The file cannot be imported',
    (file: string) =>
      `${file} isn’t a readable XLSX workbook. Save the table as XLSX, CSV or JSON Lines and choose that.`
  ),
  'workbook-without-rows': says(
    422,
    'The file cannot be imported',
    (file: string) => `No sheet of ${file} has a header row and rows below it. ${choosePeople}`
  ),
  'workbook-too-much-text': says(
    422,
    'The file cannot be imported',
    (file: string) => `${file} holds more than 512 MiB of text. ${asCsv}`
  ),

  // Of files of briefs, verdicts and runs
  'brief-file-person': says(
    422,
    'Invalid input',
    (place: number, people: number) => `The file names person ${place} and holds only ${people}.`
  ),
  'brief-file-version': says(
    422,
    'Invalid input',
    (version: number) => `The file holds a run of version ${version} but no such version.`
  ),
  'brief-file-source': says(
    422,
    'Invalid input',
    (source: string) => `The file mentions the source ${source} but doesn’t describe it.`
  ),
  'trec-line-unreadable': says(
    422,
    'The file cannot be read',
    (line: number, why: string, wanted: string) => `Line ${line}: ${why}. Nothing was imported. ${wanted}`
  ),
  'trec-empty': says(422, 'The file is empty', (wanted: string) => `There is no line to read. ${wanted}`),
  'trec-not-of-this-brief': says(
    422,
    'Not of this brief',
    (version: number, source: string, missing: 'source' | 'version') =>
      `The run of version ${version} at ${source} can’t be imported: this brief has no such ${missing}. Nothing was imported.`
  ),
  'trec-people-unknown': says(
    422,
    'People not found',
    () => 'None of the people in these runs is in the source they are said to be from. Nothing was imported.'
  )
} as const;

export type RefusalCode = keyof typeof refusals;
export const isRefusalCode = (code: string): code is RefusalCode => Object.hasOwn(refusals, code);
type Given<C extends RefusalCode> = Parameters<(typeof refusals)[C]['detail']>;

/** The refusal with a code; its sentence is made from what is given. Throw it. */
export function refuse<C extends RefusalCode>(code: C, ...given: Given<C>): Refusal {
  const { status, title, detail } = refusals[code] as {
    status: number;
    title: string;
    detail: (...all: unknown[]) => string;
  };
  return new Refusal(status, code, title, detail(...given));
}

export const notFound = (what: string) => refuse('not-found', what);

/** Somebody else wrote it meanwhile; `current` is what stands there now. */
export const changedElsewhere = (what: string, current: unknown) => refuse('changed-elsewhere', what).with({ current });
