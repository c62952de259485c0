<script lang="ts">
  import { harvestPage as say } from '$lib/harvest/words';
  import { onMount, untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import ConfirmDialog from '$lib/ui/ConfirmDialog.svelte';
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
  import Button from '$lib/ui/Button.svelte';
  import TermRow from '$lib/terms/TermRow.svelte';
  import Accordion from '$lib/ui/Accordion.svelte';
  import Select from '$lib/ui/Select.svelte';

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
  const onkeydown = keysOf('harvest', {
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
    paused: say.paused,
    done: say.done,
    failed: say.failed
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

<svelte:window {onkeydown} />

{#if !harvest || !data.facets || !data.reading}
  <div class="strip">
    <h1>{data.harvests.length ? say.newHarvest : say.harvest}</h1>
    {#if data.harvests.length}<Button onclick={() => goto(path({}))}>{say.back}</Button>{/if}
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
        {say.harvestCollectsWholeResultVersion} <a href={briefPath(data.brief.id, 'string')}>{say.runString}</a>
        {say.firstAndJudgeSample}
      </p>
    </div>
  {/if}
{:else}
  <div class="strip">
    <h1>{harvest.name}</h1>
    <p class="soft" role="status">
      {stateWords[harvest.state]}{harvest.goesOnAt ? say.resumes(moment(harvest.goesOnAt)) : ''}{harvest.problem &&
        `. ${harvest.problem}`}
    </p>
    {#if data.harvests.length > 1}
      <Select label={say.harvest} hideLabel value={harvest.id} onchange={(id) => goto(path({ harvest: id }))}>
        {#each data.harvests as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </Select>
    {/if}
    <Select
      label={say.exportFormat}
      hideLabel
      value=""
      onchange={(format) => {
        if (format) window.location.href = desk.file(format as Format);
      }}
    >
      <option value="">{say.exportText}</option>
      {#each Object.entries(formats) as [format, word] (format)}<option value={format}>{word}</option>{/each}
    </Select>
    <Button disabled={!harvest.people} onclick={() => (keeping = true)}>{say.addToShortlist}</Button>
    <Button disabled={harvest.sources.every(({ byHand }) => byHand)} onclick={() => (watching = true)}
      >{say.watch}</Button
    >
    <Button onclick={() => goto(path({ new: '1' }))}>{say.newHarvest2}</Button>
    <Button onclick={() => (deleting = true)}>{say.deleteText}</Button>
    <Button
      onclick={() => {
        budget = { ...harvest.budget };
        raising = true;
      }}>{say.limits}</Button
    >
    {#if underWay}<Button kind="primary" onclick={() => desk.act('stopHarvest')}>{say.stop}</Button
      >{:else if harvest.state !== 'done' || harvest.sources.some( ({ slices }) => slices.some(({ state }) => state === 'waiting') )}<Button
        kind="primary"
        onclick={() => desk.act('goOnWithHarvest')}>{say.resume}</Button
      >{:else}<Button kind="primary" disabled={!desk.people.length} onclick={desk.next}
        >{say.judgeNext} <kbd>N</kbd></Button
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
      <div class="terms">
        <TermRow terms={['harvest', 'slice', 'neutralWord', 'reported', 'fitsInTotal', 'interval']} />
      </div>
      {#if data.reading.curve.length > 1}<FitsCurve curve={data.reading.curve} />{/if}
      {#if harvest.events.length}
        <Accordion title={say.errors(harvest.events.length)}>
          <ul>
            {#each harvest.events as { at, source, what }, i (i)}<li class="soft">
                {moment(at)}, {harvest.sources.find(({ sourceId }) => sourceId === source)?.sourceName ?? source}: {what}
              </li>{/each}
          </ul>
        </Accordion>
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
  modalHeading={say.limitsThisHarvest}
  primaryButtonText={say.saveAndResume}
  secondaryButtonText={say.cancel}
  size="sm"
  on:click:button--secondary={() => (raising = false)}
  on:submit={() => {
    raising = false;
    void desk.act('goOnWithHarvest', $state.snapshot(budget));
  }}
>
  {#if raising}<div class="budget"><BudgetFields bind:budget words /></div>{/if}
</Modal>
<ConfirmDialog
  open={deleting}
  heading={say.deleteThisHarvest}
  confirm={say.deleteText2}
  onconfirm={remove}
  onclose={() => (deleting = false)}
>
  {say.thisDeletesItsPeopleAndSlices}
</ConfirmDialog>

<style>
  .terms {
    padding: 4px 14px 10px;
  }
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
