import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '$server/platform/database/connection';

/** The firms that a brief excludes, from every place that names some, and a mark that changes when they do. */
export interface ExcludedFirms {
  customers: string[];
  /** Firms to exclude, by its persona. */
  excluded: string[];
  /** All of them, competitors and own firms of its shortlists too. */
  all: string[];
  mark: string;
}

/** Customers belong to the brief: a list that is made later, a harvest and a watch leave them out too. */
export async function excludedFirms(briefId: string, transaction: Transaction | null = null): Promise<ExcludedFirms> {
  const [row] = await database().query<{
    excluded: string[];
    customers: string[];
    others: string[];
    persona: number;
    lists: string;
  }>(
    `SELECT coalesce(d.body->'notFirms', '[]') AS excluded, d.revision AS persona,
       (SELECT coalesce(jsonb_agg(DISTINCT f), '[]') FROM shortlists l, jsonb_array_elements(l.firms->'customers') f WHERE l.brief_id = d.brief_id) AS customers,
       (SELECT coalesce(jsonb_agg(DISTINCT f), '[]') FROM shortlists l, jsonb_array_elements((l.firms->'competitors') || (l.firms->'own')) f WHERE l.brief_id = d.brief_id) AS others,
       (SELECT concat(count(*), '/', sum(revision)) FROM shortlists l WHERE l.brief_id = d.brief_id) AS lists
     FROM documents d WHERE d.brief_id = $briefId AND d.kind = 'persona'`,
    { bind: { briefId }, type: QueryTypes.SELECT, transaction }
  );
  const { excluded = [], customers = [], others = [], persona = 0, lists = '' } = row ?? {};
  return { customers, excluded, all: [...excluded, ...customers, ...others], mark: `${persona} ${lists}` };
}
