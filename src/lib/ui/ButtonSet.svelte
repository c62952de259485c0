<script lang="ts">
  import type { Snippet } from 'svelte';
  import CarbonButtonSet from 'carbon-components-svelte/src/Button/ButtonSet.svelte';

  let { children }: { children: Snippet } = $props();
</script>

<!-- Buttons that answer one question, side by side. -->
<CarbonButtonSet class="button-set">{@render children()}</CarbonButtonSet>
