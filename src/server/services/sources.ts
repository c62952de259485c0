import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { sheetSchema, type Sheet, standInSheets } from '$core/dialect';
import { noFaults, usualFaults, type Faults } from '$sources/faults';
import { database } from '../database/connection';
import { models, type SourceRow } from '../database/models';
import { environment } from '../environment';
import { changedElsewhere, notFound, Refusal } from '../refusal';
import { askPeople, whenWorkerProgresses, whenWorkerStops } from '../workers/people';

export type Readiness =
  { state: 'preparing'; done?: number; of?: number } | { state: 'ready' } | { state: 'failed'; reason: string };

/** Which sources have their people in the worker, or are on the way there. */
const loading = new Map<string, Promise<void>>();
const readiness = new Map<string, Readiness>();

/** Registers the stand-ins, which are ready as soon as their people are made; files follow when they are first asked. */
export async function openSources(): Promise<void> {
  const { Source } = models();
  for (const sheet of standInSheets)
    await Source.upsert(
      { id: sheet.id, kind: 'stand-in', name: sheet.name, sheet, people: null },
      { fields: ['name', 'sheet'] }
    );
  whenWorkerStops(() => {
    making = undefined;
    loading.clear();
    readiness.clear();
  });
  whenWorkerProgresses(({ done, of }) => {
    for (const { id } of standInSheets)
      if (readiness.get(id)?.state === 'preparing') readiness.set(id, { state: 'preparing', done, of });
  });
  void prepareStandIns();
}

function track(ids: readonly string[], work: () => Promise<void>): Promise<void> {
  for (const id of ids) readiness.set(id, { state: 'preparing' });
  const done = work().then(
    () => ids.forEach((id) => readiness.set(id, { state: 'ready' })),
    (error: Error) => {
      for (const id of ids) {
        loading.delete(id);
        readiness.set(id, { state: 'failed', reason: error.message });
      }
      throw error;
    }
  );
  done.catch(() => {});
  for (const id of ids) loading.set(id, done);
  return done;
}

let making: Promise<{ sheet: Sheet; people: number }[]> | undefined;

/** Has the people of the stand-ins made, which needs no database: at a start that goes on besides all else. */
export function startStandIns() {
  const size = environment().worldPeople;
  making ??= askPeople('load-stand-ins', { ...(size !== undefined && { size }), folder: environment().cache });
  // Whoever awaits them is told why they failed.
  making.catch(() => (making = undefined));
  return making;
}

function prepareStandIns(): Promise<void> {
  return track(
    standInSheets.map((sheet) => sheet.id),
    async () => {
      const made = await startStandIns();
      for (const { sheet, people } of made) await models().Source.update({ people }, { where: { id: sheet.id } });
    }
  );
}

const batch = 5000;
/** Files of so many people have a thread for their index: others are counted meanwhile. */
const large = 20_000;

async function loadFile({ id, sheet, people }: SourceRow): Promise<void> {
  await askPeople('begin-file', { sheet, large: (people ?? 0) >= large });
  for (let from = 0; ; from += batch) {
    const rows = await database().query<{ person: string }>(
      `SELECT person::text AS person FROM source_people
       WHERE source_id = $id AND ordinal >= $from AND ordinal < $to ORDER BY ordinal`,
      { bind: { id, from, to: from + batch }, type: QueryTypes.SELECT }
    );
    if (!rows.length) break;
    await askPeople('add-people', { sourceId: id, people: rows.map(({ person }) => person) });
    if (people) readiness.set(id, { state: 'preparing', done: from + rows.length, of: people });
  }
  await askPeople('finish-file', { sourceId: id });
}

/** A source, whatever its kind. */
export async function findSource(id: string): Promise<SourceRow> {
  const source = await models().Source.findByPk(id);
  if (!source) throw notFound('This source');
  return source;
}

/** The source, if it can be asked from here. */
export async function findRunnable(id: string): Promise<SourceRow> {
  const source = await findSource(id);
  if (source.kind === 'by-hand')
    throw new Refusal(
      409,
      'Run by hand',
      `${source.name} cannot be reached from here. Copy the search from its card and run it there.`
    );
  return source;
}

/** The source with its people ready to be asked; waits while they are being prepared. */
export async function readySource(id: string): Promise<SourceRow> {
  const source = await findRunnable(id);
  const started = loading.get(id) ?? (source.kind === 'file' ? track([id], () => loadFile(source)) : prepareStandIns());
  await started;
  // How many people it has is known once they are there.
  return source.people === null ? source.reload() : source;
}

export async function listSources() {
  const rows = await models().Source.findAll({
    order: [
      ['createdAt', 'ASC'],
      ['name', 'ASC']
    ]
  });
  const order = standInSheets.map(({ id }) => id);
  const place = ({ id, kind }: SourceRow) => (kind === 'stand-in' ? order.indexOf(id) : kind === 'file' ? 100 : 200);
  rows.sort((a, b) => place(a) - place(b));
  return rows.map(told);
}

/** The faults of a source: a stand-in's own, or the usual ones where nobody has switched any. Files have none. */
export const faultsOf = ({ kind, faults }: Pick<SourceRow, 'kind' | 'faults'>): Faults =>
  kind !== 'stand-in' ? noFaults : (faults ?? (environment().faults ? usualFaults : noFaults));

const told = (row: SourceRow) => ({
  id: row.id,
  kind: row.kind,
  name: row.name,
  about: row.sheet.about,
  people: row.people,
  sheet: sheetSchema.parse(row.sheet),
  revision: row.revision,
  faults: row.kind === 'stand-in' ? faultsOf(row) : null,
  readiness: readiness.get(row.id) ?? { state: row.kind === 'stand-in' ? ('preparing' as const) : ('ready' as const) }
});

/** Adds a place that the user runs by hand; the sheet gets an id of its own. */
export async function createByHand(sheet: Sheet) {
  const id = `hand-${randomUUID()}`;
  return told(
    await models().Source.create({ id, kind: 'by-hand', name: sheet.name, sheet: { ...sheet, id }, people: null })
  );
}

/** Writes the sheet of a place run by hand, if nobody has since `revision`. The sheets of others belong to their people. */
export async function writeSheet(id: string, change: { sheet: Sheet; revision: number }) {
  const source = await findSource(id);
  if (source.kind !== 'by-hand')
    throw new Refusal(
      409,
      'Cannot be changed',
      `The sheet of ${source.name} says how its people are searched here and stays as it is. Copy it to a place of your own and change that.`
    );
  const sheet = { ...change.sheet, id };
  const [changed] = await models().Source.update(
    { name: sheet.name, sheet, revision: change.revision + 1 },
    { where: { id, revision: change.revision } }
  );
  await source.reload();
  if (!changed) throw changedElsewhere('This sheet', told(source));
  return told(source);
}

/** Switches what goes wrong at a stand-in. */
export async function switchFaults(id: string, faults: Faults) {
  const source = await findSource(id);
  if (source.kind !== 'stand-in')
    throw new Refusal(409, 'No stand-in', `${source.name} has no faults to switch: only stand-ins have.`);
  return told(await source.update({ faults }));
}

/** The source, whatever its state. */
export const readSource = async (id: string) => told(await findSource(id));

const revisions = new Map<string, number>();

/** How often the people of a source took the place of others since the start. */
export const peopleRevision = (id: string): number => revisions.get(id) ?? 0;

/** Lets the worker forget the people of a file, so that they are read anew when it is next asked. */
export async function forgetPeople(id: string): Promise<void> {
  revisions.set(id, peopleRevision(id) + 1);
  await loading.get(id)?.catch(() => {});
  loading.delete(id);
  readiness.delete(id);
  await askPeople('forget', { sourceId: id });
}

/** Removes an imported file with its people, or a place run by hand; its trials and the verdicts on its people go too. */
export async function deleteSource(id: string): Promise<void> {
  const source = await findSource(id);
  if (source.kind === 'stand-in')
    throw new Refusal(409, 'Cannot be deleted', `${source.name} ships with Eave and cannot be deleted.`);
  await source.destroy();
  loading.delete(id);
  readiness.delete(id);
  if (source.kind === 'file') await askPeople('forget', { sourceId: id });
}
