<script lang="ts">
  import { trialLog as say } from '../words';
  import type { Answer } from '$api';
  import Accordion from '$lib/ui/Accordion.svelte';

  let { events }: { events: Answer<'readTrial'>['events'] } = $props();
</script>

<div class="sheet">
  <Accordion title={say.errors(events.length)}>
    <ul>
      {#each events as event, i (i)}<li>{say.searchPage(event.search + 1, event.page + 1, event.what)}</li>{/each}
    </ul>
  </Accordion>
</div>

<style>
  div {
    margin-top: 12px;
    padding: 8px 18px;
    font-size: 13px;
  }
</style>
