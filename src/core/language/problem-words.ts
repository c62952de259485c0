import type { ProblemCode } from './problem';

const cut = (text: string, most: number) => text.slice(0, most);
const shortened = (text: string) => (text.length > 40 ? `${text.slice(0, 40)}…` : text);
const listed = (words: readonly string[]) => [...new Set(words)].map((word) => `“${word}”`).join(', ');
const takeItOut = 'Remove it';
const write = (what: string) => `Write ${what}`;

/**
 * What is said of each problem, and what its fix is called, by the problem's code: the one place where strings are spoken of in
 * English. Another language is another object of this shape.
 */
export const problemWords = {
  'too-long': {
    says: (kibibytes: number, most: number) =>
      `This string is ${kibibytes} KiB long; the limit is ${most} KiB. Split it into several strings.`
  },
  'too-many-terms': {
    says: (most: number) =>
      `The string has more than ${most.toLocaleString('en')} terms. Split it into several strings.`
  },
  'too-deep': {
    says: (most: number) => `Brackets are nested more than ${most} levels deep here. Close or remove some.`
  },
  'hidden-character': {
    says: 'There’s an invisible character here; it is read as a space.',
    fix: 'Replace it with a space'
  },
  'stray-sign': {
    says: (sign: string) => `“${cut(sign, 20)}” has no letter or digit, so it can’t match anything and is ignored.`,
    fix: takeItOut
  },
  'unclosed-quote': {
    says: 'This quote is never closed. Add a " where the phrase ends.',
    fix: 'Close it at the end'
  },
  'unclosed-bracket': {
    ofRange: 'This [ is never closed. Write a range like [51 TO 1000].',
    ofGroup: 'This bracket is never closed. Add a ) where the group ends.',
    fix: 'Close it at the end',
    fixWithQuote: 'Close the quote and the bracket at the end'
  },
  'unopened-bracket': {
    says: 'This ) has no opening bracket. Remove it, or add a ( before the group.',
    fix: 'Remove it',
    fixBoth: (both: string) => `Remove “${cut(both, 20)}”`
  },
  'empty-group': { says: 'This group is empty. Add words or remove it.', fix: takeItOut },
  'empty-phrase': {
    says: 'These quotes are empty. Add words or remove them.',
    fix: 'Remove them'
  },
  'empty-scope': {
    says: 'Put a word, a phrase or a bracket right after the scope. An exclusion goes before it, as in NOT title:intern.'
  },
  'unknown-scope': {
    says: (name: string) =>
      `There is no scope “${name}”. Use title, company, about, country, headcount or another; if the colon is part of the words, quote them.`,
    fix: 'Search the whole profile'
  },
  'doubled-scope': {
    says: 'Two scopes in a row: only the second counts. Remove one.',
    fix: 'Remove the first'
  },
  'misplaced-operator': {
    says: (operator: string) =>
      `${operator} has nothing to join here. Put it between two parts (NOT and - go before one).`,
    fix: (operator: string) => `Remove ${operator}`
  },
  'lower-case-operator': {
    says: (word: string) => `“${word}” is read as a search word. Operators are written in capitals.`,
    fix: write,
    fixAlone: takeItOut,
    fixExcluded: (word: string) => `Quote “${word}”`
  },
  'foreign-operator': {
    says: (sign: string, operator: string) =>
      `“${sign}” is read as ${operator}. Write the word; every source understands it.`,
    comma: (sign: string) => `“${sign}” in brackets is read as OR: either side is enough.`,
    fix: write
  },
  'curly-quotes': {
    says: 'These are curly quotes, which many sources don’t understand. Eave reads them as plain quotes.',
    fix: 'Write plain quotes'
  },
  'long-dash': {
    says: 'This long dash is read as a minus sign: what follows is excluded.',
    fix: 'Write a plain -'
  },
  'unquoted-title': {
    says: (words: number) =>
      `Without quotes, these ${words} words match in any order, anywhere. Quote them to match the phrase.`,
    fix: (phrase: string) => `Quote “${cut(phrase, 60)}”`
  },
  'unquoted-exclusion': {
    says: (excluded: string, searched: string) =>
      `Only “${excluded}” is excluded; “${searched}” is searched for. Quote the words to exclude the phrase.`
  },
  'mixed-operators': {
    says: (reading: string) => `AND and OR are mixed without brackets. This is read as: ${reading}`,
    fix: 'Add these brackets'
  },
  'bad-range': {
    closesNothing: 'This ] has no opening bracket. Write a range like [51 TO 1000].',
    withoutTo: (range: string) => `A range needs TO between its bounds: this is read as ${range}.`,
    oneBound: 'A range needs two bounds with TO between them, as in [51 TO 1000] or [51 TO *].',
    noNumber: (bound: string) =>
      `“${cut(bound, 40)}” isn’t a number. Use digits, as in [51 TO 1000], or * for no bound.`,
    noDays: (scope: string) => `“${scope}” is a number, not a date. Use digits, as in [51 TO 1000], or * for no bound.`,
    thousands: (range: string) => `Thousands separators are ignored: this is read as ${range}.`,
    wrongWayRound: (low: number, high: number) =>
      `There’s nothing between ${low} and ${high}: put the lower bound first.`,
    fix: write,
    fixOut: takeItOut,
    fixSwap: 'Swap them'
  },
  'bad-number': {
    says: (text: string, scope: string) =>
      `“${cut(text, 40)}” isn’t a number, and ${scope} takes numbers. Write a range, as in ${scope}:[51 TO 1000].`,
    readAs: (range: string) => `This is read as ${range}.`,
    fix: write
  },
  'range-on-words': {
    says: (scope: string) =>
      `“${scope}” holds words, so a range finds nobody. Ranges work with headcount, growth, tenure, moved, active, founded and own fields.`
  },
  'unknown-value': {
    country: (text: string, meant: string | null) =>
      `“${shortened(text)}” isn’t a country in ISO 3166-1, so it is searched as text, which rarely matches.${
        meant ? ` Did you mean ${meant}?` : ' Use place for a town or region.'
      }`,
    industry: (text: string, meant: { code: string; name: string } | null) =>
      `“${shortened(text)}” isn’t a division of ISIC Rev. 4, so few records have it as their industry. ${
        meant
          ? `The nearest is ${meant.code}, ${meant.name}.`
          : 'Write a division such as 46, or search for words in firms’ texts.'
      }`,
    listed: (scope: string, values: readonly string[], text: string) =>
      `${scope} is ${values.slice(0, -1).join(', ')} or ${values.at(-1)}; “${shortened(text)}” matches nobody.`,
    fix: write
  },
  'short-wildcard': {
    says: (word: string) =>
      `A * needs at least three letters before it; “${word}” would match almost anyone. The * is ignored.`,
    fix: 'Remove the *'
  },
  'wildcard-in-phrase': {
    says: 'A * inside quotes isn’t a wildcard; it is ignored.',
    fix: (many: boolean) => (many ? 'Remove them' : takeItOut)
  },
  'misplaced-wildcard': { says: 'A * only works at the end of a word; here it is ignored.', fix: takeItOut },
  'only-exclusions': {
    says: 'This string only excludes, and most sources return nothing for that. Add what you’re looking for.'
  },
  'unclosed-muted': {
    says: 'This disabled part never ends. Add */ where it ends.',
    fix: 'End it here'
  },
  'unknown-set': {
    says: (name: string) =>
      `There’s no word set called “${name}”. Choose one from the library, or quote the text if it isn’t a set.`,
    fix: 'Search for the words'
  },
  'repeated-term': { says: (text: string) => `“${shortened(text)}” appears twice in this group.`, fix: takeItOut },
  'covered-wording': {
    says: (long: string, by: string) => `${long} is already covered by ${by}, so it adds nobody.`,
    fix: takeItOut
  },
  'wanted-and-excluded': {
    says: (unwanted: string) => `${unwanted} is both searched for and excluded, so it finds nobody.`,
    fix: 'Remove the exclusion'
  },
  'exclusion-hits-wanted': {
    says: (wanted: readonly string[]) =>
      `This exclusion removes everyone found by ${wanted.slice(0, 3).join(', ')}${
        wanted.length > 3 ? ` and ${wanted.length - 3} more` : ''
      }, which you’re looking for. Exclude a longer phrase, or ignore this.`,
    fix: 'Remove the exclusion'
  },
  'never-matches': {
    countries: 'This can never match: a person has one country. Join the countries with OR.',
    says: 'This can never match: its parts contradict each other. Change one of them.'
  },
  'always-true': { says: 'This matches everyone, so it narrows nothing. Remove it.', fix: takeItOut },
  'several-meanings': {
    says: (text: string, meanings: readonly string[]) =>
      `“${shortened(text)}” has several meanings: ${meanings.join('; ')}. Add a word that tells them apart.`
  },
  'spelling-pair': {
    says: (text: string, other: string) =>
      `“${shortened(text)}” is also spelled “${other}”; this finds only one of them.`,
    fix: (written: string) => `Add ${written}`
  },
  'stop-words': {
    says: (source: string, dropped: readonly string[], kept: readonly string[]) =>
      kept.length
        ? `${source} ignores ${listed(dropped)} inside quotes: it also finds “${kept.join(' ')}”.`
        : `${source} ignores ${listed(dropped)} inside quotes, so there’s nothing left to search for.`
  },
  'over-limit': {
    shared: (source: string, limit: string, searches: number) =>
      `${source} takes ${limit}: this string is split into ${searches} searches.`,
    checked: (source: string, limit: string) =>
      `${source} takes ${limit}: Eave searches for what fits and checks the rest on the results.`,
    beyond: (source: string, limit: string) => `${source} takes ${limit}, and this string needs more. Shorten it.`
  },
  'read-otherwise': {
    says: (source: string, there: string, here: string) =>
      `${source} would read this as ${there}; here it means ${here}. The search on its card is written to be read correctly.`
  },
  'unlisted-fact': {
    says: (source: string, scopes: readonly string[]) =>
      `${source} doesn’t list ${scopes.map((scope) => (scope === 'any' ? 'the whole profile' : scope)).join(' or ')}, so nobody there is certain to match this part, only possible. Judge people one by one, or remove the part there.`
  },
  'value-not-offered': {
    says: (source: string, fact: string, value: string, nearest: readonly string[]) =>
      `${source} doesn’t offer “${value}” for ${fact}, so this part finds nobody there.${nearest.length ? ` The nearest it offers: ${nearest.join(', ')}.` : ''}`
  }
} satisfies Record<ProblemCode, object>;
