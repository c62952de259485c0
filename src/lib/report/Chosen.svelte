<script lang="ts">
  import { call } from '$lib/api/call';
  import { brief as briefPath } from '$lib/frame/paths';
  import { about, percent, percentRange } from '$lib/marks/format';
  import { contract, type Answer } from '$server/api/contract';

  let { briefId }: { briefId: string } = $props();

  let chosen: Answer<'chosen'> = $state.raw([]);
  $effect(() => {
    call(contract.chosen, { params: { id: briefId } }).then(
      (told) => (chosen = told),
      // What was chosen is also on Compare; a source that is still being prepared keeps it from being measured here.
      () => (chosen = [])
    );
  });
</script>

{#if chosen.length}
  <ul aria-label="Versions chosen">
    {#each chosen as one (one.source)}
      {@const which = one.certainOnly ? 'certain' : 'possible'}
      {@const precision = one.figures.precision[which]}
      <li>
        <b>{one.source}</b>:
        <a href={briefPath(briefId, 'trial', { trial: one.trialId })}
          >version {one.version}{one.name ? `, ${one.name}` : ''}</a
        >
        · {about(one.figures.estimated[which])} found{precision.share === null
          ? ''
          : ` · ${percent(precision.share)} fits (${percentRange(precision.interval)})`}
        {#if one.note}<span class="soft">{one.note}</span>{/if}
      </li>
    {/each}
    <li><a href={briefPath(briefId, 'report')}>Report</a></li>
  </ul>
{/if}

<style>
  ul {
    list-style: none;
    padding: 0;
    margin-top: 6px;
    font-size: 13px;
  }
</style>
