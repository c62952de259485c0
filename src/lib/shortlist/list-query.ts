import { groups, type plainColumns } from './words';

/** How a list is looked at: filter, order, columns and grouping, as the address of the page and a saved view have it. */
export interface ListQuery {
  filter: Record<FilterName, string>;
  /** Columns, the first leading; with a minus the other way round. */
  sort: string[];
  columns: string[];
  group: GroupName;
}
export const filterNames = ['words', 'country', 'company', 'tag', 'rank', 'verdict', 'mail', 'leftOut', 'due'] as const;
export type FilterName = (typeof filterNames)[number];

export type GroupName = keyof typeof groups;

export type PlainColumn = keyof typeof plainColumns;
const usual: readonly string[] = ['title', 'company', 'mail', 'mailState', 'verdict', 'tags', 'leftOut'];
/** Columns that the server cannot put in order. */
export const unsorted: ReadonlySet<string> = new Set(['phone', 'note', 'greeting']);

const nothing = () => Object.fromEntries(filterNames.map((name) => [name, ''])) as ListQuery['filter'];

export function readQuery(search: string): ListQuery {
  const given = new URLSearchParams(search);
  const group = given.get('group') ?? '';
  const list = (name: string) => given.get(name)?.split(',').filter(Boolean);
  return {
    filter: Object.fromEntries(
      filterNames.map((name) => [name, given.get(name) ?? nothing()[name]])
    ) as ListQuery['filter'],
    sort: list('sort') ?? [],
    columns: list('columns') ?? [...usual],
    group: group in groups ? (group as GroupName) : 'country'
  };
}

/** The same as text; what is usual is left out. */
export function writeQuery({ filter, sort, columns, group }: ListQuery): string {
  const reply = new URLSearchParams();
  for (const name of filterNames) if (filter[name]) reply.set(name, filter[name]);
  if (sort.length) reply.set('sort', sort.join(','));
  if (columns.join() !== usual.join()) reply.set('columns', columns.join(','));
  if (group !== 'country') reply.set('group', group);
  return reply.toString();
}

/** The order after a press on a column's heading: up, down, then none; beside the others where `more`. */
export function sortedBy(sort: readonly string[], column: string, more: boolean): string[] {
  const others = more ? sort.filter((one) => one !== column && one !== `-${column}`) : [];
  const now = sort.includes(column) ? `-${column}` : sort.includes(`-${column}`) ? null : column;
  if (now === null) return others;
  const at = more ? sort.findIndex((one) => one === column || one === `-${column}`) : -1;
  if (at < 0) return [...others, now];
  return [...others.slice(0, at), now, ...others.slice(at)];
}
