import { isLeaf, type Outline, type OutlineGroup, type OutlineLeaf } from './outline';
import type { Scope } from './scopes';

/** Where a node is: the index among its group's parts at each level, from the outermost group. */
export type Path = readonly number[];

export function nodeAt(root: OutlineGroup, path: Path): Outline | null {
  let node: Outline = root;
  for (const index of path) {
    if (isLeaf(node)) return null;
    const next: Outline | undefined = node.parts[index];
    if (!next) return null;
    node = next;
  }
  return node;
}

/** The same outline with the parts of one group changed. Groups left empty go; the root stays. */
function withParts(root: OutlineGroup, group: Path, change: (parts: Outline[]) => Outline[]): OutlineGroup {
  const [index, ...rest] = group;
  if (index === undefined) return { ...root, parts: change([...root.parts]) };
  const parts = root.parts.flatMap((part, i): Outline[] => {
    if (i !== index || isLeaf(part)) return [part];
    const inner = withParts(part, rest, change);
    return inner.parts.length ? [inner] : [];
  });
  return { ...root, parts };
}

const replace = (root: OutlineGroup, path: Path, change: (node: Outline) => Outline[]): OutlineGroup =>
  path.length
    ? withParts(root, path.slice(0, -1), (parts) => {
        const index = path.at(-1)!;
        const node = parts[index];
        return node ? [...parts.slice(0, index), ...change(node), ...parts.slice(index + 1)] : parts;
      })
    : root;

/** Adds a part to a group, at `index` or at its end. */
export const addPart = (root: OutlineGroup, group: Path, part: Outline, index = Infinity): OutlineGroup =>
  withParts(root, group, (parts) => [...parts.slice(0, index), part, ...parts.slice(index)]);

export const removePart = (root: OutlineGroup, path: Path): OutlineGroup => replace(root, path, () => []);

export const replacePart = (root: OutlineGroup, path: Path, part: Outline): OutlineGroup =>
  replace(root, path, () => [part]);

/** Moves a part into a group, before what is at `index` there now. A group cannot go into itself: then nothing changes. */
export function movePart(root: OutlineGroup, from: Path, group: Path, index: number): OutlineGroup {
  const part = nodeAt(root, from);
  const home = nodeAt(root, group);
  if (!part || !home || isLeaf(home) || !from.length || isWithin(group, from)) return root;
  // A mark is left in the old place, so that the way to the new one stays right until the part is there.
  const mark: OutlineLeaf = { kind: 'text', not: false, muted: true, scope: 'any', text: '' };
  const marked = replacePart(root, from, mark);
  return withoutMark(addPart(marked, group, part, index), mark);
}

const isWithin = (path: Path, outer: Path) => outer.every((step, i) => path[i] === step);

function withoutMark(group: OutlineGroup, mark: Outline): OutlineGroup {
  return {
    ...group,
    parts: group.parts.flatMap((part): Outline[] => {
      if (part === mark) return [];
      if (isLeaf(part)) return [part];
      const inner = withoutMark(part, mark);
      return inner.parts.length ? [inner] : [];
    })
  };
}

/** Moves a part one place up or down among its fellows; past the edge it leaves its group. */
export function shiftPart(root: OutlineGroup, path: Path, by: -1 | 1): { root: OutlineGroup; path: Path } {
  const home = path.slice(0, -1);
  const index = path.at(-1)!;
  const group = nodeAt(root, home);
  if (!group || isLeaf(group)) return { root, path };
  const to = index + by;
  if (to >= 0 && to < group.parts.length)
    return { root: movePart(root, path, home, by < 0 ? to : to + 1), path: [...home, to] };
  if (!home.length) return { root, path };
  const outer = home.slice(0, -1);
  const at = home.at(-1)! + (by > 0 ? 1 : 0);
  const emptied = group.parts.length === 1;
  return { root: movePart(root, path, outer, at), path: [...outer, emptied && by > 0 ? at - 1 : at] };
}

/** Puts a part into its own group, of the other kind than the group it is in. */
export function wrapPart(root: OutlineGroup, path: Path): OutlineGroup {
  const home = nodeAt(root, path.slice(0, -1));
  return replace(root, path, (part) => [
    { kind: home?.kind === 'any' ? 'all' : 'any', not: false, muted: false, parts: [part] }
  ]);
}

/** Takes the brackets off a group: its parts are where it stood. */
export const unwrapPart = (root: OutlineGroup, path: Path): OutlineGroup =>
  replace(root, path, (part) => (isLeaf(part) || part.not ? [part] : part.parts));

/** Switches a group between all and any. */
export function switchKind(root: OutlineGroup, path: Path): OutlineGroup {
  const other = (group: OutlineGroup): OutlineGroup => ({ ...group, kind: group.kind === 'all' ? 'any' : 'all' });
  if (!path.length) return other(root);
  return replace(root, path, (part) => [isLeaf(part) ? part : other(part)]);
}

export const exclude = (root: OutlineGroup, path: Path): OutlineGroup =>
  replace(root, path, (part) => [{ ...part, not: !part.not }]);

/** Sets a part aside, or takes it up again. */
export const mute = (root: OutlineGroup, path: Path): OutlineGroup =>
  replace(root, path, (part) => [{ ...part, muted: !part.muted }]);

/** Gives every leaf of a part another scope. */
export function rescopePart(root: OutlineGroup, path: Path, scope: Scope): OutlineGroup {
  const scoped = (part: Outline): Outline =>
    isLeaf(part) ? { ...part, scope } : { ...part, parts: part.parts.map(scoped) };
  return replace(root, path, (part) => [scoped(part)]);
}
