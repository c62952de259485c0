import type { Person } from '../people/person';
import { searches } from '../people/values';
import { nameOfOwn } from '../people/own-fields';
import type { Field } from '../people/fields';
import { fields } from '../people/fields';
import { TooMuchWork, type DecisionDiagram, type Node } from './decision-diagram';
import { spanOf, wordingOf, type Wording } from './implies';
import { indexOfSequence, sequenceOf } from './leaf';
import { exactMatching } from './exact-matching';
import { terms, type Phrase, type Query, type Term, type Word } from '../language/query';
import { isNumberFact, isOwnScope, takesRange, type NumberFact, type OwnScope, type Scope } from '../language/scopes';
import { WordingIndex } from './wording-index';

/** What can be true or false of a person on its own: words in a field, or a number at or beyond a bound. */
type Atom =
  | { kind: 'words'; field: Field; wording: Wording }
  | { kind: 'known'; fact: OrderedFact }
  | { kind: 'from' | 'beyond'; fact: OrderedFact; bound: number };
type OrderedFact = NumberFact | OwnScope | ListedFact;
type ListedFact = keyof typeof listed;

/** Facts with few values: each is ordered by its place here, and a person has one of them or none. */
const listed = { mail: ['good', 'uncertain', 'none'], hiring: ['yes', 'no'], funded: ['yes', 'no'] } as const;
const isListed = (scope: Scope): scope is ListedFact => Object.hasOwn(listed, scope);
/** Facts that are never below nought. */
const counted: ReadonlySet<Scope> = new Set<Scope>(['headcount', 'tenure', 'moved', 'active']);
/** The field that represents all that `any` searches and no scope of the query names. */
const elsewhere: Field = 'jobtext';
const maxAtoms = 3000;
const maxLinks = 20_000;

/** Cuts queries into atoms, with what is known between these, for a diagram. */
export class Atoms {
  private readonly atoms: Atom[] = [];
  private readonly numbers = new Map<string, number>();
  private readonly anyFields: Field[];
  private readonly diagram: DecisionDiagram;

  /** `queries` are all that will be asked about. */
  constructor(diagram: DecisionDiagram, queries: readonly Query[]) {
    this.diagram = diagram;
    const all = queries.flatMap((query) => [...terms(query)].map(({ term }) => term));
    // A number's own digits as a word are no atom apart from it: `own.score:3` beside `own.score:[2 TO 4]`.
    const ranged = new Set(all.flatMap(({ kind, scope }) => (kind === 'range' && isOwnScope(scope) ? [scope] : [])));
    for (const term of all)
      if (
        term.kind !== 'range' &&
        ranged.has(term.scope as OwnScope) &&
        wordingOf(term).keys.some((key) => /\d/.test(key))
      )
        throw new TooMuchWork();
    const named = new Set(all.map(({ scope }) => scope as string));
    this.anyFields = fields.filter((field) => searches('any', field) && (named.has(field) || field === elsewhere));
    const bounds = new Map<OrderedFact, Set<string>>();
    for (const term of all)
      for (const atom of this.orderedAtoms(term)) {
        const of = bounds.get(atom.fact) ?? new Set();
        bounds.set(atom.fact, of.add(nameOf(atom)));
      }
    for (const term of all) {
      const ordered = this.orderedAtoms(term);
      if (!ordered.length) for (const atom of this.wordAtoms(term)) this.add(atom);
      else {
        const chain = [...(bounds.get(ordered[0]!.fact) ?? [])].map((name) => JSON.parse(name) as Atom);
        for (const atom of chain.sort(byPlace)) this.add(atom);
      }
    }
    if (this.atoms.length > maxAtoms) throw new TooMuchWork();
  }

  /** The query as a function of the atoms. */
  node(query: Query): Node {
    const { diagram } = this;
    switch (query.kind) {
      // From the last part on, so that each step works above what is there.
      case 'and':
        return query.parts.reduceRight<Node>((rest, part) => diagram.and(this.node(part), rest), 1);
      case 'or':
        return query.parts.reduceRight<Node>((rest, part) => diagram.or(this.node(part), rest), 0);
      case 'not':
        return diagram.not(this.node(query.part));
      default:
        return this.term(query);
    }
  }

  /** Each pair of atoms of which the first implies the second, those of the last variables first. */
  links(): [number, number][] {
    const links: [number, number][] = [];
    const indexes = new Map<Field, WordingIndex<number>>();
    const lastOf = new Map<OrderedFact, number>();
    this.atoms.forEach((atom, i) => {
      if (atom.kind === 'words') {
        const index = indexes.get(atom.field) ?? new WordingIndex<number>();
        indexes.set(atom.field, index);
        index.add(atom.wording, i);
      } else {
        const last = lastOf.get(atom.fact);
        if (last !== undefined) links.push([i, last]);
        lastOf.set(atom.fact, i);
      }
    });
    this.atoms.forEach((atom, i) => {
      if (atom.kind !== 'words') return;
      for (const other of indexes.get(atom.field)!.within(atom.wording)) {
        if (other !== i) links.push([i, other]);
        if (links.length > maxLinks) throw new TooMuchWork();
      }
    });
    return links.sort((a, b) => Math.max(...b) - Math.max(...a));
  }

  /** Pairs of atoms that exclude each other: an own field that holds a number or a day holds no other words. */
  exclusions(): [number, number][] {
    const known = new Map<Scope, number>();
    this.atoms.forEach((atom, i) => {
      if (atom.kind === 'known' && isOwnScope(atom.fact)) known.set(atom.fact, i);
    });
    return this.atoms.flatMap((atom, i): [number, number][] => {
      const number = atom.kind === 'words' ? known.get(atom.field as OwnScope) : undefined;
      return number === undefined ? [] : [[i, number]];
    });
  }

  /**
   * The person a query seems to be about: everything it requires is true of them, and nothing it excludes. Most queries find
   * them, which saves deciding.
   */
  likelyPerson(query: Query): Person {
    const all = [...terms(query)];
    const unwanted = new WordingIndex<Term>();
    for (const { term, wanted } of all)
      if (!wanted && (term.kind === 'word' || term.kind === 'phrase')) unwanted.add(wordingOf(term), term);
    const facts = new Set<Scope>();
    const held = new Set<number>();
    for (const { term, wanted } of all) {
      if (!wanted || (term.kind !== 'range' && unwanted.within(wordingOf(term)).length)) continue;
      const ordered = this.orderedAtoms(term);
      if (ordered.length && facts.has(term.scope)) continue;
      facts.add(term.scope);
      for (const atom of ordered.length
        ? ordered.filter(({ kind }) => kind !== 'beyond')
        : this.wordAtoms(term).slice(-1))
        held.add(this.numbers.get(nameOf(atom))!);
    }
    return this.person((atom) => held.has(atom));
  }

  /** A person with exactly the given atoms true. */
  person(isTrue: (atom: number) => boolean): Person {
    const texts = new Map<Field, string[]>();
    const person: Person = { id: 'witness', name: fresh };
    const facts = new Map<OrderedFact, { low: number; open: boolean; high: number }>();
    this.atoms.forEach((atom, i) => {
      if (atom.kind === 'words') {
        if (!isTrue(i)) return;
        const { keys, prefix } = atom.wording;
        texts.set(atom.field, [...(texts.get(atom.field) ?? []), keys.join(' ') + (prefix ? fresh : '')]);
        return;
      }
      const { fact } = atom;
      if (atom.kind === 'known') {
        if (isTrue(i)) facts.set(fact, { low: counted.has(fact) ? 0 : -Infinity, open: false, high: Infinity });
        return;
      }
      const span = facts.get(fact);
      if (!span) return;
      if (isTrue(i)) Object.assign(span, { low: atom.bound, open: atom.kind === 'beyond' });
      else if (span.high === Infinity) span.high = atom.bound;
    });
    for (const [fact, { low, open, high }] of facts) {
      const value = !open && low > -Infinity ? low : between(low, high);
      if (fact === 'mail') person.mail = listed.mail[value];
      else if (fact === 'hiring' || fact === 'funded') person[fact] = value === 0;
      else if (isOwnScope(fact)) person.own = { ...person.own, [nameOfOwn(fact)]: value };
      else person[fact] = value;
    }
    const one = (field: Field) => texts.get(field)?.concat(fresh).join(` ${fresh} `);
    const many = (field: Field) => texts.get(field) ?? [];
    const jobs = (['', 'past'] as const).flatMap((to) => [
      ...many(to ? 'pasttitle' : 'title').map((title) => ({ title, company: '', ...(to && { to }) })),
      ...many(to ? 'pastcompany' : 'company').map((company) => ({ title: '', company, ...(to && { to }) }))
    ]);
    for (const field of texts.keys())
      if (isOwnScope(field)) person.own = { ...person.own, [nameOfOwn(field)]: one(field)! };
    return {
      ...person,
      jobs: [...jobs, ...many('jobtext').map((text) => ({ title: '', company: '', text }))],
      skills: many('skill'),
      schools: many('school'),
      groups: many('group'),
      contact: many('contact'),
      tech: many('tech'),
      ...Object.fromEntries(
        (['about', 'place', 'country', 'industry', 'function', 'rank', 'language'] as const).flatMap((field) => {
          const text = one(field);
          return text === undefined ? [] : [[field, text]];
        })
      )
    };
  }

  private add(atom: Atom): void {
    const name = nameOf(atom);
    if (this.numbers.has(name)) return;
    this.numbers.set(name, this.atoms.length);
    this.atoms.push(atom);
  }

  private variable = (atom: Atom): Node => this.diagram.variable(this.numbers.get(nameOf(atom))!);

  private term(term: Term): Node {
    const { diagram } = this;
    if (isListed(term.scope)) {
      const fact = term.scope;
      return valuesMet(term, fact).reduce<Node>((rest, value) => {
        const from = this.variable({ kind: 'from', fact, bound: value });
        const beyond = this.variable({ kind: 'beyond', fact, bound: value });
        return diagram.or(diagram.and(from, diagram.not(beyond)), rest);
      }, 0);
    }
    if (isNumberFact(term.scope) || term.kind === 'range') {
      const ordered = this.orderedAtoms(term);
      return ordered.reduceRight<Node>(
        (rest, atom) => {
          const node = this.variable(atom);
          return diagram.and(atom.kind === 'beyond' ? diagram.not(node) : node, rest);
        },
        ordered.length ? 1 : 0
      );
    }
    return this.wordAtoms(term).reduceRight<Node>((rest, atom) => diagram.or(this.variable(atom), rest), 0);
  }

  /** The bounds of a term on a fact with an order; for a number, all but the last are met and `beyond` is not. */
  private orderedAtoms(term: Term): (Atom & { kind: 'known' | 'from' | 'beyond' })[] {
    const { scope } = term;
    if (isListed(scope))
      return [
        { kind: 'known', fact: scope },
        ...valuesMet(term, scope).flatMap((bound) => [
          { kind: 'from' as const, fact: scope, bound },
          { kind: 'beyond' as const, fact: scope, bound }
        ])
      ];
    if (!takesRange(scope) || (isOwnScope(scope) && term.kind !== 'range')) return [];
    const range = spanOf(term);
    if (!range) return [];
    const least = counted.has(scope) ? 0 : -Infinity;
    const low = range.low ?? -Infinity;
    const high = range.high ?? Infinity;
    if (high < least) return [];
    return [
      { kind: 'known', fact: scope },
      ...(low > least ? [{ kind: 'from' as const, fact: scope, bound: low }] : []),
      ...(high < Infinity ? [{ kind: 'beyond' as const, fact: scope, bound: high }] : [])
    ];
  }

  private wordAtoms(term: Term): (Atom & { kind: 'words' })[] {
    if (term.kind === 'range' || isNumberFact(term.scope) || isListed(term.scope)) return [];
    const wording = wordingOf(term);
    if (!wording.keys.length) return [];
    const searched = term.scope === 'any' ? this.anyFields : [term.scope as Field];
    return searched.map((field) => ({ kind: 'words', field, wording }));
  }
}

/** A word that no string holds. */
const fresh = 'qzxvwqzx';

/** Which of a listed fact's values a term meets. */
function valuesMet(term: Term, fact: ListedFact): number[] {
  if (term.kind === 'range') return [];
  const sequence = sequenceOf(term as Word | Phrase, exactMatching);
  return listed[fact].flatMap((value, i) => (indexOfSequence([value], sequence) >= 0 ? [i] : []));
}

function between(low: number, high: number): number {
  if (low === -Infinity) return high === Infinity ? 0 : high - 1;
  return high === Infinity ? low + 1 : (low + high) / 2;
}

const nameOf = (atom: Atom): string =>
  atom.kind === 'words'
    ? `${atom.field} ${atom.wording.keys.join(' ')}${atom.wording.prefix ? '*' : ''}`
    : JSON.stringify({ kind: atom.kind, fact: atom.fact, ...(atom.kind !== 'known' && { bound: atom.bound }) });

/** Along the numbers: known, then each bound met before it is passed. */
function byPlace(a: Atom, b: Atom): number {
  const place = (atom: Atom) => (atom.kind === 'from' || atom.kind === 'beyond' ? atom.bound : -Infinity);
  const order = (atom: Atom) => (atom.kind === 'beyond' ? 1 : 0);
  return place(a) === place(b) ? order(a) - order(b) : place(a) - place(b);
}
