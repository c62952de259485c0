<script lang="ts">
  import { pasteNotice as say } from './words';
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
    <span>{say.pastedAndCleaned(clean.changes.join('; '))}</span>
    <Act onclick={onasitwas}>{say.putItAsItWas}</Act>
  {/if}
  {#if clean.ask}
    <span>{clean.ask.question}</span>
    <Act onclick={onask}>{say.yesInCapitals}</Act>
  {/if}
  <Act onclick={onclose}>{clean.ask ? say.noLeaveIt : say.good}</Act>
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
