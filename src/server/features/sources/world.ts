import { literal } from 'sequelize';
import { standInSheets } from '$core/dialect';
import { dateOf, dayAfter, lastDay, type Step } from '$sources/world/calendar';
import { models, type SourceRow } from '$server/platform/database/models';
import { changedElsewhere } from '$server/platform/refusals';
import { findSource, prepareStandIns } from './sources';

const anyStandIn = standInSheets[0]!.id;

/** The day at which the world of the stand-ins is. */
export const readWorld = async () => serialize(await findSource(anyStandIn));

const serialize = ({ worldDay: day }: SourceRow) => ({ day, date: dateOf(day), isLast: day === lastDay });

/** Moves the world of the stand-ins on from a day, or back to its first; all their people are made ready for that day. */
export async function moveWorld({ from, step }: { from: number; step: Step | 'first day' }) {
  const to = step === 'first day' ? 0 : dayAfter(from, step);
  // Nobody else may have moved it meanwhile.
  const [moved] = await models().Source.update(
    { worldDay: to, peopleRevision: literal('people_revision + 1') },
    { where: { kind: 'stand-in', worldDay: from } }
  );
  if (!moved) throw changedElsewhere('The day of the demo world', await readWorld());
  const source = await findSource(anyStandIn);
  void prepareStandIns(source);
  return serialize(source);
}
