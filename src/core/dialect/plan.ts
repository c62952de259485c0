import { offersValue } from './offered-values';
import { wordingOf } from '../semantics/implies';
import { keyOf } from '../language/key';
import { isTerm, join, type And, type Or, type Query, type Term } from '../language/query';
import { isNumberFact, isTextScope, type Scope } from '../language/scopes';
import { keysOf } from '../language/tokens';
import { isPlain, joiner, writeBox } from './box-text';
import { coverRange, type Bucket } from './buckets';
import type { Draft } from './search';
import { wordsOnly, type Box, type Fact, type Sheet } from './sheet';
import { own } from './own';
import { checkpoint } from '../language/checkpoint';

/** Searches that together find at least what a part means; `exact` when they find just that. */
export interface Plan {
  drafts: Draft[];
  exact: boolean;
}

const emptyDraft = (): Draft => ({ boxes: {}, include: {}, exclude: {}, range: {} });
const one = (draft: Partial<Draft>, exact: boolean): Plan => ({ drafts: [{ ...emptyDraft(), ...draft }], exact });

/** Asking nothing: finds everybody. */
export const everybody: Plan = { drafts: [emptyDraft()], exact: true };

/**
 * How a part in negation normal form can be asked; null when asking it would need everyone. `broad` asks the box for the
 * whole profile instead of a term's own, which brings more people in fewer searches.
 */
export function planFor(query: Query, sheet: Sheet, broad = false): Plan | null {
  checkpoint();
  switch (query.kind) {
    case 'and':
      return planAll(query, sheet, broad);
    case 'or':
      return planAny(query, sheet, broad);
    case 'not':
      return planExclusion(query.part as Term, sheet);
    default:
      return planTerm(query, sheet, broad);
  }
}

function planAll(query: And, sheet: Sheet, broad: boolean): Plan | null {
  let plan: Plan | null = null;
  let exact = true;
  for (const part of query.parts) {
    const next = planFor(part, sheet, broad);
    if (!next) {
      exact = false;
      continue;
    }
    const combined: Plan | null = plan ? cross(plan, next, sheet) : next;
    exact &&= next.exact && combined !== null && combined.exact;
    plan = combined ?? plan;
  }
  return plan && { drafts: plan.drafts, exact };
}

function planAny(query: Or, sheet: Sheet, broad: boolean): Plan | null {
  const drafts: Draft[] = [];
  let exact = true;
  for (const part of query.parts) {
    const plan = planFor(part, sheet, broad);
    if (!plan) return null;
    exact &&= plan.exact;
    drafts.push(...plan.drafts);
  }
  const merged = merge(drafts, sheet);
  if (merged.length <= sheet.limits.searches) return { drafts: merged, exact };
  return broad ? null : planAny(query, sheet, true);
}

function planTerm(term: Term, sheet: Sheet, broad: boolean): Plan | null {
  const { scope } = term;
  const fact = sheet.facts.find((other) => other.scope === scope);
  if (term.kind === 'range') {
    if (fact?.range) return one({ range: { [scope]: { low: term.low, high: term.high } } }, true);
    const cover = fact?.buckets && isNumberFact(scope) ? coverRange(term, fact.buckets) : null;
    return cover && one({ include: { [scope]: cover.chosen.map((bucket) => asTerm(bucket, scope)) } }, cover.exact);
  }
  const own =
    broad && scope !== 'any' ? undefined : sheet.boxes.find((box) => isTextScope(scope) && box.searches === scope);
  const said = own && inBox(term, own, sheet);
  if (said?.exact) return one({ boxes: { [own!.id]: said.query } }, true);
  if (fact?.include && !broad && isValue(term, fact, sheet)) return one({ include: { [scope]: [term] } }, true);
  if (said) return one({ boxes: { [own!.id]: said.query } }, false);
  const any = isTextScope(scope) || scope === 'place' ? sheet.boxes.find((box) => box.searches === 'any') : undefined;
  const instead = any && any !== own ? inBox(term, any, sheet) : null;
  return instead && one({ boxes: { [any!.id]: instead.query } }, false);
}

/** A named range of a source as a term. */
const asTerm = ({ low, high }: Bucket, scope: Scope): Term => ({ kind: 'range', scope, low, high });

function planExclusion(term: Term, sheet: Sheet): Plan | null {
  if (term.kind === 'range') return null;
  const { scope } = term;
  const box = sheet.boxes.find((other) => isTextScope(scope) && other.searches === scope && other.not);
  const said = box && inBox(term, box, sheet);
  if (said?.exact && isTerm(said.query)) {
    const query: Query = { kind: 'not', part: said.query };
    if (writeBox(query, box!) !== null) return one({ boxes: { [box!.id]: query } }, true);
  }
  const fact = sheet.facts.find((other) => other.scope === scope);
  return fact?.exclude && isValue(term, fact, sheet) ? one({ exclude: { [scope]: [term] } }, true) : null;
}

/** Whether a term can be chosen, or typed, as a value of a fact and means there what it means here. */
function isValue(term: Term, fact: Fact, sheet: Sheet): boolean {
  if (term.kind === 'range') return false;
  if (isTextScope(fact.scope)) {
    // A list of titles or firms finds phrases, and finds the stem of nothing.
    if (term.kind === 'word' && (term.prefix || sheet.matching.stemming)) return false;
  }
  return offersValue(fact, term);
}

/** A word or phrase as a box can say it; its words joined by and where the box knows no phrases. */
function inBox(term: Term, box: Box, sheet: Sheet): { query: Query; exact: boolean } | null {
  if (term.kind === 'range') return null;
  const scope: Scope = box.searches;
  const { keys } = wordingOf(term);
  if (term.kind === 'word' && term.prefix) {
    const query: Query = { ...term, scope };
    if (box.prefix && keys.length === 1 && writeBox(query, box) !== null) return { query, exact: true };
    return words(keys.slice(0, -1), box, sheet);
  }
  if (term.kind === 'word' && keys.length === 1) {
    const text = [term.text, keys[0]!].find((written) => isPlain({ kind: 'word', scope, text: written }, box));
    if (text) return { query: { kind: 'word', scope, text }, exact: true };
    // Quoted, the word would lose its stem and find fewer people.
    if (!box.phrase || sheet.matching.stemming) return null;
  }
  const fitting = phraseThatFits(term.text, keys, box, sheet);
  const phrase: Query = { kind: 'phrase', scope, text: fitting ?? term.text };
  if (writeBox(phrase, box) !== null) return { query: phrase, exact: fitting === null };
  const single = keys.length === 1 && sheet.matching.stemming === null;
  const said = words(keys, box, sheet);
  return said && { query: said.query, exact: single && said.whole };
}

/** The most words that one search can have in a box, beside those Eave writes before every search. */
const wordsThatFit = (box: Box, { limits }: Sheet): number =>
  (limits.words ?? Infinity) - (box.opening ? keysOf(box.opening).length : 0);
const charactersThatFit = (box: Box, { limits }: Sheet): number =>
  (limits.characters ?? Infinity) - (box.opening ? box.opening.length + 1 : 0);

/** The beginning of a phrase that goes beyond the limits: anybody who says it all says that too. Null where all of it fits. */
function phraseThatFits(text: string, keys: readonly string[], box: Box, sheet: Sheet): string | null {
  const maxWords = wordsThatFit(box, sheet);
  const maxCharacters = charactersThatFit(box, sheet) - 2;
  if (keys.length <= maxWords && text.length <= maxCharacters) return null;
  let length = -1;
  // Words that the source drops would leave nothing to find where they stood alone.
  const said = keys.filter((key) => !sheet.matching.stopWords.includes(key));
  const kept = said.filter((key, i) => i < maxWords && (length += key.length + 1) <= maxCharacters);
  return kept.length && kept.length < keys.length ? kept.join(' ') : null;
}

/** Words each to be found anywhere in the box, as many as the limits take, the longest first; only one where the box cannot join them. */
function words(keys: readonly string[], box: Box, sheet: Sheet): { query: Query; exact: false; whole: boolean } | null {
  const plain = keys
    .map((text) => ({ kind: 'word' as const, scope: box.searches, text }))
    .filter((word) => !sheet.matching.stopWords.includes(word.text) && isPlain(word, box));
  if (!plain.length) return null;
  if (joiner('and', box) !== null) {
    const fitting = wordsWithin(plain, box, sheet);
    if (!fitting.length) return null;
    return { query: join('and', fitting), exact: false, whole: fitting.length === keys.length };
  }
  const longest = plain.reduce((best, word) => (word.text.length > best.text.length ? word : best));
  return { query: longest, exact: false, whole: keys.length === 1 };
}

/** As many of some words as the limits take together, the longest first, in their order. */
function wordsWithin<W extends { text: string }>(all: readonly W[], box: Box, sheet: Sheet): W[] {
  const sign = joiner('and', box)!;
  let words = wordsThatFit(box, sheet);
  let characters = charactersThatFit(box, sheet) + sign.length;
  let operators = (sheet.limits.operators ?? Infinity) + 1;
  const perWord = sign.trim() ? 1 : 0;
  const kept = new Set<W>();
  for (const word of [...all].sort((a, b) => b.text.length - a.text.length)) {
    const cost = word.text.length + sign.length;
    if (words < 1 || characters < cost || (perWord && operators < 1)) continue;
    words--;
    characters -= cost;
    operators -= perWord;
    kept.add(word);
  }
  return all.filter((word) => kept.has(word));
}

/**
 * Plans of one search each whose parts go into boxes, made one: all that one box is asked is joined at once. What cannot
 * be joined so is left as it was. Time grows with their number, where joining one by one would write each box again and again.
 */
export function gathered<T extends { plan: Plan }>(asked: readonly T[], sheet: Sheet): { plan: Plan; of: T[] }[] {
  const simple = asked.filter(({ plan }) => isBoxesOnly(plan));
  if (simple.length < 2) return asked.map((one) => ({ plan: one.plan, of: [one] }));
  const byBox = new Map<string, Query[]>();
  for (const { plan } of simple)
    for (const [id, query] of Object.entries(plan.drafts[0]!.boxes)) {
      const list = byBox.get(id);
      if (list) list.push(query);
      else byBox.set(id, [query]);
    }
  const boxes: Draft['boxes'] = {};
  for (const [id, queries] of byBox) {
    const box = sheet.boxes.find((other) => other.id === id)!;
    const all = join('and', queries);
    const joins = queries.length === 1 || box.scoped || joiner('and', box) !== null;
    if (!joins || (queries.length > 1 && !box.scoped && writeBox(all, box) === null))
      return asked.map((one) => ({ plan: one.plan, of: [one] }));
    boxes[id] = all;
  }
  const drafts = [{ ...emptyDraft(), boxes }];
  return [
    { plan: { drafts, exact: true }, of: simple },
    ...asked.filter(({ plan }) => !isBoxesOnly(plan)).map((one) => ({ plan: one.plan, of: [one] }))
  ];
}

const isBoxesOnly = ({ drafts: [draft, ...more] }: Plan): boolean =>
  draft !== undefined &&
  !more.length &&
  !Object.keys(draft.include).length &&
  !Object.keys(draft.exclude).length &&
  !Object.keys(draft.range).length;

/**
 * Fewer searches that find at least everybody an OR finds, for a text box that takes only words: words such that each
 * alternative contains one, greedily by the number of alternatives. Extra people are filtered out.
 */
export function coverOf(query: Or, sheet: Sheet): Plan | null {
  const [box] = sheet.boxes;
  if (sheet.boxes.length !== 1 || !box || box.scoped || sheet.facts.length || joiner('or', box) !== null) return null;
  const alternatives: ReadonlySet<string>[] = [];
  for (const part of query.parts) {
    if (!isTerm(part) || part.kind === 'range' || !(isTextScope(part.scope) || part.scope === 'place')) return null;
    if (box.searches !== 'any' && box.searches !== part.scope) return null;
    const keys = keysOf(part.text).filter(
      (key, i, all) => !(part.kind === 'word' && part.prefix && i === all.length - 1)
    );
    const usable = keys.filter(
      (text) =>
        !sheet.matching.stopWords.includes(text) &&
        text.length > 1 &&
        isPlain({ kind: 'word', scope: box.searches, text }, box)
    );
    if (!usable.length) return null;
    alternatives.push(new Set(usable));
  }
  const chosen: string[] = [];
  let left = alternatives;
  while (left.length) {
    checkpoint();
    const counts = new Map<string, number>();
    for (const keys of left) for (const key of keys) counts.set(key, (counts.get(key) ?? 0) + 1);
    const most = Math.max(...counts.values());
    const best = [...counts]
      .filter(([, count]) => count === most)
      .reduce((a, b) => (b[0].length > a[0].length ? b : a));
    chosen.push(best[0]);
    left = left.filter((keys) => !keys.has(best[0]));
  }
  if (chosen.length >= query.parts.length || chosen.length > sheet.limits.searches) return null;
  return {
    drafts: chosen.map((text) => ({
      ...emptyDraft(),
      boxes: { [box.id]: { kind: 'word', scope: box.searches, text } }
    })),
    exact: false
  };
}

/** Every search of one side joined with every search of the other; null when that makes too many. */
export function cross(left: Plan, right: Plan, sheet: Sheet): Plan | null {
  if (left.drafts.length * right.drafts.length > sheet.limits.searches) return null;
  let exact = left.exact && right.exact;
  const drafts = left.drafts.flatMap((a) =>
    right.drafts.map((b) => {
      const merged = both(a, b, sheet);
      exact &&= merged.exact;
      return merged.draft;
    })
  );
  return { drafts: merge(drafts, sheet), exact };
}

/** The same plan with its own search for each alternative in a box. */
export function apart(plan: Plan): Plan {
  const drafts = plan.drafts.flatMap((draft) => {
    const [id, query] = Object.entries(draft.boxes).find(([, query]) => query.kind === 'or') ?? [];
    if (!id || query?.kind !== 'or') return [draft];
    return query.parts.map((part) => ({ ...draft, boxes: { ...draft.boxes, [id]: part } }));
  });
  return { drafts, exact: plan.exact };
}

/** One search that asks both. What cannot be asked together is asked by the first alone. */
function both(a: Draft, b: Draft, sheet: Sheet): { draft: Draft; exact: boolean } {
  let exact = true;
  const boxes = { ...a.boxes };
  for (const [id, query] of Object.entries(b.boxes)) {
    const before = own(boxes, id);
    const box = sheet.boxes.find((other) => other.id === id)!;
    if (!before) boxes[id] = query;
    else if (canJoin('and', before, query, box)) boxes[id] = join('and', [before, query]);
    else exact = false;
  }
  const include = { ...b.include, ...a.include };
  if (Object.keys(b.include).some((scope) => scope in a.include)) exact = false;
  const exclude = { ...a.exclude };
  for (const [scope, list] of Object.entries(b.exclude) as [Scope, Term[]][])
    exclude[scope] = [...(exclude[scope] ?? []), ...list];
  const range = { ...b.range, ...a.range };
  if (Object.keys(b.range).some((scope) => scope in a.range)) exact = false;
  return { draft: { boxes, include, exclude, range }, exact };
}

/** Whether a box can say two of its queries joined. Each can be said alone. */
function canJoin(kind: 'and' | 'or', a: Query, b: Query, box: Box): boolean {
  if (box.scoped) return true;
  if (joiner(kind, box) === null) return false;
  return box.group || writeBox(join(kind, [a, b]), box) !== null;
}

/** The places of a draft that say something, each with what it says as a key. */
function placesOf(draft: Draft): Map<string, string> {
  const known = placesKnown.get(draft);
  if (known) return known;
  const places = new Map<string, string>();
  for (const [id, query] of Object.entries(draft.boxes))
    places.set(`box ${id}`, query.kind === 'and' ? query.parts.map(keyOf).sort().join('\u0001') : keyOf(query));
  for (const kind of ['include', 'exclude'] as const)
    for (const [scope, values] of Object.entries(draft[kind]))
      places.set(`${kind} ${scope}`, values!.map(keyOf).join('\u0001'));
  for (const [scope, range] of Object.entries(draft.range))
    places.set(`range ${scope}`, `${range!.low} ${range!.high}`);
  placesKnown.set(draft, places);
  return places;
}
const placesKnown = new WeakMap<Draft, Map<string, string>>();

/** All that a draft says but in one place, as a key. */
function restOf(draft: Draft, place: string): string {
  const places = placesOf(draft);
  if (places.size === 1 && places.has(place)) return '';
  return [...places]
    .flatMap(([name, said]) => (name === place ? [] : [`${name}\u0002${said}`]))
    .sort()
    .join('\u0003');
}

/**
 * Drafts that find together what the given ones do, with those made one that differ in one place only: alternatives of
 * a box that knows "or", values of one fact, ranges that overlap.
 */
export function merge(drafts: readonly Draft[], sheet: Sheet): Draft[] {
  if (drafts.length < 2) return [...drafts];
  let now = [...drafts];
  for (let before = Infinity; now.length > 1 && now.length < before;) {
    before = now.length;
    now = withoutRepeats(now);
    for (const box of sheet.boxes) now = mergeAt(`box ${box.id}`, now, (alike) => shareBox(alike, box));
    for (const { scope } of sheet.facts) {
      now = mergeAt(`include ${scope}`, now, (alike) => [shareValues(alike, scope)]);
      now = mergeAt(`range ${scope}`, now, (alike) => shareRanges(alike, scope));
    }
  }
  return withoutCovered(now, sheet);
}

function withoutRepeats(drafts: Draft[]): Draft[] {
  const seen = new Set<string>();
  return drafts.filter((draft) => seen.size < seen.add(restOf(draft, '')).size);
}

/** Makes fewer of drafts that say the same but in one place; the others stay where they are. */
function mergeAt(place: string, drafts: Draft[], share: (alike: Draft[]) => Draft[]): Draft[] {
  const alike = new Map<string, Draft[]>();
  for (const draft of drafts) {
    checkpoint();
    if (!placesOf(draft).has(place)) continue;
    const rest = restOf(draft, place);
    const list = alike.get(rest);
    if (list) list.push(draft);
    else alike.set(rest, [draft]);
  }
  const instead = new Map<Draft, Draft[]>();
  for (const list of alike.values()) {
    if (list.length < 2) continue;
    const [first, ...others] = list;
    instead.set(first!, share(list));
    for (const other of others) instead.set(other, []);
  }
  return instead.size ? drafts.flatMap((draft) => instead.get(draft) ?? [draft]) : drafts;
}

/** Drafts that say the same but in a box, with as many of its queries joined by or as can be said. */
function shareBox(alike: Draft[], box: Box): Draft[] {
  const inBox = (draft: Draft) => own(draft.boxes, box.id)!;
  const distinct = [...new Map(alike.map((draft) => [keyOf(inBox(draft)), draft])).values()];
  const asked = (draft: Draft, query: Query): Draft => ({ ...draft, boxes: { ...draft.boxes, [box.id]: query } });
  if (joiner('or', box) === null) return distinct;
  if (box.group) return [asked(distinct[0]!, join('or', distinct.map(inBox)))];
  const hosts: Draft[] = [];
  for (const draft of distinct) {
    const at = hosts.findIndex((host) => canJoin('or', inBox(host), inBox(draft), box));
    if (at < 0) hosts.push(draft);
    else hosts[at] = asked(hosts[at]!, join('or', [inBox(hosts[at]!), inBox(draft)]));
  }
  return hosts;
}

const shareValues = (alike: Draft[], scope: Scope): Draft => ({
  ...alike[0]!,
  include: {
    ...alike[0]!.include,
    [scope]: [...new Map(alike.flatMap((draft) => draft.include[scope]!).map((term) => [keyOf(term), term])).values()]
  }
});

function shareRanges(alike: Draft[], scope: Scope): Draft[] {
  const rangeIn = (draft: Draft) => draft.range[scope]!;
  const sorted = [...alike].sort((a, b) => (rangeIn(a).low ?? -Infinity) - (rangeIn(b).low ?? -Infinity));
  const shared: Draft[] = [];
  for (const draft of sorted) {
    const last = shared.at(-1);
    const reach = last ? (rangeIn(last).high ?? Infinity) : -Infinity;
    if (!last || (rangeIn(draft).low ?? -Infinity) > reach) {
      shared.push(draft);
      continue;
    }
    const high = Math.max(reach, rangeIn(draft).high ?? Infinity);
    const range = { low: rangeIn(last).low, high: high === Infinity ? null : high };
    shared[shared.length - 1] = { ...last, range: { ...last.range, [scope]: range } };
  }
  return shared;
}

/** Drafts of words joined by and, without those whose words hold all of another's: the other finds their people too. */
function withoutCovered(drafts: Draft[], sheet: Sheet): Draft[] {
  const [box] = sheet.boxes;
  if (sheet.boxes.length !== 1 || !box || !wordsOnly(box) || drafts.length > 400) return drafts;
  const keys = drafts.map((draft) => {
    const query = own(draft.boxes, box.id);
    const terms = query ? (query.kind === 'and' ? query.parts : [query]) : [];
    return new Set(terms.map((term) => (term as Term & { text: string }).text.toLowerCase()));
  });
  const rest = drafts.map((draft) => restOf(draft, `box ${box.id}`));
  return drafts.filter(
    (_, i) =>
      !keys.some(
        (other, j) =>
          i !== j && rest[i] === rest[j] && other.size < keys[i]!.size && [...other].every((key) => keys[i]!.has(key))
      )
  );
}
