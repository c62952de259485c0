import { contactKeys, type Person } from '$core/people';
import { runThread } from '$server/workers/threads';
import type { PeopleFilter } from '$server/features/harvest/harvest-people';
import { findShortlist } from './find-shortlist';
import { keepOnList, type Candidate, type Kept } from './keep-people';
import { fromFits, fromHarvest, fromNews, fromRecords } from './where-from';

/** Where people who are to be kept come from. */
export type KeepFrom =
  | { kind: 'records'; records: { sourceId: string; personId: string }[] }
  | ({
      kind: 'harvest';
      harvest: string;
      likelyFrom?: number | undefined;
      numbers?: number[] | undefined;
    } & PeopleFilter)
  | { kind: 'fits' }
  | { kind: 'news'; ids: number[] }
  | { kind: 'people'; people: Person[]; own?: Record<string, unknown>[] | undefined };
export interface KeepTask {
  briefId: string;
  id: string;
  from: KeepFrom;
  why: string;
  /** Who keeps them, as they call themselves. */
  by?: string;
}

/** Few are kept at once; many by its own thread, so that nobody waits. */
const few = 500;

/** Keeps people on a list: some records that were seen, those of a harvest by filter, all fits, or those of a file. */
export async function keepPeople(task: KeepTask): Promise<Kept> {
  const list = await findShortlist(task.briefId, task.id);
  const from: KeepFrom =
    task.from.kind === 'people' ? { ...task.from, own: ownCells(list.columns, task.from.own ?? []) } : task.from;
  const isFew =
    from.kind === 'news' ||
    (from.kind === 'records' && from.records.length <= few) ||
    (from.kind === 'people' && from.people.length <= few);
  return isFew ? keepNow({ ...task, from }) : runThread<Kept>('shortlist-keep-worker.js', { ...task, from });
}

/** The same, here and now. */
export async function keepNow({ briefId, id, from, why, by = '' }: KeepTask): Promise<Kept> {
  return keepOnList(id, await candidates(briefId, from), { from: from.kind, why, by });
}

async function candidates(briefId: string, from: KeepFrom): Promise<Candidate[]> {
  if (from.kind === 'records') return fromRecords(briefId, from.records);
  if (from.kind === 'fits') return fromFits(briefId);
  if (from.kind === 'news') return fromNews(briefId, from.ids);
  if (from.kind === 'harvest') return fromHarvest(briefId, from.harvest, from);
  const seenAt = new Date().toISOString();
  return from.people.map((person, i) => ({
    // An id of a file says nothing beside another file's.
    records: [{ sourceId: 'list', person: { ...person, id: listId(person) }, seenAt }],
    ...(from.own?.[i] && { own: from.own[i] })
  }));
}

/** What somebody in a file is known by: their address, or their name with their firm. */
const listId = (person: Person) =>
  (contactKeys(person)[0] ?? [person.name, ...(person.contact ?? [])].join(' ')).slice(0, 300);

/** Without cells for columns that the list does not have. */
function ownCells(columns: readonly { name: string }[], own: readonly Record<string, unknown>[]) {
  const known = new Set(columns.map(({ name }) => name));
  return own.map((cells) => Object.fromEntries(Object.entries(cells).filter(([name]) => known.has(name))));
}
