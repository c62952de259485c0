<script lang="ts">
  import type { Answer } from '$api';
  import Fold from '$lib/ui/Fold.svelte';

  let { events }: { events: Answer<'readTrial'>['events'] } = $props();
</script>

<div class="sheet">
  <Fold title="What went wrong on the way ({events.length})">
    <ul>
      {#each events as event, i (i)}<li>search {event.search + 1}, page {event.page + 1}: {event.what}</li>{/each}
    </ul>
  </Fold>
</div>

<style>
  div {
    margin-top: 12px;
    padding: 8px 18px;
    font-size: 13px;
  }
</style>
