import { fold, tokenKeys } from '../language/tokens';
import { composeTitles } from './compose-title';
import {
  abbreviations,
  fixedTitles,
  functionOf,
  functions,
  gendered,
  languageNames,
  languages,
  rankOf,
  ranks,
  type FixedTitle,
  type Language
} from './lexicon';
import { readTitle } from './read-title';
import { otherSpelling } from './spellings';
import { fromLexicon } from './taken-up';

/** How near a proposed wording is to the title it is proposed for, the nearest first. */
export const nearnesses = ['same', 'translated', 'rank', 'function'] as const;
export type Nearness = (typeof nearnesses)[number];

/** A wording proposed for a title. */
export interface ProposedWording {
  text: string;
  nearness: Nearness;
  language: Language;
  /** Why it is proposed, in words. */
  why: string;
}

export interface WordingOptions {
  /** Languages to propose in; all of the lexicon's where it is left out. */
  languages?: readonly Language[];
  nearness?: readonly Nearness[];
}

/** Wordings of one rank up or down, at the most. */
const maxBeside = 9;
/** Proposals of one nearness in one language, at the most. */
const maxOfAKind = 24;

/**
 * Wordings for a title, grouped by nearness: the same meaning, the same job in another language, one rank up or down,
 * a neighbouring function. Nothing is proposed twice, nor what is the title itself.
 *
 * @example wordings('Head of Quality', { languages: ['en', 'da'] }) // Quality Head, Head of QA, … Kvalitetschef …
 */
export function wordings(title: string, options: WordingOptions = {}): ProposedWording[] {
  const wantedLanguages = options.languages ?? languages;
  const wantedNearness: ReadonlySet<Nearness> = new Set(options.nearness ?? nearnesses);
  const seen = new Set([nameOf(title)]);
  const found: ProposedWording[] = [];
  const counts = new Map<string, number>();
  const add = (text: string, nearness: Nearness, language: Language, why: string) => {
    if (!wantedNearness.has(nearness) || !wantedLanguages.includes(language)) return;
    const name = nameOf(text);
    const kind = `${nearness} ${language}`;
    const count = counts.get(kind) ?? 0;
    if (!name || seen.has(name) || count >= maxOfAKind) return;
    seen.add(name);
    counts.set(kind, count + 1);
    found.push({ text, nearness, language, why });
  };

  const own = languageOf(title);
  for (const [text, why] of variantsOf(title, own)) add(text, 'same', own, why);
  const group = fixedGroupOf(title);
  const { rank, function: name } = group ?? readTitle(title);
  if (group)
    for (const language of ordered(wantedLanguages, own))
      for (const text of group.titles[language] ?? [])
        add(
          text,
          language === own ? 'same' : 'translated',
          language,
          reason(language, own, 'another name of the same job')
        );
  const rankEntry = rank ? rankOf.get(rank) : undefined;
  const entry = name ? functionOf(name) : undefined;
  // A title that follows no pattern, such as managing director, has none to vary.
  if (rankEntry && entry && !(group && entry.id === 'general management'))
    for (const language of ordered(wantedLanguages, own))
      for (const text of composeTitles(rankEntry, entry, language))
        add(
          text,
          language === own ? 'same' : 'translated',
          language,
          reason(language, own, `${rankEntry.id} and ${entry.id}, joined another way`)
        );
  if (rankEntry && entry) {
    const at = ranks.indexOf(rankEntry);
    for (const [other, step] of [
      [ranks[at - 1], 'up'],
      [ranks[at + 1], 'down']
    ] as const)
      if (other) {
        for (const one of fixedTitles())
          if (one.rank === other.id && one.function === entry.id)
            for (const text of one.titles[own]?.slice(0, 3) ?? [])
              add(text, 'rank', own, `one rank ${step}: ${other.id}`);
        for (const text of composeTitles(other, entry, own).slice(0, maxBeside))
          add(text, 'rank', own, `one rank ${step}: ${other.id}`);
      }
    for (const id of entry.near) {
      const near = functionOf(id);
      for (const text of near ? composeTitles(rankEntry, near, own).slice(0, 4) : [])
        add(text, 'function', own, `neighbouring function: ${id}`);
    }
  }
  return found.sort((a, b) => nearnesses.indexOf(a.nearness) - nearnesses.indexOf(b.nearness));
}

const nameOf = (text: string) => tokenKeys(text).join(' ');
const ordered = (wanted: readonly Language[], own: Language) =>
  [...wanted].sort((a, b) => Number(b === own) - Number(a === own));
const reason = (language: Language, own: Language, why: string) =>
  language === own ? why : `in ${languageNames[language]}: ${why}`;

const fixedByName = fromLexicon(() => {
  const found = new Map<string, FixedTitle>();
  for (const one of fixedTitles())
    for (const text of Object.values(one.titles).flat()) if (!found.has(nameOf(text))) found.set(nameOf(text), one);
  return found;
});
const fixedGroupOf = (title: string): FixedTitle | undefined => fixedByName().get(nameOf(title));

const lettersOf = (text: string) => nameOf(text).replaceAll(/[^\p{L}\p{N}]/gu, '');

/** For each language what its titles of a function contain at any rank: the letters of one of its names or stems. */
const namesOfFunctions = fromLexicon(() =>
  languages.map((language) => ({
    language,
    fixed: new Set(fixedTitles().flatMap(({ titles }) => (titles[language] ?? []).map(nameOf))),
    functions: functions().map((entry) => {
      let composed: Set<string> | undefined;
      return {
        letters: [...entry.names[language], ...(entry.stems[language] ?? [])].map(lettersOf),
        /** Names of all its titles: made when they are wanted, as few of the lexicon's ever are. */
        titles: () => (composed ??= new Set(ranks.flatMap((rank) => composeTitles(rank, entry, language).map(nameOf))))
      };
    })
  }))
);

/** The language a title is most likely written in; English where nothing indicates one. */
export function languageOf(title: string): Language {
  const [name, letters] = [nameOf(title), lettersOf(title)];
  const found = namesOfFunctions().find(
    (one) =>
      one.fixed.has(name) ||
      one.functions.some((entry) => entry.letters.some((part) => letters.includes(part)) && entry.titles().has(name))
  );
  return found?.language ?? 'en';
}

/** The title with short forms written out and the other way round, in the other gender, and in its other spelling. */
function variantsOf(title: string, own: Language): [string, string][] {
  const found: [string, string][] = [];
  const lower = title.toLowerCase();
  const replaced = (from: string, to: string, why: string) => {
    // Making an expression takes far longer than this, and there are hundreds.
    if (!lower.includes(from.toLowerCase())) return;
    const pattern = new RegExp(
      `(?<![\\p{L}\\p{N}&])${from.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\p{L}\\p{N}&])`,
      'iu'
    );
    if (pattern.test(title)) found.push([title.replace(pattern, to), why]);
  };
  for (const [short, long] of abbreviations) {
    replaced(short, long, `${short} written out`);
    replaced(long, short, `${long} as ${short}`);
  }
  for (const [one, other] of own === 'de' || own === 'fr' ? gendered : []) {
    replaced(one, other, 'the other gender');
    replaced(other, one, 'the other gender');
    if (fold(title).endsWith(fold(one)) && !title.includes(' '))
      found.push([title.slice(0, -one.length) + other.toLowerCase(), 'the other gender']);
  }
  const spelling = otherSpelling(tokenKeys(title));
  if (spelling)
    found.push([
      spelling.map((word) => word.charAt(0).toLocaleUpperCase() + word.slice(1)).join(' '),
      'the other spelling'
    ]);
  return found;
}
