import type { Place } from '../people/places';
import { regions as shippedRegions, type Regions } from '../people/regions';
import { industryName } from '../people/industries';
import { tokens, type Token } from '../language/tokens';
import {
  countryLookup,
  functionLookup,
  industryLookup,
  keysOf,
  longPlaceLookup,
  Lookup,
  placeLookup,
  pluralOf,
  rankLookup,
  rankWords,
  singular,
  titleLookup,
  type Found
} from './text-lookups';

export const factKinds = [
  'title',
  'function',
  'rank',
  'industry',
  'country',
  'place',
  'size',
  'revenue',
  'must have',
  'exclusion',
  'firm left out',
  'offer'
] as const;
export type FactKind = (typeof factKinds)[number];

/** Something a written brief says of who is wanted, with the words it was read from. */
export interface BriefFact {
  kind: FactKind;
  /** As a persona holds it: a title, an ISIC division, an ISO country; numbers for sizes (people) and revenue (millions). */
  value: string | { from: number | null; to: number | null };
  /** In words, for the person who accepts it. */
  words: string;
  from: number;
  to: number;
}

export interface BriefReading {
  facts: BriefFact[];
  /** Sentences in which nothing could be read. */
  unread: { text: string; from: number; to: number }[];
}

/** What stands before a place, in the languages of the lexicon. */
const beforePlace =
  /(?:^|[\s(,])(?:in|around|near|from|outside|within|across|between|greater|of|en|de|del|em|da|do|na|no|nel|nella|della|delle|im|aus|à|au|w|we|v|ve|i|på|från|fra|uit|region|región|regione|região|région)\s+(?:the\s+|la\s+|el\s+|las\s+|o\s+|a\s+)?$/i;

/** Words that turn what follows in their clause into something not wanted. */
const negation =
  /\b(not|no|never|excluding|exclude|excluded|except|without|avoid|leave out|rather than|other than|skip|ignore|ignoring|don't want|do not want|aren't|are not|excepto|exceto|salvo|sin|sem|tranne|esclus[eio]|senza|keine[nrms]?|ohne|außer|sauf|sans|hors|geen|behalve|zonder|ikke|ingen|undtagen|unntatt|uden|uten|inte|inga|utan)\b/gi;
/** What ends the reach of a negation. */
const clauseEnd =
  /[.;:!?\n]|,?\s\b(but|however|instead|we (?:sell|talk|want|look|also)|who|ideally|and we|looking for)\b/i;

const number = String.raw`(\d{1,3}(?:[,.' ]\d{3}){1,4}|\d{1,12}(?:[.,]\d{1,6})?)\s{0,9}(k\b)?`;
const people = String.raw`(?:employees|staff|people|persons|heads|FTEs?|workers|colleagues|headcount|seats|Mitarbeiter(?:n|innen)?|Beschäftigte|medewerkers|werknemers|ansatte|medarbejdere|anställda|salariés|collaborateurs|empleados|trabajadores|funcionários|trabalhadores|colaboradores|dipendenti|addetti|pracowników|osób|työntekijää|henkilöä|zaměstnanců)`;
const upTo = String.raw`(?:\s{0,9}(?:to|and|up to|bis|til|till|tot|à|a|do|až|–|—|-)\s{0,9})`;
const sizePatterns: [RegExp, (low: number, high: number) => { from: number | null; to: number | null }][] = [
  [
    new RegExp(
      String.raw`(?:between\s{1,9}|from\s{1,9})?${number}${upTo}${number}\s{0,9}(?:\w{1,30}\s{1,9}){0,2}${people}`,
      'gi'
    ),
    (a, b) => ({ from: a, to: b })
  ],
  [
    new RegExp(
      String.raw`(?:headcount|size|employees|staff)\s{0,9}(?:of|between|from|:)?\s{0,9}${number}${upTo}${number}`,
      'gi'
    ),
    (a, b) => ({ from: a, to: b })
  ],
  [
    new RegExp(
      String.raw`(?:more than|over|above|at least|minimum(?: of)?|min\.?|from|bigger than|larger than|>)\s{0,9}${number}\s{0,9}(?:\w{1,30}\s{1,9}){0,1}${people}`,
      'gi'
    ),
    (a) => ({ from: a, to: null })
  ],
  [new RegExp(String.raw`${number}\s{0,9}\+\s{0,9}${people}`, 'gi'), (a) => ({ from: a, to: null })],
  [
    new RegExp(String.raw`${number}\s{0,9}${people}\s{0,9}(?:or more|and up|and above|upwards?|plus)`, 'gi'),
    (a) => ({ from: a, to: null })
  ],
  [
    new RegExp(
      String.raw`(?:fewer than|less than|under|below|up to|at most|maximum(?: of)?|max\.?|no more than|smaller than|<)\s{0,9}${number}\s{0,9}(?:\w{1,30}\s{1,9}){0,1}${people}`,
      'gi'
    ),
    (a) => ({ from: null, to: a })
  ]
];
/** EU Recommendation 2003/361/EC: micro under 10, small under 50, medium under 250 people. */
const namedSizes: [RegExp, { from: number | null; to: number | null }][] = [
  [/\b(SMEs?|small and medium(?:-sized)?(?: firms| companies| businesses| enterprises)?)\b/gi, { from: 1, to: 249 }],
  [/\b(medium-sized (?:firms|companies|businesses))\b/gi, { from: 50, to: 249 }],
  [/\b(small (?:firms|companies|businesses))\b/gi, { from: 1, to: 49 }],
  [/\b(micro (?:firms|companies|businesses|enterprises))\b/gi, { from: 1, to: 9 }],
  [/\b(large (?:firms|companies|enterprises)|enterprises only)\b/gi, { from: 250, to: null }]
];
const money = String.raw`(?:€|£|\$|EUR|GBP|USD|DKK|SEK|NOK)?\s{0,9}(\d{1,12}(?:[.,]\d{1,6})?)\s{0,9}(?:m\b|mn\b|million|mio\.?)?`;
const revenuePatterns: [RegExp, (low: number, high: number) => { from: number | null; to: number | null }][] = [
  [
    new RegExp(
      String.raw`(?:revenues?|turnover|sales)\s{0,9}(?:of|between|from|:)?\s{0,9}${money}${upTo}${money}`,
      'gi'
    ),
    (a, b) => ({ from: a, to: b })
  ],
  [
    new RegExp(
      String.raw`(?:revenues?|turnover|sales)\s{0,9}(?:of|is|:)?\s{0,9}(?:more than|over|above|at least|from|>)\s{0,9}${money}`,
      'gi'
    ),
    (a) => ({ from: a, to: null })
  ],
  [
    new RegExp(
      String.raw`(?:revenues?|turnover|sales)\s{0,9}(?:of|is|:)?\s{0,9}(?:less than|under|below|up to|<)\s{0,9}${money}`,
      'gi'
    ),
    (a) => ({ from: null, to: a })
  ],
  [
    new RegExp(
      String.raw`(?:more than|over|above|at least)\s{0,9}${money}\s{0,9}(?:in |of )?(?:revenues?|turnover)`,
      'gi'
    ),
    (a) => ({ from: a, to: null })
  ]
];

const read = (text: string | undefined, thousand?: string) =>
  Number((text ?? '').replaceAll(/[,.' ](?=\d{3}\b)/g, '').replace(',', '.')) * (thousand ? 1000 : 1);

/**
 * Reads who is wanted out of a written brief, in English: offline and by rules only. Titles, industries, places, sizes and what is
 * ruled out are read in the lexicon's languages too, as far as their words tell. Every fact carries the words it was
 * read from; sentences it couldn't use are returned, too.
 */
export function personaFromText(text: string, regions: Regions = shippedRegions): BriefReading {
  const facts: BriefFact[] = [];
  const list: Token[] = tokens(text);
  const words = list.map(({ key }) => singular(key));
  const taken = new Array<boolean>(words.length).fill(false);
  const reaches = negatedReaches(text);
  /** Whether each place is within a negation, as a running count of reaches that begin and end. */
  const depth = new Int32Array(text.length + 2);
  for (const { from, to } of reaches)
    if (to > from) {
      depth[from]!++;
      depth[to]!--;
    }
  for (let at = 1; at < depth.length; at++) depth[at]! += depth[at - 1]!;
  const isNegated = (at: number) => depth[at]! > 0;
  const known = new Set<string>();
  const add = (kind: FactKind, value: BriefFact['value'], from: number, to: number, said: string) => {
    const written = typeof value === 'string' ? value.toLowerCase() : JSON.stringify(value);
    if (known.size < known.add(`${kind} ${written}`).size) facts.push({ kind, value, words: said, from, to });
  };
  const spanOf = ({ at, size }: Found<unknown>) => ({ from: list[at]!.from, to: list[at + size - 1]!.to });

  readNumbers();
  readQuoted();
  readOffer();
  readExclusions();
  phrases(titleLookup(), ({ value }, span) => {
    if (isNegated(span.from)) return exclude(span);
    const said = text.slice(span.from, span.to);
    // "The buyer is …" speaks of anybody who buys, not of a title.
    if (/^buyers?$/i.test(said) && /^\s+(is|are|was|were)\b/i.test(text.slice(span.to))) return;
    add('title', titled(said, value), span.from, span.to, said);
  });
  phrases(industryLookup(), ({ value }, span) =>
    isNegated(span.from)
      ? exclude(span)
      : add('industry', value, span.from, span.to, `${value} ${industryName(value) ?? ''}`)
  );
  const regionLookup = new Lookup<readonly string[]>();
  for (const { names, countries: list } of regions) for (const name of names) regionLookup.add(name, list);
  readPlaces(longPlaceLookup());
  for (const lookup of [regionLookup, countryLookup()])
    phrases(lookup, ({ value }, span) => {
      if (isNegated(span.from)) return exclude(span);
      for (const code of value) add('country', code, span.from, span.to, text.slice(span.from, span.to));
    });
  readPlaces(placeLookup());
  phrases(rankLookup, ({ value }, span) => {
    if (isNegated(span.from)) return exclude(span);
    const own = titleBefore(span);
    if (own) add('title', own.title, own.from, span.to, text.slice(own.from, span.to));
    else add('rank', value, span.from, span.to, value);
  });
  phrases(functionLookup(), ({ value }, span) => {
    if (isNegated(span.from)) return exclude(span);
    const before = text.slice(Math.max(0, span.from - 40), span.from);
    const after = text.slice(span.to, span.to + 30);
    const spoken =
      /(?:\b(?:in|for|from|of|run|runs|running|lead|leads|head|heads|over|and|or|answer(?:s|able)? for|responsible for|in charge of|look(?:s)? after|work(?:s|ing)? (?:in|with))\s+(?:the\s+|their\s+)?|,\s*)$/i.test(
        before
      ) &&
      (/^\s*(?:department|team|function|people|side|staff|area|at|,|\.|;|and|or|$)/i.test(after) ||
        /^\s*$/.test(after));
    const named = /^\s*(?:department|team|function|people|side)\b/i.test(after);
    if (spoken || named) add('function', value, span.from, span.to, value);
  });

  facts.sort((a, b) => a.from - b.from || a.to - b.to);
  return { facts, unread: unreadSentences() };

  /** What has been read once is read as nothing else. */
  function take(from: number, to: number) {
    let low = 0;
    for (let high = list.length; low < high;) {
      const middle = (low + high) >> 1;
      if (list[middle]!.from < from) low = middle + 1;
      else high = middle;
    }
    for (let i = low; i < list.length && list[i]!.to <= to; i++) taken[i] = true;
  }

  /** Goes along the words, the longest phrase at each place, over what no other reading has taken. */
  function phrases<T>(lookup: Lookup<T>, tell: (found: Found<T>, span: { from: number; to: number }) => void) {
    for (let at = 0; at < words.length; at++) {
      if (taken[at]) continue;
      const found = lookup.at(words, at);
      if (!found || taken.slice(at, at + found.size).some(Boolean)) continue;
      const count = facts.length;
      const span = spanOf(found);
      // A phrase never goes on over the end of a sentence or a list.
      if (/[.;:,!?\n]/.test(text.slice(span.from, span.to).replaceAll(/[.,](?=\S)/g, ''))) continue;
      tell(found, span);
      if (facts.length > count) taken.fill(true, at, at + found.size);
      at += found.size - 1;
    }
  }

  function exclude({ from, to }: { from: number; to: number }) {
    add('exclusion', plain(text.slice(from, to)), from, to, text.slice(from, to));
  }

  function readNumbers() {
    const isRead = new Uint8Array(text.length);
    const note = (
      kind: 'size' | 'revenue',
      value: { from: number | null; to: number | null },
      match: RegExpMatchArray
    ) => {
      const from = match.index!;
      const to = from + match[0].length;
      if (isRead.subarray(from, to).includes(1)) return;
      isRead.fill(1, from, to);
      add(kind, value, from, to, match[0].trim());
      take(from, to);
    };
    for (const [pattern, value] of revenuePatterns)
      for (const match of text.matchAll(pattern)) note('revenue', value(read(match[1]), read(match[2])), match);
    for (const [pattern, value] of sizePatterns)
      for (const match of text.matchAll(pattern)) {
        const [low, high] = [read(match[1], match[2]), read(match[3], match[4])];
        note('size', value(low, high), match);
      }
    for (const [pattern, value] of namedSizes)
      for (const match of text.matchAll(pattern)) if (!isNegated(match.index)) note('size', value, match);
  }

  function readQuoted() {
    for (const match of text.matchAll(/["“]([^"“”\n]{2,60})["”]/g)) {
      const from = match.index + 1;
      if (isNegated(from)) add('exclusion', match[1]!.trim(), from, from + match[1]!.length, match[1]!);
      else add('must have', match[1]!.trim(), from, from + match[1]!.length, match[1]!);
      take(match.index, match.index + match[0].length);
    }
  }

  function readOffer() {
    const match =
      /\b(?:we (?:sell|make|offer|provide|supply|build|produce|market)|vendemos|fabricamos|vendiamo|produciamo|wir (?:verkaufen|bauen|liefern)|nous vendons|wij verkopen|vi sælger|vi säljer|vi selger)\s+([^.;!?\n]{4,200})/i.exec(
        text
      );
    if (match) add('offer', match[1]!.trim(), match.index, match.index + match[0].length, match[1]!.trim());
  }

  /** "Hygiene managers" is a title though no function of the lexicon is called so: one word that stands alone before the rank. */
  function titleBefore({ from, to }: { from: number; to: number }): { title: string; from: number } | null {
    const said = text.slice(from, to).toLowerCase();
    if (!/^(?:managers|directors|leads)$/.test(said)) return null;
    const before = /(?:[:,;]|\b(?:and|or|the|to|with|for|our|are)|^)\s*(\p{L}{4,})\s+$/iu.exec(
      text.slice(Math.max(0, from - 80), from)
    );
    const word = before?.[1];
    if (!word || rankWords.test(word)) return null;
    const title = `${word} ${said.slice(0, -1)}`
      .toLowerCase()
      .replaceAll(/\b\p{L}/gu, (letter) => letter.toUpperCase());
    return { title, from: from - (before[0].length - before[0].lastIndexOf(word)) };
  }

  /** Places are names like many others: they count where one stands after a word of place, or in a list after another. */
  function readPlaces(lookup: Lookup<Place>) {
    let last = -1;
    phrases(lookup, ({ value }, span) => {
      const said = text.slice(span.from, span.to);
      if (!/^\p{Lu}/u.test(said)) return;
      const before = text.slice(Math.max(0, span.from - 30), span.from);
      const listed =
        last >= 0 &&
        span.from - last < 20 &&
        /^(?:[,/&]|(?:,\s*)?(?:and|or))$/.test(text.slice(last, span.from).trim());
      if (!listed && !beforePlace.test(before)) return;
      last = span.to;
      if (isNegated(span.from)) return exclude(span);
      add('place', value.name, span.from, span.to, said);
    });
  }

  /** What a negation names that is none of the known: the words up to the end of its clause, apart at commas and "or". */
  function readExclusions() {
    for (const { from, to } of reaches) {
      let at = from;
      for (const piece of text.slice(from, to).split(/(,|\bor\b|\bnor\b|\band\b|\/)/)) {
        const start = at;
        at += piece.length;
        const said = plain(piece);
        if (!said || /^(,|or|nor|and|\/)$/i.test(piece.trim())) continue;
        const many = tokens(said).length;
        if (many < 1 || many > 4 || /\d/.test(said)) continue;
        // Anybody who is served already is known by a list of their names, and not by these words.
        if (/^(?:(?:all|any|our|existing|own|current)\s+)*(?:customers?|clients?)$/i.test(said)) {
          take(start, at);
          continue;
        }
        const offset = start + piece.toLowerCase().indexOf(said.toLowerCase());
        add('exclusion', said, offset, offset + said.length, said);
        take(start, at);
      }
    }
  }

  function unreadSentences(): BriefReading['unread'] {
    const unread: BriefReading['unread'] = [];
    /** The furthest that the facts before reach, which are in the order of the text. */
    let next = 0;
    let reached = 0;
    for (const match of text.matchAll(/[^.!?\n;]+[.!?;]?/g)) {
      const from = match.index;
      const to = from + match[0].length;
      for (; next < facts.length && facts[next]!.from < to; next++) reached = Math.max(reached, facts[next]!.to);
      if (reached <= from && tokens(match[0]).length >= 3) unread.push({ text: match[0].trim(), from, to });
    }
    return unread;
  }
}

/** Words without the articles and fillers in front of them. */
const plain = (text: string): string =>
  text
    .replaceAll(/\s+/g, ' ')
    .trim()
    .replace(
      /^(?:(?:not|no|never|but|please|leave out|excluding|exclude|skip|avoid|except|without|the|las|los|el|les|le|die|der|das|gli|a|an|any|in|at|from|to|of|for|with|interested|want|wanted|looking|include|including|anyone|people|them|it|please|who|are|is|be|those|us|relevant|target)\s+)+/i,
      ''
    )
    .replace(/(?<![.,;:!?])[.,;:!?]+$/, '')
    .trim();

/** A title as the lexicon writes it, unless the brief writes it in one way only. */
const titled = (said: string, known: string): string => {
  const written = said.replaceAll(/\s+/g, ' ').trim();
  const name = keysOf(written).join(' ');
  const same = [known, pluralOf(known, 'es'), pluralOf(known, 'it')];
  return same.some((one) => one !== null && keysOf(one).join(' ') === name) ? known : written;
};

/** What is said of something to leave it out, after it is named: "agencies are out of scope, and so are freelancers". */
const ruledOut =
  /\b(?:(?:do|does)\s+not\s+count|(?:is|are)\s+(?:out of scope|not wanted|not relevant|not of interest|excluded|off limits|of no (?:use|interest))|no\s+(?:cuentan?|interesan?|valen?)|não\s+(?:contam?|interessam?)|non\s+(?:contano|conta|interessano|interessa)|zählen\s+nicht|(?:ne\s+)?comptent\s+pas|tellen\s+niet)\b(?:,?\s*(?:and\s+)?so\s+(?:is|are)\s+([^.;:!?\n]*))?/gi;

/** Letters that a negation reaches over at most: a text without any punctuation is no one clause. */
const longestClause = 1000;

/** From each negation to the end of its clause, and what is ruled out after it is named. */
function negatedReaches(text: string): { from: number; to: number }[] {
  const reaches: { from: number; to: number }[] = [];
  const said: { from: number; to: number }[] = [];
  let before = 0;
  for (const match of text.matchAll(ruledOut)) {
    const to = match.index + match[0].length;
    // What is ruled out is named in the clause before.
    let from = match.index;
    while (from > before && !/[.;:!?\n]/.test(text[from - 1]!)) from--;
    said.push({ from, to });
    reaches.push({ from, to: match.index });
    if (match[1]) reaches.push({ from: to - match[1].length, to });
    before = to;
  }
  /** Both lists are in the order of the text: the first of each that may still reach a place. */
  let [nextSaid, nextReach] = [0, 0];
  const ruled = reaches.length;
  let covered = 0;
  for (const match of text.matchAll(negation)) {
    // "no more than 50", "not only": these exclude nothing.
    if (
      /^\s*(?:more than|less than|fewer than|only|just|necessarily|yet|later than)/i.test(
        text.slice(match.index + match[0].length)
      )
    )
      continue;
    const from = match.index + match[0].length;
    // The "not" of "agencies are not wanted" rules out what stands before it.
    while (nextSaid < said.length && said[nextSaid]!.to <= match.index) nextSaid++;
    if (nextSaid < said.length && match.index >= said[nextSaid]!.from) continue;
    while (nextReach < ruled && reaches[nextReach]!.to <= from) nextReach++;
    if ((nextReach < ruled && from >= reaches[nextReach]!.from) || from < covered) continue;
    const end = clauseEnd.exec(text.slice(from, from + longestClause));
    covered = end ? from + end.index : Math.min(text.length, from + longestClause);
    reaches.push({ from, to: covered });
  }
  return reaches;
}
