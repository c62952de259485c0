<script lang="ts">
  import Act from '$lib/ui/Act.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import TextBox from '$lib/ui/TextBox.svelte';
  import { layOut } from '$core/language';
  import { describe } from '$core/semantics';
  import { read } from '$core/dialect';
  import type { Answer } from '$api';

  type Source = Answer<'listSources'>[number];
  interface Props {
    sources: readonly Source[];
    ontake: (text: string) => void;
  }
  let { sources, ontake }: Props = $props();

  let sourceId = $state('');
  let text = $state('');
  const source = $derived(sources.find(({ id }) => id === sourceId) ?? sources[0]);
  const found = $derived(source && text.trim() ? read(text, source.sheet) : null);
  const written = $derived(found?.query ? layOut(found.query) : '');
  const labels = $derived(
    source
      ? [...source.sheet.boxes.map(({ label }) => label), ...source.sheet.facts.map((fact) => fact.label ?? fact.scope)]
      : []
  );
</script>

<section class="sheet" aria-label="Paste from a source">
  <div class="from">
    <div class="line">
      <h2>Paste from a source</h2>
      <Pick label="as written for" bind:value={sourceId} aria-label="Source the text was written for">
        {#each sources as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </Pick>
    </div>
    <TextBox
      rows="5"
      aria-label="Text as it stands at the source"
      placeholder={labels.length > 1
        ? `${labels[0]}: …\n${labels.at(-1)}: …\n(a line for each box or fact, or just the text of one box)`
        : 'The search as it stands in the source’s box'}
      bind:value={text}
    />
  </div>
  <div class="to">
    {#if found?.query}
      <p class="soft">Understood as</p>
      <pre>{written}</pre>
      <p>{describe(found.query)}</p>
    {:else if found}
      <p>
        Nothing to search for was found in this text. Paste the search itself, or choose the source it was written for.
      </p>
    {:else}
      <p class="soft">
        What you paste is read by the rules of {source?.name ?? 'its source'}: what binds first there, what its words
        side by side mean.
      </p>
    {/if}
    {#each found?.problems ?? [] as problem, i (i)}<p class="note">{problem.message}</p>{/each}
    <div class="line">
      <Act look="main" disabled={!found?.query} onclick={() => ontake(written)}>Take it as the string</Act>
    </div>
  </div>
</section>

<style>
  section {
    display: grid;
    grid-template-columns: 1fr 1fr;
    margin-top: 12px;
  }
  .from,
  .to {
    padding: 10px 14px;
    min-width: 0;
  }
  .to {
    border-left: 1px solid var(--line);
    font-size: 13px;
  }
  .line {
    display: flex;
    gap: 12px;
    align-items: baseline;
    margin-bottom: 8px;
  }
  .to .line {
    margin: 10px 0 0;
  }
  .note {
    color: var(--warm);
    margin-top: 6px;
  }
</style>
