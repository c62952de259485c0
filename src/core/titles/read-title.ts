import { fold, tokenKeys } from '../language/tokens';
import { meanings } from './meanings';
import { degreeWords, fixedTitles, functions, ranks } from './lexicon';
import { fromLexicon } from './taken-up';

/** What a title says of seniority and work. */
export interface TitleReading {
  /** An id of the lexicon's ranks, or null where the title names none. */
  rank: string | null;
  /** An id of the lexicon's functions, or null where the title names none. */
  function: string | null;
  /** 0 to 1: 0.95 for a title the lexicon holds, less the more had to be inferred, 0 for nothing read. */
  confidence: number;
}

interface Entry<T> {
  keys: readonly string[];
  value: T;
}

/** Texts by their first word, the longest first. */
class Phrases<T> {
  private readonly byFirst = new Map<string, Entry<T>[]>();

  add(text: string, value: T): void {
    const keys = tokenKeys(text);
    if (!keys.length) return;
    const list = this.byFirst.get(keys[0]!) ?? [];
    if (list.some((other) => other.keys.join(' ') === keys.join(' '))) return;
    list.push({ keys, value });
    list.sort((a, b) => b.keys.length - a.keys.length);
    this.byFirst.set(keys[0]!, list);
  }

  /** Every place where one of the texts stands, the longest at each place. */
  *within(words: readonly string[]): Generator<{ at: number; size: number; value: T }> {
    for (let at = 0; at < words.length; at++) {
      const found = this.byFirst.get(words[at]!)?.find(({ keys }) => keys.every((key, i) => words[at + i] === key));
      if (found) yield { at, size: found.keys.length, value: found.value };
    }
  }
}

const fixed = fromLexicon(() => {
  const phrases = new Phrases<{ rank: string; function: string }>();
  for (const { rank, function: name, titles } of fixedTitles())
    for (const text of Object.values(titles).flat()) phrases.add(text, { rank, function: name });
  return phrases;
});

const rankWords = new Phrases<string>();
for (const rank of ranks) for (const word of rank.words) rankWords.add(word, rank.id);

const functionWords = fromLexicon(() => {
  const phrases = new Phrases<string>();
  for (const { id, names } of functions()) for (const name of Object.values(names).flat()) phrases.add(name, id);
  return phrases;
});

/** Letters by which beginnings and ends of words are looked up. */
const few = 3;
/** Puts entries together by some letters, in their order. */
const byLetters =
  <T>(lettersOf: (entry: T) => string) =>
  (groups: Map<string, T[]>, entry: T): Map<string, T[]> => {
    const letters = lettersOf(entry);
    const group = groups.get(letters);
    if (group) group.push(entry);
    else groups.set(letters, [entry]);
    return groups;
  };

/** Beginnings of compounds and the function each indicates, the longest first. */
const stems = fromLexicon(() =>
  functions()
    .flatMap(({ id, stems: own, names }) =>
      [
        ...Object.values(own).flat(),
        ...[...names.de, ...names.nl, ...names.da, ...names.sv, ...names.no, ...names.fi].filter(
          (name) => name.length > 4
        )
      ].map((stem) => ({ stem: fold(stem).replace(/-$/, ''), id }))
    )
    .filter(({ stem }) => /^[\p{L}]{3,}$/u.test(stem))
    .sort((a, b) => b.stem.length - a.stem.length)
    .reduce(
      byLetters(({ stem }) => stem.slice(0, few)),
      new Map<string, { stem: string; id: string }[]>()
    )
);

/** Ends of compounds and the rank each indicates, the longest first. */
const endings = ranks
  .flatMap(({ id, words }) =>
    words.filter((word) => word.length >= 4 && /^\p{L}+$/u.test(word)).map((word) => ({ ending: fold(word), id }))
  )
  .sort((a, b) => b.ending.length - a.ending.length)
  .reduce(
    byLetters(({ ending }) => ending.slice(-few)),
    new Map<string, { ending: string; id: string }[]>()
  );

/** Functions named by a word for the work itself, anywhere in a title. */
const hints: [RegExp, string][] = [
  [/^(qualit|kvalit|kwalit)/, 'quality'],
  [/^(gdp|gmp|gxp|capa)$/, 'quality'],
  [/^(compliance|complian)/, 'compliance'],
  [/^(regulat|zulassung)/, 'regulatory affairs'],
  [/^(haccp|hygien)/, 'food safety'],
  [/^(logisti)/, 'logistics'],
  [/^(warehous|lager|magazijn|entrep)/, 'warehouse'],
  [/^(transport|fleet|spedition)/, 'transport'],
  [/^(purchas|procure|einkauf|inkoop|indkøb|inköp|innkjøp|achat)/, 'purchasing'],
  [/^(produ[ck]|manufact|fertigung)/, 'production'],
  [/^(sale|vertrieb|verkauf|verkoop|salg|försälj|commerc)/, 'sales'],
  [/^(market|marknad|marked)/, 'marketing'],
  [/^(financ|account|buchhalt|comptab|regnskab|redovis)/, 'finance'],
  [/^(test|tester)$/, 'software testing'],
  [/^(software|developer|entwickler|udvikler)/, 'software'],
  [/^(engineer|ingenieur|ingenjör|ingeniør|ingénieur)/, 'engineering'],
  [/^(maintenance|instandhalt|onderhoud|vedligehold|underhåll)/, 'maintenance'],
  [/^(legal|juri|recht)/, 'legal'],
  [/^(hr|people|personal|rh)$/, 'human resources']
];

/** Rank words that only tell a rank when nothing stronger is beside them. */
const weak: ReadonlySet<string> = new Set([
  'chef',
  'chief',
  'lead',
  'partner',
  'president',
  'engineer',
  'consultant',
  'executive'
]);
const level = new Map(ranks.map(({ id, level: own }) => [id, own]));

/** Reads rank and function out of any title, in any of the lexicon's languages. Takes anything; never throws. */
export function readTitle(title: string): TitleReading {
  const nothing: TitleReading = { rank: null, function: null, confidence: 0 };
  let best = nothing;
  // The first role of several counts, unless a later one says more.
  for (const segment of segmentsOf(title)) {
    const read = readSegment(segment);
    if (read.confidence > best.confidence + 0.25 || best === nothing) best = read;
  }
  return best;
}

/** Roles of a title: apart at bars, slashes with spaces, bullets and dashes; what was before is dropped. */
const segmentsOf = (title: string): string[] =>
  title
    .slice(0, 400)
    .split(/\s[|•·/–—-]\s|[|•·]|;|\s@\s|\bat\b/)
    .map((segment) => segment.replace(/\(?\b(ex|former(ly)?|ehemals|tidligere|tidigare|ancien(ne)?)[-\s].*/i, ''))
    .filter((segment) => tokenKeys(segment).length > 0);

function readSegment(segment: string): TitleReading {
  const words = tokenKeys(segment);
  const plain = words.filter((word) => !degreeWords.has(word));
  const whole = [...fixed().within(plain)]
    // An acronym of several meanings says nothing beside words that may tell another.
    .filter(({ at, size }) => size > 1 || plain.length === 1 || !meanings(plain[at]!).length)
    .sort((a, b) => b.size - a.size)[0];
  if (whole && whole.size === plain.length) return { ...whole.value, confidence: 0.95 };

  const rank = rankIn(plain.length ? plain : words);
  const work = functionIn(plain);
  if (whole && (whole.size > 1 || !rank || !work)) {
    // A fixed title inside a longer one: what is beside it may tell another rank.
    const outer = plain.filter((_, i) => i < whole.at || i >= whole.at + whole.size);
    const outerRank = rankIn(outer);
    const raised = outerRank && level.get(outerRank.id)! < level.get(whole.value.rank)!;
    const lowered = outerRank && level.get(outerRank.id)! >= level.get('assistant')!;
    const outerWork = whole.size === 1 ? functionIn(outer) : null;
    return {
      rank: raised || lowered ? outerRank.id : whole.value.rank,
      function: outerWork?.id ?? whole.value.function,
      confidence: 0.85
    };
  }
  if (!rank && !work) return { rank: null, function: null, confidence: 0 };
  if (!rank) return { rank: null, function: work!.id, confidence: 0.4 };
  if (!work) return { rank: rank.id, function: null, confidence: 0.4 };
  return { rank: rank.id, function: work.id, confidence: Math.min(rank.sure, work.sure) };
}

function rankIn(words: readonly string[]): { id: string; sure: number } | null {
  const found: { id: string; strong: boolean; sure: number }[] = [];
  const spoken = new Set<number>();
  for (const { value, at, size } of [...rankWords.within(words)].sort((a, b) => b.size - a.size)) {
    if (spoken.has(at)) continue;
    for (let i = 0; i < size; i++) spoken.add(at + i);
    found.push({ id: value, strong: size > 1 || !weak.has(words[at]!), sure: 0.9 });
  }
  words.forEach((word, at) => {
    const end = spoken.has(at)
      ? undefined
      : endings.get(word.slice(-few))?.find(({ ending }) => word.length > ending.length + 2 && word.endsWith(ending));
    if (end) found.push({ id: end.id, strong: true, sure: 0.85 });
  });
  const strong = found.filter((one) => one.strong);
  const among = strong.length ? strong : found;
  // Trainees and assistants stay so no matter what else is named; otherwise the highest rank counts.
  const low = among.find(({ id }) => level.get(id)! >= level.get('assistant')!);
  return low ?? among.sort((a, b) => level.get(a.id)! - level.get(b.id)!)[0] ?? null;
}

function functionIn(words: readonly string[]): { id: string; sure: number } | null {
  const named = [...functionWords().within(words)].sort((a, b) => b.size - a.size || a.at - b.at)[0];
  if (named && named.size > 1) return { id: named.value, sure: 0.9 };
  for (const word of words) {
    const start = stems()
      .get(word.slice(0, few))
      ?.find(({ stem }) => word.length > stem.length && word.startsWith(stem));
    if (start) return { id: start.id, sure: 0.85 };
  }
  if (named) return { id: named.value, sure: 0.9 };
  for (const word of words) {
    const hint = hints.find(([pattern]) => pattern.test(word));
    if (hint) return { id: hint[1], sure: 0.7 };
  }
  return null;
}
