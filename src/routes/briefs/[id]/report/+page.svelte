<script lang="ts">
  import { reportPage as say } from '$lib/report/words';
  import TermRow from '$lib/terms/TermRow.svelte';
  import { possibleOnly, searchesRunInWords } from '$core/measure';
  import { onMount } from 'svelte';
  import CopyButton from '$lib/frame/CopyButton.svelte';
  import IntervalLine from '$lib/compare/IntervalLine.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import { reload } from '$lib/kept/reload';
  import { watchBrief } from '$lib/kept/changes';
  import CertainOnly from '$lib/frame/CertainOnly.svelte';
  import Figure from '$lib/marks/Figure.svelte';
  import { about, count, counted, isExact, percent, percentRange } from '$lib/marks/format';
  import ReportExport from '$lib/report/ReportExport.svelte';
  import { certainOnlyNote, partReadInWords, readingOf, reportedRange, reportMethod, unseenOf } from '$core/formats';

  let { data } = $props();

  const report = $derived(data.report);
  const which = $derived(readingOf(report));
  const refresh = () => reload('eave:report');
  onMount(() => watchBrief(data.brief.id, { changed: () => void refresh() }));
  const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' });
</script>

<div class="tools">
  <CertainOnly briefId={data.brief.id} />
  <ReportExport briefId={data.brief.id} {report} ontaken={refresh} />
</div>

<article class="sheet">
  <header>
    <h1>{report.brief}</h1>
    <p>{report.persona}</p>
    <p class="soft">
      {say.peopleSeen(day.format(new Date(report.made)), count(report.people))}
      <Figure name="judged" value={report.judged}>{count(report.judged)}</Figure>
      {say.judgedEachCountedOnce(certainOnlyNote(report))}
    </p>
  </header>
  {#each report.entries as entry (entry.source)}
    {@const unseen = unseenOf(entry)}
    {@const { figures } = entry}
    {@const precision = figures.precision[which]}
    <section aria-label={entry.source}>
      <h2>
        {say.version(entry.source, entry.version)}{entry.name ? `, ${entry.name}` : ''}
        <span class="soft"
          >{entry.chosen ? 'chosen' : say.newestRunNoVersionChosenHere} · {day.format(new Date(entry.run))}</span
        >
      </h2>
      {#if entry.note}<p>{entry.note}</p>{/if}
      <div class="two">
        <div>
          {#each entry.searches as search, i (i)}
            <div class="search">
              <pre class="mono">{search}</pre>
              <CopyButton
                text={search}
                of={say.searchFor(entry.source, entry.searches.length > 1 ? `, ${i + 1}` : '')}
              />
            </div>
          {:else}<p class="soft">{say.cantSearchForThisString(entry.source)}</p>{/each}
          {#if entry.leftOver}
            <p class="soft left">
              {say.cantSearchForAllItEave(entry.source)}
              <span class="mono">{entry.leftOver}</span>.
            </p>
          {/if}
        </div>
        <dl>
          <dt>{say.reported}</dt>
          <dd>
            <Figure name="reported" value={figures.reported.middle} source={entry.source} version={entry.version}
              >{about(figures.reported)}</Figure
            >
            {#if !isExact(figures.reported)}<span class="soft">{counted(figures.reported)}</span>{/if}
          </dd>
          <dt>{say.shown}</dt>
          <dd>
            <Figure name="shown" value={figures.shown} source={entry.source} version={entry.version}
              >{count(figures.shown)}</Figure
            >
            <span class="soft"
              ><Figure name="certain" value={figures.certain} source={entry.source} version={entry.version}
                >{count(figures.certain)}</Figure
              >
              {say.certain}
              <Figure name="possible only" value={possibleOnly(figures)} source={entry.source} version={entry.version}
                >{count(possibleOnly(figures))}</Figure
              >
              {say.possible}</span
            >
          </dd>
          {#if searchesRunInWords(figures)}
            <dt>{say.run}</dt>
            <dd><b>{searchesRunInWords(figures)}</b>{say.figuresCoverTheseOnly}</dd>
          {/if}
          <dt>{say.estimatedResult}</dt>
          <dd>
            <Figure
              name="estimated"
              value={figures.estimated[which].middle}
              source={entry.source}
              version={entry.version}>{about(figures.estimated[which])}</Figure
            >
            {#if !isExact(figures.estimated[which])}<span class="soft">{counted(figures.estimated[which])}</span>{/if}
          </dd>
          <dt>{say.precision}</dt>
          <dd>
            {#if precision.share === null}{say.nobodyJudged}{:else}
              <Figure name="precision" value={precision.share} source={entry.source} version={entry.version}
                >{say.fits(percent(precision.share))}</Figure
              >
              <span class="soft">{say.judged(percentRange(precision.interval), precision.fits + precision.misses)}</span
              >
              <IntervalLine share={precision.share} interval={precision.interval} />
            {/if}
            {#if partReadInWords(figures)}<p class="soft">{partReadInWords(figures)}</p>{/if}
          </dd>
          {#if figures.fits[which]}
            <dt>{say.estimatedFits}</dt>
            <dd>
              <Figure name="fits" value={figures.fits[which].middle} source={entry.source} version={entry.version}
                >{say.about(count(figures.fits[which].middle))}</Figure
              > <span class="soft">{counted(figures.fits[which])}</span>
            </dd>
          {/if}
          {#if entry.known.inSource}
            <dt>{say.knownGoods}</dt>
            <dd>{say.itHas(entry.known.found, entry.known.inSource)}</dd>
          {/if}
          {#if entry.spent}
            <dt>{say.spent}</dt>
            <dd>{count(entry.spent.amount)} {entry.spent.unit}s</dd>
          {/if}
          <dt>{say.comparedWithOthers}</dt>
          <dd>{entry.standing}</dd>
          <dt>{say.notSeen}</dt>
          <dd>{unseen.high ? say.rowsBeyondWhatItShows(reportedRange(unseen)) : 'nobody'}</dd>
        </dl>
      </div>
    </section>
  {:else}
    <p>
      {say.nothingToReportYet}
      <a href={briefPath(data.brief.id, 'string')}>{say.runString}</a>{say.judgeItsSampleAndChooseVersion}
      <a href={briefPath(data.brief.id, 'compare')}>{say.compare}</a>.
    </p>
  {/each}
  {#if report.agreement}
    <p>
      {say.alsoJudgedThesePeopleCohensKappa(report.agreement.judge, report.agreement.judged)}
      {report.agreement.kappa === null
        ? say.cantBeComputed
        : say.toText(
            report.agreement.kappa.toFixed(2),
            report.agreement.interval.low.toFixed(2),
            report.agreement.interval.high.toFixed(2)
          )}.
    </p>
  {/if}
  <footer>
    <h2>{say.howThisWasMeasured}</h2>
    <ul>
      {#each reportMethod as sentence (sentence)}<li>{sentence}</li>{/each}
    </ul>
    <TermRow
      terms={['precision', 'interval', 'estimatedResult', 'estimatedFits', 'certain', 'possible', 'recall', 'kappa']}
    />
  </footer>
</article>

<style>
  article {
    padding: 20px 28px;
    max-width: 1000px;
    margin: 0 auto;
  }
  header p {
    margin-top: 4px;
  }
  section {
    border-top: 1px solid var(--line);
    margin-top: 14px;
    padding-top: 12px;
    break-inside: avoid;
  }
  h2 span {
    font-weight: 400;
    font-size: 12.5px;
    margin-left: 8px;
  }
  .two {
    display: grid;
    grid-template-columns: 1fr 360px;
    gap: 24px;
    margin-top: 8px;
  }
  .search {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 8px;
    align-items: start;
    margin-bottom: 8px;
  }
  pre {
    margin: 0;
    font-size: 12px;
    white-space: pre-wrap;
    overflow-wrap: anywhere;
    background: var(--sheet-2);
    border: 1px solid var(--rule);
    padding: 6px 10px;
    max-height: 260px;
    overflow: auto;
  }
  .left {
    font-size: 12px;
  }
  .left .mono {
    font-size: 11px;
  }
  dl {
    display: grid;
    grid-template-columns: 110px 1fr;
    gap: 4px 10px;
    align-content: start;
    font-size: 13px;
  }
  dt {
    color: var(--soft);
  }
  footer {
    border-top: 1px solid var(--line);
    margin-top: 16px;
    padding-top: 10px;
    font-size: 12.5px;
    color: var(--soft);
  }
  footer ul {
    padding-left: 18px;
    margin-top: 4px;
  }
  @media print {
    article {
      border: 0;
      padding: 0;
      max-width: none;
    }
    pre {
      max-height: none;
    }
    .two {
      grid-template-columns: 1fr 280px;
    }
    .search :global(.button.bx--btn) {
      display: none;
    }
  }
</style>
