<script lang="ts">
  import Hint from '$lib/ui/Hint.svelte';
  import Checkbox from 'carbon-components-svelte/src/Checkbox/Checkbox.svelte';
  import { invalidateAll } from '$app/navigation';
  import { call } from '$lib/api/call';
  import { certainOnly } from './certain-only';

  let { briefId, onrefused }: { briefId: string; onrefused?: (problem: unknown) => void } = $props();

  let wished: boolean | null = $state(null);
  const checked = $derived(wished ?? certainOnly());
  async function choose(only: boolean) {
    wished = only;
    try {
      await call('countCertainOnly', { params: { id: briefId }, body: { certainOnly: only } });
      await invalidateAll();
    } catch (problem) {
      onrefused?.(problem);
    }
    wished = null;
  }
</script>

<div class="certain">
  <Checkbox labelText="Certain only" {checked} on:check={({ detail }) => choose(detail)} />
  <Hint align="end" says="Leaves out the people of whom the source does not say something that the string asks for."
    >?</Hint
  >
</div>

<style>
  .certain {
    display: flex;
    gap: 6px;
    align-items: center;
  }
  .certain :global(.bx--form-item) {
    flex: none;
  }
  .certain :global(.bx--checkbox-label-text) {
    font-size: 13px;
  }
</style>
