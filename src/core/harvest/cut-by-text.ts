import { readSearch } from '../dialect/search';
import { render } from '../dialect/render';
import type { Search } from '../dialect/search-schema';
import type { Sheet } from '../dialect/sheet';
import { print } from '../language/print';
import { join, terms, type Query, type Or } from '../language/query';
import { isTextScope } from '../language/scopes';
import { tokenKeys } from '../language/tokens';
import type { Person } from '../people/person';
import { matcher } from '../semantics/matches';
import { matchingOf } from '../semantics/matching';
import { valuesOf, searches } from '../people/values';
import type { CutNeeds } from './cut-by-fact';
import type { Cut, CutPart } from './slice';

/** The one search that says a query exactly at a source; null where it takes more, or cannot say it. */
export function oneSearch(query: Query, sheet: Sheet): Search | null {
  const { searches: all, exactness, leftover } = render(query, sheet);
  return exactness === 'exact' && !leftover && all.length === 1 ? all[0]! : null;
}

/** How many of the rows seen meet a query, of all that are expected. */
function expectedOf(query: Query, { sheet, seen, count }: CutNeeds): number {
  if (!seen.length) return count / 2;
  const meets = matcher(query, matchingOf(sheet.matching));
  return (seen.filter((person) => meets(person)).length * count) / seen.length;
}

/** The search split in two by the alternatives of its largest group; the second half excludes the first where the source can. */
export function cutByAlternatives(search: Search, needs: CutNeeds): Cut | null {
  const { sheet } = needs;
  const asked = readSearch(search, sheet);
  if (!asked) return null;
  const parts = asked.kind === 'and' ? asked.parts : [asked];
  const groups = parts
    .filter((part): part is Or => part.kind === 'or' && [...terms(part)].every(({ term }) => isTextScope(term.scope)))
    .sort((a, b) => b.parts.length - a.parts.length);
  for (const group of groups) {
    const others = parts.filter((part) => part !== group);
    const half = Math.ceil(group.parts.length / 2);
    const [first, second] = [join('or', group.parts.slice(0, half)), join('or', group.parts.slice(half))];
    const one = join('and', [...others, first]);
    const [alone, apart] = [
      join('and', [...others, second]),
      join('and', [...others, second, { kind: 'not', part: first }])
    ];
    const firstSearch = oneSearch(one, sheet);
    const apartSearch = oneSearch(apart, sheet);
    const secondSearch = apartSearch ?? oneSearch(alone, sheet);
    if (!firstSearch || !secondSearch) continue;
    const part = (written: Search, query: Query, what: string): CutPart => ({
      search: written,
      what,
      expected: expectedOf(query, needs),
      rest: false
    });
    return {
      by: { kind: 'alternatives' },
      parts: [
        part(firstSearch, one, short(first)),
        part(
          secondSearch,
          apartSearch ? apart : alone,
          apartSearch ? `${short(second)}, without the others` : short(second)
        )
      ],
      lost: null
    };
  }
  return null;
}

const short = (query: Query): string => {
  const text = print(query);
  return text.length > 60 ? `${text.slice(0, 59)}…` : text;
};

/** The search cut in two by a word that is in about half of the rows seen: those with it, and those without. */
export function cutByWord(search: Search, needs: CutNeeds): Cut | null {
  const { sheet, seen } = needs;
  const box = sheet.boxes.find(({ searches: scope }) => scope === 'any');
  const asked = readSearch(search, sheet);
  if (!box || !asked || !seen.length) return null;
  const used = new Set([...terms(asked)].flatMap(({ term }) => ('text' in term ? tokenKeys(term.text) : [])));
  for (const { word } of halvingWords(seen, used)) {
    const term: Query = { kind: 'word', scope: 'any', text: word };
    const [withIt, without] = [join('and', [asked, term]), join('and', [asked, { kind: 'not', part: term } as Query])];
    const [one, other] = [oneSearch(withIt, sheet), oneSearch(without, sheet)];
    const expected = expectedOf(withIt, needs);
    // One that the source drops, or that nearly all or nobody there has, cuts nothing off.
    if (!one || !other || expected < needs.count * least || expected > needs.count * (1 - least)) continue;
    return {
      by: { kind: 'word', word },
      parts: [
        { search: one, what: `with “${word}”`, expected, rest: false },
        { search: other, what: `without “${word}”`, expected: expectedOf(without, needs), rest: true }
      ],
      lost: null
    };
  }
  return null;
}

/** The least share of the rows that a word has to cut off. */
const least = 0.02;
/** Words that are tried at most. */
const maxWords = 12;

/** The words of the rows seen, and in how many each stands. */
export function wordsOfRows(seen: readonly Person[]): Map<string, number> {
  const rows = new Map<string, number>();
  for (const person of seen) {
    const words = new Set<string>();
    for (const { field, text } of valuesOf(person))
      if (searches('any', field)) for (const key of tokenKeys(text)) if (/^\p{L}{3,}$/u.test(key)) words.add(key);
    for (const word of words) rows.set(word, (rows.get(word) ?? 0) + 1);
  }
  return rows;
}

/** Words of the rows seen, those first that are in nearest to half of them. */
export function halvingWords(seen: readonly Person[], without: ReadonlySet<string>): { word: string; rows: number }[] {
  return [...wordsOfRows(seen)]
    .filter(([word, n]) => n < seen.length && !without.has(word))
    .sort((a, b) => Math.abs(a[1] - seen.length / 2) - Math.abs(b[1] - seen.length / 2) || (a[0] < b[0] ? -1 : 1))
    .slice(0, maxWords)
    .map(([word, n]) => ({ word, rows: n }));
}
