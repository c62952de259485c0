<script lang="ts">
  import { trialSummary as say } from '../words';
  import { possibleOnly, searchesRunInWords } from '$core/measure';
  import { reading } from '$lib/frame/certain-only';
  import Figure from '$lib/marks/Figure.svelte';
  import { about, count, counted, isExact } from '$lib/marks/format';
  import type { Judging } from '../judging/judging.svelte';

  let { trial }: { trial: NonNullable<Judging['trial']> } = $props();
</script>

<p class="soft">
  {#if trial.state === 'done'}
    {@const { found } = trial}
    {#if searchesRunInWords(found)}<b>{searchesRunInWords(found)}</b>:{/if}
    <Figure name="estimated" value={found.estimated[reading()].middle} source={trial.sourceId} version={trial.version}
      >{about(found.estimated[reading()])}</Figure
    >
    {say.found}{isExact(found.estimated[reading()])
      ? ''
      : ` (${counted(found.estimated[reading()])})`}{#if trial.rendering.leftover}:
      <Figure name="shown" value={found.shown} source={trial.sourceId} version={trial.version}
        >{count(found.shown)}</Figure
      >
      {say.shown}
      <Figure name="certain" value={found.certain} source={trial.sourceId} version={trial.version}
        >{count(found.certain)}</Figure
      >
      {say.certain}
      <Figure name="possible only" value={possibleOnly(found)} source={trial.sourceId} version={trial.version}
        >{count(possibleOnly(found))}</Figure
      >
      {say.possible}{#if trial.filtered}{say.contradictedAndRemoved(count(trial.filtered))}{/if}{/if}.
    {!trial.people
      ? say.nobodyLeftToJudge
      : trial.sample.length === trial.people
        ? say.allAreHereToJudge(count(trial.people))
        : say.drawnFromAll(trial.sample.length, count(trial.people))}
    {#if trial.contacted}{say.alreadyContactedAndExcluded(count(trial.contacted))}{/if}
    {#if trial.duplicates}{say.lookLikeDuplicatesPeopleAlreadyShown(count(trial.duplicates))}{/if}
    {#if trial.spent}{say.spentS(count(trial.spent.amount), trial.spent.unit)}{/if}
  {/if}
</p>
