import {
  packStrings,
  stringAt,
  unpackStrings,
  type IndexParts,
  type PackedStrings,
  type PeopleList
} from '$core/corpus';
import { type Person } from '$core/people';
import type { Sheet } from '$core/dialect';
import { importedSource } from '$sources/imported-file';
import type { IndexedSource } from '$sources/indexed-source';
import { makeStandIn, moveStandIn, standIns, type KeptStandIn } from '$sources/stand-ins/stand-ins';
import { recallWorld, type KeptWorld } from '$sources/world/world';

// The index of a source is made once and lies in memory that all threads share; each makes of it, in little time, a source
// of its own.

const shared = (bytes: number) => new SharedArrayBuffer(bytes);

type SharedParts = Omit<IndexParts, 'ids' | 'words'> & { ids: PackedStrings; words: PackedStrings };
export type SharedStandIn = Extract<SharedSource, { kind: 'stand-in' }>;
export type SharedSource =
  | { kind: 'stand-in'; id: string; world: KeptWorld; day: number; order: Uint32Array; parts: SharedParts }
  | { kind: 'file'; id: string; sheet: Sheet; people: PackedStrings; parts: SharedParts };

type Numbers = Float64Array | Uint32Array | Int32Array | Uint16Array | Uint8Array;

function shareArray<A extends Numbers>(array: A): A {
  const copy = new (array.constructor as new (memory: ArrayBufferLike) => A)(shared(array.byteLength));
  copy.set(array as never);
  return copy;
}

function shareParts({ ids, words, numbers, own, ...arrays }: IndexParts): SharedParts {
  return {
    ids: packStrings(ids, shared),
    words: packStrings(words, shared),
    own,
    numbers: Object.fromEntries(Object.entries(numbers).map(([fact, column]) => [fact, shareArray(column!)])) as never,
    ...(Object.fromEntries(Object.entries(arrays).map(([name, array]) => [name, shareArray(array)])) as typeof arrays)
  };
}

const partsOf = ({ ids, words, ...rest }: SharedParts): IndexParts => ({
  ids: unpackStrings(ids),
  words: unpackStrings(words),
  ...rest
});

export const shareWorld = ({ luck, namesakes, firms, began }: KeptWorld): KeptWorld => ({
  luck: shareArray(luck),
  namesakes: shareArray(namesakes),
  firms: shareArray(firms),
  began: shareArray(began)
});

/** A stand-in on a day of a world that is shared already. */
export const shareStandIn = (
  id: string,
  world: KeptWorld,
  day: number,
  { order, parts }: KeptStandIn
): SharedStandIn => ({
  kind: 'stand-in',
  id,
  world,
  day,
  order: shareArray(order),
  parts: shareParts(parts)
});

export const shareFile = (sheet: Sheet, people: readonly string[], parts: IndexParts): SharedSource => ({
  kind: 'file',
  id: sheet.id,
  sheet,
  people: packStrings(people, shared),
  parts: shareParts(parts)
});

/** People of a file, each read when asked for. */
const packedPeople = (people: PackedStrings): PeopleList => ({
  length: people.starts.length - 1,
  at: (row) => {
    const written = stringAt(people, row);
    return written === undefined ? undefined : (JSON.parse(written) as Person);
  }
});

const worlds = new WeakMap<object, ReturnType<typeof recallWorld>>();

/** All stand-ins are over one world. While it moves on some are at its new day before the others. */
function worldOf({ world, day }: SharedStandIn): ReturnType<typeof recallWorld> {
  let open = worlds.get(world.luck.buffer);
  if (open?.day !== day) worlds.set(world.luck.buffer, (open = recallWorld(world, day)));
  return open;
}

const standInOf = (id: string) => standIns.find(({ sheet }) => sheet.id === id)!;

/** The source that a thread makes of what is shared. */
export function openShared(source: SharedSource): IndexedSource {
  const parts = partsOf(source.parts);
  if (source.kind === 'file') return importedSource(source.sheet, packedPeople(source.people), parts);
  return makeStandIn(standInOf(source.id), worldOf(source), { order: source.order, parts }).source;
}

/** A stand-in on a later day of its world, in separate memory. */
export function moveShared(source: SharedStandIn, day: number): SharedStandIn {
  const kept = { order: source.order, parts: partsOf(source.parts) };
  const moved = moveStandIn(standInOf(source.id), kept, source.day, worldOf({ ...source, day }));
  return shareStandIn(source.id, source.world, day, moved);
}
