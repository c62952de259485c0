import type { Transaction } from 'sequelize';
import * as z from 'zod';
import { contactKeys, type Person } from '$core/people';
import { documentSchemas } from '$api/documents';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import { check } from '$server/platform/check';
import { notFound } from '$server/platform/refusals';
import { peopleWithoutObjected } from '$server/records/objections/objected';

/** How somebody on a list of people is known again. */
const listKeys = {
  known: ({ name, jobs }: Person) => [`${name} ${jobs?.[0]?.company ?? ''}`.toLowerCase()],
  contacted: contactKeys
};

/**
 * Adds people to a list of a brief, anybody who else writes it meanwhile; those who are there stay as they are. `idAt` names anybody who
 * comes to a place of it. Gives how many came, how many were there already, and the list's revision. Refuses where the brief is
 * gone, or the list would be too long.
 */
export async function addToList(
  briefId: string,
  list: keyof typeof listKeys,
  given: readonly Person[],
  transaction: Transaction,
  idAt: (at: number, person: Person) => string = (_, { id }) => id
) {
  const people = await peopleWithoutObjected('list', given, transaction);
  const row = await models().Document.findOne({ where: { briefId, kind: list }, transaction, lock: true });
  if (!row) throw notFound('This brief');
  const before = documentSchemas[list].parse(row.body);
  const met = new Set(before.flatMap(listKeys[list]));
  const fresh = people.filter((person) => {
    const keys = listKeys[list](person);
    const isFresh = !keys.some((key) => met.has(key));
    for (const key of keys) met.add(key);
    return isFresh;
  });
  const body = [...before, ...fresh.map((one, i) => ({ ...one, id: idAt(before.length + i, one) }))];
  const revision = row.revision + 1;
  await row.update(
    { ...check(z.object({ body: documentSchemas[list] }), { body }, 'what was sent'), revision },
    { transaction }
  );
  return { added: fresh.length, there: people.length - fresh.length, revision };
}

/** Adds people to the known-goods of a brief. */
export const addKnown = (briefId: string, given: readonly Person[]) =>
  database().transaction(async (transaction) => {
    const { added, revision } = await addToList(briefId, 'known', given, transaction);
    return { added, revision };
  });
