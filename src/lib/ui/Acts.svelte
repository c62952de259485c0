<script lang="ts">
  import type { Snippet } from 'svelte';
  import ButtonSet from 'carbon-components-svelte/src/Button/ButtonSet.svelte';

  let { children }: { children: Snippet } = $props();
</script>

<!-- Buttons that are one choice: what is asked for, and what leaves it. -->
<ButtonSet class="act-set">{@render children()}</ButtonSet>
