import { lettersKey } from '../people/letters-key';
import { countries, countryCode, countryName } from '../people/countries';
import { industries, industryCode, industryName, industryWithin } from '../people/industries';
import { languageCode, languageName } from '../people/languages';
import { functionOf, functions, languages as lexiconLanguages, ranks } from '../titles/lexicon';
import { fromLexicon } from '../titles/taken-up';
import { readTitle } from '../titles/read-title';
import { readNumber } from './person-from-row';
import type { StandardField } from './standard-fields';

/** What a value of a file represents, and whether that is sure: its very name is on the list, or only something like it. */
export interface Standard {
  value: string;
  sure: boolean;
}

/** Sizes of firm in words, as headcounts: EU recommendation 2003/361/EC, article 2. */
const sizes: Record<string, string> = Object.fromEntries(
  (
    [
      [
        '1-9',
        'micro; micro enterprise; microempresa; micro empresa; microimpresa; kleinstunternehmen; très petite entreprise; TPE; mikroprzedsiębiorstwo; mikroyritys; mikropodnik; mikrovirksomhed; mikroföretag'
      ],
      [
        '10-49',
        'small; small enterprise; pequeña; pequeña empresa; pequena empresa; piccola; piccola impresa; klein; kleines unternehmen; kleinbedrijf; petite entreprise; mała firma; pieni yritys; malý podnik; lille virksomhed; småföretag; liten bedrift'
      ],
      [
        '50-249',
        'medium; medium enterprise; mid-size; mediana; mediana empresa; média empresa; media impresa; mittel; mittleres unternehmen; mittelstand; middelgroot; moyenne entreprise; średnia firma; keskisuuri yritys; střední podnik; mellemstor virksomhed; medelstort företag; mellomstor bedrift'
      ],
      [
        '250+',
        'large; large enterprise; enterprise; grande; gran empresa; grande empresa; grande impresa; groß; großunternehmen; großes unternehmen; groot; grootbedrijf; grande entreprise; duża firma; suuryritys; velký podnik; stor virksomhed; storföretag; stor bedrift'
      ]
    ] as const
  ).flatMap(([size, words]) => words.split(';').map((word) => [lettersKey(word), size]))
);

const rankIds = new Set(ranks.map(({ id }) => id));
let rankWords: Map<string, string | null> | undefined;

/** Names that two would have belong to neither. */
function namesOf(entries: readonly { id: string; names: readonly string[] }[]): Map<string, string | null> {
  const found = new Map<string, string | null>();
  for (const { id, names } of entries)
    for (const name of [id, ...names]) {
      const key = lettersKey(name);
      const known = found.get(key);
      found.set(key, known === undefined || known === id ? id : null);
    }
  for (const { id } of entries) found.set(lettersKey(id), id);
  return found;
}

const functionNames = fromLexicon(() =>
  namesOf(functions().map(({ id, names }) => ({ id, names: lexiconLanguages.flatMap((language) => names[language]) })))
);

/** Confidence from which what a title says of rank or function is proposed. */
const readWell = 0.6;

/** The entry of the standard list that a value of a file represents; null where nothing like it is known. */
export function standardOf(field: StandardField, text: string): Standard | null {
  const written = text.trim();
  if (!written) return null;
  const sure = (value: string | null | undefined): Standard | null => (value ? { value, sure: true } : null);
  const like = (value: string | null | undefined): Standard | null => (value ? { value, sure: false } : null);
  switch (field) {
    case 'country':
      return sure(countryCode(written));
    case 'language':
      return sure(languageCode(written));
    case 'industry':
      return sure(industryCode(written)) ?? like(industryWithin(written));
    case 'headcount':
      return typeof readNumber(written) === 'number' ? sure(written) : like(sizes[lettersKey(written)]);
    case 'rank': {
      rankWords ??= namesOf(ranks.map(({ id, words }) => ({ id, names: words })));
      return sure(rankWords.get(lettersKey(written))) ?? like(titleSays(written, 'rank'));
    }
    case 'function':
      return sure(functionNames().get(lettersKey(written))) ?? like(titleSays(written, 'function'));
  }
}

function titleSays(text: string, what: 'rank' | 'function'): string | null {
  const read = readTitle(text);
  return read.confidence >= readWell ? read[what] : null;
}

/** Whether something is on a field's standard list. */
export function isStandard(field: StandardField, value: string): boolean {
  switch (field) {
    case 'country':
      return countryCode(value) === value;
    case 'language':
      return languageCode(value) === value;
    case 'industry':
      return industryName(value) !== undefined;
    case 'headcount':
      return typeof readNumber(value) === 'number';
    case 'rank':
      return rankIds.has(value);
    case 'function':
      return functionOf(value) !== undefined;
  }
}

/** An entry of a standard list as people read it: `55 Accommodation`, `Spain`. */
export function standardName(field: StandardField, value: string): string {
  if (field === 'country') return countryName(value);
  if (field === 'language') return languageName(value);
  return field === 'industry' ? `${value} ${industryName(value) ?? ''}`.trim() : value;
}

/** All of a standard list, in the order of its names; none where it is numbers. */
export function standardList(field: StandardField): { value: string; name: string }[] {
  const values: Record<StandardField, readonly string[]> = {
    country: countries().map(({ code }) => code),
    language: lexiconLanguages,
    industry: industries.map(({ code }) => code),
    headcount: [],
    rank: ranks.map(({ id }) => id),
    function: functions().map(({ id }) => id)
  };
  const list = values[field].map((value) => ({ value, name: standardName(field, value) }));
  return field === 'rank' || field === 'industry' ? list : list.sort((a, b) => a.name.localeCompare(b.name));
}

/** How two ways of writing a value are known for one. */
export const writtenKey = (text: string): string => lettersKey(text) || text.trim();
