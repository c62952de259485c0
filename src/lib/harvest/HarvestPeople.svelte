<script lang="ts">
  import { harvestPeople as say } from './words';
  import type { Answer } from '$api';
  import { countryName } from '$core/people';
  import { count, percent } from '$lib/marks/format';
  import { verdicts } from '$lib/marks/verdicts';
  import { sourceSign } from '$lib/marks/source-sign';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import type { HarvestPage } from './harvest-page.svelte';

  interface Props {
    desk: HarvestPage;
    harvest: Answer<'readHarvest'>;
    facets: Answer<'harvestFacets'>;
    /** The other harvests of the brief. */
    others: Answer<'listHarvests'>;
  }
  let { desk, harvest, facets, others }: Props = $props();

  const sourceName = $derived(new Map(harvest.sources.map((source) => [source.sourceId, source.sourceName])));
  const { filter } = $derived(desk);
  let typing: ReturnType<typeof setTimeout> | undefined;
  function type(words: string) {
    clearTimeout(typing);
    typing = setTimeout(() => desk.change({ words }), 200);
  }
  let list: HTMLElement | undefined = $state();
  function scrolled() {
    if (list && list.scrollTop + list.clientHeight > list.scrollHeight - 300) void desk.more();
  }
</script>

<section class="sheet" aria-label={say.peopleCollected}>
  <header>
    <h2>{harvest.learnt ? say.mostLikelyFitsFirst : say.sourceOrder}</h2>
    <span class="soft">
      {#if harvest.learnt}{say.learnedFromVerdicts(count(harvest.learnt.judged))}{harvest.learnt.area === null
          ? ''
          : say.ranksFitAboveMissTime(percent(harvest.learnt.area))}{say.somePeopleToJudgeAreDrawn}
      {:else}{say.judgeSomeFitsAndSomeMisses}{/if}
    </span>
    <Button disabled={desk.busy} onclick={desk.learn}>{desk.busy ? 'Ordering…' : say.reRank}</Button>
  </header>
  <div class="filter" role="search">
    <TextInput
      aria-label={say.searchNameTitleFirmOrPlace}
      placeholder={say.nameTitleFirmOrPlace}
      value={filter.words}
      oninput={(event: Event & { currentTarget: HTMLInputElement }) => type(event.currentTarget.value)}
    />
    <Select label={say.source} hideLabel value={filter.source} onchange={(source) => desk.change({ source })}>
      <option value="">{say.allSources}</option>
      {#each harvest.sources as one (one.sourceId)}<option value={one.sourceId}>{one.sourceName}</option>{/each}
    </Select>
    <Select label={say.country} hideLabel value={filter.country} onchange={(country) => desk.change({ country })}>
      <option value="">{say.allCountries}</option>
      {#each facets.countries.slice(0, 60) as { value, people } (value)}<option {value}
          >{countryName(value)} ({count(people)})</option
        >{/each}
    </Select>
    <Select label={say.verdict} hideLabel value={filter.verdict} onchange={(verdict) => desk.change({ verdict })}>
      <option value="">{say.judgedOrNot}</option>
      <option value="none">{say.notJudged}</option>
      {#each Object.entries(verdicts) as [name, { word }] (name)}<option value={name}>{word}</option>{/each}
    </Select>
    {#if others.length}
      <Select
        label={say.comparedWithAnotherHarvest}
        hideLabel
        value={filter.notIn}
        onchange={(notIn) => desk.change({ notIn })}
      >
        <option value="">{say.inAnyHarvest}</option>
        {#each others as one (one.id)}<option value={one.id}>{say.notIn(one.name)}</option>{/each}
      </Select>
    {/if}
    <Checkbox label={say.certainOnly} checked={filter.certain} onchange={(certain) => desk.change({ certain })} />
    <span class="soft" role="status">{desk.of === null ? '' : say.people(count(desk.of))}</span>
  </div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="list" bind:this={list} onscroll={scrolled} tabindex="0" role="region" aria-label={say.people2}>
    {#each desk.shown as person (person.number)}
      {@const verdict = desk.verdictOn(person)}
      <Button
        kind="ghost"
        class="row {desk.at === person.number ? 'on' : ''}"
        aria-pressed={desk.at === person.number}
        onclick={() => desk.open(person.number)}
      >
        <span class="likely">
          {#if person.score === null}<i class="soft">–</i>{:else}
            <span class="bar"><i style:width="{person.score * 100}%"></i></span><small>{percent(person.score)}</small>
          {/if}
        </span>
        <span class="who">
          <b>{person.name}</b>{#if desk.drawn?.number === person.number}<small class="soft">
              {say.drawnAtRandom}</small
            >{/if}
          <span>{person.title || say.noTitleListed}</span>
          <span class="soft"
            >{[person.company, person.place || (person.country && countryName(person.country))]
              .filter(Boolean)
              .join(' · ')}</span
          >
        </span>
        <span class="where" aria-label={person.sources.map((id) => sourceName.get(id)).join(', ')}>
          {#each person.sources as id (id)}<abbr title={sourceName.get(id)}>{sourceSign(sourceName.get(id) ?? '')}</abbr
            >{/each}
        </span>
        <span class="soft">{person.certain ? '' : 'possible'}</span>
        <span style:color={verdict ? verdicts[verdict].colour : undefined}
          >{verdict ? `${verdicts[verdict].sign} ${verdicts[verdict].word}` : ''}</span
        >
      </Button>
    {:else}
      <p class="soft empty">
        {harvest.people ? say.noMatches : say.nobodyYetPeopleAppearHereEach}
      </p>
    {/each}
    {#if !desk.last}<Button disabled={desk.busy} onclick={desk.more}>{say.more}</Button>{/if}
  </div>
</section>

<style>
  abbr {
    margin-right: 3px;
    padding: 0 4px;
    border: 1px solid var(--line);
    font-size: 11px;
    text-decoration: none;
  }
  section {
    display: grid;
    grid-template-rows: auto auto 1fr;
    min-height: 0;
    min-width: 0;
  }
  header,
  .filter {
    display: flex;
    gap: 10px;
    align-items: center;
    padding: 8px 14px 0;
    font-size: 12.5px;
  }
  header .soft {
    flex: 1;
  }
  h2 {
    font-size: 14px;
    white-space: nowrap;
  }
  .filter {
    flex-wrap: wrap;
    padding-bottom: 8px;
    row-gap: 2px;
  }
  .filter > :global(.bx--form-item:first-child) {
    flex: 1 1 180px;
  }
  .list {
    overflow: auto;
    border-top: 1px solid var(--line);
  }
  .list :global(.button.row.bx--btn) {
    display: grid;
    grid-template-columns: 56px 1fr 62px 56px 76px;
    gap: 8px;
    width: 100%;
    max-width: none;
    text-align: left;
    align-items: start;
    padding: 6px 14px;
    border-bottom: 1px solid var(--rule);
    font-size: 13px;
    line-height: 1.3;
  }
  .list :global(.button.row.on.bx--btn) {
    background: var(--accent-2);
  }
  .who {
    display: grid;
    overflow-wrap: anywhere;
  }
  .bar {
    display: block;
    height: 5px;
    background: var(--rule);
    margin: 6px 0 2px;
  }
  .bar i {
    display: block;
    height: 100%;
    background: var(--accent);
  }
  .empty {
    padding: 14px;
  }
</style>
