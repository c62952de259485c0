<script lang="ts">
  import { copyButton as say } from './words';
  import Act from '$lib/ui/Act.svelte';
  import Checkmark from 'carbon-icons-svelte/lib/Checkmark.svelte';
  import Copy from 'carbon-icons-svelte/lib/Copy.svelte';

  interface Props {
    text: string;
    label?: string;
    /** What is copied, for those who do not see where the button stands. */
    of: string;
  }
  let { text, label = 'Copy', of }: Props = $props();

  let said = $state('');
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function copy() {
    clearTimeout(timer);
    try {
      await navigator.clipboard.writeText(text);
      said = say.copied;
    } catch {
      said = say.notAllowed;
    }
    timer = setTimeout(() => (said = ''), 2000);
  }
</script>

<Act onclick={copy} aria-label="{said || label}: {of}">
  {#if said === 'Copied'}<Checkmark size={16} />{:else}<Copy size={16} />{/if}
  {said || label}
</Act>

<style>
</style>
