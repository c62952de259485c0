import { addPart, nodeAt, removePart, replacePart, rescopePart, type Path } from '../language/edit-outline';
import {
  isLeaf,
  outlineOf,
  printOutline,
  readLeaf,
  type Outline,
  type OutlineGroup,
  type OutlineLeaf
} from '../language/outline';
import type { SetQueries } from '../language/parse';
import type { Span } from '../language/query';
import type { Scope } from '../language/scopes';
import type { Change } from './change-schema';

interface Wording {
  scope: Scope;
  text: string;
}

/** The text of a string with changes made, one after the other; what is set aside and named sets stay as they are. */
export function applyChanges(text: string, changes: readonly Change[], sets?: SetQueries): string {
  const before = outlineOf(text, sets);
  const after = changes.reduce(applyChange, before);
  return after === before ? text : printOutline(after);
}

function applyChange(root: OutlineGroup, change: Change): OutlineGroup {
  if (change.kind === 'exclude') return withExclusion(root, change);
  if (change.kind === 'quote') {
    const [first, ...others] = change.at.map((at) => pathAt(root, at)).filter((path) => path !== null);
    const leaf = leafOf(change);
    if (!first || !leaf) return root;
    // From the last on, so that the places of those before stay.
    return replacePart([...others].reverse().reduce(removePart, root), first, leaf);
  }
  const path = pathAt(root, change.at);
  if (!path?.length) return root;
  const node = nodeAt(root, path)!;
  switch (change.kind) {
    case 'rescope':
      return rescopePart(root, path, change.scope);
    case 'drop':
      return removePart(root, path);
    case 'narrow': {
      const one = change.one.flatMap((wording) => leafOf(wording) ?? []);
      if (!one.length) return root;
      const wanted: Outline = one.length === 1 ? one[0]! : { kind: 'any', not: false, muted: false, parts: one };
      return replacePart(root, path, {
        kind: 'all',
        not: node.not,
        muted: false,
        parts: [{ ...node, not: false }, wanted]
      });
    }
    case 'add': {
      const leaf = leafOf(change);
      const home = nodeAt(root, path.slice(0, -1));
      if (!leaf || !home || isLeaf(home)) return root;
      if (home.kind === 'any') return addPart(root, path.slice(0, -1), leaf, path.at(-1)! + 1);
      return replacePart(root, path, {
        kind: 'any',
        not: node.not,
        muted: false,
        parts: [{ ...node, not: false }, leaf]
      });
    }
    case 'widen':
      if (!isLeaf(node)) return root;
      return replacePart(root, path, { ...node, text: `[${change.low ?? '*'} TO ${change.high ?? '*'}]` });
  }
}

const leafOf = ({ scope, text }: Wording): OutlineLeaf | null => readLeaf(/\s/.test(text) ? `"${text}"` : text, scope);

/** One more thing excluded: with the exclusion the string ends in, where it ends in one. */
function withExclusion(root: OutlineGroup, wording: Wording): OutlineGroup {
  const leaf = leafOf(wording);
  if (!leaf) return root;
  const last = root.parts.at(-1);
  const live = root.parts.filter((part) => !part.muted);
  if (root.kind === 'any' && live.length > 1)
    return {
      kind: 'all',
      not: false,
      muted: false,
      parts: [
        { ...root, at: undefined },
        { ...leaf, not: true }
      ]
    };
  const all: OutlineGroup = { ...root, kind: 'all' };
  if (last?.not && !last.muted) {
    const at = [root.parts.length - 1];
    if (!isLeaf(last) && last.kind === 'any') return addPart(all, at, leaf);
    if (isLeaf(last))
      return replacePart(all, at, { kind: 'any', not: true, muted: false, parts: [{ ...last, not: false }, leaf] });
  }
  return addPart(all, [], { ...leaf, not: true });
}

/** The innermost node that was read at a place of the text. */
function pathAt(root: OutlineGroup, at: Span): Path | null {
  let found: Path | null = null;
  const walk = (node: Outline, path: Path) => {
    const same = node.at && node.at.to === at.to && (node.at.from === at.from || (node.not && node.at.from < at.from));
    if (same && !node.muted) found = path;
    if (!isLeaf(node)) node.parts.forEach((part, i) => walk(part, [...path, i]));
  };
  walk(root, []);
  return found;
}
