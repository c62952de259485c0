<script lang="ts">
  import { partWeight as say } from '../words';
  import Tooltip from '$lib/ui/Tooltip.svelte';
  import { count } from '$lib/marks/format';
  import { broughtBy, type LedgerLine } from './ledger-rows';

  interface Props {
    line: LedgerLine;
    /** How many more people would match without the part, over all sources; null where that is not known. */
    keptOut: number | null;
    /** The largest of these among the parts. */
    most: number;
  }
  let { line, keptOut, most }: Props = $props();
  const judged = $derived(broughtBy(line));
</script>

<!-- How many people a part keeps out, on a log scale; for an exclusion, how many it removes. -->
{#if line.excludes && line.level === 1}
  {#if judged.misses + judged.fits}
    <span class="throws"
      >{say.removes(say.misses(judged.misses, count(judged.misses)))},
      <span class:costs={judged.fits > 0}>{say.fits(judged.fits, count(judged.fits))}</span></span
    >
  {/if}
{:else if keptOut !== null && keptOut >= 0 && line.level === 1}
  <Tooltip class="weight" text={say.withoutThisPartMorePeopleWould(count(keptOut))}
    ><span class="bar" role="img" aria-label={say.withoutThisPartMorePeopleWould(count(keptOut))}
      ><i style:width="{(100 * Math.log1p(keptOut)) / Math.log1p(Math.max(1, most))}%"></i></span
    ></Tooltip
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
    background: var(--accent);
  }
  .throws {
    font-size: 12px;
    color: var(--accent);
  }
  .costs {
    color: var(--warm);
  }
</style>
