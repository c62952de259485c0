<script lang="ts">
  import { searchesRunInWords } from '$core/measure';
  import { reading } from '$lib/frame/certain-only';
  import Figure from '$lib/marks/Figure.svelte';
  import { about, count, counted, isExact } from '$lib/marks/format';
  import type { Judging } from './judging.svelte';

  let { trial }: { trial: NonNullable<Judging['trial']> } = $props();
</script>

<p class="soft">
  {#if trial.state === 'done'}
    {@const { found } = trial}
    {#if searchesRunInWords(found)}<b>{searchesRunInWords(found)}</b>:{/if}
    <Figure name="estimated" value={found.estimated[reading()].middle} source={trial.sourceId} version={trial.version}
      >{about(found.estimated[reading()])}</Figure
    >
    found{isExact(found.estimated[reading()])
      ? ''
      : ` (${counted(found.estimated[reading()])})`}{#if trial.rendering.leftover}:
      <Figure name="shown" value={found.shown} source={trial.sourceId} version={trial.version}
        >{count(found.shown)}</Figure
      > shown,
      <Figure name="certain" value={found.certain} source={trial.sourceId} version={trial.version}
        >{count(found.certain)}</Figure
      > certain,
      <Figure name="possible" value={found.possible} source={trial.sourceId} version={trial.version}
        >{count(found.possible)}</Figure
      > possible{#if trial.filtered}, {count(trial.filtered)} contradicted and removed{/if}{/if}.
    {!trial.people
      ? 'Nobody is left to read.'
      : trial.sample.length === trial.people
        ? `All ${count(trial.people)} are here to read.`
        : `${trial.sample.length} drawn through all ${count(trial.people)}.`}
    {#if trial.contacted}{count(trial.contacted)} were contacted already and are left out.{/if}
    {#if trial.duplicates}{count(trial.duplicates)} look like a person shown before under another id.{/if}
    {#if trial.spent}Spent: {count(trial.spent.amount)} {trial.spent.unit}s.{/if}
  {/if}
</p>
