import { makeStandIn, moveStandIn, standIns } from '../src/sources/stand-ins/stand-ins';
import { makeWorld, recallWorld } from '../src/sources/world/world';

// The stand-ins after their world has moved on, held to making them anew for that day in the same run.

const size = Number(process.env.WORLD_PEOPLE ?? 100_000);
const timed = <T>(work: () => T): [T, number] => {
  const begun = performance.now();
  const made = work();
  return [made, performance.now() - begun];
};

const world = makeWorld(size);
console.log(`\n${size.toLocaleString('en')} people, moved on a day, a week and a month`);
for (const standIn of standIns) {
  const { kept } = makeStandIn(standIn, world);
  const [, anew] = timed(() => makeStandIn(standIn, recallWorld(world.kept, 30)));
  const ratios = [1, 7, 30].map((day) => {
    const [, moved] = timed(() => moveStandIn(standIn, kept, 0, recallWorld(world.kept, day)));
    return `${(anew / moved).toFixed(1)} ×`;
  });
  console.log(`${standIn.sheet.name.padEnd(16)} as fast as made anew: ${ratios.join(', ')}`);
}
