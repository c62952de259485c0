<script lang="ts">
  import { certainOnly as say } from './words';
  import Hint from '$lib/ui/Hint.svelte';
  import OnOff from '$lib/ui/OnOff.svelte';
  import { invalidateAll } from '$app/navigation';
  import { call } from '$lib/api/call';
  import { certainOnly } from './certain-only';

  let { briefId, onrefused }: { briefId: string; onrefused?: (problem: unknown) => void } = $props();

  async function choose(only: boolean) {
    try {
      await call('countCertainOnly', { params: { id: briefId }, body: { certainOnly: only } });
      await invalidateAll();
    } catch (problem) {
      onrefused?.(problem);
    }
  }
</script>

<div class="certain">
  <OnOff label={say.certainOnly} on={certainOnly()} onswitch={choose} />
  <Hint align="end" says={say.leavesOutThePeopleOfWhom}>?</Hint>
</div>

<style>
  .certain {
    display: flex;
    gap: 6px;
    align-items: center;
  }
</style>
