import { standInSheets } from '$core/dialect/sheets';
import { models, type SourceRow } from '../database/models';
import { environment } from '../environment';
import { notFound, Refusal } from '../refusal';
import { askPeople, whenWorkerStops } from '../workers/people';

export type Readiness = { state: 'preparing' | 'ready' } | { state: 'failed'; reason: string };

/** Which sources have their people in the worker, or are on the way there. */
const loading = new Map<string, Promise<void>>();
const readiness = new Map<string, Readiness>();

/** Registers the stand-ins and starts to make their people; files follow when they are first asked. */
export async function openSources(): Promise<void> {
  const { Source } = models();
  for (const sheet of standInSheets)
    await Source.upsert(
      { id: sheet.id, kind: 'stand-in', name: sheet.name, sheet, people: null },
      { fields: ['name', 'sheet'] }
    );
  whenWorkerStops(() => {
    loading.clear();
    readiness.clear();
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

function prepareStandIns(): Promise<void> {
  return track(
    standInSheets.map((sheet) => sheet.id),
    async () => {
      const size = environment().worldPeople;
      const made = await askPeople('load-stand-ins', size === undefined ? {} : { size });
      for (const { sheet, people } of made) await models().Source.update({ people }, { where: { id: sheet.id } });
    }
  );
}

const batch = 2000;

async function loadFile(source: SourceRow): Promise<void> {
  await askPeople('begin-file', { sheet: source.sheet });
  for (let from = 0; ; from += batch) {
    const rows = await models().SourcePerson.findAll({
      where: { sourceId: source.id },
      order: ['ordinal'],
      offset: from,
      limit: batch
    });
    await askPeople('add-people', { sourceId: source.id, people: rows.map((row) => row.person) });
    if (rows.length < batch) break;
  }
  await askPeople('finish-file', { sourceId: source.id });
}

/** The source with its people ready to be asked; waits while they are being prepared. */
export async function readySource(id: string): Promise<SourceRow> {
  const source = await models().Source.findByPk(id);
  if (!source) throw notFound('This source');
  const started = loading.get(id) ?? (source.kind === 'file' ? track([id], () => loadFile(source)) : prepareStandIns());
  await started;
  return source;
}

export async function listSources() {
  const rows = await models().Source.findAll({
    order: [
      ['kind', 'DESC'],
      ['createdAt', 'ASC'],
      ['name', 'ASC']
    ]
  });
  return rows.map((row) => ({
    id: row.id,
    kind: row.kind,
    name: row.name,
    about: row.sheet.about,
    people: row.people,
    sheet: row.sheet,
    readiness: readiness.get(row.id) ?? { state: row.kind === 'file' ? ('ready' as const) : ('preparing' as const) }
  }));
}

/** Removes an imported file with its people, its trials and the verdicts on them. */
export async function deleteSource(id: string): Promise<void> {
  const source = await models().Source.findByPk(id);
  if (!source) throw notFound('This source');
  if (source.kind !== 'file')
    throw new Refusal(409, 'Cannot be deleted', `${source.name} ships with Eave and cannot be deleted.`);
  await source.destroy();
  loading.delete(id);
  readiness.delete(id);
  await askPeople('forget', { sourceId: id });
}
