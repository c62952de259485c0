import { IndexedSource } from '../indexed-source';
import { makeWorld, type World } from '../world/world';
import { harrowPeople, lanternfieldPeople, marlowPeople, quillbankPeople } from './records';
import { harrowGuild, lanternfield, marlowRegister, quillbank } from '$core/dialect/sheets';

/** People in the demo world that ships with Eave. */
export const demoWorldSize = 80_000;

/** Every stand-in over one world. */
export function makeStandIns(world: World = makeWorld(demoWorldSize)): IndexedSource[] {
  return [
    new IndexedSource(harrowGuild, harrowPeople(world)),
    new IndexedSource(lanternfield, lanternfieldPeople(world)),
    new IndexedSource(quillbank, quillbankPeople(world)),
    new IndexedSource(marlowRegister, marlowPeople(world))
  ];
}
