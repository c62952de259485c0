<script lang="ts">
  import Field from '$lib/ui/Field.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import Act from '$lib/ui/Act.svelte';
  import { keysOf } from '$lib/frame/keys';
  import { tick } from 'svelte';
  import {
    addPart,
    exclude,
    movePart,
    mute,
    nodeAt,
    removePart,
    replacePart,
    rescopePart,
    shiftPart,
    switchKind,
    unwrapPart,
    wrapPart,
    type Path,
    isLeaf,
    printOutline,
    readLeaf,
    type Outline,
    type OutlineGroup,
    scopes,
    type Scope
  } from '$core/language';
  import { originNames, termKey, type Origin } from '$core/persona';
  import { partGlyph, partTint } from '$lib/marks/parts';
  import { draggableRow } from './draggable-row';
  import { pathKey, treeRows, wordingsOf, type TreeRow } from './tree-rows';

  interface Props {
    root: OutlineGroup;
    /** Off while the text cannot be read whole: an edit would lose what could not be read. */
    enabled: boolean;
    sets: readonly { name: string; wordings: readonly string[] }[];
    /** Which line of the persona a term comes from, by `termKey`. */
    origins: ReadonlyMap<string, Origin>;
    personaPath: string;
    /** The line of the persona whose parts are lit up. */
    lit: string | null;
    onchange: (text: string) => void;
    onundo: () => void;
    onredo: () => void;
    /** Keeps wordings as a named set; false where it was refused. */
    onpull: (name: string, unwanted: boolean, wordings: string[]) => Promise<boolean>;
  }
  let { root, enabled, sets, origins, personaPath, lit, onchange, onundo, onredo, onpull }: Props = $props();

  let folded: ReadonlySet<string> = $state.raw(new Set());
  const rows = $derived(treeRows(root, folded));
  let selectedKey = $state('0');
  const selected = $derived(rows.find(({ path }) => pathKey(path) === selectedKey) ?? rows[0] ?? null);

  /** What is being typed: over a part, or as a new one in a group. */
  let typing: { path: Path; isNew: boolean; text: string; wrap?: Path } | null = $state(null);
  let refused = $state('');
  let pulling: { name: string; wordings: string[]; scope: Scope; path: Path; unwanted: boolean } | null = $state(null);
  let over: { key: string; operation: string } | null = $state(null);
  let list: HTMLUListElement;

  const word = (node: Outline) =>
    isLeaf(node) ? (node.kind === 'set' ? `@${node.text}` : node.text) : node.kind === 'all' ? 'all of' : 'any of';
  const scopeOf = (node: Outline): Scope | 'mixed' => {
    if (isLeaf(node)) return node.scope;
    const inner = new Set(node.parts.filter((part) => !isLeaf(part) || part.kind !== 'text').map(scopeOf));
    return inner.size === 1 ? [...inner][0]! : 'mixed';
  };

  async function apply(next: OutlineGroup, path: Path | null = selected?.path ?? null) {
    onchange(printOutline(next));
    if (path) selectedKey = pathKey(path);
    await tick();
    focusRow();
  }
  const focusRow = () => list?.querySelector<HTMLElement>('[aria-selected="true"]')?.focus();

  const act = (edit: (root: OutlineGroup, path: Path) => OutlineGroup, keep = true) => {
    if (enabled && selected) void apply(edit(root, selected.path), keep ? selected.path : previous(selected.path));
  };
  const previous = (path: Path): Path => (path.at(-1)! > 0 ? [...path.slice(0, -1), path.at(-1)! - 1] : path);
  function shift(by: -1 | 1) {
    if (!enabled || !selected) return;
    const moved = shiftPart(root, selected.path, by);
    void apply(moved.root, moved.path);
  }

  async function edit(row: TreeRow | null) {
    if (!enabled || !row || !isLeaf(row.node)) return;
    typing = { path: row.path, isNew: false, text: word(row.node) };
    await focusInput();
  }
  /** A new part goes into the chosen group, or behind the chosen part. */
  async function add() {
    if (!enabled) return;
    const node = selected?.node;
    const path = !selected
      ? [root.parts.length]
      : node && !isLeaf(node)
        ? [...selected.path, node.parts.length]
        : [...selected.path.slice(0, -1), selected.path.at(-1)! + 1];
    typing = { path, isNew: true, text: '' };
    await focusInput();
  }
  /** A group of one part cannot be written: the part that is wrapped gets company at once. */
  async function wrap() {
    if (!enabled || !selected) return;
    typing = { path: [...selected.path, 1], isNew: true, text: '', wrap: selected.path };
    await focusInput();
  }
  async function focusInput() {
    refused = '';
    await tick();
    list?.parentElement?.querySelector<HTMLInputElement>('input.typed')?.select();
  }
  function commit() {
    if (!typing) return;
    const { path, isNew, text, wrap: wrapped } = typing;
    const home = nodeAt(root, path.slice(0, -1));
    const before = isNew ? null : nodeAt(root, path);
    const homeScope = home && path.length > 1 ? scopeOf(home) : 'any';
    const scope = before && isLeaf(before) ? before.scope : homeScope === 'mixed' ? 'any' : homeScope;
    const leaf = readLeaf(text, scope);
    if (!leaf) {
      refused = text.trim()
        ? 'This holds no word to find. Type a word, several words, or @ and the name of a word set.'
        : '';
      if (!text.trim()) typing = null;
      return;
    }
    typing = null;
    if (wrapped) void apply(addPart(wrapPart(root, wrapped), wrapped, leaf), path);
    else if (isNew) void apply(addPart(root, path.slice(0, -1), leaf, path.at(-1)), path);
    else void apply(replacePart(root, path, { ...leaf, not: before!.not, muted: before!.muted }), path);
  }

  function startPull() {
    const found = enabled && selected ? wordingsOf(selected.node) : null;
    if (!found) {
      refused = 'Only alternatives (any of some words) can become a word set. Choose such a group, or a single term.';
      return;
    }
    pulling = { ...found, path: selected!.path, name: '', unwanted: isExcluded(selected!) };
    void tick().then(() => document.querySelector<HTMLInputElement>('#set-name')?.focus());
  }
  /** The line of the persona a term comes from; a group comes from one when all its terms do. */
  function originOf(node: Outline, path: Path): Origin | null {
    if (isLeaf(node))
      return node.kind === 'term' ? (origins.get(termKey(node.scope, node.text, isExcludedAt(path))) ?? null) : null;
    const inner = node.parts.map((part, i) => originOf(part, [...path, i]));
    const first = inner[0];
    return first && inner.every((one) => one?.of === first.of) ? { of: first.of, line: '' } : null;
  }
  const isExcluded = (row: TreeRow) => isExcludedAt(row.path);
  const isExcludedAt = (path: Path) =>
    path.map((_, i) => nodeAt(root, path.slice(0, i + 1))!).filter((node) => node.not).length % 2 === 1;
  async function pull() {
    if (!pulling) return;
    const { name, wordings, scope, path, unwanted } = pulling;
    if (!(await onpull(name, unwanted, wordings))) return;
    const before = nodeAt(root, path)!;
    pulling = null;
    await apply(
      replacePart(root, path, {
        kind: 'set',
        not: before.not,
        muted: before.muted,
        scope,
        text: name.trim().toLowerCase().replace(/^@/, '')
      }),
      path
    );
  }
  /** Puts the wordings of a named set where its name stands. */
  function unfold() {
    const node = selected?.node;
    if (!enabled || !node || !isLeaf(node) || node.kind !== 'set') return;
    const set = sets.find(({ name }) => name === node.text);
    const parts = set?.wordings.map((wording) => readLeaf(wording, node.scope)).filter((leaf) => leaf !== null) ?? [];
    if (!parts.length) return;
    void apply(replacePart(root, selected!.path, { kind: 'any', not: node.not, muted: node.muted, parts }));
  }

  function drop(from: Path, target: TreeRow, operation: string) {
    const [group, index] =
      operation === 'combine' && !isLeaf(target.node)
        ? [target.path, target.node.parts.length]
        : [target.path.slice(0, -1), target.path.at(-1)! + (operation === 'reorder-after' ? 1 : 0)];
    void apply(movePart(root, from, group, index), null);
  }

  function toggleFold(row: TreeRow, fold: boolean) {
    const next = new Set(folded);
    if (fold) next.add(pathKey(row.path));
    else next.delete(pathKey(row.path));
    folded = next;
  }
  function select(row: TreeRow | undefined) {
    if (!row) return;
    selectedKey = pathKey(row.path);
    void tick().then(focusRow);
  }

  const at = () => rows.indexOf(selected!);
  const isGroup = () => !isLeaf(selected!.node);
  const isFolded = () => folded.has(pathKey(selected!.path));
  const hearTree = keysOf('tree', {
    up: () => select(rows[at() - 1]),
    down: () => select(rows[at() + 1]),
    first: () => select(rows[0]),
    last: () => select(rows.at(-1)),
    unfold: () => {
      if (!isGroup()) return;
      if (isFolded()) toggleFold(selected!, false);
      else select(rows[at() + 1]);
    },
    fold: () => {
      const { path } = selected!;
      if (isGroup() && !isFolded()) toggleFold(selected!, true);
      else select(rows.find((row) => pathKey(row.path) === pathKey(path.slice(0, -1))));
    },
    moveUp: () => shift(-1),
    moveDown: () => shift(1),
    edit: () => void edit(selected),
    add: () => void add(),
    exclude: () => act(exclude),
    mute: () => act(mute),
    kind: () => act(switchKind),
    wrap: () => void wrap(),
    unwrap: () => act(unwrapPart),
    remove: () => act(removePart, false)
  });
  const hearUndo = keysOf('everywhere', { undo: () => onundo(), redo: () => onredo() });
  function hear(event: KeyboardEvent) {
    if (!selected) return;
    hearTree(event);
    hearUndo(event);
    // What the tree takes is not heard by the page around it.
    if (event.defaultPrevented) event.stopPropagation();
  }

  const actions = $derived.by(() => {
    const node = selected?.node;
    const group = node !== undefined && !isLeaf(node);
    return [
      { name: 'Add', key: '+', does: () => void add(), can: true },
      { name: 'Edit', key: '↵', does: () => void edit(selected), can: node !== undefined && !group },
      {
        name: group && node.kind === 'all' ? 'Make it any of' : 'Make it all of',
        key: 'O',
        does: () => act(switchKind),
        can: group
      },
      { name: node?.not ? 'Want again' : 'Exclude', key: 'X', does: () => act(exclude), can: node !== undefined },
      { name: node?.muted ? 'Take up again' : 'Set aside', key: 'M', does: () => act(mute), can: node !== undefined },
      { name: 'Wrap in a group', key: 'W', does: () => void wrap(), can: node !== undefined },
      { name: 'Unwrap', key: 'U', does: () => act(unwrapPart), can: group && !node.not },
      { name: 'Up', key: 'Alt ↑', does: () => shift(-1), can: node !== undefined },
      { name: 'Down', key: 'Alt ↓', does: () => shift(1), can: node !== undefined },
      {
        name: 'Keep as a word set…',
        key: '',
        does: startPull,
        can: node !== undefined && (!isLeaf(node) || node.kind === 'term')
      },
      { name: 'Unfold the set', key: '', does: unfold, can: node !== undefined && isLeaf(node) && node.kind === 'set' },
      { name: 'Remove', key: 'Del', does: () => act(removePart, false), can: node !== undefined }
    ].filter(({ can }) => can);
  });
  const place = (row: TreeRow) => {
    const scope = scopeOf(row.node);
    const home = nodeAt(root, row.path.slice(0, -1));
    const outer = row.path.length > 1 && home ? scopeOf(home) : 'any';
    return scope === 'mixed' || scope === outer ? '' : scope === 'any' ? 'whole profile' : scope;
  };
</script>

<section class="sheet" aria-label="The string as a tree">
  <div class="acts" role="toolbar" aria-label="What to do with the chosen part">
    {#each actions as action (action.name)}
      <Act disabled={!enabled} onclick={action.does}
        >{action.name}{#if action.key}<kbd aria-hidden="true">{action.key}</kbd>{/if}</Act
      >
    {/each}
    {#if selected}
      <Pick
        label="searched in"
        disabled={!enabled}
        value={scopeOf(selected.node) as string}
        onpick={(scope) => act((now, path) => rescopePart(now, path, scope as Scope))}
      >
        {#if scopeOf(selected.node) === 'mixed'}<option value="mixed" disabled>several</option>{/if}
        {#each scopes as scope (scope)}<option value={scope}>{scope === 'any' ? 'whole profile' : scope}</option>{/each}
      </Pick>
    {/if}
  </div>
  {#if !enabled}<p class="told">
      The string has something that must be mended first: the tree shows what can be read, and cannot be changed.
    </p>{/if}
  {#if refused}<p class="told" role="alert">{refused}</p>{/if}
  {#if pulling}
    <form
      class="told"
      onsubmit={(event) => {
        event.preventDefault();
        void pull();
      }}
    >
      <Field
        label="Name of the word set"
        inline
        id="set-name"
        bind:value={pulling.name}
        maxlength="60"
        placeholder="quality-heads"
        required
      />
      <span class="soft">{pulling.wordings.length} wordings: {pulling.wordings.slice(0, 4).join(', ')}</span>
      <Act type="submit" look="main">Keep in the library</Act>
      <Act onclick={() => (pulling = null)}>Leave it</Act>
    </form>
  {/if}
  <ul role="tree" aria-label="Parts of the string" bind:this={list} onkeydown={hear}>
    {#each rows as row (pathKey(row.path))}
      {@const key = pathKey(row.path)}
      {@const isGroup = !isLeaf(row.node)}
      {@const origin = originOf(row.node, row.path)}
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <li
        role="treeitem"
        aria-level={row.level}
        aria-posinset={row.position}
        aria-setsize={row.fellows}
        aria-selected={selected === row}
        aria-expanded={isGroup ? !folded.has(key) : undefined}
        tabindex={selected === row ? 0 : -1}
        class:aside={row.aside}
        class:not={row.node.not}
        class:lit={lit !== null && origin?.of === lit}
        data-over={over?.key === key ? over.operation : undefined}
        style:padding-left="{row.level * 24 - 10}px"
        onclick={() => select(row)}
        ondblclick={() => void edit(row)}
        use:draggableRow={{
          path: row.path,
          isGroup,
          enabled,
          hover: (operation) => (over = operation && { key, operation }),
          drop: (from, operation) => drop(from, row, operation)
        }}
      >
        <span class="grip" aria-hidden="true">⠿</span>
        {#if row.part !== null && row.level === 1}<span style:color={partTint(row.part)}>{partGlyph(row.part)}</span
          >{/if}
        {#if row.node.not}<b class="sign">not</b>{/if}
        {#if typing && !typing.isNew && pathKey(typing.path) === key}
          {@render typed()}
        {:else}
          <span
            class:group={isGroup}
            class="mono"
            style:border-color={row.part === null ? 'transparent' : partTint(row.part)}>{word(row.node)}</span
          >
        {/if}
        {#if place(row)}<span class="scope">in {place(row)}</span>{/if}
        {#if isLeaf(row.node) && row.node.kind === 'set'}
          <span class="soft"
            >{sets.find(({ name }) => name === (row.node as { text: string }).text)?.wordings.length ?? 0} wordings</span
          >
        {/if}
        {#if row.node.muted}<span class="soft">set aside</span>{/if}
        {#if origin && (row.level === 1 || !isGroup)}
          <a class="origin soft" href="{personaPath}#line-{origin.of}" tabindex="-1"
            >{isGroup || origin.of !== 'titles' ? originNames[origin.of] : `wording of ${origin.line}`}</a
          >
        {/if}
        {#if isGroup && folded.has(key)}<span class="soft">{(row.node as OutlineGroup).parts.length} parts</span>{/if}
      </li>
      {#if typing?.isNew && pathKey(typing.wrap ?? previous(typing.path)) === key && typing.path.at(-1)! > 0}
        <li role="none" style:padding-left="{typing.path.length * 24 - 10}px">{@render typed()}</li>
      {/if}
    {/each}
    {#if typing?.isNew && (!rows.length || typing.path.at(-1) === 0)}
      <li role="none" style:padding-left="{typing.path.length * 24 - 10}px">{@render typed()}</li>
    {/if}
  </ul>
</section>

{#snippet typed()}
  {#if typing}
    <input
      class="typed mono"
      aria-label={typing.isNew ? 'New part' : 'Part'}
      bind:value={typing.text}
      onkeydown={(event) => {
        if (event.key === 'Enter') commit();
        else if (event.key === 'Escape') typing = null;
        else return;
        event.preventDefault();
        event.stopPropagation();
      }}
      onblur={commit}
    />
  {/if}
{/snippet}

<style>
  section {
    margin-top: 12px;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    padding: 8px 12px;
    border-bottom: 1px solid var(--line);
    align-items: center;
  }
  .acts kbd {
    margin-left: 6px;
  }
  .told {
    padding: 8px 14px;
    font-size: 13px;
    background: var(--sheet-2);
    border-bottom: 1px solid var(--line);
    display: flex;
    gap: 12px;
    align-items: center;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 6px 0;
    max-height: 360px;
    overflow: auto;
  }
  li {
    position: relative;
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 27px;
    cursor: default;
    font-size: 13px;
  }
  li[aria-selected='true'] {
    background: var(--accent-2);
  }
  .grip {
    color: var(--grey);
    cursor: grab;
    font-size: 12px;
  }
  .mono {
    border-bottom: 2px solid transparent;
  }
  .group {
    font-family: 'IBM Plex Sans', sans-serif;
    font-weight: 600;
    border: 0;
  }
  .sign {
    color: var(--warm);
  }
  .origin {
    margin-left: auto;
    padding-right: 14px;
    font-size: 12px;
  }
  .lit {
    box-shadow: inset 3px 0 var(--accent);
    background: var(--sheet-2);
  }
  .scope {
    color: var(--accent);
    font-size: 12px;
  }
  .aside .mono {
    text-decoration: line-through;
    color: var(--grey);
  }
  [data-over='reorder-before']::before,
  [data-over='reorder-after']::after {
    content: '';
    position: absolute;
    left: 0;
    right: 0;
    height: 2px;
    background: var(--accent);
  }
  [data-over='reorder-before']::before {
    top: 0;
  }
  [data-over='reorder-after']::after {
    bottom: 0;
  }
  [data-over='combine'] {
    outline: 2px solid var(--accent);
    outline-offset: -2px;
  }
  input.typed {
    flex: 1;
    max-width: 420px;
  }
</style>
