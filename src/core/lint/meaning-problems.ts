import { countries, countryCode } from '../people/countries';
import { industries, industryCode, industryName, industryWithin } from '../people/industries';
import { jaroWinkler } from '../people/name-similarity';
import { meanings } from '../titles/meanings';
import { otherSpelling } from '../titles/spellings';
import { constantOf } from '../semantics/equivalent';
import { isNever, keysImply, scopeImplies, wordingOf } from '../semantics/implies';
import type { Edit, Problem } from '../language/problem';
import { problemWords } from '../language/problem-words';
import { print } from '../language/print';
import { isTerm, terms, type And, type Or, type Phrase, type Query, type Span, type Word } from '../language/query';
import { isNumberFact, isTextScope } from '../language/scopes';
import { coveredTerms } from '../semantics/simplify';
import { fold, tokenKeys } from '../language/tokens';
import { WordingIndex } from '../semantics/wording-index';
import { checkpoint } from '../language/checkpoint';

/** Groups decided as a whole, and their size: what is asked again at every key pressed. */
const maxDecided = 12;
const largestDecided = 80;
/** Most exclusions reported for one required wording. */
const maxHits = 5;

type Wanted = Word | Phrase;
/** Problems that are fixed by taking a part out. */
type TakenOut = 'repeated-term' | 'covered-wording' | 'always-true' | 'wanted-and-excluded' | 'exclusion-hits-wanted';
interface NodeInTree {
  query: Query;
  /** The group or NOT around it, outermost last. */
  around: NodeInTree | null;
  index: number;
}

/** Problems in what a string means, not in how it is written. Near linear in the number of terms. */
export function meaningProblems(text: string, query: Query): Problem[] {
  const found: Problem[] = [];
  const say = (
    code: Problem['code'],
    severity: Problem['severity'],
    at: Span | undefined,
    message: string,
    fix?: Problem['fix']
  ) => {
    if (at) found.push({ code, severity, from: at.from, to: at.to, message, ...(fix && { fix }) });
  };
  const reply = new Set<Query>();
  repeatsAndCovered();
  againstExclusions();
  constants();
  words();
  values();
  return found;

  function repeatsAndCovered() {
    for (const place of places(query)) {
      const group = place.query;
      if (group.kind !== 'and' && group.kind !== 'or') continue;
      const seen = new Set<string>();
      group.parts.forEach((part, index) => {
        if (part.kind !== 'word' && part.kind !== 'phrase') return;
        const key = `${part.kind} ${part.scope} ${part.kind === 'word' && part.prefix} ${fold(part.text)}`;
        if (seen.has(key)) {
          reply.add(part);
          say(
            'repeated-term',
            'hint',
            part.at,
            problemWords['repeated-term'].says(part.text),
            takeOut('repeated-term', { query: part, around: place, index })
          );
        }
        seen.add(key);
      });
      if (group.kind !== 'or') continue;
      for (const [long, by] of coveredTerms(group.parts, 'or', 'any source')) {
        if (reply.has(long)) continue;
        reply.add(long);
        say(
          'covered-wording',
          'hint',
          long.at,
          problemWords['covered-wording'].says(print(long), print(by)),
          takeOut('covered-wording', { query: long, around: place, index: group.parts.indexOf(long) })
        );
      }
    }
  }

  /** Holds each exclusion against what is beside it. */
  function againstExclusions() {
    for (const place of places(query)) {
      const group = place.query;
      if (group.kind !== 'and') continue;
      const exclusions = new WordingIndex<NodeInTree>();
      let any = false;
      group.parts.forEach((part, index) => {
        if (part.kind !== 'not') return;
        const not: NodeInTree = { query: part, around: place, index };
        for (const one of alternatives({ query: part.part, around: not, index: 0 })) {
          if (one.query.kind !== 'word' && one.query.kind !== 'phrase') continue;
          exclusions.add(wordingOf(one.query), one);
          any = true;
        }
      });
      if (!any) continue;
      const hits = new Map<NodeInTree, Wanted[]>();
      for (const part of group.parts)
        for (const { term, wanted } of terms(part)) {
          if (!wanted || (term.kind !== 'word' && term.kind !== 'phrase')) continue;
          for (const exclusion of exclusions.within(wordingOf(term)).slice(0, maxHits)) {
            const unwanted = exclusion.query as Wanted;
            if (!scopeImplies(term.scope, unwanted.scope)) continue;
            const list = hits.get(exclusion);
            if (list) list.push(term);
            else hits.set(exclusion, [term]);
          }
        }
      for (const [exclusion, wanted] of hits) {
        const unwanted = exclusion.query as Wanted;
        const code = wanted.some((term) => keysImply(wordingOf(unwanted), wordingOf(term)))
          ? 'wanted-and-excluded'
          : 'exclusion-hits-wanted';
        say(
          code,
          'warning',
          unwanted.at,
          code === 'wanted-and-excluded'
            ? problemWords[code].says(print(unwanted))
            : problemWords[code].says(wanted.map(print)),
          takeOut(code, exclusion)
        );
      }
    }
  }

  function constants() {
    let decided = 0;
    for (const place of places(query)) {
      const part = place.query;
      if (place.around && reply.has(place.around.query)) {
        reply.add(part);
        continue;
      }
      if (isTerm(part) || part.kind === 'not' || part.set) continue;
      const homes = part.kind === 'and' ? new Set(part.parts.flatMap(countriesOf)) : new Set<string>();
      const narrow = part.parts.some((one) => one.kind === 'not') || bounded(part) || homes.size > 1;
      if (!narrow || decided >= maxDecided || atLeast(part, largestDecided)) continue;
      decided++;
      const constant = homes.size > 1 ? 'never' : part.parts.every(isNever) ? null : constantOf(part);
      if (constant !== 'never' && constant !== 'always') continue;
      reply.add(part);
      if (constant === 'never')
        say(
          'never-matches',
          'warning',
          part.at,
          homes.size > 1 ? problemWords['never-matches'].countries : problemWords['never-matches'].says
        );
      else say('always-true', 'warning', part.at, problemWords['always-true'].says, takeOut('always-true', place));
    }
  }

  function words() {
    const spoken = new Set<string>();
    for (const { term } of terms(query))
      if (term.kind !== 'range') for (const key of wordingOf(term).keys) spoken.add(key);
    const named = new Set<string>();
    const offered = new Set<string>();
    const indexes = new Map<Query, WordingIndex<Query>>();
    /** The alternatives that a place stands among. */
    const besideOf = ({ around }: NodeInTree): WordingIndex<Query> | null => {
      if (around?.query.kind !== 'or') return null;
      let index = indexes.get(around.query);
      if (!index) {
        indexes.set(around.query, (index = new WordingIndex()));
        for (const part of around.query.parts)
          if (part.kind === 'word' || part.kind === 'phrase') index.add(wordingOf(part), part);
      }
      return index;
    };
    for (const place of places(query)) {
      const term = place.query;
      if ((term.kind !== 'word' && term.kind !== 'phrase') || term.set || !isTextScope(term.scope) || !term.at)
        continue;
      const { keys, prefix } = wordingOf(term);
      const [word] = keys;
      const senses = keys.length === 1 && !prefix && !named.has(word!) && !excluded(place) ? meanings(word!) : [];
      if (senses.length && !senses.some(({ indicators }) => indicators.some((word) => spoken.has(word)))) {
        named.add(word!);
        say(
          'several-meanings',
          'hint',
          term.at,
          problemWords['several-meanings'].says(
            term.text,
            senses.map(({ name }) => name)
          )
        );
      }
      const other = prefix ? null : otherSpelling(keys);
      if (
        !other ||
        offered.has(other.join(' ')) ||
        besideOf(place)?.within({ scope: term.scope, keys: other, prefix: false, stems: false }).length
      )
        continue;
      offered.add(other.join(' '));
      const written = other.length > 1 || keys.length > 1 ? `"${other.join(' ')}"` : other[0]!;
      const inGroup = place.around?.query.kind === 'or';
      const scope = /^[A-Za-z]+:\s*/.exec(text.slice(term.at.from, term.at.to))?.[0] ?? '';
      const own = text.slice(term.at.from + scope.length, term.at.to);
      const instead = inGroup ? `${scope}${own} OR ${scope}${written}` : `${scope}(${own} OR ${written})`;
      say('spelling-pair', 'hint', term.at, problemWords['spelling-pair'].says(term.text, other.join(' ')), {
        label: problemWords['spelling-pair'].fix(written),
        edits: [{ ...term.at, insert: instead }]
      });
    }
  }

  /** Values that a fact does not have: no country, or another word for yes. */
  function values() {
    for (const { term } of terms(query)) {
      if (term.kind === 'range' || !term.at || term.set) continue;
      const reply =
        term.scope === 'country' ? noCountry(term) : term.scope === 'industry' ? noIndustry(term) : noListedValue(term);
      if (!reply) continue;
      const place = valuePlace(term.at, term.text);
      say(
        'unknown-value',
        'warning',
        term.at,
        reply.message,
        reply.write !== null && place
          ? { label: problemWords['unknown-value'].fix(reply.write), edits: [{ ...place, insert: reply.write }] }
          : undefined
      );
    }
  }

  /** Where a term's own text stands, its quotes and its * with it, behind the scope. */
  function valuePlace(at: Span, own: string): Span | null {
    const from = text.lastIndexOf(own, at.to);
    if (from < at.from) return null;
    const quoted = /["“”„‟«»″]/.test(text[from - 1] ?? '') && from > at.from;
    return quoted ? { from: from - 1, to: at.to } : { from, to: at.to };
  }

  /** Takes a part out of its group with the operator beside it, where the text between is just that. */
  function takeOut(code: TakenOut, place: NodeInTree): Problem['fix'] {
    const { around, index } = place;
    const at = spanOf(place);
    if (!around || !at || place.query.set) return undefined;
    if (around.query.kind === 'not') return takeOut(code, around);
    const { parts } = around.query as And | Or;
    const previous = index > 0 ? parts[index - 1]!.at : undefined;
    const next = parts[index + 1]?.at;
    const edit: Edit | null = previous
      ? { from: previous.to, to: at.to, insert: '' }
      : next
        ? { from: at.from, to: next.from, insert: '' }
        : null;
    if (!edit) return undefined;
    const between = previous ? text.slice(previous.to, at.from) : text.slice(at.to, next!.from);
    return /^(AND|OR)?$/.test(between.trim()) ? { label: problemWords[code].fix, edits: [edit] } : undefined;
  }

  function spanOf(place: NodeInTree): Span | undefined {
    return place.query.at;
  }
}

/** The problem of an unknown country, with the country that was probably meant. */
function noCountry(term: Word | Phrase): { message: string; write: string | null } | null {
  if (countryCode(term.text)) return null;
  const wanted = fold(term.text);
  const near = countries()
    .map(({ name }) => ({ name, alike: jaroWinkler(fold(name), wanted) }))
    .reduce((best, one) => (one.alike > best.alike ? one : best));
  const meant = near.alike >= 0.88 ? near.name : null;
  return {
    message: problemWords['unknown-value'].country(term.text, meant),
    write: meant && (/^[\p{L}]+$/u.test(meant) ? meant : `"${meant}"`)
  };
}

/**
 * What to say of an industry that no firm has: records hold divisions of ISIC Rev. 4, by code and name. The fix writes the division that
 * a code of more digits, or a word of the trade, belongs to.
 */
function noIndustry(term: Word | Phrase): { message: string; write: string | null } | null {
  const wanted = term.text.trim();
  const keys = tokenKeys(wanted).join(' ');
  const prefix = term.kind === 'word' && term.prefix === true;
  const isName = industries.some(({ name }) =>
    ` ${tokenKeys(name).join(' ')}${prefix ? '' : ' '}`.includes(` ${keys}${prefix ? '' : ' '}`)
  );
  if (industryName(wanted) || (keys && isName)) return null;
  const digits = /^(\d\d)\.?\d{1,3}$/.exec(wanted)?.[1];
  const code = digits && industryName(digits) ? digits : (industryCode(wanted) ?? industryWithin(wanted) ?? null);
  const meant = code && { code, name: industryName(code)! };
  return { message: problemWords['unknown-value'].industry(wanted, meant || null), write: meant ? meant.code : null };
}

/** Facts with few values, and what people write for them. */
const listedValues: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  hiring: { yes: 'yes', no: 'no', true: 'yes', false: 'no', y: 'yes', n: 'no', '1': 'yes', '0': 'no' },
  funded: { yes: 'yes', no: 'no', true: 'yes', false: 'no', y: 'yes', n: 'no', '1': 'yes', '0': 'no' },
  mail: {
    good: 'good',
    uncertain: 'uncertain',
    none: 'none',
    verified: 'good',
    valid: 'good',
    ok: 'good',
    deliverable: 'good',
    yes: 'good',
    risky: 'uncertain',
    'catch-all': 'uncertain',
    catchall: 'uncertain',
    unknown: 'uncertain',
    unverified: 'uncertain',
    invalid: 'none',
    bad: 'none',
    bounced: 'none',
    no: 'none',
    missing: 'none'
  }
};

function noListedValue(term: Word | Phrase): { message: string; write: string | null } | null {
  if (!Object.hasOwn(listedValues, term.scope)) return null;
  const values = listedValues[term.scope]!;
  const all = [...new Set(Object.values(values))];
  const wanted = fold(term.text).trim();
  if (all.includes(wanted)) return null;
  const meant = Object.hasOwn(values, wanted) ? values[wanted]! : null;
  return {
    message: problemWords['unknown-value'].listed(term.scope, all, term.text),
    write: meant
  };
}

function* places(query: Query, around: NodeInTree | null = null, index = 0): Generator<NodeInTree> {
  checkpoint();
  const place = { query, around, index };
  yield place;
  if (query.kind === 'not') yield* places(query.part, place);
  else if (query.kind === 'and' || query.kind === 'or')
    for (const [i, part] of query.parts.entries()) yield* places(part, place, i);
}

/** The alternatives of an OR; any other part alone. */
const alternatives = (place: NodeInTree): NodeInTree[] =>
  place.query.kind === 'or' ? place.query.parts.map((part, index) => ({ query: part, around: place, index })) : [place];

const excluded = ({ around }: NodeInTree): boolean =>
  around !== null && (around.query.kind === 'not' || excluded(around));

/** The countries that a part wants, where it wants some and nothing else. */
function countriesOf(part: Query): string[] {
  if ((part.kind !== 'word' && part.kind !== 'phrase') || part.scope !== 'country') return [];
  const code = countryCode(part.text);
  return code ? [code] : [];
}

/** Whether one number fact is bounded more than once. */
function bounded(group: And | Or): boolean {
  const seen = new Set<string>();
  return group.parts.some(
    (part) =>
      isTerm(part) && (isNumberFact(part.scope) || part.scope === 'mail') && seen.size === seen.add(part.scope).size
  );
}

function atLeast(query: Query, most: number): boolean {
  const all = terms(query);
  for (let count = 0; count <= most; count++) if (all.next().done) return false;
  return true;
}
