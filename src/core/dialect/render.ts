import { print } from '../query/print';
import { join, type And, type Or, type Query, type Term } from '../query/query';
import { isTextScope, type Scope } from '../query/scopes';
import { tokenKeys } from '../query/tokens';
import { useOf, wordsOnly, writeSearch, type Draft, type Search } from './search';
import type { Box, Sheet } from './sheet';

/** A string translated for one source. */
export interface Rendering {
  searches: Search[];
  /** `exact`: the searches mean the string. `wider`: they also bring others, which the left-over part removes. */
  exactness: 'exact' | 'wider' | 'impossible';
  /** What the source cannot say, for Eave to check on the people that come back. */
  leftover: Query | null;
  notes: string[];
  use: { characters: number; words: number; operators: number };
}

/** Searches that together find at least what a part means; `exact` when they find just that. */
interface Plan {
  drafts: Draft[];
  exact: boolean;
}

/**
 * Translates a query for the source that the sheet describes. The union of the searches, each read by the source's
 * rules, then filtered by the left-over part, is what the query means under the source's matching; never less.
 */
export function render(query: Query, sheet: Sheet): Rendering {
  const scoped = sheet.boxes.find((box) => box.scoped);
  if (scoped) return finish([{ ...emptyDraft(), boxes: { [scoped.id]: query } }], [], sheet);
  const normal = pushNots(query, false);
  const conjuncts = normal.kind === 'and' ? normal.parts : [normal];
  let drafts: Draft[] = [emptyDraft()];
  const leftover: Query[] = [];
  for (const conjunct of conjuncts) {
    const plan = planFor(conjunct, sheet);
    const combined = plan && cross(drafts, plan.drafts, sheet);
    if (combined) drafts = combined.drafts;
    if (!plan?.exact || !combined?.exact) leftover.push(conjunct);
  }
  return finish(distinct(drafts), leftover, sheet);
}

const emptyDraft = (): Draft => ({ boxes: {}, include: {}, exclude: {}, range: {} });

function finish(drafts: Draft[], leftover: Query[], sheet: Sheet): Rendering {
  const searches = drafts.map((draft) => writeSearch(draft, sheet));
  const uses = searches.map(useOf);
  const use = {
    characters: Math.max(0, ...uses.map((one) => one.characters)),
    words: Math.max(0, ...uses.map((one) => one.words)),
    operators: Math.max(0, ...uses.map((one) => one.operators))
  };
  const notes: string[] = [];
  if (searches.some((search) => !Object.keys(search.boxes).length && !search.facts.length))
    return {
      searches: [],
      exactness: 'impossible',
      leftover: leftover.length ? join('and', leftover) : null,
      notes: [`Nothing in this string can be asked of ${sheet.name}: add a wanted word that it can search.`],
      use
    };
  for (const limit of ['characters', 'words', 'operators'] as const) {
    const most = sheet.limits[limit];
    if (most !== null && use[limit] > most)
      return {
        searches: [],
        exactness: 'impossible',
        leftover: null,
        notes: [`A search would have ${use[limit]} ${limit}; ${sheet.name} takes ${most}. Shorten the string.`],
        use
      };
  }
  if (searches.length > 1)
    notes.push(`Shared out to ${searches.length} searches; whoever comes twice is counted once.`);
  if (leftover.length) {
    const written = leftover.map(print).join(' · ');
    const short = written.length > 240 ? `${written.slice(0, 240)}…` : written;
    notes.push(`${sheet.name} cannot be asked all of it. Eave checks the rest on who comes back: ${short}`);
  }
  return {
    searches,
    exactness: leftover.length ? 'wider' : 'exact',
    leftover: leftover.length ? join('and', leftover) : null,
    notes,
    use
  };
}

/** Negation normal form: NOT stands on terms only. */
function pushNots(query: Query, negated: boolean): Query {
  switch (query.kind) {
    case 'not':
      return pushNots(query.part, !negated);
    case 'and':
    case 'or': {
      const kind = negated ? (query.kind === 'and' ? 'or' : 'and') : query.kind;
      return join(
        kind,
        query.parts.map((part) => pushNots(part, negated))
      );
    }
    default:
      return negated ? { kind: 'not', part: query } : query;
  }
}

/** How a part can be asked; null when asking it would need everyone. */
function planFor(query: Query, sheet: Sheet): Plan | null {
  switch (query.kind) {
    case 'and':
      return planAll(query, sheet);
    case 'or':
      return planAny(query, sheet);
    case 'not':
      return planExclusion(query.part as Term, sheet);
    default:
      return planTerm(query, sheet);
  }
}

function planAll(query: And, sheet: Sheet): Plan | null {
  let plan: Plan | null = null;
  let exact = true;
  for (const part of query.parts) {
    const next = planFor(part, sheet);
    if (!next) {
      exact = false;
      continue;
    }
    const combined: Plan | null = plan ? cross(plan.drafts, next.drafts, sheet) : next;
    exact &&= next.exact && combined !== null && combined.exact;
    plan = combined ?? plan;
  }
  return plan && { drafts: plan.drafts, exact };
}

function planAny(query: Or, sheet: Sheet): Plan | null {
  const drafts: Draft[] = [];
  let exact = true;
  for (const part of query.parts) {
    const plan = planFor(part, sheet);
    if (!plan) return null;
    exact &&= plan.exact;
    for (const draft of plan.drafts) {
      const host = drafts.findIndex((other) => canShare(other, draft, sheet));
      if (host >= 0) drafts[host] = share(drafts[host]!, draft);
      else drafts.push(draft);
    }
  }
  const single = distinct(drafts);
  return single.length <= sheet.limits.searches ? { drafts: single, exact } : null;
}

function planTerm(term: Term, sheet: Sheet): Plan | null {
  if (!isTextScope(term.scope)) {
    const fact = sheet.facts.find((one) => one.scope === term.scope);
    if (term.kind === 'range')
      return fact?.range ? one({ range: { [term.scope]: { low: term.low, high: term.high } } }, true) : null;
    return fact?.include ? one({ include: { [term.scope]: [term] } }, true) : null;
  }
  if (term.kind === 'range') return null;
  const own = sheet.boxes.find((box) => box.searches === term.scope);
  const box = own ?? sheet.boxes.find((other) => other.searches === 'any');
  if (!box) return null;
  const said = inBox(term, box, sheet);
  return said && one({ boxes: { [box.id]: said.query } }, said.exact && own !== undefined);
}

function planExclusion(term: Term, sheet: Sheet): Plan | null {
  if (!isTextScope(term.scope)) {
    const fact = sheet.facts.find((other) => other.scope === term.scope);
    return fact?.exclude && term.kind !== 'range' ? one({ exclude: { [term.scope]: [term] } }, true) : null;
  }
  const box = sheet.boxes.find((other) => other.searches === term.scope && other.not);
  const said = box && term.kind !== 'range' ? inBox(term, box, sheet) : null;
  return box && said?.exact ? one({ boxes: { [box.id]: { kind: 'not', part: said.query } } }, true) : null;
}

const one = (draft: Partial<Draft>, exact: boolean): Plan => ({ drafts: [{ ...emptyDraft(), ...draft }], exact });

/** A word or phrase as a box can say it; its words joined by and where the box knows no phrases. */
function inBox(term: Term, box: Box, sheet: Sheet): { query: Query; exact: boolean } | null {
  if (term.kind === 'range') return null;
  const scope: Scope = box.searches;
  const keys = tokenKeys(term.text);
  if (term.kind === 'word' && term.prefix) {
    if (box.prefix) return { query: { ...term, scope }, exact: true };
    const whole = keys.slice(0, -1);
    return whole.length ? { query: words(whole, scope), exact: false } : null;
  }
  if (term.kind === 'word' && keys.length === 1) {
    const text = [term.text, keys[0]!].find((written) => isPlain(written, box));
    if (text) return { query: { kind: 'word', scope, text }, exact: true };
    // Quoted, the word would lose its stem and find fewer people.
    if (!box.phrase || sheet.matching.stemming) return null;
  }
  if (box.phrase) return { query: { kind: 'phrase', scope, text: term.text }, exact: true };
  const plain = keys.filter((key) => isPlain(key, box));
  const exact = keys.length === 1 && plain.length === 1 && sheet.matching.stemming === null;
  return plain.length ? { query: words(plain, scope), exact } : null;
}

/** Whether a word can stand unquoted in the box and be read as itself. */
function isPlain(text: string, box: Box): boolean {
  if (wordsOnly(box)) return tokenKeys(text).length === 1;
  return print({ kind: 'word', scope: 'any', text }) === text;
}

const words = (keys: readonly string[], scope: Scope): Query =>
  join(
    'and',
    keys.map((text) => ({ kind: 'word', scope, text }))
  );

/** Every search of one side joined with every search of the other; null when that makes too many. */
function cross(left: Draft[], right: Draft[], sheet: Sheet): Plan | null {
  if (left.length * right.length > sheet.limits.searches) return null;
  let exact = true;
  const drafts = left.flatMap((a) =>
    right.map((b) => {
      const merged = both(a, b);
      exact &&= merged.exact;
      return merged.draft;
    })
  );
  return { drafts: distinct(drafts), exact };
}

/** One search that asks both. Two lists for one fact cannot be asked together: the first stays. */
function both(a: Draft, b: Draft): { draft: Draft; exact: boolean } {
  let exact = true;
  const boxes = { ...a.boxes };
  for (const [id, query] of Object.entries(b.boxes)) boxes[id] = boxes[id] ? join('and', [boxes[id], query]) : query;
  const include = { ...b.include, ...a.include };
  if (Object.keys(b.include).some((scope) => scope in a.include)) exact = false;
  const exclude = { ...a.exclude };
  for (const [scope, list] of Object.entries(b.exclude) as [Scope, Term[]][])
    exclude[scope] = [...(exclude[scope] ?? []), ...list];
  const range = { ...b.range, ...a.range };
  if (Object.keys(b.range).some((scope) => scope in a.range)) exact = false;
  return { draft: { boxes, include, exclude, range }, exact };
}

/** Whether two alternatives fit into one search: words for one box that knows OR, or values of one fact. */
function canShare(a: Draft, b: Draft, sheet: Sheet): boolean {
  const only = (draft: Draft) => {
    const used = [
      ...Object.keys(draft.boxes).map((id) => `box ${id}`),
      ...Object.keys(draft.include).map((scope) => `include ${scope}`),
      ...Object.keys(draft.exclude).map((scope) => `exclude ${scope}`),
      ...Object.keys(draft.range).map((scope) => `range ${scope}`)
    ];
    return used.length === 1 ? used[0]! : null;
  };
  const place = only(a);
  if (!place || place !== only(b)) return false;
  if (place.startsWith('include ')) return true;
  const box = sheet.boxes.find((candidate) => place === `box ${candidate.id}`);
  return box !== undefined && box.or && box.group;
}

function share(a: Draft, b: Draft): Draft {
  const [id] = Object.keys(a.boxes);
  if (id) return { ...a, boxes: { [id]: join('or', [a.boxes[id]!, b.boxes[id]!]) } };
  const [scope] = Object.keys(a.include) as Scope[];
  return { ...a, include: { [scope!]: [...a.include[scope!]!, ...b.include[scope!]!] } };
}

/** Drafts without repeats; words joined by and are the same in any order. */
function distinct(drafts: Draft[]): Draft[] {
  const seen = new Set<string>();
  return drafts.filter((draft) => {
    const key = JSON.stringify([
      Object.entries(draft.boxes)
        .map(([id, query]) => [id, query.kind === 'and' ? query.parts.map(print).sort().join(' ') : print(query)])
        .sort(),
      draft.include,
      draft.exclude,
      draft.range
    ]);
    return seen.size < seen.add(key).size;
  });
}
