import type { Body } from '$api';

type Onto = NonNullable<Body<'startImport'>['onto']>;
const lists: readonly string[] = ['contacted', 'known', 'customers', 'objected'] satisfies Onto['list'][];

/** The list that the people of a file will join, as chosen or given in a link: `contacted BRIEF`. Null for a source. */
export function readOnto(chosen: string): Onto | null {
  const [list = '', briefId = null] = chosen.split(' ');
  return lists.includes(list) ? { list: list as Onto['list'], briefId } : null;
}
