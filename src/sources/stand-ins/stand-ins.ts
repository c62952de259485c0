import { type IndexParts, PeopleIndex, updateIndexParts } from '$core/corpus';
import { type Sheet, harrowGuild, lanternfield, marlowRegister, quillbank } from '$core/dialect';
import { hashText } from '$core/measure';
import { matchingOf } from '$core/semantics';
import { IndexedSource } from '../indexed-source';
import { monthOf } from '../world/calendar';
import { makeWorld, type recallWorld, type World, type WorldPerson } from '../world/world';
import * as places from './records';
import { moveOrder, Records, type RecordRules } from './records';

/** People in the demo world that ships with Eave. */
export const demoWorldSize = 250_000;

/** The stand-ins: each its sheet, and what it knows of a world. */
export const standIns: readonly { sheet: Sheet; place: RecordRules }[] = [
  { sheet: harrowGuild, place: places.harrow },
  { sheet: lanternfield, place: places.lanternfield },
  { sheet: quillbank, place: places.quillbank },
  { sheet: marlowRegister, place: places.marlow }
];

/** What is kept of a stand-in between two starts: the order of its records and the parts of its index. */
export interface KeptStandIn {
  order: Uint32Array;
  parts: IndexParts;
}

const recordsOf = new WeakMap<IndexedSource, Records>();

/** The person of the world that a row of a stand-in is a record of; undefined at any other source. */
export const worldPersonAt = (source: IndexedSource, row: number): WorldPerson | undefined =>
  recordsOf.get(source)?.personOf(row);

/** A stand-in over a world; made out of what was kept of it, where that is there. */
export function makeStandIn({ sheet, place }: (typeof standIns)[number], world: World, kept?: KeptStandIn) {
  const records = new Records(world, place, kept?.order);
  const matching = matchingOf(sheet.matching);
  const index = kept ? PeopleIndex.fromParts(kept.parts, matching) : PeopleIndex.from(records, matching);
  const source = new IndexedSource(sheet, records, index);
  recordsOf.set(source, records);
  return { source, kept: { order: records.order, parts: index.parts } };
}

/**
 * What is kept of a stand-in after its world has moved on from one day to another. Only those are made again of whom the
 * stand-in has learnt something; all others grow older.
 */
export function moveStandIn(
  { sheet, place }: (typeof standIns)[number],
  kept: KeptStandIn,
  from: number,
  world: ReturnType<typeof recallWorld>
): KeptStandIn {
  const { order, from: rows, remade } = moveOrder(kept.order, place, from, world);
  const rebuilt = new Records(world, place, remade);
  const days = world.day - from;
  const parts = updateIndexParts(kept.parts, {
    from: rows,
    remade: PeopleIndex.from(rebuilt, matchingOf(sheet.matching)).parts,
    aged: { tenure: monthOf(world.day) - monthOf(from), moved: days, active: days }
  });
  return { order, parts };
}

/** Every stand-in over one world. */
export const makeStandIns = (world: World = makeWorld(demoWorldSize)): IndexedSource[] =>
  standIns.map((standIn) => makeStandIn(standIn, world).source);

/** Names all that the index of a stand-in depends on: another world, other records or another matching give another name. */
export const indexName = ({ sheet, place }: (typeof standIns)[number], size: number): string =>
  nameOf(sheet.id, size, [[...new Records(sampleWorld(), place)].slice(0, 40), sheet.matching, indexFormat]);

/** Names what was kept of a world in the same way. */
export const worldName = (size: number): string => nameOf('world', size, sampleWorld().people.slice(0, 40));

function nameOf(what: string, size: number, contents: unknown): string {
  const reply = JSON.stringify(contents);
  return `${what}-${size}-${hashText(reply).toString(36)}${hashText(`${reply}/2`).toString(36)}`;
}
/** Goes up when the parts of an index change their meaning. */
const indexFormat = 3;
let sample: ReturnType<typeof makeWorld> | undefined;
const sampleWorld = () => (sample ??= makeWorld(400));
