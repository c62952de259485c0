import type { Search } from '$core/dialect';

const list = new Intl.ListFormat('en', { type: 'disjunction' });

/** A fact of a search in words: `Denmark or Sweden`, `51 to 1,000`, `not: 62`. */
export function factWords({ include, exclude, range }: Search['facts'][number]): string {
  const bound = (value: number | null, open: string) => (value === null ? open : value.toLocaleString('en'));
  return [
    include && list.format(include),
    exclude && `not: ${list.format(exclude)}`,
    range && `${bound(range.low, 'any')} to ${bound(range.high, 'any')}`
  ]
    .filter(Boolean)
    .join('; ');
}
