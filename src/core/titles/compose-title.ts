import type { FunctionEntry, Language, RankEntry } from './lexicon';

const capital = (text: string) => text.charAt(0).toLocaleUpperCase() + text.slice(1);
/** Names that stay as they are written: QA, GxP compliance. */
const isAcronym = (text: string) => /[A-Z].*[A-Z]|&/.test(text);

/** English titles write their words with capitals, but for small ones. */
const titleCase = (text: string) =>
  text.replaceAll(/[\p{L}\p{N}&]+/gu, (word) =>
    /^(and|of|the|for|et|und|en|og|och|de|du|des|la|le)$/.test(word) || isAcronym(word) ? word : capital(word)
  );

/** Languages that write a function's name with a capital in a title, as it is its own noun there. */
const compounding: ReadonlySet<Language> = new Set(['de', 'nl', 'da', 'sv', 'no', 'fi']);

/** All ways in which one language joins a rank and a function, the most usual first. */
export function composeTitles(rank: RankEntry, entry: FunctionEntry, language: Language): string[] {
  const names = entry.names[language].map((name) =>
    language === 'en' ? titleCase(name) : compounding.has(language) ? capital(name) : name
  );
  const stems = entry.stems[language] ?? [];
  const titles = rank.patterns[language].flatMap((pattern) =>
    pattern.includes('{s}')
      ? stems.map((stem) => capital(pattern.replace('{s}', stem)))
      : names.map((name) => pattern.replace('{f}', name))
  );
  return [...new Set(titles.map((title) => title.replaceAll('--', '-').replace(/ -/g, '-')))];
}
