<script lang="ts">
  import { shortlistRoad as say } from './words';
  import type { Answer } from '$api';
  import Figure from '$lib/marks/Figure.svelte';
  import { about, count, percent, percentRange } from '$lib/marks/format';

  interface Step {
    what: string;
    said: string;
    figure?: { name: 'harvested' | 'shortlisted'; value: number | null };
  }
  let { list }: { list: Answer<'readShortlist'> } = $props();

  const { road, precision } = $derived(list);
  const steps = $derived(
    [
      { what: say.rowsReported, said: road.reported ? about(road.reported) : '–' },
      {
        what: say.peopleCollected,
        said: road.gathered === null ? '–' : count(road.gathered),
        figure: { name: 'harvested' as const, value: road.gathered }
      },
      { what: say.judgedFits, said: count(road.fits) },
      {
        what: say.onThisList,
        said: count(road.kept),
        figure: { name: 'shortlisted' as const, value: road.kept }
      },
      { what: say.goodAddresses, said: count(road.good) },
      { what: say.exported, said: count(road.taken) }
    ].map((one: Step, i) => ({ ...one, i }))
  );
</script>

<!-- The whole road on one line. -->
<ol class="sheet" aria-label={say.howThisListCameAbout}>
  {#each steps as { what, said, figure, i } (what)}
    <li>
      {#if i}<span class="soft" aria-hidden="true">→</span>{/if}<b
        >{#if figure}<Figure {...figure}>{said}</Figure>{:else}{said}{/if}</b
      > <span class="soft">{what}</span>
    </li>
  {/each}
  <li class="share">
    {#if precision.judged && precision.fits === precision.judged}<span class="soft"
        >{say.addedAsJudgedFits(count(precision.judged))}</span
      >
    {:else if precision.judged}<b>{percent(precision.fits / precision.judged)}</b>
      <span class="soft">{say.fitsJudgedHere(percentRange(precision.interval), count(precision.judged))}</span>
    {:else}<span class="soft">{say.nobodyJudgedHereYet}</span>{/if}
  </li>
</ol>

<style>
  ol {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 14px;
    padding: 7px 16px;
    margin: 0 0 10px;
    list-style: none;
    font-size: 12.5px;
    align-items: baseline;
  }
  b {
    font-size: 17px;
    font-weight: 400;
  }
  .share {
    margin-left: auto;
  }
</style>
