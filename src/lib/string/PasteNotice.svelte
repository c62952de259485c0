<script lang="ts">
  import Act from '$lib/ui/Act.svelte';
  import type { CleanPaste } from '$core/formats';

  interface Props {
    clean: CleanPaste;
    onasitwas: () => void;
    onask: () => void;
    onclose: () => void;
  }
  let { clean, onasitwas, onask, onclose }: Props = $props();
</script>

<div class="notice" role="status">
  {#if clean.changes.length}
    <span>Pasted and cleaned: {clean.changes.join('; ')}.</span>
    <Act onclick={onasitwas}>Put it as it was</Act>
  {/if}
  {#if clean.ask}
    <span>{clean.ask.question}</span>
    <Act onclick={onask}>Yes, in capitals</Act>
  {/if}
  <Act onclick={onclose}>{clean.ask ? 'No, leave it' : 'Good'}</Act>
</div>

<style>
  .notice {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: center;
    padding: 6px 14px;
    font-size: 13px;
    background: var(--accent-2);
    border: 1px solid var(--line);
    border-top: 0;
  }
</style>
