<script lang="ts">
  import { describe, layOut } from '$core/query';
  import { read } from '$core/dialect';
  import type { Answer } from '$server/api/contract';

  type Source = Answer<'listSources'>[number];
  interface Props {
    sources: readonly Source[];
    ontake: (text: string) => void;
    onclose: () => void;
  }
  let { sources, ontake, onclose }: Props = $props();

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
      <label
        >as written for
        <select bind:value={sourceId} aria-label="Source the text was written for">
          {#each sources as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
        </select></label
      >
    </div>
    <textarea
      rows="5"
      aria-label="Text as it stands at the source"
      placeholder={labels.length > 1
        ? `${labels[0]}: …\n${labels.at(-1)}: …\n(a line for each box or fact, or just the text of one box)`
        : 'The search as it stands in the source’s box'}
      bind:value={text}></textarea>
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
      <button class="quiet main" disabled={!found?.query} onclick={() => ontake(written)}>Take it as the string</button>
      <button class="quiet" onclick={onclose}>Close</button>
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
  textarea,
  select {
    font:
      13px/1.5 'IBM Plex Mono',
      monospace;
    color: var(--ink);
    background: var(--sheet-2);
    border: 1px solid var(--line);
    padding: 6px 8px;
  }
  textarea {
    width: 100%;
    box-sizing: border-box;
  }
  pre {
    white-space: pre-wrap;
    overflow-wrap: anywhere;
    font:
      13px/1.6 'IBM Plex Mono',
      monospace;
    margin: 4px 0 8px;
    max-height: 180px;
    overflow: auto;
  }
  .note {
    color: var(--warm);
    margin-top: 6px;
  }
</style>
