<script lang="ts">
  import InlineLoading from 'carbon-components-svelte/src/InlineLoading/InlineLoading.svelte';
  import SkeletonText from 'carbon-components-svelte/src/SkeletonText/SkeletonText.svelte';

  interface Props {
    /** What is loading. */
    label: string;
    /** Number of skeleton lines. */
    lines?: number;
  }
  let { label, lines = 0 }: Props = $props();
</script>

<!-- A loading message above skeleton lines that reserve the space. -->
<div role="status">
  <InlineLoading description={label} />
  {#if lines}<div aria-hidden="true"><SkeletonText paragraph {lines} /></div>{/if}
</div>
