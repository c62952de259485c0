import { isScope, isTerm, lex, parse, terms, type Query, type Term } from '../language';
import type { Person } from '../people/person';
import {
  bothOf,
  eitherOf,
  everythingListed,
  exactMatching,
  notOf,
  truthReader,
  type Matching,
  type ListedScopes,
  type Truth
} from '../semantics';
import { factsOf } from './watched';
import { watchedFields, type WatchedField } from './watched-fields';

/** What a term of a rule refers to: the facts listed now, those listed before, or the change between them. */
type Asked = 'was' | 'changed' | 'grown' | 'leaders';

/** A rule that says when somebody watched is news: a string like all others, that can also ask what was told before. */
export interface Trigger {
  query: Query;
  /** Terms that don't refer to the facts listed now. */
  asked: ReadonlyMap<Term, Asked>;
}

/** A person now and before. */
export interface Before {
  before: Person | null;
  now: Person;
  listed?: ListedScopes;
  /** Days since somebody who leads came to their firm; null where no source tells. */
  leaders?: number | null;
}

/** Each is read as a scope of the same kind and length, so that problems of the rule have the right positions. */
const readAs: Record<Exclude<Asked, 'was'>, string> = { changed: '  group:', grown: 'moved:', leaders: '  moved:' };

/**
 * Reads a rule in Eave's notation with four words more: `was.` before a scope asks what was told before (`was.company:"…"`), also
 * of a bracket; `changed:` whether a field differs from before (title, company, country, place, headcount, mail, name);
 * `grown:` by how many per cent the firm has grown since; `leaders:` how many days ago somebody who leads came to the firm.
 */
export function readTrigger(text: string): { trigger: Trigger | null; problems: string[] } {
  let plain = text;
  const wrong: string[] = [];
  /** Where a scope is in the plain text, and what its part is asked of. */
  const starts = new Map<number, Asked>();
  for (const { kind, from, to } of lex(text).lexemes) {
    if (kind !== 'scope' && kind !== 'word' && kind !== 'gap') continue;
    const [written = '', was, scope = '', other] =
      /^(?:(was\.)([a-z]+)|(changed|grown|leaders)):/i.exec(text.slice(from, to)) ?? [];
    if (!written) continue;
    if (was && !isScope(scope.toLowerCase())) {
      wrong.push(
        `There is no scope “${scope}” that “was.” could go with. Known are title, company, country and others.`
      );
      continue;
    }
    const asked = (was ? 'was' : other!.toLowerCase()) as Asked;
    // What stands before a scope must stay right before it: a minus is moved along.
    const minus = text[from - 1] === '-' ? '-' : '';
    const instead = (asked === 'was' ? `    ${scope}:` : readAs[asked]).replace(/^ */, (spaces) => spaces + minus);
    plain = plain.slice(0, from - minus.length) + instead + plain.slice(from + written.length);
    starts.set(from - minus.length + instead.search(/[a-z]/i), asked);
  }
  const { lexemes } = lex(plain);
  const regions = lexemes.flatMap(({ kind, from }, i) => {
    const asked = kind === 'scope' ? starts.get(from) : undefined;
    return asked ? [{ from, to: endOfPart(lexemes, i + 1), asked }] : [];
  });
  const { query, problems } = parse(plain);
  wrong.push(...problems.filter(({ severity }) => severity === 'error').map(({ message }) => message));
  const asked = new Map<Term, Asked>();
  for (const { term } of query ? terms(query) : []) {
    const { at } = term;
    const region = at && regions.find(({ from, to }) => at.from >= from && at.to <= to);
    if (region) asked.set(term, region.asked);
    const fault = region && faultOf(term, region.asked);
    if (fault) wrong.push(fault);
  }
  if (!query && !wrong.length) wrong.push('Write when to report somebody, for example changed:company.');
  return { trigger: query && !wrong.length ? { query, asked } : null, problems: wrong };
}

function faultOf(term: Term, asked: Asked): string | null {
  if (asked === 'changed') {
    const field = term.kind === 'range' ? '' : term.text.toLowerCase();
    return (watchedFields as readonly string[]).includes(field)
      ? null
      : `“changed:” goes with ${watchedFields.slice(0, -1).join(', ')} or ${watchedFields.at(-1)}.`;
  }
  return asked === 'was' || term.kind === 'range'
    ? null
    : `“${asked}:” goes with a number or a range, as in ${asked}:[10 TO *].`;
}

/** Where the part ends that begins at a lexeme: a bracket with all in it, or a single term. */
function endOfPart(lexemes: ReturnType<typeof lex>['lexemes'], start: number): number {
  let open = 0;
  for (let i = start; i < lexemes.length; i++) {
    const { kind, to } = lexemes[i]!;
    if (kind === 'open') open++;
    else if (kind === 'close') open--;
    if (open <= 0 && kind !== 'scope') return to;
  }
  return Infinity;
}

/**
 * Whether a rule holds of somebody now and before, by Kleene's three values: what is not listed, or was not, leaves it unknown,
 * and nobody is news for that.
 */
export function triggerReader({ query, asked }: Trigger, matching: Matching = exactMatching): (of: Before) => Truth {
  const read = (part: Query): ((of: Before) => Truth) => {
    if (isTerm(part)) return readTerm(part, asked.get(part), matching);
    if (part.kind === 'not') {
      const inner = read(part.part);
      return (of) => notOf(inner(of));
    }
    const inner = part.parts.map(read);
    const both = part.kind === 'and' ? bothOf : eitherOf;
    return (of) => inner.map((one) => one(of)).reduce(both);
  };
  return read(query);
}

function readTerm(term: Term, asked: Asked | undefined, matching: Matching): (of: Before) => Truth {
  if (asked === 'changed') {
    const field = (term as { text: string }).text.toLowerCase() as WatchedField;
    return ({ before, now }) => {
      const [then, listed] = [before && factsOf(before)[field], factsOf(now)[field]];
      if (!then || !listed) return 'unknown';
      return then === listed ? 'not met' : 'met';
    };
  }
  if (asked === 'grown' || asked === 'leaders') {
    const { low, high } = term as Extract<Term, { kind: 'range' }>;
    if (asked === 'grown') return (both) => hasGrown(both, low, high);
    const of = ({ leaders = null }: Before) => leaders;
    return (both) => {
      const value = of(both);
      return value === null
        ? 'unknown'
        : value >= (low ?? -Infinity) && value <= (high ?? Infinity)
          ? 'met'
          : 'not met';
    };
  }
  const readers = new Map<ListedScopes, (person: Person) => Truth>();
  return ({ before, now, listed = everythingListed }) => {
    const person = asked === 'was' ? before : now;
    if (!person) return 'unknown';
    let reader = readers.get(listed);
    if (!reader) readers.set(listed, (reader = truthReader(term, listed, matching)));
    return reader(person);
  };
}

/**
 * Whether the firm has grown by so many per cent, where it is the same firm still. Compared without dividing, so that a growth of exactly
 * a bound is within it: 100 people and then 120 are 20 %.
 */
function hasGrown({ before, now }: Before, low: number | null, high: number | null): Truth {
  if (!before?.headcount || now.headcount === undefined) return 'unknown';
  if (factsOf(before).company !== factsOf(now).company) return 'unknown';
  const grown = (now.headcount - before.headcount) * 100;
  const isWithin =
    (low === null || grown >= scaled(low, before.headcount)) &&
    (high === null || grown <= scaled(high, before.headcount));
  return isWithin ? 'met' : 'not met';
}

/** A bound in per cent of a headcount. Written decimals such as 12.3 are no binary fractions: their product is rounded to a millionth. */
const scaled = (percent: number, headcount: number): number => Math.round(percent * headcount * 1e6) / 1e6;
