import { Op, type Transaction } from 'sequelize';
import { personSchema, type Person } from '$core/people';
import { ownNamesOf, personFromRow } from '$core/formats';
import { isOwnScope, type OwnScope } from '$core/language';
import { hashText } from '$core/measure';
import { contactKeys, mostOwn, ownScopeOf } from '$core/people';
import { languageReader } from '$sources/detect-language';
import { importedSheet, toldByColumns } from '$sources/imported-file';
import { peopleWithoutObjected } from '../../objections/objected';
import { isDatabaseAway, isDiskFull } from '../../../database/away';
import { database } from '../../../database/connection';
import { models, type ImportRow } from '../../../database/models';
import { log } from '../../../log';
import type { ImportOutcome, ImportSettings } from '$api/import-shapes';
import { rememberMeanings, standardizer } from './import-values';
import { readRows } from './read-table';
import { pathOf, removeUpload } from './upload-files';

const mostErrors = 1000;
const batch = 1000;
/** Most people of one file. */
const mostRows = 500_000;
/** Milliseconds between two times that an import says it goes on, and how long what it says holds. */
const renewEvery = 1000;
export const leaseSeconds = 30;

/** An import came to an end that is not the end of the file. */
class Ended extends Error {
  readonly state: 'refused' | 'stopped';
  constructor(state: 'refused' | 'stopped', message: string) {
    super(message);
    this.state = state;
  }
}
/** The lease was lost: another server works on it, or it was thrown away. */
class Lost extends Error {}

const fingerprint = (person: Person) => hashText(JSON.stringify(person));

/** What the people of a source were, by id. */
async function fingerprints(sourceId: string, transaction: Transaction): Promise<Map<string, number>> {
  const known = new Map<string, number>();
  for (let from = 0; ; from += batch) {
    const rows = await models().SourcePerson.findAll({
      where: { sourceId, ordinal: { [Op.gte]: from, [Op.lt]: from + batch } },
      transaction
    });
    if (!rows.length) return known;
    // PostgreSQL keeps JSON with its keys in an order of its own: read by the schema, both are in one order.
    for (const { person } of rows) known.set(person.id, fingerprint(personSchema.parse(person)));
  }
}

interface Progress {
  outcome: ImportOutcome;
  halt: 'stop' | 'lost' | null;
}

/** Says again and again how far an import is and that it goes on here; hears whether it is to stop. */
function renewing(id: string, server: string, progress: Progress): () => Promise<void> {
  let last = Promise.resolve();
  const renew = async () => {
    const [rows] = await database().query(
      `UPDATE imports SET leased_until = now() + make_interval(secs => ${leaseSeconds}), outcome = $outcome::jsonb
       WHERE id = $id AND server = $server AND state = 'running' RETURNING stop`,
      { bind: { id, server, outcome: JSON.stringify(progress.outcome) } }
    );
    const [row] = rows as { stop: boolean }[];
    if (!row) progress.halt = 'lost';
    else if (row.stop) progress.halt = 'stop';
  };
  const timer = setInterval(() => {
    // A database that is away breaks the import itself off.
    last = last.then(renew).catch(() => {});
  }, renewEvery);
  return async () => {
    clearInterval(timer);
    await last;
  };
}

/**
 * Imports a file that this server has a lease on, all or nothing, and says how it ended. Throws where the database went
 * away: then nothing was kept, and it can be begun anew.
 */
export async function runImport(id: string, server: string): Promise<void> {
  const row = await models().Import.findByPk(id);
  if (!row?.settings) return;
  const outcome: ImportOutcome = {
    rows: 0,
    bytesRead: 0,
    skipped: 0,
    leftOut: 0,
    emptied: 0,
    errors: [],
    message: null
  };
  const progress: Progress = { outcome, halt: null };
  const stopRenewing = renewing(id, server, progress);
  try {
    await database().transaction((transaction) => keepAll(row, row.settings!, server, progress, transaction));
  } catch (error) {
    if (error instanceof Lost) return;
    if (isDatabaseAway(error)) throw error;
    const ended = error instanceof Ended ? error : endedBy(error);
    if (!(error instanceof Ended)) log().warn({ err: error, import: id }, 'import broke off');
    outcome.message = ended.message;
    await stopRenewing();
    // It cannot be begun anew: what was uploaded goes first, and then the person is told.
    await removeUpload(id);
    await models().Import.update(
      { state: ended.state, outcome, server: null, leasedUntil: null },
      { where: { id, server, state: 'running' } }
    );
  } finally {
    await stopRenewing();
  }
}

function endedBy(error: unknown): Ended {
  if (isDiskFull(error))
    return new Ended(
      'refused',
      'There is no room left on the disk, so nothing was kept. Make room and import it again.'
    );
  if ((error as NodeJS.ErrnoException).code === 'ENOENT')
    return new Ended('stopped', 'The uploaded file is not here any more, so nothing was kept. Choose it again.');
  return new Ended('refused', 'The import broke off and nothing was kept. Try it again; the server’s log tells more.');
}

async function keepAll(
  row: ImportRow,
  { name, mapping, skipBadRows, badCells = 'empty', into, values = [] }: ImportSettings,
  server: string,
  progress: Progress,
  transaction: Transaction
): Promise<void> {
  const { outcome } = progress;
  const sourceId = into ?? `file-${row.id}`;
  const { Source, SourcePerson } = models();
  // A newer file waits for one before it that takes the place of the same people.
  const source =
    into === null
      ? await Source.create(
          {
            id: sourceId,
            kind: 'file',
            name,
            sheet: importedSheet(sourceId, name, toldByColumns(mapping)),
            people: 0
          },
          { transaction }
        )
      : await Source.findByPk(into, { transaction, lock: true });
  if (!source)
    throw new Ended('refused', 'The file whose place it was to take was deleted meanwhile. Nothing was kept.');
  const before = into === null ? null : await fingerprints(into, transaction);
  if (into !== null) await SourcePerson.destroy({ where: { sourceId: into }, transaction });
  const changes = { came: 0, changed: 0, duplicates: 0 };
  let waiting: Person[] = [];
  const keys = new Set<string>();
  const ownNames = ownNamesOf(
    row.reading.columns.map(({ name }) => name),
    mapping
  );
  const ownMet = new Set<OwnScope>();
  const withLanguage = await languageReader();
  const standard = standardizer(mapping, values);
  let kept = 0;
  let objected = 0;
  const flush = async () => {
    const allowed = await peopleWithoutObjected(sourceId, waiting, transaction);
    objected += waiting.length - allowed.length;
    kept -= waiting.length - allowed.length;
    waiting = allowed;
    await database().query(
      `INSERT INTO source_people (source_id, ordinal, person)
           SELECT $source, $from::int + place - 1, person FROM jsonb_array_elements($people::jsonb) WITH ORDINALITY AS _ (person, place)`,
      { bind: { source: sourceId, from: kept - waiting.length, people: JSON.stringify(waiting) }, transaction }
    );
    waiting = [];
  };
  for await (const read of readRows(pathOf(row.id), row.reading)) {
    if (progress.halt === 'lost') throw new Lost();
    if (progress.halt === 'stop') throw new Ended('stopped', 'The import was stopped. Nothing of the file was kept.');
    outcome.rows = read.row;
    outcome.bytesRead = Math.max(outcome.bytesRead, read.bytes);
    if (read.row > mostRows)
      throw new Ended(
        'refused',
        `The file has more than ${mostRows.toLocaleString('en')} rows. Split it and import the parts.`
      );
    const ownKey = `row-${read.row}`;
    const result = 'error' in read ? read : personFromRow(standard(read.cells), mapping, ownKey, ownNames);
    if ('person' in result && result.person.id === ownKey) {
      // Without a key of the file's own, a person is known by mail, or by name and firm, so that a newer file updates them.
      const [known] = contactKeys(result.person);
      if (known !== undefined) {
        let key = known;
        for (let i = 2; keys.has(key); i++) key = `${known} (${i})`;
        if (key !== known) changes.duplicates++;
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
      if (outcome.errors.length < mostErrors) outcome.errors.push({ row: read.row, line: read.line, message, cell });
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
      if (before) {
        const was = before.get(result.person.id);
        if (was === undefined) changes.came++;
        else if (was !== fingerprint(personSchema.parse(withLanguage(result.person)))) changes.changed++;
        before.delete(result.person.id);
      }
      const person = withLanguage(result.person);
      for (const own in result.person.own) if (ownMet.size < mostOwn) ownMet.add(ownScopeOf(own));
      waiting.push(person);
      kept++;
      if (waiting.length === batch) await flush();
    }
  }
  await flush();
  if (outcome.skipped && !skipBadRows)
    throw new Ended(
      'refused',
      `${outcome.skipped.toLocaleString('en')} of ${outcome.rows.toLocaleString('en')} rows cannot be read, so nothing was kept. Mend the rows named below, match the columns otherwise, or import without these rows.`
    );
  if (!kept) throw new Ended('refused', 'No row could be read as a person, so nothing was kept.');
  const n = (count: number) => count.toLocaleString('en');
  outcome.message =
    [
      before
        ? `${n(kept)} people: ${n(changes.came)} came, ${n(changes.changed)} changed, ${n(before.size)} left`
        : `${n(kept)} people imported`,
      ...(objected ? [`${n(objected)} objected before and were not taken in`] : []),
      ...(changes.duplicates ? [`${n(changes.duplicates)} look like one before them`] : []),
      ...(outcome.skipped + outcome.leftOut ? [`${n(outcome.skipped + outcome.leftOut)} rows left out`] : []),
      ...(outcome.emptied ? [`${n(outcome.emptied)} cells left empty, which are named below`] : [])
    ].join(', ') + '.';
  await source.update(
    {
      people: kept,
      peopleRevision: source.peopleRevision + 1,
      sheet: { ...source.sheet, tells: [...source.sheet.tells.filter((scope) => !isOwnScope(scope)), ...ownMet] }
    },
    { transaction }
  );
  await rememberMeanings(values, transaction);
  const [ended] = await models().Import.update(
    { state: 'done', outcome, sourceId, server: null, leasedUntil: null },
    { where: { id: row.id, server, state: 'running' }, transaction }
  );
  if (!ended) throw new Lost();
}
