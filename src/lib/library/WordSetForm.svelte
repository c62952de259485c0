<script lang="ts">
  import { wordSetForm as say } from './words';
  import TextArea from '$lib/ui/TextArea.svelte';
  import Button from '$lib/ui/Button.svelte';
  import ButtonSet from '$lib/ui/ButtonSet.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
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
  aria-label={set ? say.wordSet(set.name) : say.newWordSet}
  onsubmit={(event) => {
    event.preventDefault();
    void keep();
  }}
>
  <div class="line">
    {#if set}<h2 class="mono">@{set.name}</h2>{:else}
      <TextInput label={say.name} inline bind:value={name} maxlength="60" placeholder={say.qualityHeads} />
    {/if}
    <Select bind:value={kind} aria-label={say.usedTo}>
      <option value="wanted">{say.findPeople}</option>
      <option value="unwanted">{say.excludePeople}</option>
    </Select>
    <TextInput label={say.note} inline bind:value={note} maxlength="500" />
  </div>
  <TextArea label={say.oneWordingPerLineWordSeveral} rows="12" bind:value={lines} spellcheck="false" />
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  {#if asking && set}
    <p class="ask" role="alert">
      {say.thisChangesStringInSavedVersions(set.usedIn.map((brief) => `“${brief.name}”`).join(', '))}
    </p>
    <ButtonSet>
      <Button type="submit" kind="primary"
        >{say.changeItIn} {set.usedIn.length === 1 ? say.thisString : say.all(set.usedIn.length)}</Button
      >
      <Button type="button" onclick={() => (asking = false)}>{say.cancel}</Button>
    </ButtonSet>
  {/if}
  <div class="line">
    <Button type="submit" kind="primary" disabled={!read.success || !changed || asking}
      >{set ? say.save : say.addToLibrary}</Button
    >
    {#if set}
      <Button type="button" disabled={set.usedIn.length > 0} onclick={() => onremove(set.name)}>{say.deleteText}</Button
      >
      {#if set.usedIn.length}<span class="soft">{say.stringStillUsesIt}</span>{/if}
    {/if}
    {#if written}<CopyButton text={written} label={say.copyAsGroup} of={set?.name ?? say.newSet} />{/if}
    <Button type="button" onclick={() => onopen(null)}>{say.close}</Button>
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
