import { coveredTerms } from '../semantics/simplify';
import { print } from '../language/print';
import type { Phrase } from '../language/query';
import { tokenKeys } from '../language/tokens';
import { languageNames } from '../titles/lexicon';
import { languageOf, wordings, type Nearness, type WordingOptions } from '../titles/wordings';
import type { WordSet } from './word-set';

/** One line of the table of wordings of a title: one that is in the set, or a proposal. */
export interface WordingRow {
  text: string;
  state: 'in use' | 'set aside' | 'proposed' | 'refused';
  /** How near it is to the title; `own` for what the person typed or took in otherwise. */
  nearness: Nearness | 'own';
  language: string;
  why: string;
  /** The wording in use that finds all of its people already: such a wording is free of cost and brings nobody. */
  coveredBy: string | null;
}

const originWords = {
  typed: 'typed',
  lexicon: 'from the lexicon',
  built: 'built',
  translated: 'translated',
  found: 'found in results'
};

/** The wordings of a set with all that is proposed for its title, those in the set first. */
export function wordingTable(set: WordSet, options: WordingOptions = {}): WordingRow[] {
  const inSet = new Map(set.wordings.map((one) => [nameOf(one.text), one]));
  const refused = new Set(set.refused.map(nameOf));
  const proposals = new Map(wordings(set.name, options).map((one) => [nameOf(one.text), one]));
  const covered = coveredIn(set);
  const rows: WordingRow[] = set.wordings.map((one) => {
    const proposal = proposals.get(nameOf(one.text));
    return {
      text: one.text,
      state: one.inUse ? 'in use' : 'set aside',
      nearness: proposal?.nearness ?? 'own',
      language: languageNames[proposal?.language ?? languageOf(one.text)],
      why: proposal?.why ?? originWords[one.origin],
      coveredBy: covered.get(nameOf(one.text)) ?? null
    };
  });
  for (const [name, { text, nearness, language, why }] of proposals) {
    if (inSet.has(name)) continue;
    rows.push({
      text,
      state: refused.has(name) ? 'refused' : 'proposed',
      nearness,
      language: languageNames[language],
      why,
      coveredBy: coverOf(text, set)
    });
  }
  return rows;
}

const nameOf = (text: string) => tokenKeys(text).join(' ');
const phrase = (text: string): Phrase => ({ kind: 'phrase', scope: 'title', text });

/** Wordings in use that another one in use makes needless, by name. */
function coveredIn(set: WordSet): Map<string, string> {
  const parts = set.wordings.filter(({ inUse, text }) => inUse && nameOf(text)).map(({ text }) => phrase(text));
  return new Map(
    [...coveredTerms(parts, 'or', 'notation')].map(([long, by]) => [nameOf((long as Phrase).text), by.text])
  );
}

/** The wording in use that would make a new one needless. */
function coverOf(text: string, set: WordSet): string | null {
  const name = ` ${nameOf(text)} `;
  return (
    set.wordings.find((one) => one.inUse && nameOf(one.text) && name.includes(` ${nameOf(one.text)} `))?.text ?? null
  );
}

/** Wordings as one quoted group, ready for a string. */
export const groupOf = (texts: readonly string[]): string =>
  `(${texts
    .filter((text) => nameOf(text))
    .map((text) => (tokenKeys(text).length > 1 ? print({ kind: 'phrase', scope: 'any', text }) : text))
    .join(' OR ')})`;
