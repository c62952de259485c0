<script lang="ts">
  import { onMount, type Snippet } from 'svelte';
  import { afterPaint } from './after-paint';

  interface Props {
    /** Of the room kept for it until then, so that the page can be scrolled back to where it was. */
    height: string;
    children: Snippet;
  }
  let { height, children }: Props = $props();

  let isDue = $state(false);
  onMount(() => afterPaint(() => (isDue = true)));
</script>

<!-- What lies below the screen that a page opens on: drawn once that can be used. -->
{#if isDue}{@render children()}{:else}<div style:min-height={height}></div>{/if}
