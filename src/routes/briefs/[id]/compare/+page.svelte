<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import Difference from '$lib/compare/Difference.svelte';
  import IntervalLine from '$lib/compare/IntervalLine.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import { about, count, counted, percent, percentRange } from '$lib/marks/format';

  let { data } = $props();

  const board = $derived(data.board);
  const sources = $derived(data.sources.filter(({ id }) => board?.cells.some((cell) => cell.sourceId === id)));
  const cellOf = (version: number, source: string) =>
    board?.cells.find((cell) => cell.version === version && cell.sourceId === source);
  const shown = $derived(board?.versions.map(({ number }) => number) ?? []);
  const triedVersions = $derived(data.versions.filter(({ number }) => data.tried.includes(number)));

  const ask = (name: string) => page.url.searchParams.get(name);
  const to = $derived(Number(ask('to')) || data.tried[0] || 0);
  const from = $derived(Number(ask('from')) || data.tried[1] || data.tried[0] || 0);
  const source = $derived(ask('source') ?? sources[0]?.id ?? '');

  function choose(choice: Record<string, string | number>) {
    const query = Object.fromEntries(page.url.searchParams);
    void goto(briefPath(data.brief.id, 'compare', { ...query, ...choice }), { keepFocus: true, noScroll: true });
  }
  const toggle = (number: number, show: boolean) => {
    const next = show ? [...shown, number] : shown.filter((other) => other !== number);
    if (next.length) choose({ versions: next.sort((a, b) => b - a).join(',') });
  };
</script>

<div class="strip">
  <h1>Compare</h1>
  <p class="soft">
    Versions down, sources across. Precision is the share of fits in the sample, with its 95 % interval; fits are count
    times precision, both uncertainties carried.
  </p>
  {#if triedVersions.length > 1}
    <fieldset>
      <legend class="visually-hidden">Versions shown</legend>
      {#each triedVersions as { number } (number)}
        <label
          ><input
            type="checkbox"
            checked={shown.includes(number)}
            onchange={(event) => toggle(number, event.currentTarget.checked)}
          />
          {number}</label
        >
      {/each}
    </fieldset>
  {/if}
</div>

{#if !board}
  <div class="sheet empty">
    <h2>Nothing to compare yet</h2>
    <p>
      <a href={briefPath(data.brief.id, 'string')}>Run the string</a>, judge its sample, change one thing and run it
      again. Both versions then stand here side by side.
    </p>
  </div>
{:else}
  <div class="scroll">
    <table class="board">
      <thead>
        <tr>
          <th class="first">Version</th>
          {#each sources as one (one.id)}<th
              ><b>{one.name}</b><small class="soft">{one.people?.toLocaleString('en') ?? '…'} people</small></th
            >{/each}
        </tr>
      </thead>
      <tbody>
        {#each board.versions as version (version.number)}
          <tr>
            <th class="first" scope="row">
              <b>{version.number}</b>
              {[version.name, version.note].filter(Boolean).join(' · ')}
              <a
                class="mono text"
                href={briefPath(data.brief.id, 'string', { version: version.number })}
                title={version.text}>{version.text}</a
              >
            </th>
            {#each sources as one (one.id)}
              {@const cell = cellOf(version.number, one.id)}
              <td>
                {#if cell}
                  <a class="c" href={briefPath(data.brief.id, 'trial', { trial: cell.trialId })}>{about(cell.count)}</a>
                  <small class="soft"
                    >{cell.count.low === cell.count.high ? '' : counted(cell.count)}
                    {cell.exactness === 'exact' ? '' : cell.exactness}{cell.count.high > cell.shown
                      ? ` · ${count(cell.shown)} shown`
                      : ''}</small
                  >
                  {#if cell.precision.share !== null}
                    <IntervalLine share={cell.precision.share} interval={cell.precision.interval} />
                    <div>
                      <b>{percent(cell.precision.share)}</b> fits
                      <small class="soft"
                        >{percentRange(cell.precision.interval)}, {cell.precision.fits + cell.precision.misses} judged</small
                      >
                    </div>
                    <div class="small">{count(cell.missesPerHundred!)} misses in 100</div>
                    <div class="small">
                      about {count(cell.estimatedFits!.middle)} fits
                      <small class="soft"
                        >{counted({
                          low: Math.round(cell.estimatedFits!.low),
                          high: Math.round(cell.estimatedFits!.high)
                        })}</small
                      >
                    </div>
                  {:else if cell.sampled === 0}
                    <div class="small soft">nobody to judge: no one shown meets what the source cannot be asked</div>
                  {:else}
                    <div class="small soft">
                      nobody judged · <a href={briefPath(data.brief.id, 'trial', { trial: cell.trialId })}
                        >judge the sample</a
                      >
                    </div>
                  {/if}
                {:else}<span class="soft">not run</span>{/if}
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#if triedVersions.length > 1}
    <Difference briefId={data.brief.id} versions={triedVersions} {sources} {from} {to} {source} onchoose={choose} />
  {:else}
    <p class="soft hint">Change the string and run it again to see who came and who went.</p>
  {/if}
{/if}

<style>
  fieldset {
    border: 0;
    display: flex;
    gap: 12px;
    padding: 0;
  }
  input {
    accent-color: var(--accent);
  }
  .scroll {
    overflow-x: auto;
  }
  th.first {
    width: 300px;
    border-left: 0;
    border-top: 1px solid var(--rule);
  }
  th b {
    font-weight: 600;
    margin-right: 6px;
  }
  th small {
    display: block;
  }
  .text {
    display: -webkit-box;
    line-clamp: 3;
    -webkit-line-clamp: 3;
    -webkit-box-orient: vertical;
    overflow: hidden;
    font-size: 11.5px;
    color: var(--soft);
    margin-top: 4px;
    max-width: 290px;
    overflow-wrap: anywhere;
  }
  .c {
    font-size: 19px;
    font-weight: 300;
    color: var(--ink);
  }
  .small {
    font-size: 12.5px;
  }
  .hint {
    margin-top: 12px;
  }
</style>
