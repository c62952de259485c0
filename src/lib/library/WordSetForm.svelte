<script lang="ts">
  import TextBox from '$lib/ui/TextBox.svelte';
  import Act from '$lib/ui/Act.svelte';
  import Acts from '$lib/ui/Acts.svelte';
  import Field from '$lib/ui/Field.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import CopyButton from '$lib/frame/CopyButton.svelte';
  import { namedSetSchema, setQueries, type NamedSet, print } from '$core/language';
  import type { Answer } from '$api';

  type WordSet = Answer<'listWordSets'>[number];
  interface Props {
    /** Null for a new one. */
    set: WordSet | null;
    oncreate: (set: NamedSet) => Promise<boolean>;
    onchange: (set: NamedSet, revision: number, seen: string[]) => Promise<boolean>;
    onremove: (name: string) => void;
    onopen: (name: string | null) => void;
  }
  let { set, oncreate, onchange, onremove, onopen }: Props = $props();

  // svelte-ignore state_referenced_locally
  let name = $state(set?.name ?? '');
  // svelte-ignore state_referenced_locally
  let kind: NamedSet['kind'] = $state(set?.kind ?? 'wanted');
  // svelte-ignore state_referenced_locally
  let note = $state(set?.note ?? '');
  // svelte-ignore state_referenced_locally
  let lines = $state(set?.wordings.join('\n') ?? '');
  let asking = $state(false);

  const wordings = $derived([
    ...new Set(
      lines
        .split('\n')
        .map((line) => line.trim())
        .filter(Boolean)
    )
  ]);
  const read = $derived(namedSetSchema.safeParse({ name, kind, wordings, note }));
  const query = $derived(setQueries([{ name: 'set', wordings }]).get('set'));
  const written = $derived(query ? `(${print(query)})` : '');
  const wrong = $derived.by(() => {
    if (read.success || (!name && !lines)) return '';
    const [issue] = read.error.issues;
    const line =
      issue!.path[0] === 'wordings' && typeof issue!.path[1] === 'number' ? `“${wordings[issue!.path[1]]}” ` : '';
    return line + issue!.message;
  });
  const changed = $derived(
    !set || set.kind !== kind || set.note !== note || set.wordings.join('\n') !== wordings.join('\n')
  );

  async function keep() {
    if (!read.success) return;
    if (!set) {
      if (await oncreate(read.data)) onopen(read.data.name);
      return;
    }
    if (set.usedIn.length && !asking) {
      asking = true;
      return;
    }
    asking = false;
    await onchange(
      read.data,
      set.revision,
      set.usedIn.map(({ id }) => id)
    );
  }
</script>

<form
  class="sheet"
  aria-label={set ? `Word set ${set.name}` : 'New word set'}
  onsubmit={(event) => {
    event.preventDefault();
    void keep();
  }}
>
  <div class="line">
    {#if set}<h2 class="mono">@{set.name}</h2>{:else}
      <Field label="Name" inline bind:value={name} maxlength="60" placeholder="quality-heads" />
    {/if}
    <Pick bind:value={kind} aria-label="Meant to be">
      <option value="wanted">wanted</option>
      <option value="unwanted">to exclude</option>
    </Pick>
    <Field label="Note" inline bind:value={note} maxlength="500" />
  </div>
  <TextBox
    label="Wordings, one a line: a word, several words, pharma*, or with a scope of its own such as company:“…”"
    rows="12"
    bind:value={lines}
    spellcheck="false"
  />
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  {#if asking && set}
    <p class="ask" role="alert">
      This changes the string of {set.usedIn.map((brief) => `“${brief.name}”`).join(', ')}. Versions that were kept stay
      as they were.
    </p>
    <Acts>
      <Act type="submit" look="main"
        >Change it in {set.usedIn.length === 1 ? 'this string' : `all ${set.usedIn.length}`}</Act
      >
      <Act type="button" onclick={() => (asking = false)}>Leave it</Act>
    </Acts>
  {/if}
  <div class="line">
    <Act type="submit" look="main" disabled={!read.success || !changed || asking}
      >{set ? 'Keep' : 'Add to the library'}</Act
    >
    {#if set}
      <Act type="button" disabled={set.usedIn.length > 0} onclick={() => onremove(set.name)}>Delete</Act>
      {#if set.usedIn.length}<span class="soft">not while a string uses it</span>{/if}
    {/if}
    {#if written}<CopyButton text={written} label="Copy as a group" of={set?.name ?? 'the new set'} />{/if}
    <Act type="button" onclick={() => onopen(null)}>Close</Act>
  </div>
</form>

<style>
  form {
    padding: 12px 16px;
    display: grid;
    gap: 10px;
  }
  .line {
    display: flex;
    gap: 10px;
    align-items: center;
  }
  form :global(.wide) {
    flex: 1;
    display: flex;
    gap: 6px;
    align-items: baseline;
  }
  .wrong {
    color: var(--warm);
    font-size: 13px;
  }
  .ask {
    background: var(--warm-2);
    padding: 8px 12px;
    font-size: 13px;
  }
</style>
