<script lang="ts">
  import TermButton from './Term.svelte';
  import { termRow as say, type Term } from './words';

  let { terms }: { terms: readonly Term[] } = $props();
</script>

<!-- The terms of a screen in one line, each with its meaning. -->
<ul aria-label={say.terms}>
  {#each terms as one (one)}<li><TermButton of={one} direction="top" /></li>{/each}
</ul>

<style>
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 14px;
    margin: 6px 0 0;
    padding: 0;
    list-style: none;
    font-size: 12px;
    color: var(--soft);
  }
  @media print {
    ul {
      display: none;
    }
  }
</style>
