<script lang="ts">
  import { pasteNotice as say } from '../words';
  import Button from '$lib/ui/Button.svelte';
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
    <span>{say.cleanedUp(clean.changes.join('; '))}</span>
    <Button onclick={onasitwas}>{say.undoCleanup}</Button>
  {/if}
  {#if clean.ask}
    <span>{clean.ask.question}</span>
    <Button onclick={onask}>{say.yesCapitalize}</Button>
  {/if}
  <Button onclick={onclose}>{clean.ask ? say.no : say.ok}</Button>
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
