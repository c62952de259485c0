<script lang="ts">
  import { onMount, type Snippet } from 'svelte';
  import { afterPaint } from './after-paint';

  interface Props {
    /** Reserved until then, so that the browser can restore the scroll position. */
    height: string;
    children: Snippet;
  }
  let { height, children }: Props = $props();

  let isDue = $state(false);
  onMount(() => afterPaint(() => (isDue = true)));
</script>

<!-- Draws what lies below the first screen only after that screen can be used. -->
{#if isDue}{@render children()}{:else}<div style:min-height={height}></div>{/if}
