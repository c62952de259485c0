<script lang="ts">
  import { comparePage as say, measureNames, panels } from '$lib/compare/words';
  import ComparePanels from '$lib/compare/ComparePanels.svelte';
  import Accordion from '$lib/ui/Accordion.svelte';
  import Deferred from '$lib/ui/Deferred.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { call } from '$lib/api/call';
  import { reload } from '$lib/kept/reload';
  import { watchBrief } from '$lib/kept/changes';
  import Board from '$lib/compare/Board.svelte';
  import { boardMeasures, headline, sortVersions, usualMeasures, type Cell } from '$lib/compare/board-measures';
  import { drawsToDecide } from '$lib/compare/draws-to-decide';
  import OverlapChart from '$lib/charts/OverlapChart.svelte';
  import ReachChart from '$lib/charts/ReachChart.svelte';
  import Refused from '$lib/frame/Refused.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import TermRow from '$lib/terms/TermRow.svelte';
  import CertainOnly from '$lib/frame/CertainOnly.svelte';
  import { reading } from '$lib/frame/certain-only';
  import Figure from '$lib/marks/Figure.svelte';
  import { count } from '$lib/marks/format';
  import type { Answer, BehindKind } from '$api';
  import { behindKinds } from '$api/behind-kinds';
  import type { Choice } from '$api/documents';

  let { data } = $props();
  const briefId = $derived(data.brief.id);

  const board = $derived(data.board);
  const cells = $derived(board?.cells ?? []);
  const sources = $derived(data.sources.filter(({ id }) => cells.some((cell) => cell.sourceId === id)));
  const shown = $derived(board?.versions.map(({ number }) => number) ?? []);
  const triedVersions = $derived(data.versions.filter(({ number }) => data.tried.includes(number)));

  const ask = (name: string) => page.url.searchParams.get(name);
  const to = $derived(Number(ask('to')) || shown[0] || 0);
  const from = $derived(Number(ask('from')) || shown.find((number) => number !== to) || to);
  const source = $derived(ask('source') ?? sources[0]?.id ?? '');
  const here = $derived(ask('here') ?? sources[0]?.id ?? '');
  const there = $derived(ask('there') ?? sources.find(({ id }) => id !== here)?.id ?? '');
  const measures = $derived(ask('show')?.split(',') ?? usualMeasures);
  const panel = $derived((ask('panel') ?? 'versions') as keyof typeof panels);
  const behind = $derived.by(() => {
    const [number, id, kind] = ask('behind')?.split(' ') ?? [];
    const where = sources.find((one) => one.id === id);
    const wanted = behindKinds.find((one) => one === kind);
    return where && wanted ? { version: Number(number), source: where, kind: wanted } : null;
  });
  const sorting = $derived.by(() => {
    const [id, at] = ask('sort')?.split(' ') ?? [];
    const measure = boardMeasures.find((one) => one.id === id);
    const where = sources.find((one) => one.id === at);
    return measure && where ? { measure, where } : null;
  });
  const ordered = $derived.by(() => {
    const versions = board?.versions ?? [];
    if (!sorting) return versions;
    const order = sortVersions(shown, cells, sorting.measure, sorting.where, reading());
    return order.map((number) => versions.find((version) => version.number === number)!);
  });

  function choose(choice: Record<string, string | number | null | undefined>) {
    const query = { ...Object.fromEntries(page.url.searchParams), ...choice };
    const kept = Object.entries(query).filter((entry): entry is [string, string | number] => Boolean(entry[1]));
    void goto(briefPath(data.brief.id, 'compare', Object.fromEntries(kept)), { keepFocus: true, noScroll: true });
  }
  const toggle = (number: number, show: boolean) => {
    const next = show ? [...shown, number] : shown.filter((other) => other !== number);
    if (next.length) choose({ versions: next.sort((a, b) => b - a).join(',') });
  };
  const toggleMeasure = (id: string, show: boolean) =>
    choose({ show: (show ? [...measures, id] : measures.filter((other) => other !== id)).join(',') || 'count' });

  let refused: unknown = $state(null);
  let turn = $state(0);
  async function refresh() {
    turn++;
    await reload('eave:compare', 'eave:brief');
  }
  onMount(() => watchBrief(data.brief.id, { changed: () => void refresh() }));

  async function keepChoice(choice: Choice) {
    refused = null;
    try {
      await call('writeChoice', {
        params: { id: data.brief.id },
        body: { body: choice, revision: data.choice.revision }
      });
    } catch (problem) {
      refused = problem;
    }
    await refresh();
  }
  /** Draws as many more people, here and at the version it is undecided against, as would decide, and opens the desk. */
  async function decide(cell: Cell) {
    if (cell.standing.is !== 'open' || !cell.standing.decide) return;
    refused = null;
    const draws = drawsToDecide(cell, cells, reading());
    try {
      if (draws.length) await call('drawAtOnce', { params: { id: data.brief.id }, body: { draws } });
      await goto(briefPath(data.brief.id, 'trial', { trial: cell.trialId }));
    } catch (problem) {
      refused = problem;
    }
  }
  const costOf = ({ number, parent }: Answer<'listVersions'>[number]) =>
    choose({ panel: 'versions', from: parent, to: number });
  const overlap = $derived(board?.overlaps.find((one) => one.version === to) ?? board?.overlaps[0]);
  const version = $derived(data.versions.find(({ number }) => number === to));
  const chosen = $derived(new Set(data.choice.body.winners.map((one) => `${one.version} ${one.sourceId}`)));
</script>

<div class="strip">
  <h1>{say.compare}</h1>
  <p class="soft">
    {board ? headline(cells, sources, reading(), data.choice.body.baseline) || say.oneRowForEachVersionOne : ''}
  </p>
  {#if board}
    <CertainOnly {briefId} onrefused={(problem) => (refused = problem)} />
    <a class="report" href={briefPath(briefId, 'report')}>{say.report}</a>
  {/if}
</div>
<Refused problem={refused} />

{#if !board}
  <div class="sheet empty">
    <h2>{say.nothingToCompareYet}</h2>
    <p>
      <a href={briefPath(briefId, 'string')}>{say.runString}</a>{say.judgeItsSampleChangeOneThing}
    </p>
  </div>
{:else}
  <div class="tools">
    {#if triedVersions.length > 1}
      <fieldset>
        <legend>{say.versions}</legend>
        {#each triedVersions as { number } (number)}
          <Checkbox label={String(number)} checked={shown.includes(number)} onchange={(on) => toggle(number, on)} />
        {/each}
      </fieldset>
    {/if}
    <Accordion title={say.measures}>
      <fieldset>
        <legend class="visually-hidden">{say.measuresShown}</legend>
        {#each boardMeasures as { id } (id)}
          <Checkbox label={measureNames[id]} checked={measures.includes(id)} onchange={(on) => toggleMeasure(id, on)} />
        {/each}
      </fieldset>
    </Accordion>
    <Select label={say.sortBy} value={ask('sort') ?? ''} onchange={(picked) => choose({ sort: picked || null })}>
      <option value="">{say.newestFirst}</option>
      {#each sources as one (one.id)}
        <optgroup label={one.name}>
          {#each boardMeasures as { id } (id)}<option value="{id} {one.id}">{say.at(measureNames[id], one.name)}</option
            >{/each}
        </optgroup>
      {/each}
    </Select>
    <span class="soft"
      >{say.peopleSeen(count(board.people))}
      <Figure name="judged" value={board.judged}>{count(board.judged)}</Figure>
      {say.judgedEachCountedOnce}</span
    >
  </div>
  <Board
    {briefId}
    versions={ordered}
    {sources}
    {cells}
    {measures}
    choice={data.choice.body}
    onchoice={keepChoice}
    onbehind={(cell, kind: BehindKind) => choose({ behind: `${cell.version} ${cell.sourceId} ${kind}` })}
    ondecide={decide}
    oncost={costOf}
  />
  <TermRow
    terms={['version', 'precision', 'interval', 'estimatedResult', 'estimatedFits', 'reported', 'shown', 'undecided']}
  />
  {#if behind}
    {#await import('$lib/compare/PeopleBehind.svelte') then { default: PeopleBehind }}
      <PeopleBehind {briefId} {...behind} {turn} onjudged={refresh} onclose={() => choose({ behind: null })} />
    {/await}
  {/if}
  <Deferred height="900px">
    <div class="charts">
      <ReachChart {cells} {sources} {chosen} file="precision-against-reach" />
      {#if overlap}<OverlapChart {overlap} {sources} file="who-is-found-where" />{/if}
    </div>
    <nav class="panels" aria-label={say.details}>
      {#each Object.entries(panels) as [id, name] (id)}
        <Button aria-pressed={panel === id} onclick={() => choose({ panel: id })}>{name}</Button>
      {/each}
    </nav>
    <ComparePanels
      {briefId}
      {panel}
      {board}
      versions={data.versions}
      tried={triedVersions.length}
      {sources}
      {from}
      {to}
      {source}
      {here}
      {there}
      {version}
      {turn}
      onchoose={choose}
      onjudged={refresh}
    />
  </Deferred>
{/if}

<style>
  .report {
    background: var(--accent);
    color: var(--on-accent);
    padding: 5px 14px;
    text-decoration: none;
    font-size: 13px;
  }
  .tools {
    display: flex;
    gap: 18px;
    align-items: center;
    margin-bottom: 10px;
    font-size: 13px;
  }
  fieldset {
    border: 0;
    display: flex;
    gap: 12px;
    padding: 0;
    margin: 0;
    flex-wrap: wrap;
  }
  legend {
    float: left;
    padding: 0;
    margin-right: 10px;
  }
  .charts {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 14px;
    margin-top: 14px;
    align-items: start;
  }
  .panels {
    display: flex;
    gap: 6px;
    margin-top: 16px;
  }
  .panels :global([aria-pressed='true']) {
    background: var(--accent-2);
    border-color: var(--accent);
  }
</style>
