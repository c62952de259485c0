import { models } from '../../database/models';
import type { ShortlistRow } from '../../database/shortlist-models';
import { notFound } from '../../refusal';

export async function findShortlist(briefId: string, id: string): Promise<ShortlistRow> {
  const list = await models().Shortlist.findOne({ where: { id, briefId } });
  if (!list) throw notFound('This shortlist');
  return list;
}
