<script lang="ts">
  import { partTree as say } from '../words';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Button from '$lib/ui/Button.svelte';
  import ButtonSet from '$lib/ui/ButtonSet.svelte';
  import { keysOf } from '$lib/frame/keys';
  import { isLeaf, isOwnScope, scopes, type OutlineGroup, type Scope } from '$core/language';
  import { originNames } from '$core/persona';
  import { partGlyph, partTint } from '$lib/marks/parts';
  import { draggableRow } from './draggable-row';
  import { PartTree, scopeOf, wordOf, type Given } from './part-tree.svelte';
  import { pathKey } from './tree-rows';
  interface Props extends Given {
    personaPath: string;
    /** The line of the persona whose parts are lit up. */
    lit: string | null;
    onundo: () => void;
    onredo: () => void;
  }
  let { personaPath, lit, onundo, onredo, ...given }: Props = $props();
  let over: { key: string; operation: string } | null = $state(null);
  let list: HTMLUListElement;
  const tree = new PartTree(
    () => given,
    (on) => {
      if (on === 'row') list?.querySelector<HTMLElement>('[aria-selected="true"]')?.focus();
      else if (on === 'typed') list?.querySelector<HTMLInputElement>('input.typed')?.select();
      else document.querySelector<HTMLInputElement>('#set-name')?.focus();
    }
  );
  const { enabled, sets } = $derived(given);
  const onTreeKey = keysOf('tree', {
    up: () => tree.go(-1),
    down: () => tree.go(1),
    first: () => tree.select(tree.rows[0]),
    last: () => tree.select(tree.rows.at(-1)),
    unfold: tree.goIn,
    fold: tree.goOut,
    moveUp: () => tree.shift(-1),
    moveDown: () => tree.shift(1),
    edit: () => void tree.edit(tree.selected),
    add: () => void tree.add(),
    exclude: tree.exclude,
    mute: tree.mute,
    kind: tree.switchKind,
    wrap: () => void tree.wrap(),
    unwrap: tree.unwrap,
    remove: tree.remove
  });
  const onUndoKey = keysOf('everywhere', { undo: () => onundo(), redo: () => onredo() });
  function onkeydown(event: KeyboardEvent) {
    if (!tree.selected) return;
    onTreeKey(event);
    onUndoKey(event);
    // What the tree takes is not heard by the page around it.
    if (event.defaultPrevented) event.stopPropagation();
  }
</script>

<section class="sheet" aria-label={say.stringAsTree}>
  <div class="acts" role="toolbar" aria-label={say.actionsForSelectedPart}>
    {#each tree.actions as action (action.name)}
      <Button disabled={!enabled} onclick={action.does}
        >{action.name}{#if action.key}<kbd aria-hidden="true">{action.key}</kbd>{/if}</Button
      >
    {/each}
    {#if tree.selected}
      {@const scope = scopeOf(tree.selected.node)}
      <Select
        label={say.searchIn}
        disabled={!enabled}
        value={scope as string}
        onchange={(picked) => tree.rescope(picked as Scope)}
      >
        {#if scope === 'mixed'}<option value="mixed" disabled>{say.several}</option>{/if}
        {#each scopes as one (one)}<option value={one}>{one === 'any' ? say.wholeProfile : one}</option>{/each}
        {#if scope !== 'mixed' && isOwnScope(scope)}<option value={scope}>{scope}</option>{/if}
      </Select>
    {/if}
  </div>
  {#if !enabled}<p class="notice">
      {say.fixErrorsToEditTreeIt}
    </p>{/if}
  {#if tree.refused}<p class="notice" role="alert">{tree.refused}</p>{/if}
  {#if tree.pulling}
    <form
      class="notice"
      onsubmit={(event) => {
        event.preventDefault();
        void tree.pull();
      }}
    >
      <TextInput
        label={say.wordSetName}
        inline
        id="set-name"
        bind:value={tree.pulling.name}
        maxlength="60"
        placeholder={say.qualityHeads}
        required
      />
      <span class="soft"
        >{say.wordings(tree.pulling.wordings.length, tree.pulling.wordings.slice(0, 4).join(', '))}</span
      >
      <ButtonSet>
        <Button type="submit" kind="primary">{say.saveToLibrary}</Button>
        <Button onclick={() => (tree.pulling = null)}>{say.cancel}</Button>
      </ButtonSet>
    </form>
  {/if}
  <ul role="tree" aria-label={say.partsString} bind:this={list} {onkeydown}>
    {#each tree.rows as row (pathKey(row.path))}
      {@const key = pathKey(row.path)}
      {@const isGroup = !isLeaf(row.node)}
      {@const place = tree.placeOf(row)}
      {@const origin = tree.originOf(row.node, row.path)}
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <li
        role="treeitem"
        aria-level={row.level}
        aria-posinset={row.position}
        aria-setsize={row.fellows}
        aria-selected={tree.selected === row}
        aria-expanded={isGroup ? !tree.folded.has(key) : undefined}
        tabindex={tree.selected === row ? 0 : -1}
        class:aside={row.aside}
        class:not={row.node.not}
        class:lit={lit !== null && origin?.of === lit}
        data-over={over?.key === key ? over.operation : undefined}
        style:padding-left="{row.level * 24 - 10}px"
        onclick={() => tree.select(row)}
        ondblclick={() => void tree.edit(row)}
        use:draggableRow={{
          path: row.path,
          isGroup,
          enabled,
          hover: (operation) => (over = operation && { key, operation }),
          drop: (from, operation) => tree.drop(from, row, operation)
        }}
      >
        <span class="grip" aria-hidden="true">⠿</span>
        {#if row.part !== null && row.level === 1}<span style:color={partTint(row.part)}>{partGlyph(row.part)}</span
          >{/if}
        {#if row.node.not}<b class="sign">{say.not}</b>{/if}
        {#if tree.typing && !tree.typing.isNew && pathKey(tree.typing.path) === key}
          {@render typed()}
        {:else}
          <span
            class:group={isGroup}
            class="mono"
            style:border-color={row.part === null ? 'transparent' : partTint(row.part)}>{wordOf(row.node)}</span
          >
        {/if}
        {#if place}<span class="scope">{say.inText(place)}</span>{/if}
        {#if isLeaf(row.node) && row.node.kind === 'set'}
          <span class="soft"
            >{say.wordings2(
              sets.find(({ name }) => name === (row.node as { text: string }).text)?.wordings.length ?? 0
            )}</span
          >
        {/if}
        {#if row.node.muted}<span class="soft">{say.disabled}</span>{/if}
        {#if origin && (row.level === 1 || !isGroup)}
          <a class="origin soft" href="{personaPath}#line-{origin.of}" tabindex="-1"
            >{isGroup || origin.of !== 'titles' ? originNames[origin.of] : say.wording(origin.line)}</a
          >
        {/if}
        {#if isGroup && tree.folded.has(key)}<span class="soft"
            >{say.parts((row.node as OutlineGroup).parts.length)}</span
          >{/if}
      </li>
      {#if tree.typing?.isNew && pathKey(tree.typing.wrap ?? tree.previous(tree.typing.path)) === key && tree.typing.path.at(-1)! > 0}
        <li role="none" style:padding-left="{tree.typing.path.length * 24 - 10}px">{@render typed()}</li>
      {/if}
    {/each}
    {#if tree.typing?.isNew && (!tree.rows.length || tree.typing.path.at(-1) === 0)}
      <li role="none" style:padding-left="{tree.typing.path.length * 24 - 10}px">{@render typed()}</li>
    {/if}
  </ul>
</section>

{#snippet typed()}
  {#if tree.typing}
    <input
      class="typed mono"
      aria-label={tree.typing.isNew ? say.newPart : say.part}
      bind:value={tree.typing.text}
      onkeydown={(event) => {
        if (event.key === 'Enter') tree.commit();
        else if (event.key === 'Escape') tree.typing = null;
        else return;
        event.preventDefault();
        event.stopPropagation();
      }}
      onblur={tree.commit}
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
  .notice {
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
