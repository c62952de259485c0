<script lang="ts">
  import { sourcePaste as say } from '../words';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';
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

<section class="sheet" aria-label={say.pasteFromSource}>
  <div class="from">
    <div class="line">
      <h2>{say.pasteFromSource}</h2>
      <Select label={say.writtenFor} bind:value={sourceId} aria-label={say.sourceTextWasWrittenFor}>
        {#each sources as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </Select>
    </div>
    <TextArea
      rows="5"
      aria-label={say.textFromSource}
      placeholder={labels.length > 1 ? say.lineForEachBoxOrFact(labels[0], labels.at(-1)) : say.searchCopiedFromSource}
      bind:value={text}
    />
  </div>
  <div class="to">
    {#if found?.query}
      <p class="soft">{say.understoodAs}</p>
      <pre>{written}</pre>
      <p>{describe(found.query)}</p>
    {:else if found}
      <p>
        {say.couldntFindSearchInThisText}
      </p>
    {:else}
      <p class="soft">
        {say.yourTextIsReadByRules}
        {source?.name ?? say.itsSource}{say.includingOperatorOrderAndWhat}
      </p>
    {/if}
    {#each found?.problems ?? [] as problem, i (i)}<p class="note">{problem.message}</p>{/each}
    <div class="line">
      <Button kind="primary" disabled={!found?.query} onclick={() => ontake(written)}>{say.useAsString}</Button>
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
