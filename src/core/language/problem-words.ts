import type { ProblemCode } from './problem';

const cut = (text: string, most: number) => text.slice(0, most);
const shortened = (text: string) => (text.length > 40 ? `${text.slice(0, 40)}…` : text);
const listed = (words: readonly string[]) => [...new Set(words)].map((word) => `“${word}”`).join(', ');
const takeItOut = 'Take it out';
const write = (what: string) => `Write ${what}`;

/**
 * What is said of each problem, and what its fix is called, by the problem's code: the one place where strings are spoken of in
 * English. Another language is another object of this shape.
 */
export const problemWords = {
  'too-long': {
    says: (kibibytes: number, most: number) =>
      `This string is ${kibibytes} KiB long; the most is ${most} KiB. Split it into several strings.`
  },
  'too-many-terms': {
    says: (most: number) =>
      `The string has more than ${most.toLocaleString('en')} terms. Split it into several strings.`
  },
  'too-deep': {
    says: (most: number) => `Brackets stand more than ${most} deep here. Close or take out some of them.`
  },
  'hidden-character': {
    says: 'A character that cannot be seen stands here; it is read as a space.',
    fix: 'Replace it with a space'
  },
  'stray-sign': {
    says: (sign: string) => `“${cut(sign, 20)}” has no letter or digit, so nothing can be found by it; it is left out.`,
    fix: takeItOut
  },
  'unclosed-quote': {
    says: 'This quote is never closed. Add a " where the phrase ends.',
    fix: 'Close it at the end'
  },
  'unclosed-bracket': {
    ofRange: 'This [ is never closed. A range is written [51 TO 1000].',
    ofGroup: 'This bracket is never closed. Add a ) where the group ends.',
    fix: 'Close it at the end',
    fixWithQuote: 'Close the quote and it at the end'
  },
  'unopened-bracket': {
    says: 'This ) closes nothing. Remove it, or open the group before it.',
    fix: 'Remove it',
    fixBoth: (both: string) => `Remove “${cut(both, 20)}”`
  },
  'empty-group': { says: 'Nothing stands in this group. Write words in it or take it out.', fix: takeItOut },
  'empty-phrase': {
    says: 'Nothing to find stands between these quotes. Write words there or take them out.',
    fix: 'Take them out'
  },
  'empty-scope': {
    says: 'A word, a phrase or a bracket belongs right after the scope. An exclusion goes before it, as in NOT title:intern.'
  },
  'unknown-scope': {
    says: (name: string) =>
      `There is no scope “${name}”. Known are title, company, about, country, headcount and others; quote the words if the colon belongs to them.`,
    fix: 'Search the whole profile'
  },
  'doubled-scope': {
    says: 'Two scopes stand in a row; the second one counts. Take one out.',
    fix: 'Take the first out'
  },
  'misplaced-operator': {
    says: (operator: string) =>
      `${operator} has nothing to join here. It stands between two parts (NOT and - before one).`,
    fix: (operator: string) => `Take ${operator} out`
  },
  'lower-case-operator': {
    says: (word: string) => `“${word}” is read as a word to find. Operators are written in capitals.`,
    fix: write,
    fixAlone: takeItOut,
    fixExcluded: (word: string) => `Quote “${word}”`
  },
  'foreign-operator': {
    says: (sign: string, operator: string) =>
      `“${sign}” is read as ${operator}; write the word, which every reader knows.`,
    comma: (sign: string) => `“${sign}” in brackets is read as OR: either side is enough.`,
    fix: write
  },
  'curly-quotes': {
    says: 'Curly quotes come from a document; many sources do not read them. They are read as plain quotes here.',
    fix: 'Write plain quotes'
  },
  'long-dash': {
    says: 'A long dash from a document is read as a minus sign: what follows is excluded.',
    fix: 'Write a plain -'
  },
  'unquoted-title': {
    says: (words: number) =>
      `Without quotes these ${words} words are found in any order, each anywhere. Quote them to find them side by side.`,
    fix: (phrase: string) => `Quote “${cut(phrase, 60)}”`
  },
  'unquoted-exclusion': {
    says: (excluded: string, searched: string) =>
      `Only “${excluded}” is excluded; “${searched}” is searched for. Quote the words to exclude them together.`
  },
  'mixed-operators': {
    says: (reading: string) => `AND and OR stand side by side without brackets. It is read as: ${reading}`,
    fix: 'Write these brackets'
  },
  'bad-range': {
    closesNothing: 'This ] closes nothing. A range is written [51 TO 1000].',
    withoutTo: (range: string) => `A range is written with TO between its bounds: this is read as ${range}.`,
    oneBound: 'A range has two bounds with TO between them, as in [51 TO 1000] or [51 TO *].',
    noNumber: (bound: string) =>
      `“${cut(bound, 40)}” is not a number. Write digits, as in [51 TO 1000], or * for no bound.`,
    noDays: (scope: string) =>
      `“${scope}” is a number and no date. Write digits, as in [51 TO 1000], or * for no bound.`,
    thousands: (range: string) => `Signs between thousands are left out: this is read as ${range}.`,
    wrongWayRound: (low: number, high: number) =>
      `Nothing lies between ${low} and ${high}: the lower bound comes first.`,
    fix: write,
    fixOut: takeItOut,
    fixSwap: 'Swap them'
  },
  'bad-number': {
    says: (text: string, scope: string) =>
      `“${cut(text, 40)}” is not a number, and ${scope} holds numbers. Write a range, as in ${scope}:[51 TO 1000].`,
    readAs: (range: string) => `This is read as ${range}.`,
    fix: write
  },
  'range-on-words': {
    says: (scope: string) =>
      `“${scope}” holds words, so a range finds nobody there. Ranges go with headcount, growth, tenure, moved, active, founded and own fields.`
  },
  'unknown-value': {
    country: (text: string, meant: string | null) =>
      `“${shortened(text)}” is no country of ISO 3166-1, so it is looked for as text, and few sources hold countries so.${
        meant ? ` ${meant}, perhaps?` : ' A town or a region goes with place.'
      }`,
    industry: (text: string, meant: { code: string; name: string } | null) =>
      `“${shortened(text)}” isn’t a division of ISIC Rev. 4, so few records have it as their industry. ${
        meant
          ? `The nearest is ${meant.code}, ${meant.name}.`
          : 'Write a division such as 46, or search for words in firms’ texts.'
      }`,
    listed: (scope: string, values: readonly string[], text: string) =>
      `${scope} is ${values.slice(0, -1).join(', ')} or ${values.at(-1)}; “${shortened(text)}” is found of nobody.`,
    fix: write
  },
  'short-wildcard': {
    says: (word: string) =>
      `A * needs three letters or more before it; “${word}” would find almost anyone. It is read without the *.`,
    fix: 'Take the * out'
  },
  'wildcard-in-phrase': {
    says: 'A * inside quotes is not a wildcard; it is ignored.',
    fix: (many: boolean) => (many ? 'Take them out' : takeItOut)
  },
  'misplaced-wildcard': { says: 'A * works only at the end of a word; here it is ignored.', fix: takeItOut },
  'only-exclusions': {
    says: 'This string only excludes. Most sources answer nothing to that: add what is wanted.'
  },
  'unclosed-muted': {
    says: 'This part is set aside and never ends. Write */ where it ends.',
    fix: 'End it here'
  },
  'unknown-set': {
    says: (name: string) =>
      `There is no word set called “${name}”. Choose one of the library, or quote the text if it is no set.`,
    fix: 'Search for it as words'
  },
  'repeated-term': { says: (text: string) => `“${shortened(text)}” stands twice in this group.`, fix: takeItOut },
  'covered-wording': {
    says: (long: string, by: string) =>
      `${long} is covered by ${by}: whoever has the one has the other, so it brings nobody.`,
    fix: takeItOut
  },
  'wanted-and-excluded': {
    says: (unwanted: string) => `${unwanted} is wanted and excluded at once, so that wording finds nobody.`,
    fix: 'Take the exclusion out'
  },
  'exclusion-hits-wanted': {
    says: (wanted: readonly string[]) =>
      `This exclusion removes everyone found by ${wanted.slice(0, 3).join(', ')}${
        wanted.length > 3 ? ` and ${wanted.length - 3} more` : ''
      }, which is wanted. Exclude a longer phrase, or let it be.`,
    fix: 'Take the exclusion out'
  },
  'never-matches': {
    countries: 'This can never match: a person has one country. Join the countries by OR.',
    says: 'This can never match: what it wants rules itself out. Change one side of it.'
  },
  'always-true': { says: 'This is true of everybody, so it narrows nothing. Take it out.', fix: takeItOut },
  'several-meanings': {
    says: (text: string, meanings: readonly string[]) =>
      `“${shortened(text)}” has several meanings: ${meanings.join('; ')}. Add a word beside it that tells them apart.`
  },
  'spelling-pair': {
    says: (text: string, other: string) =>
      `“${shortened(text)}” is also written “${other}”; this finds one of the two.`,
    fix: (written: string) => `Add ${written}`
  },
  'stop-words': {
    says: (source: string, dropped: readonly string[], kept: readonly string[]) =>
      kept.length
        ? `${source} drops ${listed(dropped)} inside quotes: it also finds “${kept.join(' ')}”.`
        : `${source} drops ${listed(dropped)} inside quotes, so nothing is left to find.`
  },
  'over-limit': {
    shared: (source: string, limit: string, searches: number) =>
      `${source} takes ${limit}: this string is shared out to ${searches} searches.`,
    checked: (source: string, limit: string) =>
      `${source} takes ${limit}: what goes beyond is not asked, and checked by Eave on who comes back.`,
    beyond: (source: string, limit: string) => `${source} takes ${limit}, which this string goes beyond. Shorten it.`
  },
  'read-otherwise': {
    says: (source: string, there: string, here: string) =>
      `${source} would read this as ${there}; here it means ${here}. Its card has it written so that it is read right.`
  },
  'untold-fact': {
    says: (source: string, scopes: readonly string[]) =>
      `${source} does not tell ${scopes.map((scope) => (scope === 'any' ? 'the whole profile' : scope)).join(' or ')} of anybody, so nobody there is certain to meet this part: who comes is possible. Judge it person by person, or leave it out there.`
  }
} satisfies Record<ProblemCode, object>;
