import { isLeaf, outlineOf, type OutlineGroup, type OutlineLeaf } from '../language/outline';
import type { SetQueries } from '../language/parse';
import { fold } from '../language/tokens';

/** One part that differs between two versions of a string. */
export interface PartChange {
  change: 'added' | 'removed' | 'moved';
  /** As written, without its scope. */
  text: string;
  /** Where it stands now, or stood before it was removed. */
  place: string;
  /** Where it stood before, for what moved. */
  before?: string;
}

interface Found {
  leaf: OutlineLeaf;
  excluded: boolean;
  /** Set aside, itself or with its group. */
  aside: boolean;
  /** The other leaves of the group it is in: what tells one group from another. */
  group: OutlineGroup;
  /** Where that group is: the index among its fellows at each level. */
  path: string;
}

/**
 * What changed from one version to another, part by part and in the order of the newer one: terms added and removed, and
 * those that moved to another group, another scope, into or out of an exclusion, or were set aside or taken up again.
 */
export function compareVersions(
  before: string,
  after: string,
  sets?: { before?: SetQueries; after?: SetQueries }
): PartChange[] {
  const old = leavesOf(outlineOf(before, sets?.before));
  const now = leavesOf(outlineOf(after, sets?.after));
  const left = new Map<string, Found[]>();
  for (const found of old) left.set(nameOf(found), [...(left.get(nameOf(found)) ?? []), found]);
  const partners = new Map<Found, Found>();
  // The closest first, so that a term that stands twice is not listed as moved for the sake of order.
  for (const isClose of [isSamePlace, () => true])
    for (const found of now) {
      const candidates = left.get(nameOf(found));
      const at = partners.has(found) ? -1 : (candidates?.findIndex((other) => isClose(other, found)) ?? -1);
      if (at >= 0) partners.set(found, candidates!.splice(at, 1)[0]!);
    }
  const changes: PartChange[] = [];
  for (const found of now) {
    const partner = partners.get(found);
    if (!partner) changes.push({ change: 'added', text: written(found.leaf), place: placeOf(found) });
    else if (!isSamePlace(partner, found))
      changes.push({ change: 'moved', text: written(found.leaf), place: placeOf(found), before: placeOf(partner) });
  }
  for (const found of [...left.values()].flat())
    changes.push({ change: 'removed', text: written(found.leaf), place: placeOf(found) });
  return changes;
}

const written = ({ kind, text }: OutlineLeaf) => (kind === 'set' ? `@${text}` : text);
const nameOf = ({ leaf }: Found) => `${leaf.kind} ${fold(leaf.text).replaceAll(/\s+/g, ' ')}`;

function leavesOf(root: OutlineGroup): Found[] {
  const found: Found[] = [];
  const walk = (group: OutlineGroup, path: string, excluded: boolean, aside: boolean) =>
    group.parts.forEach((part, i) => {
      const not = excluded !== part.not;
      const muted = aside || part.muted;
      if (isLeaf(part)) found.push({ leaf: part, excluded: not, aside: muted, group, path });
      else walk(part, `${path}.${i}`, not, muted);
    });
  walk(root, '', root.not, false);
  return found;
}

/** Whether two leaves stand alike: same scope and sign, in the same group, or in groups of one kind that share others. */
function isSamePlace(a: Found, b: Found): boolean {
  if (a.leaf.scope !== b.leaf.scope || a.excluded !== b.excluded || a.aside !== b.aside) return false;
  if (a.path === b.path && a.group.kind === b.group.kind) return true;
  const [beforeOthers, nowOthers] = [othersOf(a), othersOf(b)];
  if (!beforeOthers.size || !nowOthers.size) return true;
  return a.group.kind === b.group.kind && [...beforeOthers].some((name) => nowOthers.has(name));
}

const othersOf = ({ leaf, group }: Found): Set<string> =>
  new Set(group.parts.flatMap((part) => (isLeaf(part) && part !== leaf ? [fold(part.text)] : [])));

/** Where a leaf stands, in words: `in title, beside "head of quality" and 3 more`. */
function placeOf({ leaf, excluded, aside, group }: Found): string {
  const others = group.parts.filter((part): part is OutlineLeaf => isLeaf(part) && part !== leaf && !part.muted);
  const words = [leaf.scope === 'any' ? 'whole profile' : leaf.scope];
  if (excluded) words.push('excluded');
  if (aside) words.push('disabled');
  if (group.kind === 'any' && others.length)
    words.push(`beside ${written(others[0]!)}${others.length > 1 ? ` and ${others.length - 1} more` : ''}`);
  return words.join(', ');
}
