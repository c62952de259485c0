import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { firmKey } from '$core/people';
import { models } from '$server/platform/database/models';
import { notFound, refuse } from '$server/platform/refusals';

/** Customers that a shortlist can leave out. */
export const maxCustomers = 5000;

/**
 * Adds firms to the customers that the shortlists of a brief leave out, anybody who else changes these meanwhile; where there is no
 * shortlist one is started. Gives how many came to any of them, and how many stood there already.
 */
export async function addCustomers(briefId: string, firms: readonly string[], transaction: Transaction) {
  const { Brief, Shortlist } = models();
  if (!(await Brief.findByPk(briefId, { transaction, lock: true }))) throw notFound('This brief');
  const lists = await Shortlist.findAll({ where: { briefId }, transaction, lock: true });
  if (!lists.length)
    lists.push(await Shortlist.create({ id: randomUUID(), briefId, name: 'Shortlist', purpose: '' }, { transaction }));
  const added = new Set<string>();
  for (const list of lists) {
    const { customers } = list.firms;
    const met = new Set(customers.map(firmKey));
    const fresh = firms.filter((firm) => !met.has(firmKey(firm)));
    if (customers.length + fresh.length > maxCustomers)
      throw refuse('too-many-customers', list.name, maxCustomers, customers.length + fresh.length);
    if (!fresh.length) continue;
    await list.update(
      { firms: { ...list.firms, customers: [...customers, ...fresh] }, revision: list.revision + 1 },
      { transaction }
    );
    for (const firm of fresh) added.add(firmKey(firm));
  }
  return { added: added.size, there: firms.length - added.size };
}
