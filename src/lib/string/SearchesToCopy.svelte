<script lang="ts">
  import { reload } from '$lib/kept/reload';
  import { goto } from '$app/navigation';
  import { brief as briefPath } from '$lib/frame/paths';
  import SourceCard from './SourceCard.svelte';
  import type { StringPage } from './string-page.svelte';

  interface Props {
    string: StringPage;
    briefId: string;
    /** The source that was asked for. */
    asked: string | null;
  }
  let { string, briefId, asked }: Props = $props();
</script>

<div class="cards">
  {#each string.chosen as source (source.id)}
    <div id="card-{source.id}" class:asked={asked === source.id}>
      {#snippet hand()}
        {#await import('./HandResults.svelte') then { default: HandResults }}
          <HandResults
            {briefId}
            text={string.text}
            parent={string.draft.value.from}
            {source}
            searches={string.reading.sources[source.id]?.rendering.searches.length ?? 0}
            ondone={async (trial) => {
              await reload('eave:brief');
              await goto(briefPath(briefId, 'trial', { trial }));
            }}
          />
        {/await}
      {/snippet}
      <SourceCard
        {source}
        reading={string.reading.sources[source.id]}
        stale={!string.isRead}
        keptBack={string.answers[source.id]?.keptBack}
        hand={source.kind === 'by-hand' && !string.blocked ? hand : undefined}
      />
    </div>
  {/each}
</div>

<style>
  .cards {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px;
    margin-top: 12px;
  }
  .cards > div {
    min-width: 0;
    display: grid;
  }
  .asked {
    outline: 2px solid var(--accent);
  }
</style>
