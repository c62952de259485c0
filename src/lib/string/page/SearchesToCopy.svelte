<script lang="ts">
  import { searchesToCopy as say } from '../words';
  import Button from '$lib/ui/Button.svelte';
  import SourceCard from '../searches/SourceCard.svelte';
  import type { StringPage } from './string-page.svelte';

  interface Props {
    string: StringPage;
    /** The source that was asked for. */
    asked: string | null;
  }
  let { string, asked }: Props = $props();
</script>

<div class="cards">
  {#each string.chosen as source (source.id)}
    <div id="card-{source.id}" class:asked={asked === source.id}>
      {#snippet hand()}
        <p class="hand">
          <Button kind="primary" onclick={() => string.runByHand(source.id)}>{say.openDiary}</Button>
          <span class="soft">{say.enterCountAndPastePagesOver}</span>
        </p>
      {/snippet}
      <SourceCard
        {source}
        reading={string.blocked ? undefined : string.reading.sources[source.id]}
        blocked={string.blocked}
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
  .hand {
    display: flex;
    gap: 10px;
    align-items: baseline;
    margin-top: 8px;
    font-size: 13px;
  }
  .asked {
    outline: 2px solid var(--accent);
  }
</style>
