import { print } from '../query/print';
import { isTerm, join, type Query } from '../query/query';
import { apart, cross, everybody, merge, planFor, type Plan } from './plan';
import { noUse, overLimit, useOf, writeSearch, type Draft, type Search, type Use } from './search';
import { fits, shareOut, tooManyValues, type SharedOut } from './share-out';
import { factLabel, type LimitKind, type Sheet } from './sheet';

/** A string translated for one source. */
export interface Rendering {
  searches: Search[];
  /** `exact`: the searches mean the string. `wider`: they also bring others, which the left-over part removes. */
  exactness: 'exact' | 'wider' | 'impossible';
  /** What the source cannot say, for Eave to check on the people that come back. */
  leftover: Query | null;
  notes: string[];
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
    return fits(draft, sheet) ? finish({ drafts: [draft], cuts: [] }, [], sheet) : tooLong(draft, sheet);
  }
  const normal = pushNots(query, false);
  const conjuncts = normal.kind === 'and' ? normal.parts : [normal];
  const planned = conjuncts.map((conjunct) => ({ conjunct, plan: planFor(conjunct, sheet) }));
  const wanted: Asked[] = [];
  const excluded: Asked[] = [];
  for (const { conjunct, plan } of planned) {
    if (plan) (conjunct.kind === 'not' ? excluded : wanted).push({ conjunct, plan });
  }
  wanted.sort((a, b) => a.plan.drafts.length - b.plan.drafts.length);

  // Exclusions alone would bring almost everyone.
  if (!wanted.length && conjuncts.some(({ kind }) => kind !== 'not')) return nothingToAsk(query, sheet);
  let asked = wanted;
  for (let attempt = 0; attempt < mostAttempts; attempt++) {
    const made = attemptAll(asked, excluded, sheet);
    if (made) {
      const left = conjuncts.filter((conjunct) => !made.exactly.has(conjunct));
      return lonelyExclusions(made.shared.drafts, sheet)
        ? render(query, withoutNots(made.shared.drafts, sheet))
        : finish(made.shared, left, sheet);
    }
    if (asked.length <= 1) break;
    const heaviest = asked.reduce((most, one) => (sizeOf(one.conjunct) > sizeOf(most.conjunct) ? one : most));
    asked = asked.filter((one) => one !== heaviest);
  }
  const drafts = combine([...wanted, ...excluded], sheet).drafts;
  return tooLong(drafts.find((draft) => !fits(draft, sheet)) ?? drafts[0]!, sheet);
}

/** Asks what is wanted, and as many exclusions as fit; null when what is wanted does not fit. */
function attemptAll(
  wanted: readonly Asked[],
  excluded: readonly Asked[],
  sheet: Sheet
): { shared: SharedOut; exactly: Set<Query> } | null {
  const attempt = (count: number) => {
    const { drafts, exactly } = combine([...wanted, ...excluded.slice(0, count)], sheet);
    const shared = shareOutAll(drafts, sheet);
    return shared && { shared, exactly };
  };
  const whole = attempt(excluded.length);
  if (whole) return whole;
  let best = attempt(0);
  if (!best) return null;
  let [low, high] = [0, excluded.length];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    const made = attempt(middle);
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

function shareOutAll(drafts: readonly Draft[], sheet: Sheet): SharedOut | null {
  const all: SharedOut = { drafts: [], cuts: [] };
  for (const draft of drafts) {
    const left = sheet.limits.searches - all.drafts.length;
    const shared = left > 0 ? shareOut(draft, sheet, left) : null;
    if (!shared) return null;
    all.drafts.push(...shared.drafts);
    all.cuts.push(...shared.cuts);
  }
  return all;
}

function finish({ drafts, cuts }: SharedOut, left: readonly Query[], sheet: Sheet): Rendering {
  const leftover = left.length ? join('and', left) : null;
  const searches = drafts.map((draft) => writeSearch(draft, sheet));
  const use = searches.map((search) => useOf(search, sheet)).reduce(larger, noUse);
  if (searches.some((search) => !Object.keys(search.boxes).length && !search.facts.length))
    return nothingToAsk(leftover, sheet);
  const notes: string[] = [];
  if (searches.length > 1)
    notes.push(`Shared out to ${searches.length} searches; whoever comes twice is counted once.`);
  for (const { place, pieces } of cuts)
    notes.push(
      `A limit of ${sheet.name} cuts the alternatives in “${place}” into ${pieces.length} pieces (${pieces.join(', ')}).`
    );
  if (leftover) {
    const written = print(leftover);
    const short = written.length > 240 ? `${written.slice(0, 240)}…` : written;
    notes.push(`${sheet.name} cannot be asked all of it. Eave checks the rest on who comes back: ${short}`);
  }
  return { searches, exactness: leftover ? 'wider' : 'exact', leftover, notes, use };
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

const units: Record<LimitKind, string> = {
  characters: 'characters in one box',
  words: 'words',
  operators: 'operators',
  nesting: 'brackets within brackets'
};

/** What to say of a search that goes beyond a limit and cannot be cut. */
function tooLong(draft: Draft, sheet: Sheet): Rendering {
  const use = useOf(writeSearch(draft, sheet), sheet);
  const kind = overLimit(use, sheet);
  const values = tooManyValues(draft, sheet);
  const fact = values && sheet.facts.find(({ scope }) => scope === values.scope);
  const why = kind
    ? `A search would have ${use[kind].toLocaleString('en')} ${units[kind]}; ${sheet.name} takes ${sheet.limits[kind]!.toLocaleString('en')}.`
    : values
      ? `A search would name ${values.given} values of “${factLabel(fact!)}”; ${sheet.name} takes ${values.most}.`
      : `This takes more than the ${sheet.limits.searches} searches that one string may be shared out to.`;
  return { searches: [], exactness: 'impossible', leftover: null, notes: [`${why} Shorten the string.`], use };
}

/** Whether some box would hold exclusions only where its source answers nothing to that. */
const lonelyExclusions = (drafts: readonly Draft[], sheet: Sheet) => lonelyBoxes(drafts, sheet).size > 0;

function lonelyBoxes(drafts: readonly Draft[], sheet: Sheet): Set<string> {
  const lonely = new Set<string>();
  for (const box of sheet.boxes)
    if (!box.excludesAlone && box.not)
      for (const draft of drafts) {
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

const withoutNots = (drafts: readonly Draft[], sheet: Sheet): Sheet => {
  const lonely = lonelyBoxes(drafts, sheet);
  return { ...sheet, boxes: sheet.boxes.map((box) => (lonely.has(box.id) ? { ...box, not: null } : box)) };
};

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
