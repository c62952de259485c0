<script lang="ts">
  import { inString as say } from './words';
  import { brief as briefPath } from '$lib/frame/paths';
  import type { Origin } from '$core/persona';

  interface Props {
    briefId: string;
    /** The line of the persona. */
    of: Origin['of'];
    /** How many terms of the string come from each line. */
    counts: Partial<Record<Origin['of'], number>> | undefined;
  }
  let { briefId, of, counts }: Props = $props();
  const terms = $derived(counts?.[of] ?? 0);
</script>

<!-- Leads from a line of the persona to what of the string comes from it. -->
<div id="line-{of}">
  {#if terms}<a href={briefPath(briefId, 'string', { panel: 'tree', from: of })}>{say.termsOfTheString(terms)}</a>{/if}
</div>

<style>
  div {
    font-size: 12px;
    margin-top: -10px;
    scroll-margin-top: 140px;
  }
  div:empty {
    display: none;
  }
</style>
