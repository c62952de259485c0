import { tick } from 'svelte';
import {
  addPart,
  exclude,
  isLeaf,
  movePart,
  mute,
  nodeAt,
  printOutline,
  readLeaf,
  removePart,
  replacePart,
  rescopePart,
  shiftPart,
  switchKind,
  unwrapPart,
  wrapPart,
  type Outline,
  type OutlineGroup,
  type Path,
  type Scope
} from '$core/language';
import { termKey, type Origin } from '$core/persona';
import { pathKey, treeRows, wordingsOf, type TreeRow } from './tree-rows';
import { treeWords as say } from '../words';

/** The tree's input, and its listeners. */
export interface Given {
  root: OutlineGroup;
  /** Off while the text cannot be read whole: an edit would lose what could not be read. */
  enabled: boolean;
  sets: readonly { name: string; wordings: readonly string[] }[];
  /** Which line of the persona a term comes from, by `termKey`. */
  origins: ReadonlyMap<string, Origin>;
  onchange: (text: string) => void;
  /** Keeps wordings as a named set; false where it was refused. */
  onpull: (name: string, unwanted: boolean, wordings: string[]) => Promise<boolean>;
}
/** Where the keyboard goes: to the chosen row, to what is typed, or to the name of a set. */
export type Focus = (on: 'row' | 'typed' | 'name') => void;

export const wordOf = (node: Outline): string =>
  isLeaf(node) ? (node.kind === 'set' ? `@${node.text}` : node.text) : node.kind === 'all' ? say.allOf : say.anyOf;

/** The scope that all of a part is searched in. */
export function scopeOf(node: Outline): Scope | 'mixed' {
  if (isLeaf(node)) return node.scope;
  const inner = new Set(node.parts.filter((part) => !isLeaf(part) || part.kind !== 'text').map(scopeOf));
  return inner.size === 1 ? [...inner][0]! : 'mixed';
}

/** A string as a tree: what is chosen, folded, typed and changed. */
export class PartTree {
  folded: ReadonlySet<string> = $state.raw(new Set());
  selectedKey = $state('0');
  /** What is being typed: over a part, or as a new one in a group. */
  typing: { path: Path; isNew: boolean; text: string; wrap?: Path } | null = $state(null);
  refused = $state('');
  pulling: { name: string; wordings: string[]; scope: Scope; path: Path; unwanted: boolean } | null = $state(null);
  readonly #given: () => Given;
  readonly #focus: Focus;

  constructor(given: () => Given, focus: Focus = () => {}) {
    this.#given = given;
    this.#focus = focus;
  }

  get #root(): OutlineGroup {
    return this.#given().root;
  }
  get #enabled(): boolean {
    return this.#given().enabled;
  }
  rows = $derived.by(() => treeRows(this.#root, this.folded));
  selected = $derived.by(
    () => this.rows.find(({ path }) => pathKey(path) === this.selectedKey) ?? this.rows[0] ?? null
  );

  async apply(next: OutlineGroup, path: Path | null = this.selected?.path ?? null): Promise<void> {
    this.#given().onchange(printOutline(next));
    if (path) this.selectedKey = pathKey(path);
    await tick();
    this.#focus('row');
  }

  readonly #act = (edit: (root: OutlineGroup, path: Path) => OutlineGroup, keep = true): void => {
    const { selected } = this;
    if (!this.#enabled || !selected) return;
    void this.apply(edit(this.#root, selected.path), keep ? selected.path : this.previous(selected.path));
  };
  previous = (path: Path): Path => (path.at(-1)! > 0 ? [...path.slice(0, -1), path.at(-1)! - 1] : path);
  exclude = () => this.#act(exclude);
  mute = () => this.#act(mute);
  switchKind = () => this.#act(switchKind);
  unwrap = () => this.#act(unwrapPart);
  remove = () => this.#act(removePart, false);
  rescope = (scope: Scope) => this.#act((now, path) => rescopePart(now, path, scope));
  shift = (by: -1 | 1): void => {
    if (!this.#enabled || !this.selected) return;
    const moved = shiftPart(this.#root, this.selected.path, by);
    void this.apply(moved.root, moved.path);
  };

  edit = (row: TreeRow | null): Promise<void> | undefined => {
    if (!this.#enabled || !row || !isLeaf(row.node)) return undefined;
    this.typing = { path: row.path, isNew: false, text: wordOf(row.node) };
    return this.#focusInput();
  };
  /** A new part goes into the chosen group, or behind the chosen part. */
  add = (): Promise<void> | undefined => {
    if (!this.#enabled) return undefined;
    const { selected } = this;
    const node = selected?.node;
    const path = !selected
      ? [this.#root.parts.length]
      : node && !isLeaf(node)
        ? [...selected.path, node.parts.length]
        : [...selected.path.slice(0, -1), selected.path.at(-1)! + 1];
    this.typing = { path, isNew: true, text: '' };
    return this.#focusInput();
  };
  /** A group of one part cannot be written: the part that is wrapped gets company at once. */
  wrap = (): Promise<void> | undefined => {
    if (!this.#enabled || !this.selected) return undefined;
    this.typing = { path: [...this.selected.path, 1], isNew: true, text: '', wrap: this.selected.path };
    return this.#focusInput();
  };
  async #focusInput(): Promise<void> {
    this.refused = '';
    await tick();
    this.#focus('typed');
  }
  commit = (): void => {
    if (!this.typing) return;
    const { path, isNew, text, wrap: wrapped } = this.typing;
    const root = this.#root;
    const home = nodeAt(root, path.slice(0, -1));
    const before = isNew ? null : nodeAt(root, path);
    const homeScope = home && path.length > 1 ? scopeOf(home) : 'any';
    const scope = before && isLeaf(before) ? before.scope : homeScope === 'mixed' ? 'any' : homeScope;
    const leaf = readLeaf(text, scope);
    if (!leaf) {
      this.refused = text.trim() ? say.nothingToSearch : '';
      if (!text.trim()) this.typing = null;
      return;
    }
    this.typing = null;
    if (wrapped) void this.apply(addPart(wrapPart(root, wrapped), wrapped, leaf), path);
    else if (isNew) void this.apply(addPart(root, path.slice(0, -1), leaf, path.at(-1)), path);
    else void this.apply(replacePart(root, path, { ...leaf, not: before!.not, muted: before!.muted }), path);
  };

  startPull = (): void => {
    const { selected } = this;
    const found = this.#enabled && selected ? wordingsOf(selected.node) : null;
    if (!found) {
      this.refused = say.cantBeWordSet;
      return;
    }
    this.pulling = { ...found, path: selected!.path, name: '', unwanted: this.#isExcludedAt(selected!.path) };
    void tick().then(() => this.#focus('name'));
  };
  pull = async (): Promise<void> => {
    if (!this.pulling) return;
    const { name, wordings, scope, path, unwanted } = this.pulling;
    if (!(await this.#given().onpull(name, unwanted, wordings))) return;
    const before = nodeAt(this.#root, path)!;
    this.pulling = null;
    await this.apply(
      replacePart(this.#root, path, {
        kind: 'set',
        not: before.not,
        muted: before.muted,
        scope,
        text: name.trim().toLowerCase().replace(/^@/, '')
      }),
      path
    );
  };
  /** Puts the wordings of a named set where its name stands. */
  unfoldSet = (): void => {
    const { selected } = this;
    const node = selected?.node;
    if (!this.#enabled || !node || !isLeaf(node) || node.kind !== 'set') return;
    const set = this.#given().sets.find(({ name }) => name === node.text);
    const parts = set?.wordings.map((wording) => readLeaf(wording, node.scope)).filter((leaf) => leaf !== null) ?? [];
    if (!parts.length) return;
    void this.apply(replacePart(this.#root, selected!.path, { kind: 'any', not: node.not, muted: node.muted, parts }));
  };

  /** The line of the persona a term comes from; a group comes from one when all its terms do. */
  originOf(node: Outline, path: Path): Origin | null {
    if (isLeaf(node)) {
      const key = node.kind === 'term' && termKey(node.scope, node.text, this.#isExcludedAt(path));
      return (key && this.#given().origins.get(key)) || null;
    }
    const inner = node.parts.map((part, i) => this.originOf(part, [...path, i]));
    const first = inner[0];
    return first && inner.every((one) => one?.of === first.of) ? { of: first.of, line: '' } : null;
  }
  readonly #isExcludedAt = (path: Path): boolean =>
    path.map((_, i) => nodeAt(this.#root, path.slice(0, i + 1))!).filter((node) => node.not).length % 2 === 1;

  /** Where a part is searched, where that is another place than its group. */
  placeOf(row: TreeRow): string {
    const scope = scopeOf(row.node);
    const home = nodeAt(this.#root, row.path.slice(0, -1));
    const outer = row.path.length > 1 && home ? scopeOf(home) : 'any';
    return scope === 'mixed' || scope === outer ? '' : scope === 'any' ? say.wholeProfile : scope;
  }

  drop(from: Path, target: TreeRow, operation: string): void {
    const [group, index] =
      operation === 'combine' && !isLeaf(target.node)
        ? [target.path, target.node.parts.length]
        : [target.path.slice(0, -1), target.path.at(-1)! + (operation === 'reorder-after' ? 1 : 0)];
    void this.apply(movePart(this.#root, from, group, index), null);
  }

  fold(row: TreeRow, fold: boolean): void {
    const next = new Set(this.folded);
    if (fold) next.add(pathKey(row.path));
    else next.delete(pathKey(row.path));
    this.folded = next;
  }
  select = (row: TreeRow | undefined): void => {
    if (!row) return;
    this.selectedKey = pathKey(row.path);
    void tick().then(() => this.#focus('row'));
  };
  /** Goes to the row before or behind the chosen one. */
  go = (by: -1 | 1): void => {
    const { rows, selected } = this;
    if (selected) this.select(rows[rows.findIndex(({ path }) => pathKey(path) === pathKey(selected.path)) + by]);
  };
  /** Opens a group, or goes into one that is open. */
  goIn = (): void => {
    const { selected } = this;
    if (!selected || isLeaf(selected.node)) return;
    if (this.folded.has(pathKey(selected.path))) this.fold(selected, false);
    else this.go(1);
  };
  /** Folds a group, or goes to the one around. */
  goOut = (): void => {
    const { selected } = this;
    if (!selected) return;
    const { path, node } = selected;
    if (!isLeaf(node) && !this.folded.has(pathKey(path))) this.fold(selected, true);
    else this.select(this.rows.find((row) => pathKey(row.path) === pathKey(path.slice(0, -1))));
  };

  /** What can be done with the chosen part, in words, with its key. */
  actions = $derived.by(() => {
    const node = this.selected?.node;
    const group = node !== undefined && !isLeaf(node);
    return [
      { name: say.add, key: '+', does: () => void this.add(), can: true },
      { name: say.edit, key: '↵', does: () => void this.edit(this.selected), can: node !== undefined && !group },
      {
        name: group && node.kind === 'all' ? say.changeToAnyOf : say.changeToAllOf,
        key: 'O',
        does: this.switchKind,
        can: group
      },
      { name: node?.not ? say.stopExcluding : say.exclude, key: 'X', does: this.exclude, can: node !== undefined },
      { name: node?.muted ? say.enable : say.disable, key: 'M', does: this.mute, can: node !== undefined },
      { name: say.wrap, key: 'W', does: () => void this.wrap(), can: node !== undefined },
      { name: say.unwrap, key: 'U', does: this.unwrap, can: group && !node.not },
      { name: say.up, key: 'Alt ↑', does: () => this.shift(-1), can: node !== undefined },
      { name: say.down, key: 'Alt ↓', does: () => this.shift(1), can: node !== undefined },
      {
        name: say.saveAsWordSet,
        key: '',
        does: this.startPull,
        can: node !== undefined && (!isLeaf(node) || node.kind === 'term')
      },
      {
        name: say.expandWordSet,
        key: '',
        does: this.unfoldSet,
        can: node !== undefined && isLeaf(node) && node.kind === 'set'
      },
      { name: say.remove, key: 'Del', does: this.remove, can: node !== undefined }
    ].filter(({ can }) => can);
  });
}
