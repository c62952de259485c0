import { models } from '$server/platform/database/models';
import type { ShortlistRow } from '$server/platform/database/shortlist-models';
import { notFound } from '$server/platform/refusals';

export async function findShortlist(briefId: string, id: string): Promise<ShortlistRow> {
  const list = await models().Shortlist.findOne({ where: { id, briefId } });
  if (!list) throw notFound('This shortlist');
  return list;
}
