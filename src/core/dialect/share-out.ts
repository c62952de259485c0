import { join, terms, type Query, type Term } from '../language/query';
import type { Scope } from '../language/scopes';
import { joiner, writeBox } from './box-text';
import { noUse, overLimit, useOf, useOfText, writeSearch, type Draft, type Use } from './search';
import type { Search } from './search-schema';
import { factLabel, type LimitKind, type Sheet } from './sheet';
import { own } from './own';
import { checkpoint } from '../language/checkpoint';

/** Groups that are cut at the most; beyond these the largest are. */
const maxGroups = 5;
/** Ways of cutting that are written out and compared with the limits: of a long draft fewer, since each is written whole. */
const triesFor = (alternatives: number): number =>
  Math.max(4, Math.min(60, Math.floor(6000 / Math.max(1, alternatives))));

/** Alternatives of a draft that can be dealt out to several searches, with what each takes of the limits. */
interface Group {
  place: string;
  /** The box they are in; null for the values of a fact. */
  box: string | null;
  members: { value: unknown; use: Use; weight: number }[];
  /** Values that one search takes at the most. */
  most: number;
  put: (draft: Draft, chosen: unknown[]) => Draft;
}

/** A draft cut into searches that each keep to the limits, and how the alternatives were dealt out. */
export interface SharedOut {
  pieces: { draft: Draft; search: Search; use: Use }[];
  /** Sizes of the pieces of each group that was cut. */
  cuts: { place: string; pieces: number[]; limit: string }[];
}

/** A draft as it is written, and what it takes of the limits; null where a box cannot say its part. */
function writtenWithin(draft: Draft, sheet: Sheet): { search: Search; use: Use } | null {
  const search = writeSearch(draft, sheet);
  if (Object.keys(draft.boxes).some((id) => own(search.boxes, id) === undefined)) return null;
  const use = useOf(search, sheet);
  return !tooManyValues(draft, sheet) && overLimit(use, sheet) === null ? { search, use } : null;
}

/** A list of values longer than its fact takes. */
function tooManyValues(draft: Draft, sheet: Sheet): { scope: Scope; given: number; most: number } | null {
  for (const { scope, most } of sheet.facts)
    for (const list of [draft.include[scope], draft.exclude[scope]])
      if (most !== null && list && list.length > most) return { scope, given: list.length, most };
  return null;
}

/**
 * Cuts a draft that goes beyond a limit into as few searches as are found, each within the limits: its alternatives are
 * dealt out evenly, by weight, and every combination of the pieces is asked. Null when more than `most` are needed, or
 * when what is not an alternative is too long already.
 */
export function shareOut(draft: Draft, sheet: Sheet, most: number): SharedOut | null {
  const whole = writtenWithin(draft, sheet);
  if (whole) return { pieces: [{ draft, ...whole }], cuts: [] };
  const groups = groupsOf(draft, sheet)
    .sort((a, b) => weightOf(b) - weightOf(a))
    .slice(0, maxGroups);
  const limit = limitOf(draft, sheet) ?? '';
  const possible = countsUpTo(groups, most).filter(room(draft, groups, sheet));
  const alternatives = Object.values(draft.boxes).reduce((sum, query) => sum + countTerms(query), 0);
  for (const counts of possible.slice(0, triesFor(alternatives))) {
    const dealt = groups.map((group, i) => deal(group, counts[i]!));
    const drafts = groups.reduce(
      (all, group, i) => all.flatMap((one) => dealt[i]!.map((chosen) => group.put(one, chosen))),
      [draft]
    );
    const pieces: SharedOut['pieces'] = [];
    for (const one of drafts) {
      checkpoint();
      const written = writtenWithin(one, sheet);
      if (!written) break;
      pieces.push({ draft: one, ...written });
    }
    if (pieces.length < drafts.length) continue;
    const cuts = groups.flatMap(({ place }, i) =>
      counts[i]! > 1 ? [{ place, limit, pieces: dealt[i]!.map((chosen) => chosen.length) }] : []
    );
    return { pieces, cuts };
  }
  return null;
}

/** The limit that a draft goes beyond, in words: `32 words`; null where it keeps to all. */
export function limitOf(draft: Draft, sheet: Sheet): string | null {
  const kind = overLimit(useOf(writeSearch(draft, sheet), sheet), sheet);
  if (kind) return limitWords(kind, sheet);
  const values = tooManyValues(draft, sheet);
  return values && `${values.most} values of ${factLabel(sheet.facts.find(({ scope }) => scope === values.scope)!)}`;
}

/** A limit in words: `32 words`. */
export const limitWords = (kind: LimitKind, { limits }: Sheet): string =>
  `${limits[kind]!.toLocaleString('en')} ${units[kind]}`;

const units: Record<LimitKind, string> = {
  characters: 'characters in one box',
  words: 'words',
  operators: 'operators',
  nesting: 'brackets within brackets'
};

const countTerms = (query: Query): number => [...terms(query)].length;
const weightOf = (group: Group) => group.members.reduce((sum, { weight }) => sum + weight, 0);
const product = (numbers: readonly number[]) => numbers.reduce((a, b) => a * b, 1);

/** How many pieces each group is cut into, those with the fewest searches first. */
function countsUpTo(groups: readonly Group[], most: number): number[][] {
  let counts: number[][] = [[]];
  for (const { members } of groups)
    counts = counts.flatMap((before) =>
      Array.from({ length: Math.min(members.length, Math.floor(most / product(before))) }, (_, i) => [...before, i + 1])
    );
  return counts.filter((one) => one.length && product(one) > 1).sort((a, b) => product(a) - product(b));
}

/** Whether pieces of an average size would keep to the limits: where they do not, no way of dealing out does. */
function room(draft: Draft, groups: readonly Group[], sheet: Sheet): (counts: number[]) => boolean {
  const { limits } = sheet;
  const search = writeSearch(draft, sheet);
  const whole = useOf(search, sheet);
  const totals = groups.map(({ members }) => ({
    words: members.reduce((sum, { use }) => sum + use.words, 0),
    operators: members.reduce((sum, { use }) => sum + use.operators, 0),
    characters: members.reduce((sum, { use }) => sum + use.characters, 0)
  }));
  const saved = (kind: 'words' | 'operators' | 'characters', counts: number[], box?: string) =>
    groups.reduce(
      (sum, group, i) => (box === undefined || group.box === box ? sum + totals[i]![kind] * (1 - 1 / counts[i]!) : sum),
      0
    );
  return (counts) =>
    groups.every((group, i) => group.members.length / counts[i]! <= group.most) &&
    (['words', 'operators'] as const).every(
      (kind) => whole[kind] - saved(kind, counts) <= (limits[kind] ?? Infinity)
    ) &&
    (limits.characters === null ||
      Object.entries(search.boxes).every(
        ([box, text]) => text.length - saved('characters', counts, box) <= limits.characters!
      ));
}

/** Deals members out to pieces of even weight, the heaviest first; each piece keeps their order. */
function deal(group: Group, count: number): unknown[][] {
  const pieces = Array.from({ length: count }, () => ({ weight: 0, members: [] as number[] }));
  const order = group.members
    .map((_, i) => i)
    .sort((a, b) => group.members[b]!.weight - group.members[a]!.weight || a - b);
  for (const i of order) {
    const free = pieces.filter(({ members }) => members.length < group.most);
    const lightest = (free.length ? free : pieces).reduce((best, piece) => (piece.weight < best.weight ? piece : best));
    lightest.members.push(i);
    lightest.weight += group.members[i]!.weight;
  }
  return pieces.map(({ members }) => members.sort((a, b) => a - b).map((i) => group.members[i]!.value));
}

function groupsOf(draft: Draft, sheet: Sheet): Group[] {
  const groups: Group[] = [];
  for (const box of sheet.boxes) {
    const query = own(draft.boxes, box.id);
    if (!query || box.scoped) continue;
    const sign = joiner('or', box) ?? '';
    const parts = query.kind === 'and' ? query.parts : [query];
    parts.forEach((part, at) => {
      if (part.kind !== 'or' || part.parts.length < 2) return;
      groups.push({
        place: box.label,
        box: box.id,
        most: Infinity,
        members: part.parts.map((value) => {
          const use = useOfText(writeBox(value, { ...box, opening: '' }) ?? '', box);
          use.characters += sign.length;
          use.operators += sign.trim() ? 1 : 0;
          return { value, use, weight: weigh(use, sheet) };
        }),
        put: (one, chosen) => {
          const now = own(one.boxes, box.id)!;
          // Not flattened, so that the other groups stay where they were counted.
          const left = (now.kind === 'and' ? now.parts : [now]).map((other, i) =>
            i === at ? join('or', chosen as Query[]) : other
          );
          return {
            ...one,
            boxes: { ...one.boxes, [box.id]: left.length === 1 ? left[0]! : { kind: 'and', parts: left } }
          };
        }
      });
    });
  }
  for (const fact of sheet.facts) {
    const list = draft.include[fact.scope];
    if (!list || fact.most === null || list.length < 2) continue;
    groups.push({
      place: factLabel(fact),
      box: null,
      most: fact.most,
      members: list.map((value) => ({ value, use: noUse, weight: 1 / fact.most! })),
      put: (one, chosen) => ({ ...one, include: { ...one.include, [fact.scope]: chosen as Term[] } })
    });
  }
  return groups;
}

/** The share of its tightest limit that something takes. */
const weigh = (use: Use, { limits }: Sheet): number =>
  Math.max(...(['characters', 'words', 'operators'] as const).map((kind) => use[kind] / (limits[kind] ?? Infinity)));
