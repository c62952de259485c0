<script lang="ts">
  import { stringPanels as say } from '../words';
  import { reload } from '$lib/kept/reload';
  import Tab from 'carbon-components-svelte/src/Tabs/Tab.svelte';
  import TabContent from 'carbon-components-svelte/src/Tabs/TabContent.svelte';
  import Tabs from 'carbon-components-svelte/src/Tabs/Tabs.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { brief as briefPath } from '$lib/frame/paths';
  import TermRow from '$lib/terms/TermRow.svelte';
  import Ledger from '../ledger/Ledger.svelte';
  import ProposalCards from '../proposals/ProposalCards.svelte';
  import { panels, type Panel } from './panels';
  import type { StringPage, StringPageData } from './string-page.svelte';

  interface Props {
    string: StringPage;
    data: StringPageData;
    onundo: () => void;
    onredo: () => void;
  }
  let { string, data, onundo, onredo }: Props = $props();

  const asked = $derived(page.url.searchParams);
  // A link to a version, as from the board, opens it.
  const panel = $derived(
    panels.find((one) => one === asked.get('panel')) ?? (asked.has('version') ? 'versions' : 'worth')
  );
  /** What is worth saying of the string at single sources. */
  const notes = $derived(
    string.chosen.reduce((sum, { id }) => sum + (string.reading.sources[id]?.problems.length ?? 0), 0)
  );
  const names: Record<Panel, string> = $derived({
    worth: say.whatEachPartDoes,
    proposals: say.proposals(string.best.list?.length ?? 0),
    narrowing: say.narrowing,
    meanings: say.meanings(string.ambiguous.length),
    tree: say.tree,
    searches: say.searches(notes),
    versions: say.versions(data.versions.length),
    paste: say.pasteFromSource
  });
  const show = (next: Panel, more: Record<string, string> = {}) =>
    goto(briefPath(data.brief.id, 'string', { ...(next !== 'worth' && { panel: next }), ...more }), {
      keepFocus: true,
      noScroll: true
    });
  const openedVersion = $derived(Number(asked.get('version') ?? data.versions[0]?.number ?? 0));
  const canCount = $derived(string.parts.length > 0 && string.counted.length > 0);
</script>

<Tabs
  autoWidth
  selected={panels.indexOf(panel)}
  on:change={({ detail }: CustomEvent<number>) => {
    if (detail !== panels.indexOf(panel)) void show(panels[detail]!);
  }}
>
  {#each panels as one (one)}<Tab label={names[one]} />{/each}
  <svelte:fragment slot="content">
    {#each panels as one (one)}
      <TabContent
        >{#if one === panel}{@render content(one)}{/if}</TabContent
      >
    {/each}
  </svelte:fragment>
</Tabs>

{#snippet content(one: Panel)}
  {#if one === 'versions'}
    {#await import('../versions/VersionPanel.svelte') then { default: VersionPanel }}
      <VersionPanel
        versions={data.versions}
        opened={openedVersion}
        text={string.text}
        onopen={(version) => show('versions', { version: String(version) })}
        sets={string.sets}
        ontake={(old) => string.write(old.text, '', old.number)}
        onname={string.nameVersion}
      />
    {/await}
  {:else if one === 'paste'}
    {#await import('../searches/SourcePaste.svelte') then { default: SourcePaste }}
      <SourcePaste
        sources={data.sources.filter(({ kind }) => kind !== 'file')}
        ontake={(taken) => {
          string.write(taken);
          void show('worth');
        }}
      />
    {/await}
  {:else if one === 'tree'}
    {#await import('../tree/PartTree.svelte') then { default: PartTree }}
      <PartTree
        root={string.outline}
        enabled={!string.hasError}
        sets={data.wordSets}
        origins={string.origins}
        personaPath={briefPath(data.brief.id, 'persona')}
        lit={asked.get('from')}
        onchange={(next) => string.write(next)}
        {onundo}
        {onredo}
        onpull={string.pull}
      />
    {/await}
  {:else if !string.parts.length || !string.parsed.query}
    <p class="empty soft">
      {say.noStringYetWriteOneAbove}
    </p>
  {:else if one === 'searches'}
    {#await import('./SearchesToCopy.svelte') then { default: SearchesToCopy }}
      <SearchesToCopy {string} asked={asked.get('of')} />
    {/await}
  {:else if !canCount}
    <p class="empty soft">
      {say.noCountableSourceIsSelectedSelect}
    </p>
  {:else if one === 'worth'}
    <Ledger
      sources={string.counted}
      ledger={string.ledgers.states}
      ongoon={({ id }) => string.ledgers.goOn(id)}
      query={string.parsed.query}
      origins={string.origins}
      stale={string.blocked || string.ledgers.text !== string.text}
      blocked={string.blocked}
      onchoose={(source) => show('searches', { of: source.id })}
    />
    <TermRow terms={['matchesAlone', 'changeIfRemoved', 'certain', 'possible', 'rendering', 'version']} />
    {#if string.best.list?.length}
      <ProposalCards
        proposals={string.best.list}
        sources={string.counted}
        current={string.best.readFor === string.text}
        ontake={string.takeProposal}
        onall={() => show('proposals')}
      />
    {/if}
  {:else if one === 'narrowing'}
    {#await import('../ledger/Narrowing.svelte') then { default: Narrowing }}
      <Narrowing
        sources={string.counted}
        answers={string.answers}
        parts={string.parts}
        order={string.order}
        onorder={(next) => (string.narrowed = next)}
      />
    {/await}
  {:else if string.blocked}
    <p class="empty soft">{say.fixErrorsInStringFirstTheyre}</p>
  {:else if one === 'proposals'}
    {#await import('../proposals/Proposals.svelte') then { default: Proposals }}
      <Proposals
        briefId={data.brief.id}
        text={string.text}
        sources={string.counted}
        judged={data.brief.judged}
        best={string.best}
        ontake={string.takeProposal}
        onjudged={() => {
          string.judgedHere++;
          void reload('eave:brief');
        }}
      />
    {/await}
  {:else if !string.ambiguous.length}
    <p class="empty soft">{say.noWordInThisStringIs}</p>
  {:else}
    {#await import('../proposals/Meanings.svelte') then { default: Meanings }}
      <Meanings text={string.text} sources={string.counted} ontake={(taken) => string.write(taken)} />
    {/await}
  {/if}
{/snippet}

<style>
  .empty {
    margin-top: 10px;
  }
</style>
