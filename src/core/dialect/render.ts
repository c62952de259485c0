import { print } from '../query/print';
import { isTerm, join, type Query } from '../query/query';
import { apart, cross, everybody, merge, planFor, type Plan } from './plan';
import { noUse, useOf, writeSearch, type Draft, type Search, type Use } from './search';
import { limitOf, shareOut, type SharedOut } from './share-out';
import type { Sheet } from './sheet';

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

/** Attempts at leaving something out until the rest keeps to the limits. */
const mostAttempts = 40;

interface Asked {
  conjunct: Query;
  plan: Plan;
}

/**
 * Translates a query for the source that the sheet describes. The union of the searches, each read by the source's
 * rules, then filtered by the left-over part, is what the query means under the source's matching; never less.
 */
export function render(query: Query, sheet: Sheet): Rendering {
  const scoped = sheet.boxes.find((box) => box.scoped);
  if (scoped) {
    const draft: Draft = { ...everybody.drafts[0]!, boxes: { [scoped.id]: query } };
    const shared = shareOut(draft, sheet, 1);
    return shared ? finish(shared, [], sheet) : tooLong(draft, sheet);
  }
  const normal = pushNots(query, false);
  const conjuncts = normal.kind === 'and' ? normal.parts : [normal];
  const planned = conjuncts.map((conjunct) => ({ conjunct, plan: planFor(conjunct, sheet) }));
  const wanted: Asked[] = [];
  const excluded: Asked[] = [];
  for (const { conjunct, plan } of planned) {
    if (plan) (conjunct.kind === 'not' ? excluded : wanted).push({ conjunct, plan });
  }
  // Exclusions alone would bring almost everyone.
  if (!wanted.length && conjuncts.some(({ kind }) => kind !== 'not')) return nothingToAsk(query, sheet);
  for (const asked of fewerAndFewer(wanted)) {
    const made = attemptAll(asked, excluded, sheet);
    if (!made) continue;
    const left = conjuncts.filter((conjunct) => !made.exactly.has(conjunct));
    const lonely = lonelyBoxes(made.shared, sheet);
    return lonely.size ? render(query, withoutNots(lonely, sheet)) : finish(made.shared, left, sheet);
  }
  const drafts = combine([...wanted, ...excluded], sheet).drafts;
  return tooLong(drafts.find((draft) => !shareOut(draft, sheet, sheet.limits.searches)) ?? drafts[0]!, sheet);
}

/**
 * What is wanted, whole and then with ever less of it, for as long as it may not fit: without one part, the last first,
 * since strings narrow from who is wanted to where; then without the largest part, and so on.
 */
function* fewerAndFewer(wanted: readonly Asked[]): Generator<Asked[]> {
  let asked = [...wanted];
  let attempts = 0;
  yield inOrder(asked);
  while (asked.length > 1 && attempts < mostAttempts) {
    for (const one of [...asked].reverse()) {
      if (attempts++ < mostAttempts) yield inOrder(asked.filter((other) => other !== one));
    }
    const largest = asked.reduce((most, one) => (sizeOf(one.conjunct) > sizeOf(most.conjunct) ? one : most));
    asked = asked.filter((one) => one !== largest);
  }
}

/** Parts that need few searches first, so that as many as can be are asked together. */
const inOrder = (asked: readonly Asked[]) => [...asked].sort((a, b) => a.plan.drafts.length - b.plan.drafts.length);

/**
 * Asks what is wanted, and as many exclusions as fit without more than twice the searches: people whom an exclusion left
 * over would have kept away are taken out of what comes back. Null when what is wanted does not fit.
 */
function attemptAll(
  wanted: readonly Asked[],
  excluded: readonly Asked[],
  sheet: Sheet
): { shared: SharedOut; exactly: Set<Query> } | null {
  const attempt = (count: number, most: number) => {
    const { drafts, exactly } = combine([...wanted, ...excluded.slice(0, count)], sheet);
    const shared = shareOutAll(drafts, most, sheet);
    return shared && { shared, exactly };
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
  let now: Plan = everybody;
  for (const { conjunct, plan } of asked) {
    const next = together(now, plan, sheet);
    const fewer = next ? null : planFor(conjunct, sheet, true);
    const broad = fewer && cross({ ...now, exact: true }, { ...fewer, exact: false }, sheet);
    if (next?.exact) exactly.add(conjunct);
    now = next ?? broad ?? now;
  }
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

function finish({ pieces, cuts }: SharedOut, left: readonly Query[], sheet: Sheet): Rendering {
  const leftover = left.length ? join('and', left) : null;
  const searches = pieces.map(({ search }) => search);
  const use = pieces.map((piece) => piece.use).reduce(larger, noUse);
  if (searches.some((search) => !Object.keys(search.boxes).length && !search.facts.length))
    return nothingToAsk(leftover, sheet);
  const notes: string[] = [];
  if (searches.length > 1)
    notes.push(`Shared out to ${searches.length} searches; whoever comes twice is counted once.`);
  for (const { place, pieces, limit } of cuts)
    notes.push(
      `${sheet.name} takes ${limit}: the alternatives in “${place}” are cut into ${pieces.length} pieces (${pieces.join(', ')}).`
    );
  if (leftover) {
    const written = print(leftover);
    const short = written.length > 240 ? `${written.slice(0, 240)}…` : written;
    notes.push(`${sheet.name} cannot be asked all of it. Eave checks the rest on who comes back: ${short}`);
  }
  return { searches, exactness: leftover ? 'wider' : 'exact', leftover, notes, use, limit: cuts[0]?.limit };
}

const nothingToAsk = (leftover: Query | null, sheet: Sheet): Rendering => ({
  searches: [],
  exactness: 'impossible',
  leftover,
  notes: [`Nothing in this string can be asked of ${sheet.name}: add a wanted word that it can search.`],
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
    ? `${sheet.name} takes ${limit}, and a search would have more.`
    : `This takes more than the ${sheet.limits.searches} searches that one string may be shared out to.`;
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
        const query = draft.boxes[box.id];
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
