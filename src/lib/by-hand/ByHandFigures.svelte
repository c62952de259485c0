<script lang="ts">
  import { searchesRunInWords } from '$core/measure';
  import { reading } from '$lib/frame/certain-only';
  import Figure from '$lib/marks/Figure.svelte';
  import { about, count, counted, percent, percentRange } from '$lib/marks/format';
  import type { Answer } from '$api';
  import DepthRead from './DepthRead.svelte';

  interface Props {
    searches: Answer<'readDiary'>['searches'];
    /** The one that is looked at. */
    search: number;
    trial: Answer<'readTrial'> | null;
  }
  let { searches, search, trial }: Props = $props();

  const figures = $derived(trial?.figures ?? null);
  const precision = $derived(figures?.precision[reading()] ?? null);
  const fits = $derived(figures?.fits[reading()] ?? null);
  const here = $derived(searches[search]);
  const missing = $derived(trial ? searches.flatMap(({ entries }, i) => (entries ? [] : [i + 1])) : []);
</script>

<!-- What follows from what was seen. -->
<section class="sheet" aria-label="What follows">
  <h2>Where in the result</h2>
  <DepthRead pages={here?.pages ?? null} read={here?.pagesRead ?? []} drawn={here?.drawn ?? []} />
  {#if here?.pages}<p class="soft">Between the pages: unseen, estimated.</p>{/if}
  {#if trial && figures}
    {#if searchesRunInWords(figures)}
      <p class="warn">{searchesRunInWords(figures)} run: these figures are of that part alone.</p>
    {/if}
    <dl>
      <dt>Reported</dt>
      <dd>
        <Figure name="reported" value={figures.reported.middle} source={trial.sourceId}
          >{counted(figures.reported)}</Figure
        >
      </dd>
      <dt>Read</dt>
      <dd><Figure name="shown" value={figures.shown} source={trial.sourceId}>{count(figures.shown)}</Figure></dd>
      <dt>Estimated result</dt>
      <dd>
        <Figure name="estimated" value={figures.estimated[reading()].middle} source={trial.sourceId}
          >{about(figures.estimated[reading()])}</Figure
        >
      </dd>
    </dl>
    <h2>
      {figures.part === 'pages' ? 'Precision, by pages' : figures.part === 'top' ? 'Precision of the top' : 'Precision'}
    </h2>
    {#if precision && precision.share !== null}
      <p>
        <span class="large"
          ><Figure name="precision" value={precision.share} source={trial.sourceId}>{percent(precision.share)}</Figure
          ></span
        >
        <span class="soft">{percentRange(precision.interval)}</span>
      </p>
      <p>{count(precision.fits)} of {count(precision.fits + precision.misses)} judged fit.</p>
      {#if figures.part === 'pages'}
        <p class="soft">
          People on one page are alike, so these count for about {count(precision.draws ?? 0)} drawn one by one. More pages
          make it narrower.
        </p>
      {:else if figures.part === 'top'}
        <p class="soft">Only the top was read. Of the rest nothing is known: open the pages drawn through the depth.</p>
      {/if}
      {#if fits}<p><b>{about(fits)} fits</b> <span class="soft">{counted(fits)}</span></p>{/if}
    {:else}
      <p class="soft">Nobody is judged yet.</p>
    {/if}
  {/if}
  {#each missing as number (number)}<p class="warn">Search {number} was not run yet.</p>{/each}
</section>

<style>
  section {
    padding: 10px 14px;
    font-size: 13px;
    display: grid;
    gap: 6px;
    align-content: start;
    overflow: auto;
  }
  h2 {
    font-size: 13.5px;
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 2px 12px;
    margin: 4px 0;
  }
  dt {
    color: var(--soft);
  }
  dd {
    margin: 0;
  }
  .large {
    font-size: 25px;
    font-weight: 300;
  }
  .warn {
    color: var(--warm);
  }
</style>
