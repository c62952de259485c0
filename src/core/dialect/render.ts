import { print } from '../language/print';
import { isTerm, join, terms, type Query } from '../language/query';
import { isTextScope } from '../language/scopes';
import { keysOf } from '../language/tokens';
import { apart, coverOf, cross, everybody, gathered, merge, planFor, type Plan } from './plan';
import { noUse, useOf, writeSearch, type Draft, type Use } from './search';
import type { Search } from './search-schema';
import { limitOf, limitWords, shareOut, type SharedOut } from './share-out';
import { listedBy, type Box, type Sheet } from './sheet';
import { mayBeUnknown } from '../semantics/truth';
import { own } from './own';

/** A string translated for one source. */
export interface Rendering {
  searches: Search[];
  /** `exact`: the searches mean the string. `wider`: they also bring others, which the left-over part removes. */
  exactness: 'exact' | 'wider' | 'impossible';
  /** What the source cannot say, for Eave to check on the people that come back. */
  leftover: Query | null;
  notes: string[];
  /** The limit that makes several searches of it, or none at all, where one does: `32 words`. */
  limit?: string | undefined;
  /** The most that any one search takes of each limit. */
  use: Use;
}

interface Asked {
  conjunct: Query;
  plan: Plan;
}

/**
 * Translates a query for the source that the sheet describes. The union of the searches, each read by the source's
 * rules, then filtered by the left-over part, is what the query means under the source's matching; never less. With what
 * is not listed as unknown (`truthOf`), the filter removes those the left-over part contradicts.
 */
export function render(query: Query, sheet: Sheet): Rendering {
  const scoped = sheet.boxes.find((box) => box.scoped);
  if (scoped) return renderScoped(query, scoped, sheet);
  const conjuncts = conjunctsOf(query);
  const planned = conjuncts.map((conjunct) => ({ conjunct, plan: planFor(conjunct, sheet) }));
  const wanted: Asked[] = [];
  const excluded: Asked[] = [];
  for (const { conjunct, plan } of planned) {
    if (plan) (conjunct.kind === 'not' ? excluded : wanted).push({ conjunct, plan });
    else if (conjunct.kind === 'or') {
      const cover = coverOf(conjunct, sheet);
      if (cover) wanted.push({ conjunct, plan: cover });
    }
  }
  // Exclusions alone would bring almost everyone.
  if (!wanted.length && conjuncts.some(({ kind }) => kind !== 'not')) return nothingToAsk(query, sheet);
  for (const asked of sheet.limits.shown === null ? fewestFirst(wanted, sheet) : fewerAndFewer(wanted, sheet)) {
    const made = attemptAll(asked, excluded, sheet);
    if (!made) continue;
    const left = conjuncts.filter((conjunct) => !made.exactly.has(conjunct));
    const lonely = lonelyBoxes(made.shared, sheet);
    if (lonely.size) return render(query, withoutNots(lonely, sheet));
    const limit =
      made.asked < excluded.length || asked.length < wanted.length
        ? limitBeyond([...wanted, ...excluded], sheet)
        : null;
    return finish(made.shared, left, sheet, limit ?? longTermLimit(query, sheet));
  }
  const drafts = combine([...wanted, ...excluded], sheet).drafts;
  return tooLong(drafts.find((draft) => !shareOut(draft, sheet, sheet.limits.searches)) ?? drafts[0]!, sheet);
}

/** The parts that must all hold, NOT on terms only. */
function conjunctsOf(query: Query): readonly Query[] {
  const normal = pushNots(query, false);
  return normal.kind === 'and' ? normal.parts : [normal];
}

/**
 * A place that takes the notation whole is asked what it can answer by what it tells; what it may not know of a person
 * (a fact, a text it does not have) Eave checks, since being asked it would drop anybody who doesn’t have it. One that cannot show
 * everybody is asked all of it where nothing else is left to ask.
 */
function renderScoped(query: Query, box: Box, sheet: Sheet): Rendering {
  const listed = listedBy(sheet);
  const conjuncts = conjunctsOf(query);
  const left = conjuncts.filter((conjunct) => mayBeUnknown(conjunct, listed));
  const asked = conjuncts.filter((conjunct) => !left.includes(conjunct));
  const all = !asked.length && !sheet.listsAll;
  const whole = all || !left.length;
  const boxes: Draft['boxes'] = whole ? { [box.id]: query } : asked.length ? { [box.id]: join('and', asked) } : {};
  const draft: Draft = { ...everybody.drafts[0]!, boxes };
  const shared = shareOut(draft, sheet, 1);
  return shared ? finish(shared, whole ? [] : left, sheet) : tooLong(draft, sheet);
}

/** Parts up to which leaving out one after another is tried. */
const maxLeftOutSingly = 24;

/**
 * What is wanted, whole and then with ever less of it, for as long as it may not fit: without one part, the last first,
 * since strings narrow from who is wanted to where; then as many as fit, in their order and, where a part is too large by
 * itself, the small ones first. A handful of attempts, each linear in the string.
 */
function* fewerAndFewer(wanted: readonly Asked[], sheet: Sheet): Generator<Asked[]> {
  yield inOrder(wanted);
  if (wanted.length < 2) return;
  if (wanted.length <= maxLeftOutSingly)
    for (const one of [...wanted].reverse()) yield inOrder(wanted.filter((other) => other !== one));
  const bySize = [...wanted].sort((a, b) => sizeOf(a.conjunct) - sizeOf(b.conjunct));
  const ways = [mostThatFit(wanted, sheet), mostThatFit(bySize, sheet)];
  const [first, second] = ways.sort((a, b) => b.length - a.length);
  if (first!.length) yield inOrder(first!);
  if (second!.length) yield inOrder(second!);
}

/** The longest beginning of a list that keeps to the limits, and of the few behind it those that still fit. */
function mostThatFit(list: readonly Asked[], sheet: Sheet): Asked[] {
  const fits = (asked: readonly Asked[]) => {
    const { drafts } = combine(inOrder(asked), sheet);
    return shareOutAll(drafts, sheet.limits.searches, sheet) !== null;
  };
  let [low, high] = [0, list.length];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (fits(list.slice(0, middle))) low = middle;
    else high = middle;
  }
  let kept = list.slice(0, low);
  for (const one of list.slice(low + 1, low + 1 + maxLeftOutSingly)) {
    const more = [...kept, one];
    if (fits(more)) kept = more;
  }
  return kept;
}

/**
 * Where a source shows everything, any search that finds a superset will do: the part that takes the fewest searches is asked,
 * with others that add none, and the rest is filtered.
 */
function* fewestFirst(wanted: readonly Asked[], sheet: Sheet): Generator<Asked[]> {
  const covered = wanted.map((one) => {
    const cover = one.conjunct.kind === 'or' && one.plan.drafts.length > 1 ? coverOf(one.conjunct, sheet) : null;
    return cover && cover.drafts.length < one.plan.drafts.length ? { ...one, plan: cover } : one;
  });
  const [first, ...others] = inOrder(covered);
  if (first) {
    const most = searchesFor([first], sheet);
    if (most !== null) {
      const cheap = others.filter(({ plan }) => plan.drafts.length === 1);
      const together = [first, ...cheap];
      const count = searchesFor(together, sheet);
      if (count !== null && count <= most) yield together;
      else {
        const fitting = mostThatFit(together, sheet);
        const searches = searchesFor(fitting, sheet);
        if (fitting.length && searches !== null && searches <= most) yield fitting;
      }
      yield [first];
    }
  }
  yield* fewerAndFewer(wanted, sheet);
}

function searchesFor(asked: readonly Asked[], sheet: Sheet): number | null {
  const shared = shareOutAll(combine(asked, sheet).drafts, sheet.limits.searches, sheet);
  return shared && shared.pieces.length;
}

/** Parts that need few searches first, so that as many as can be are asked together. */
const inOrder = (asked: readonly Asked[]) => [...asked].sort((a, b) => a.plan.drafts.length - b.plan.drafts.length);

/**
 * Asks what is wanted, and as many exclusions as fit without more than twice the searches: people an exclusion left
 * over would have kept away are taken out of what comes back. Null when what is wanted does not fit.
 */
function attemptAll(
  wanted: readonly Asked[],
  excluded: readonly Asked[],
  sheet: Sheet
): { shared: SharedOut; exactly: Set<Query>; asked: number } | null {
  const attempt = (count: number, most: number) => {
    const { drafts, exactly } = combine([...wanted, ...excluded.slice(0, count)], sheet);
    const shared = shareOutAll(drafts, most, sheet);
    return shared && { shared, exactly, asked: count };
  };
  let best = attempt(0, sheet.limits.searches);
  if (!best || !excluded.length) return best;
  const most = Math.min(sheet.limits.searches, wanted.length ? 2 * best.shared.pieces.length : 1);
  const whole = attempt(excluded.length, most);
  if (whole) return whole;
  let [low, high] = [0, excluded.length];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    const made = attempt(middle, most);
    if (made) [low, best] = [middle, made];
    else high = middle;
  }
  return best;
}

/** Searches that ask all of some parts together, and which parts they say in full. */
function combine(asked: readonly Asked[], sheet: Sheet): { drafts: Draft[]; exactly: Set<Query> } {
  const exactly = new Set<Query>();
  const later: { plan: Plan }[] = [];
  let now: Plan = everybody;
  for (const { plan, of } of gathered(asked, sheet)) {
    const next = together(now, plan, sheet);
    if (next) {
      if (next.exact) for (const one of of) if (one.plan.exact) exactly.add(one.conjunct);
      now = next;
    } else {
      const [only] = of;
      const broad = of.length > 1 ? null : planFor(only!.conjunct, sheet, true);
      if (broad) later.push({ plan: broad });
    }
  }
  // What would make too many searches is asked more broadly, all of it at once.
  for (const { plan } of gathered(later, sheet))
    now = cross({ ...now, exact: true }, { ...plan, exact: false }, sheet) ?? now;
  return { drafts: merge(now.drafts, sheet), exactly };
}

/**
 * Two plans as one. Where a box cannot hold both for want of brackets, their alternatives are asked one by one, and the
 * pairs joined again as far as the box can say it.
 */
function together(now: Plan, plan: Plan, sheet: Sheet): Plan | null {
  const before = { ...now, exact: true };
  const next = cross(before, plan, sheet);
  if (!plan.exact || next?.exact !== false || sheet.boxes.every((box) => box.group)) return next;
  const [left, right] = [apart(before), apart(plan)];
  const ways = [cross(before, right, sheet), cross(left, plan, sheet), cross(left, right, sheet)];
  return ways.find((way) => way?.exact) ?? next;
}

function shareOutAll(drafts: readonly Draft[], most: number, sheet: Sheet): SharedOut | null {
  const all: SharedOut = { pieces: [], cuts: [] };
  for (const draft of drafts) {
    const left = most - all.pieces.length;
    const shared = left > 0 ? shareOut(draft, sheet, left) : null;
    if (!shared) return null;
    all.pieces.push(...shared.pieces);
    all.cuts.push(...shared.cuts);
  }
  return all;
}

/** The limit for which not all of some parts can be asked together, in words; null where it is none. */
function limitBeyond(asked: readonly Asked[], sheet: Sheet): string | null {
  for (const draft of combine(asked, sheet).drafts) {
    const limit = limitOf(draft, sheet);
    if (limit) return limit;
  }
  return null;
}

/** The limit that a single term goes beyond, in words. */
function longTermLimit(query: Query, sheet: Sheet): string | null {
  const { words, characters } = sheet.limits;
  for (const { term } of terms(query)) {
    if (term.kind === 'range' || !isTextScope(term.scope)) continue;
    if (words !== null && keysOf(term.text).length > words) return limitWords('words', sheet);
    if (characters !== null && term.text.length > characters) return limitWords('characters', sheet);
  }
  return null;
}

function finish(
  { pieces, cuts }: SharedOut,
  left: readonly Query[],
  sheet: Sheet,
  beyond: string | null = null
): Rendering {
  const leftover = left.length ? join('and', left) : null;
  const searches = pieces.map(({ search }) => search);
  const use = pieces.map((piece) => piece.use).reduce(larger, noUse);
  if (!sheet.listsAll && searches.some((search) => !Object.keys(search.boxes).length && !search.facts.length))
    return nothingToAsk(leftover, sheet);
  const notes: string[] = [];
  if (searches.length > 1) notes.push(`Split into ${searches.length} searches; duplicates are counted once.`);
  for (const { place, pieces, limit } of cuts)
    notes.push(
      `${sheet.name} takes ${limit}: the alternatives in “${place}” are split into ${pieces.length} pieces (${pieces.join(', ')}).`
    );
  if (leftover) {
    const written = print(leftover);
    const short = written.length > 240 ? `${written.slice(0, 240)}…` : written;
    notes.push(`${sheet.name} cannot be asked all of it. Eave checks the rest on who comes back: ${short}`);
  }
  return {
    searches,
    exactness: leftover ? 'wider' : 'exact',
    leftover,
    notes,
    use,
    limit: cuts[0]?.limit ?? beyond ?? undefined
  };
}

const nothingToAsk = (leftover: Query | null, sheet: Sheet): Rendering => ({
  searches: [],
  exactness: 'impossible',
  leftover,
  notes: [`${sheet.name} can’t search any part of this string. Add a word it can search.`],
  use: noUse
});

const larger = (a: Use, b: Use): Use => ({
  characters: Math.max(a.characters, b.characters),
  words: Math.max(a.words, b.words),
  operators: Math.max(a.operators, b.operators),
  nesting: Math.max(a.nesting, b.nesting)
});

/** What to say of a search that goes beyond a limit and cannot be cut. */
function tooLong(draft: Draft, sheet: Sheet): Rendering {
  const limit = limitOf(draft, sheet);
  const why = limit
    ? `${sheet.name} takes ${limit}, and a search would need more.`
    : `This needs more than the ${sheet.limits.searches} searches allowed for one string.`;
  const use = useOf(writeSearch(draft, sheet), sheet);
  const searches = `${sheet.limits.searches} searches`;
  return {
    searches: [],
    exactness: 'impossible',
    leftover: null,
    notes: [`${why} Shorten the string.`],
    use,
    limit: limit ?? searches
  };
}

/** The boxes that would hold exclusions only where their source answers nothing to that. */
function lonelyBoxes({ pieces }: SharedOut, sheet: Sheet): Set<string> {
  const lonely = new Set<string>();
  for (const box of sheet.boxes)
    if (!box.excludesAlone && box.not)
      for (const { draft } of pieces) {
        const query = own(draft.boxes, box.id);
        if (query && (query.kind === 'and' || query.kind === 'or' ? query.parts : [query]).every(onlyExcludes))
          lonely.add(box.id);
      }
  return lonely;
}

const onlyExcludes = (query: Query): boolean =>
  query.kind === 'not' ||
  (query.kind === 'and' && query.parts.every(onlyExcludes)) ||
  (query.kind === 'or' && query.parts.some(onlyExcludes));

const withoutNots = (lonely: ReadonlySet<string>, sheet: Sheet): Sheet => ({
  ...sheet,
  boxes: sheet.boxes.map((box) => (lonely.has(box.id) ? { ...box, not: null } : box))
});

const sizeOf = (query: Query): number =>
  isTerm(query)
    ? 1
    : query.kind === 'not'
      ? sizeOf(query.part)
      : query.parts.reduce((sum, part) => sum + sizeOf(part), 0);

/** Negation normal form: NOT is on terms only. */
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
