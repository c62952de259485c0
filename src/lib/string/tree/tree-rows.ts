import { isLeaf, type Outline, type OutlineGroup, type Path, type Scope } from '$core/language';

/** One line of the tree of a string. */
export interface TreeRow {
  path: Path;
  node: Outline;
  level: number;
  /** Place among its fellows, from 1, and how many these are. */
  position: number;
  fellows: number;
  /** The outermost part it belongs to, counted as everywhere else; null for one that is set aside. */
  part: number | null;
  /** Set aside, itself or with a group around it. */
  aside: boolean;
}

export const pathKey = (path: Path): string => path.join('.');

/** The lines of a tree, top to bottom, without those inside groups that are folded. */
export function treeRows(root: OutlineGroup, folded: ReadonlySet<string>): TreeRow[] {
  const rows: TreeRow[] = [];
  let live = 0;
  const walk = (group: OutlineGroup, path: number[], part: number | null, aside: boolean) => {
    group.parts.forEach((node, i) => {
      const here = [...path, i];
      const own = path.length ? part : root.kind === 'any' ? 0 : node.muted ? null : live++;
      const muted = aside || node.muted;
      rows.push({
        path: here,
        node,
        level: here.length,
        position: i + 1,
        fellows: group.parts.length,
        part: own,
        aside: muted
      });
      if (!isLeaf(node) && !folded.has(pathKey(here))) walk(node, here, own, muted);
    });
  };
  walk(root, [], null, false);
  return rows;
}

/** A group's wordings as a named set would hold them, and the scope of its name; null if it isn't a list of alternatives. */
export function wordingsOf(node: Outline): { wordings: string[]; scope: Scope } | null {
  const leaves = isLeaf(node) ? [node] : node.kind === 'any' ? node.parts : [];
  if (!leaves.length || leaves.some((leaf) => !isLeaf(leaf) || leaf.kind !== 'term' || (leaf !== node && leaf.not)))
    return null;
  const terms = leaves.filter(isLeaf).filter((leaf) => !leaf.muted || leaf === node);
  if (!terms.length) return null;
  const scope = terms.every((leaf) => leaf.scope === terms[0]!.scope) ? terms[0]!.scope : 'any';
  return { scope, wordings: terms.map((leaf) => (leaf.scope === scope ? leaf.text : `${leaf.scope}:${leaf.text}`)) };
}
