import { randomUUID } from 'node:crypto';
import { sheetSchema, type Sheet, standInSheets } from '$core/dialect';
import { hasPeopleHere } from '$api/source-kinds';
import { noFaults, usualFaults } from '$sources/faults';
import type { Faults } from '$core/dialect';
import { database } from '$server/platform/database/connection';
import { models, type SourceRow } from '$server/platform/database/models';
import { tellChange } from '$server/platform/changes';
import { environment } from '$server/platform/environment';
import { changedElsewhere, notFound, refuse } from '$server/platform/refusals';
import { log } from '$server/platform/log';
import { detachSource, loadFile, loadStandIns } from '$server/workers/people';

export type Readiness =
  { state: 'preparing'; done?: number; of?: number } | { state: 'ready' } | { state: 'failed'; reason: string };

/** The people of a source that are in memory, or on the way there, and which revision of them. */
const loading = new Map<string, { revision: number; done: Promise<void> }>();
const readiness = new Map<string, Readiness>();

/** How far a source is, at this server. */
function isNow(id: string, state: Readiness): void {
  readiness.set(id, state);
  tellChange({ of: 'sources' });
}

/** Registers the stand-ins, which are ready as soon as their people are made; files follow when they are first asked. */
export async function openSources(): Promise<void> {
  const { Source } = models();
  for (const sheet of standInSheets)
    await Source.upsert(
      { id: sheet.id, kind: 'stand-in', name: sheet.name, sheet, people: null },
      { fields: ['name', 'sheet'] }
    );
  void prepareStandIns((await Source.findByPk(standInSheets[0]!.id))!);
}

function track(ids: readonly string[], revision: number, work: () => Promise<void>): Promise<void> {
  for (const id of ids) isNow(id, { state: 'preparing' });
  const done = work().then(
    () => ids.forEach((id) => isNow(id, { state: 'ready' })),
    (error: Error) => {
      for (const id of ids) {
        if (loading.get(id)?.done === done) loading.delete(id);
        isNow(id, {
          state: 'failed',
          reason: 'The people of this source could not be read. It is tried again when it is next asked.'
        });
      }
      log().error({ err: error, sources: ids }, 'a source could not be loaded');
      throw error;
    }
  );
  done.catch(() => {});
  for (const id of ids) loading.set(id, { revision, done });
  return done;
}

let making: ReturnType<typeof loadStandIns> | undefined;

/**
 * Has the people of the stand-ins made, as on a day of their world. That of the first day needs no database: at a start it
 * goes on besides all else. One is made after the other.
 */
export function startStandIns(day = 0) {
  const before = making ?? Promise.resolve();
  const load = () =>
    loadStandIns(day, ({ done, of }) => {
      for (const { id } of standInSheets)
        if (readiness.get(id)?.state === 'preparing') isNow(id, { state: 'preparing', done, of });
    });
  const made: ReturnType<typeof loadStandIns> = before.then(load, load);
  making = made;
  // Those who wait for them get the error.
  made.catch(() => making === made && (making = undefined));
  return made;
}

/** Makes the people of the stand-ins again where their world is at another day. */
export function prepareStandIns({
  worldDay,
  peopleRevision
}: Pick<SourceRow, 'worldDay' | 'peopleRevision'>): Promise<void> {
  return track(
    standInSheets.map((sheet) => sheet.id),
    peopleRevision,
    async () => {
      for (const { id, people } of await startStandIns(worldDay))
        await models().Source.update({ people }, { where: { id, worldDay } });
    }
  );
}

/** Reads the people of a file again where others have taken their place, at this server or another. */
function prepareFile({ id, sheet, people, peopleRevision }: SourceRow): Promise<void> {
  return track([id], peopleRevision, () =>
    loadFile(id, sheet, (done) => {
      if (people) isNow(id, { state: 'preparing', done, of: people });
    })
  );
}

/** A source of any kind. */
export async function findSource(id: string): Promise<SourceRow> {
  const source = await models().Source.findByPk(id);
  if (!source) throw notFound('This source');
  return source;
}

/** The source, if it can be asked from here. */
export async function findRunnable(id: string): Promise<SourceRow> {
  const source = await findSource(id);
  if (source.kind === 'by-hand') throw refuse('manual-source', source.name);
  return source;
}

/** Whether the people of a source are in memory, at that revision of theirs: then it need not be asked for. */
export function isReadyAt(id: string, peopleRevision: number | undefined): boolean {
  const known = loading.get(id);
  return (
    peopleRevision !== undefined && readiness.get(id)?.state === 'ready' && (known?.revision ?? -1) >= peopleRevision
  );
}

/** The source with its people ready to be asked; waits while they are being prepared. Refuses one whose people are elsewhere. */
export async function readySource(id: string): Promise<SourceRow> {
  const source = await findRunnable(id);
  if (!hasPeopleHere(source.kind)) throw refuse('connected-source', source.name);
  const known = loading.get(id);
  const isCurrent = known !== undefined && known.revision >= source.peopleRevision;
  await (isCurrent ? known.done : source.kind === 'file' ? prepareFile(source) : prepareStandIns(source));
  // How many people it has is known once they are there.
  return source.people === null ? source.reload() : source;
}

/** The source as a job asks it: with its people ready, where they are here. A place run by hand has all its pages already. */
export async function sourceToAsk(id: string): Promise<SourceRow> {
  const source = await findSource(id);
  return hasPeopleHere(source.kind) ? readySource(id) : source;
}

export async function listSources() {
  const rows = await models().Source.findAll({
    order: [
      ['createdAt', 'ASC'],
      ['name', 'ASC']
    ]
  });
  const order = standInSheets.map(({ id }) => id);
  const last = rows.length;
  const place = ({ id, kind }: SourceRow) => (kind === 'stand-in' ? order.indexOf(id) : kind === 'file' ? 100 : 200);
  rows.sort((a, b) => (a.position ?? last) - (b.position ?? last) || place(a) - place(b));
  return rows.map(serialize);
}

/** Saves the order of sources and which are hidden. Trials at a hidden source stay. */
export async function arrangeSources({ order, hidden }: { order: readonly string[]; hidden: readonly string[] }) {
  await database().query(
    `UPDATE sources SET position = array_position($order::text[], id) - 1, hidden = id = ANY($hidden::text[])`,
    { bind: { order: [...order], hidden: [...hidden] } }
  );
  return listSources();
}

/** The faults of a source: a stand-in's own, or the usual ones where nobody has switched any. Files have none. */
export const faultsOf = ({ kind, faults }: Pick<SourceRow, 'kind' | 'faults'>): Faults =>
  kind !== 'stand-in' ? noFaults : (faults ?? (environment().faults ? usualFaults : noFaults));

const serialize = (row: SourceRow) => ({
  id: row.id,
  kind: row.kind,
  name: row.name,
  about: row.sheet.about,
  people: row.people,
  sheet: sheetSchema.parse(row.sheet),
  revision: row.revision,
  hidden: row.hidden,
  faults: row.kind === 'stand-in' ? faultsOf(row) : null,
  readiness: readiness.get(row.id) ?? { state: row.kind === 'stand-in' ? ('preparing' as const) : ('ready' as const) }
});

/** Adds a place that the user runs by hand; the sheet gets its own id. */
export async function createByHand(sheet: Sheet) {
  const id = `hand-${randomUUID()}`;
  return serialize(
    await models().Source.create({ id, kind: 'by-hand', name: sheet.name, sheet: { ...sheet, id }, people: null })
  );
}

/** Writes the sheet of a place run by hand, if nobody has since `revision`. The sheets of others belong to their people. */
export async function writeSheet(id: string, change: { sheet: Sheet; revision: number }) {
  const source = await findSource(id);
  if (source.kind !== 'by-hand') throw refuse('sheet-is-fixed', source.name);
  const sheet = { ...change.sheet, id };
  const [changed] = await models().Source.update(
    { name: sheet.name, sheet, revision: change.revision + 1 },
    { where: { id, revision: change.revision } }
  );
  await source.reload();
  if (!changed) throw changedElsewhere('This sheet', serialize(source));
  return serialize(source);
}

/** Switches what goes wrong at a stand-in. */
export async function switchFaults(id: string, faults: Faults) {
  const source = await findSource(id);
  if (source.kind !== 'stand-in') throw refuse('not-a-stand-in', source.name);
  return serialize(await source.update({ faults }));
}

/** The source, in any state. */
export const readSource = async (id: string) => serialize(await findSource(id));

/** Removes an imported file with its people, a place run by hand, or a connected service; its trials and the verdicts on its people go too. */
export async function deleteSource(id: string): Promise<void> {
  const source = await findSource(id);
  if (source.kind === 'stand-in') throw refuse('source-is-fixed', source.name);
  await source.destroy();
  loading.delete(id);
  readiness.delete(id);
  detachSource(id);
}
