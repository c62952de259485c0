<script lang="ts">
  import Hint from '$lib/ui/Hint.svelte';
  import { count } from '$lib/marks/format';
  import { broughtBy, type Judged, type LedgerLine } from './ledger-rows';

  let { line, brought }: { line: LedgerLine; /** Whom the whole string brings. */ brought: Judged } = $props();
  const judged = $derived(broughtBy(line));
</script>

<!-- How much of the misses a part brings; of an exclusion, whom it throws out. -->
{#if line.excludes && line.level === 1}
  {#if judged.misses + judged.fits}
    <span class="throws"
      >throws out {count(judged.misses)}
      {judged.misses === 1 ? 'miss' : 'misses'},
      <span class:costs={judged.fits > 0}>{count(judged.fits)} {judged.fits === 1 ? 'fit' : 'fits'}</span></span
    >
  {/if}
{:else if brought.misses && !line.excludes}
  <Hint
    class="weight"
    says="{count(judged.misses)} of the {count(brought.misses)} judged misses come with it, {count(judged.fits)} fits"
    ><span class="bar" role="img" aria-label="{count(judged.misses)} of {count(brought.misses)} misses"
      ><i style:width="{Math.min(100, (100 * judged.misses) / brought.misses)}%"></i></span
    ></Hint
  >
{/if}

<style>
  .bar {
    float: right;
    width: 62px;
    height: 8px;
    margin: 6px 0 0 8px;
    background: var(--rule);
  }
  .bar i {
    display: block;
    height: 100%;
    background: var(--warm);
  }
  .throws {
    font-size: 12px;
    color: var(--accent);
  }
  .costs {
    color: var(--warm);
  }
</style>
