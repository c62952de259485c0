<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { HTMLTableAttributes } from 'svelte/elements';
  import Table from 'carbon-components-svelte/src/DataTable/Table.svelte';

  interface Props extends HTMLTableAttributes {
    class?: string;
    children: Snippet;
  }
  let { class: more = '', children, ...rest }: Props = $props();
</script>

<!-- Carbon's table, with lines between its columns. -->
<Table size="compact" class="board {more}" {...rest as object}>
  {@render children()}
</Table>
