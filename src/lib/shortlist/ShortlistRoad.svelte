<script lang="ts">
  import type { Answer } from '$api';
  import { about, count, percent, percentRange } from '$lib/marks/format';

  let { list }: { list: Answer<'readShortlist'> } = $props();

  const { road, precision } = $derived(list);
  const steps = $derived(
    [
      { what: 'rows reported', said: road.reported ? about(road.reported) : '–' },
      { what: 'people gathered', said: road.gathered === null ? '–' : count(road.gathered) },
      { what: 'judged fit', said: count(road.fits) },
      { what: 'kept here', said: count(road.kept) },
      { what: 'addresses valid', said: count(road.valid) },
      { what: 'taken along', said: count(road.taken) }
    ].map((one, i) => ({ ...one, i }))
  );
</script>

<!-- The whole road on one line. -->
<ol class="sheet" aria-label="The road to this list">
  {#each steps as { what, said, i } (what)}
    <li>
      {#if i}<span class="soft" aria-hidden="true">→</span>{/if}<b>{said}</b> <span class="soft">{what}</span>
    </li>
  {/each}
  <li class="share">
    {#if precision.judged}<b>{percent(precision.fits / precision.judged)}</b>
      <span class="soft">fit ({percentRange(precision.interval)}), by {count(precision.judged)} judged here</span>
    {:else}<span class="soft">nobody here is judged yet</span>{/if}
  </li>
</ol>

<style>
  ol {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 14px;
    padding: 7px 16px;
    margin: 0 0 10px;
    list-style: none;
    font-size: 12.5px;
    align-items: baseline;
  }
  b {
    font-size: 17px;
    font-weight: 400;
  }
  .share {
    margin-left: auto;
  }
</style>
