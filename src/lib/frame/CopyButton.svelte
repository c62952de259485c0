<script lang="ts">
  import { copyButton as say } from './words';
  import Button from '$lib/ui/Button.svelte';
  import Checkmark from 'carbon-icons-svelte/lib/Checkmark.svelte';
  import Copy from 'carbon-icons-svelte/lib/Copy.svelte';

  interface Props {
    text: string;
    label?: string;
    /** What is copied, for those who do not see where the button stands. */
    of: string;
  }
  let { text, label = say.copy, of }: Props = $props();

  let said = $state('');
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function copy() {
    clearTimeout(timer);
    try {
      await navigator.clipboard.writeText(text);
      said = say.copied;
    } catch {
      said = say.couldntCopy;
    }
    timer = setTimeout(() => (said = ''), 2000);
  }
</script>

<Button onclick={copy} aria-label="{said || label}: {of}">
  {#if said === say.copied}<Checkmark size={16} />{:else}<Copy size={16} />{/if}
  {said || label}
</Button>

<style>
</style>
