<script lang="ts">
  import { certainOnly as say } from './words';
  import Term from '$lib/terms/Term.svelte';
  import Toggle from '$lib/ui/Toggle.svelte';
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
  <Toggle label={say.certainOnly} on={certainOnly()} onchange={choose} />
  <Term of="certain" label="?" align="end" />
</div>

<style>
  .certain {
    display: flex;
    gap: 6px;
    align-items: center;
  }
</style>
