<script lang="ts">
  import InlineLoading from 'carbon-components-svelte/src/InlineLoading/InlineLoading.svelte';
  import SkeletonText from 'carbon-components-svelte/src/SkeletonText/SkeletonText.svelte';

  interface Props {
    /** What is under way. */
    says: string;
    /** Lines that will stand here, drawn empty. */
    lines?: number;
  }
  let { says, lines = 0 }: Props = $props();
</script>

<!-- What one waits for, and the room that it will take. -->
<div role="status">
  <InlineLoading description={says} />
  {#if lines}<div aria-hidden="true"><SkeletonText paragraph {lines} /></div>{/if}
</div>
