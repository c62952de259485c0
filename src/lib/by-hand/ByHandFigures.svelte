<script lang="ts">
  import { byHandFigures as say } from './words';
  import TermRow from '$lib/terms/TermRow.svelte';
  import { searchesRunInWords } from '$core/measure';
  import { reading } from '$lib/frame/certain-only';
  import Figure from '$lib/marks/Figure.svelte';
  import { about, count, counted, percent, percentRange } from '$lib/marks/format';
  import type { Answer } from '$api';
  import DepthRead from './DepthRead.svelte';

  interface Props {
    searches: Answer<'readDiary'>['searches'];
    /** The selected one. */
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
<section class="sheet" aria-label={say.resultsSoFar}>
  <h2>{say.pagesRead}</h2>
  <DepthRead pages={here?.pages ?? null} read={here?.pagesRead ?? []} drawn={here?.drawn ?? []} />
  {#if here?.pages}<p class="soft">{say.pagesBetweenThoseYouReadAre}</p>{/if}
  {#if trial && figures}
    {#if searchesRunInWords(figures)}
      <p class="warn">{say.runTheseFiguresCoverThatPart(searchesRunInWords(figures))}</p>
    {/if}
    <dl>
      <dt>{say.reported}</dt>
      <dd>
        <Figure name="reported" value={figures.reported.middle} source={trial.sourceId}
          >{counted(figures.reported)}</Figure
        >
      </dd>
      <dt>{say.read}</dt>
      <dd><Figure name="shown" value={figures.shown} source={trial.sourceId}>{count(figures.shown)}</Figure></dd>
      <dt>{say.estimatedResult}</dt>
      <dd>
        <Figure name="estimated" value={figures.estimated[reading()].middle} source={trial.sourceId}
          >{about(figures.estimated[reading()])}</Figure
        >
      </dd>
    </dl>
    <h2>
      {figures.part === 'pages'
        ? say.precisionFromPagesRead
        : figures.part === 'top'
          ? say.precisionFirstPages
          : say.precision}
    </h2>
    {#if precision && precision.share !== null}
      <p>
        <span class="large"
          ><Figure name="precision" value={precision.share} source={trial.sourceId}>{percent(precision.share)}</Figure
          ></span
        >
        <span class="soft">{percentRange(precision.interval)}</span>
      </p>
      <p>{say.judgedAreFits(count(precision.fits), count(precision.fits + precision.misses))}</p>
      {#if figures.part === 'pages'}
        <p class="soft">
          {say.peopleOnOnePageResembleEach(count(precision.draws ?? 0))}
        </p>
      {:else if figures.part === 'top'}
        <p class="soft">{say.youveOnlyReadFirstPagesOpen}</p>
      {/if}
      {#if fits}<p><b>{say.fits(about(fits))}</b> <span class="soft">{counted(fits)}</span></p>{/if}
    {:else}
      <p class="soft">{say.nobodyJudgedYet}</p>
    {/if}
  {/if}
  {#each missing as number (number)}<p class="warn">{say.searchHasntBeenRunYet(number)}</p>{/each}
  <TermRow terms={['precision', 'interval', 'reported', 'shown', 'estimatedFits']} />
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
