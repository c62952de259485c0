<script lang="ts">
  import { harvestPage as say } from '$lib/harvest/words';
  import { onMount, untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import Sure from '$lib/ui/Sure.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { keysOf } from '$lib/frame/keys';
  import { brief as briefPath } from '$lib/frame/paths';
  import BudgetFields from '$lib/harvest/BudgetFields.svelte';
  import HarvestCard from '$lib/harvest/HarvestCard.svelte';
  import HarvestPeople from '$lib/harvest/HarvestPeople.svelte';
  import FitsCurve from '$lib/harvest/FitsCurve.svelte';
  import HarvestRoad from '$lib/harvest/HarvestRoad.svelte';
  import SourceSlices from '$lib/harvest/SourceSlices.svelte';
  import StartHarvest from '$lib/harvest/StartHarvest.svelte';
  import { noBudget, type Budget } from '$lib/harvest/budget';
  import KeepFromHarvest from '$lib/shortlist/KeepFromHarvest.svelte';
  import { keepOnShortlist } from '$lib/shortlist/keep';
  import { HarvestPage, type Format } from '$lib/harvest/harvest-page.svelte';
  import StartWatch from '$lib/watches/StartWatch.svelte';
  import { watchBrief } from '$lib/kept/changes';
  import { reload } from '$lib/kept/reload';
  import { moment } from '$lib/marks/format';
  import Act from '$lib/ui/Act.svelte';
  import Fold from '$lib/ui/Fold.svelte';
  import Pick from '$lib/ui/Pick.svelte';

  let { data } = $props();
  const desk = new HarvestPage(() => data);
  const harvest = $derived(data.harvest);
  const underWay = $derived(harvest?.state === 'running' || harvest?.state === 'waiting');
  const path = (query: Record<string, string>) => briefPath(data.brief.id, 'harvest', query);

  $effect(() => {
    void [data.harvest?.id, data.harvest?.people];
    untrack(() => {
      void desk.list();
      if (data.harvest && data.harvest.people !== data.brief.harvested) void reload('eave:brief');
    });
  });
  const hear = keysOf('harvest', {
    fit: () => desk.give('fit'),
    miss: () => desk.give('miss'),
    unsure: () => desk.give('unsure'),
    before: () => desk.go(-1),
    after: () => desk.go(1),
    next: () => desk.next(),
    keep: () => keepOne()
  });
  onMount(() => {
    let soon: ReturnType<typeof setTimeout> | undefined;
    // It comes further many times a second; nobody reads so fast.
    const again = () => {
      soon ??= setTimeout(() => {
        soon = undefined;
        void reload('eave:harvests');
      }, 600);
    };
    const stop = watchBrief(data.brief.id, {
      changed: again,
      gathered: again,
      // It may have come further before anybody listened.
      began: () => {
        if (underWay) again();
      }
    });
    return () => {
      clearTimeout(soon);
      stop();
    };
  });

  let keeping = $state(false);
  let watching = $state(false);
  async function keepOne() {
    if (desk.at === null || !harvest) return;
    try {
      await keepOnShortlist(
        data.brief.id,
        { kind: 'harvest', harvest: harvest.id, numbers: [desk.at] },
        `from ${harvest.name}`
      );
      await reload('eave:brief');
    } catch (problem) {
      desk.refused = problem;
    }
  }
  let raising = $state(false);
  let budget: Budget = $state({ ...noBudget });
  let deleting = $state(false);
  const formats: Record<Format, string> = { csv: 'CSV', xlsx: 'XLSX', jsonl: say.jsonLines, trec: say.trecRun };
  const stateWords = {
    waiting: 'waits',
    running: 'gathers',
    paused: say.standsStill,
    done: say.allIsRead,
    failed: say.brokeOff
  };
  async function remove() {
    try {
      await call('deleteHarvest', { params: { id: data.brief.id, harvest: harvest!.id } });
      await goto(path({}), { invalidateAll: true });
    } catch (problem) {
      desk.refused = problem;
    }
  }
</script>

<svelte:window onkeydown={hear} />

{#if !harvest || !data.facets || !data.reading}
  <div class="strip">
    <h1>{data.harvests.length ? say.aNewHarvest : say.harvest}</h1>
    {#if data.harvests.length}<Act onclick={() => goto(path({}))}>{say.back}</Act>{/if}
  </div>
  {#if data.versions.length}
    <StartHarvest
      brief={data.brief}
      sources={data.sources}
      versions={data.versions}
      onstarted={(id) => void goto(path({ harvest: id }), { invalidateAll: true })}
    />
  {:else}
    <div class="sheet empty">
      <h2>{say.noVersionYet}</h2>
      <p>
        {say.aHarvestGathersTheWholeResult} <a href={briefPath(data.brief.id, 'string')}>{say.runAString}</a>
        {say.firstAndJudgeASampleOf}
      </p>
    </div>
  {/if}
{:else}
  <div class="strip">
    <h1>{harvest.name}</h1>
    <p class="soft" role="status">
      {stateWords[harvest.state]}{harvest.goesOnAt ? say.andGoesOn(moment(harvest.goesOnAt)) : ''}{harvest.problem &&
        `. ${harvest.problem}`}
    </p>
    {#if data.harvests.length > 1}
      <Pick label={say.harvest} hideLabel value={harvest.id} onpick={(id) => goto(path({ harvest: id }))}>
        {#each data.harvests as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </Pick>
    {/if}
    <Pick
      label={say.takeAlongAs}
      hideLabel
      value=""
      onpick={(format) => {
        if (format) window.location.href = desk.file(format as Format);
      }}
    >
      <option value="">{say.takeAlong}</option>
      {#each Object.entries(formats) as [format, word] (format)}<option value={format}>{word}</option>{/each}
    </Pick>
    <Act disabled={!harvest.people} onclick={() => (keeping = true)}>{say.keep}</Act>
    <Act disabled={harvest.sources.every(({ byHand }) => byHand)} onclick={() => (watching = true)}>{say.watch}</Act>
    <Act onclick={() => goto(path({ new: '1' }))}>{say.newHarvest}</Act>
    <Act onclick={() => (deleting = true)}>{say.deleteText}</Act>
    <Act
      onclick={() => {
        budget = { ...harvest.budget };
        raising = true;
      }}>{say.limits}</Act
    >
    {#if underWay}<Act look="main" onclick={() => desk.act('stopHarvest')}>{say.stop}</Act
      >{:else if harvest.state !== 'done' || harvest.sources.some( ({ slices }) => slices.some(({ state }) => state === 'waiting') )}<Act
        look="main"
        onclick={() => desk.act('goOnWithHarvest')}>{say.goOn}</Act
      >{:else}<Act look="main" disabled={!desk.people.length} onclick={desk.next}>{say.judgeTheNext} <kbd>N</kbd></Act
      >{/if}
  </div>
  <Refused problem={desk.kept.problem ?? desk.refused} />
  <HarvestRoad {harvest} reading={data.reading} />
  <div class="desk">
    <div class="sheet sources">
      {#each harvest.sources as source (source.sourceId)}
        <SourceSlices
          {source}
          briefId={data.brief.id}
          harvestId={harvest.id}
          still={harvest.state !== 'running'}
          onchange={desk.changeSlice}
          onrefused={(problem) => (desk.refused = problem)}
        />
      {/each}
      {#if data.reading.curve.length > 1}<FitsCurve curve={data.reading.curve} />{/if}
      {#if harvest.events.length}
        <Fold title={say.whatWentWrongOnTheWay(harvest.events.length)}>
          <ul>
            {#each harvest.events as { at, source, what }, i (i)}<li class="soft">
                {moment(at)}, {harvest.sources.find(({ sourceId }) => sourceId === source)?.sourceName ?? source}: {what}
              </li>{/each}
          </ul>
        </Fold>
      {/if}
    </div>
    <div class="people" class:open={desk.card}>
      <HarvestPeople
        {desk}
        {harvest}
        facets={data.facets}
        others={data.harvests.filter(({ id }) => id !== harvest.id)}
      />
      {#if desk.card}
        {@const person = desk.shown.find(({ number }) => number === desk.at)}
        <HarvestCard
          card={desk.card}
          verdict={person ? desk.verdictOn(person) : null}
          ongive={(verdict) => desk.give(verdict)}
        />
      {/if}
    </div>
  </div>
{/if}

{#if harvest}
  <StartWatch briefId={data.brief.id} from={harvest.sources.filter(({ byHand }) => !byHand)} bind:open={watching} />
  <KeepFromHarvest
    {desk}
    briefId={data.brief.id}
    harvestId={harvest.id}
    learnt={harvest.learnt !== null}
    bind:open={keeping}
    onkept={() => void reload('eave:brief')}
  />
{/if}
<Modal
  bind:open={raising}
  modalHeading={say.limitsOfThisHarvest}
  primaryButtonText={say.keepAndGoOn}
  secondaryButtonText={say.leaveThem}
  size="sm"
  on:click:button--secondary={() => (raising = false)}
  on:submit={() => {
    raising = false;
    void desk.act('goOnWithHarvest', $state.snapshot(budget));
  }}
>
  {#if raising}<div class="budget"><BudgetFields bind:budget words /></div>{/if}
</Modal>
<Sure
  open={deleting}
  heading={say.deleteThisHarvest}
  yes={say.deleteForGood}
  onyes={remove}
  onclose={() => (deleting = false)}
>
  {say.itsPeopleAndSlicesGoThe}
</Sure>

<style>
  .strip p {
    flex: 1;
    font-size: 13px;
  }
  .desk {
    display: grid;
    grid-template-columns: minmax(0, 9fr) minmax(0, 10fr);
    gap: 14px;
    height: max(460px, calc(100vh - 210px));
  }
  .sources {
    overflow: auto;
    padding-bottom: 8px;
  }
  .people {
    display: grid;
    grid-template-rows: minmax(0, 1fr);
    gap: 10px;
    min-height: 0;
  }
  .people.open {
    grid-template-rows: minmax(0, 3fr) minmax(0, 2fr);
  }
  .budget {
    display: grid;
    gap: 12px;
  }
</style>
