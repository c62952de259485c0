<script lang="ts">
  import { keeping, shortlistPage as say } from '$lib/shortlist/words';
  import { onMount, untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import OverflowMenu from 'carbon-components-svelte/src/OverflowMenu/OverflowMenu.svelte';
  import OverflowMenuItem from 'carbon-components-svelte/src/OverflowMenu/OverflowMenuItem.svelte';
  import Search from 'carbon-components-svelte/src/Search/Search.svelte';
  import type { Answer } from '$api';
  import ConfirmDialog from '$lib/ui/ConfirmDialog.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { keysOf } from '$lib/frame/keys';
  import { brief as briefPath } from '$lib/frame/paths';
  import { count } from '$lib/marks/format';
  import BatchBar from '$lib/shortlist/BatchBar.svelte';
  import DoubtfulPairs from '$lib/shortlist/DoubtfulPairs.svelte';
  import GroupBars from '$lib/shortlist/GroupBars.svelte';
  import KeptCard from '$lib/shortlist/KeptCard.svelte';
  import LeftToSettle from '$lib/shortlist/LeftToSettle.svelte';
  import ListColumns from '$lib/shortlist/ListColumns.svelte';
  import ListSettings from '$lib/shortlist/ListSettings.svelte';
  import MailCheck from '$lib/shortlist/MailCheck.svelte';
  import MoreLike from '$lib/shortlist/MoreLike.svelte';
  import NewShortlist from '$lib/shortlist/NewShortlist.svelte';
  import PasteRows from '$lib/shortlist/PasteRows.svelte';
  import PeopleTable from '$lib/shortlist/PeopleTable.svelte';
  import TermRow from '$lib/terms/TermRow.svelte';
  import ShortlistRoad from '$lib/shortlist/ShortlistRoad.svelte';
  import ExportDialog from '$lib/shortlist/ExportDialog.svelte';
  import WatchPeople from '$lib/watches/WatchPeople.svelte';
  import { filterNames, readQuery } from '$lib/shortlist/list-query';
  import { myName } from '$lib/shortlist/my-name';
  import { ShortlistPage } from '$lib/shortlist/shortlist-page.svelte';
  import Button from '$lib/ui/Button.svelte';
  import DateInput from '$lib/ui/DateInput.svelte';
  import Select from '$lib/ui/Select.svelte';

  let { data } = $props();
  const desk = new ShortlistPage(() => data);
  const list = $derived(data.list);
  const path = (query: Record<string, string> = {}) => briefPath(data.brief.id, 'shortlist', query);

  // The list as it is reloaded is the same list.
  const listId = $derived(data.list?.id);
  $effect(() => {
    void listId;
    untrack(() => {
      desk.query = readQuery(page.url.search);
      desk.clear();
      desk.close();
      void desk.list();
    });
  });
  onMount(() => desk.listen());

  let naming = $state(false);
  let settings = $state(false);
  let taking = $state(false);
  let checking = $state(false);
  let pasting = $state(false);
  let deleting = $state(false);
  let watching = $state(false);
  let columns = $state(false);
  let like: Answer<'moreLike'> | null = $state.raw(null);
  let pairs: Answer<'doubtfulKept'> | null = $state.raw(null);
  let said = $state('');
  let search: HTMLInputElement | null = $state(null);
  let typing: ReturnType<typeof setTimeout> | undefined;

  const moreLike = () =>
    desk.attempt(async () => {
      like = await call('moreLike', { params: desk.params, body: { numbers: await desk.numbers() } });
    });
  const doubtful = () => desk.attempt(async () => (pairs = await call('doubtfulKept', { params: desk.params })));
  async function copy() {
    const numbers: Record<string, string> = desk.everybody ? {} : { numbers: [...desk.chosen].join(',') };
    await desk.attempt(async () => {
      const rows = await desk.file({ form: 'tsv', ...numbers });
      await navigator.clipboard.writeText(await rows.text());
      said = say.copiedReadyToPasteIntoSpreadsheet(count(desk.many));
    });
  }
  const allFits = () =>
    desk.doing(async () => {
      const result = await call('keepPeople', {
        params: desk.params,
        body: { why: keeping.allFits, by: myName(), from: { kind: 'fits' } }
      });
      said = say.addedAlreadyThere(count(result.kept), count(result.there));
    });
  async function remove() {
    const gone = await desk.attempt(async () => {
      await call('deleteShortlist', { params: desk.params });
      return true;
    });
    if (gone) await goto(path(), { invalidateAll: true });
  }
  const filtered = $derived(filterNames.filter((one) => one !== 'words' && desk.query.filter[one]));
  const onkeydown = keysOf('shortlist', {
    before: () => void desk.go(-1),
    after: () => void desk.go(1),
    choose: (event) => {
      const { place } = desk;
      const person = desk.row(place);
      if (person) desk.choose(place, !desk.chosen.has(person.number), event.shiftKey);
    },
    all: () => {
      const on = !desk.everybody;
      desk.clear();
      desk.everybody = on;
    },
    search: () => search?.focus(),
    leaveOut: () => void (desk.many && desk.change({ leaveOut: '' })),
    remove: () => void (desk.many && desk.change({ drop: true })),
    close: () => (desk.at === null ? desk.clear() : desk.close())
  });
  const onUndoKey = keysOf('everywhere', { undo: () => void (list?.undo && desk.undo()) });
</script>

<svelte:window
  onkeydown={(event) => {
    onkeydown(event);
    onUndoKey(event);
  }}
/>

{#if !list}
  <div class="strip"><h1>{say.shortlist}</h1></div>
  <Refused problem={desk.refused} />
  <div class="sheet empty">
    <h2>{say.noShortlistYet}</h2>
    <p>
      {say.shortlistHoldsPeopleYoullContactEach}
    </p>
    <Button kind="primary" onclick={() => (naming = true)}>{say.createShortlist}</Button>
  </div>
{:else}
  <div class="strip">
    <h1>{list.name}</h1>
    <p class="soft" role="status">{said || list.purpose}</p>
    {#if data.lists.length > 1}
      <Select label={say.shortlist} hideLabel value={list.id} onchange={(id) => goto(path({ list: id }))}>
        {#each data.lists as one (one.id)}<option value={one.id}>{one.name} ({count(one.people)})</option>{/each}
      </Select>
    {/if}
    <Button disabled={!list.undo || desk.busy} onclick={desk.undo}>{list.undo ? say.undo(list.undo) : say.undo2}</Button
    >
    <Button onclick={allFits}>{say.addAllFits}</Button>
    <Button onclick={() => (checking = true)}
      >{list.mail.run?.state === 'running'
        ? say.checking(count(list.mail.run.checked), count(list.mail.run.addresses))
        : say.checkAddresses}</Button
    >
    <Button kind="primary" disabled={!list.people} onclick={() => (taking = true)}>{say.exportText}</Button>
    <OverflowMenu flipped size="sm" aria-label={say.moreActions}>
      <OverflowMenuItem text={say.pasteOrImport} on:click={() => (pasting = true)} />
      <OverflowMenuItem text={say.watchThesePeople} on:click={() => (watching = true)} />
      <OverflowMenuItem text={say.possibleDuplicates} on:click={doubtful} />
      <OverflowMenuItem text={say.settings} on:click={() => (settings = true)} />
      <OverflowMenuItem text={say.newList} on:click={() => (naming = true)} />
      <OverflowMenuItem danger text={say.deleteText} on:click={() => (deleting = true)} />
    </OverflowMenu>
  </div>
  <Refused problem={desk.refused} />
  <ShortlistRoad {list} />
  <div class="desk" class:open={desk.card}>
    <GroupBars {desk} {list} />
    <section class="sheet table" aria-label={say.peopleOnThisList}>
      <div class="look">
        <Search
          size="sm"
          bind:ref={search}
          labelText={say.searchAllFields}
          placeholder={say.search}
          value={desk.query.filter.words}
          on:input={(event) => {
            const words = (event.target as HTMLInputElement).value;
            clearTimeout(typing);
            typing = setTimeout(() => desk.filter('words', words), 200);
          }}
          on:clear={() => desk.filter('words', '')}
        />
        {#each filtered as one (one)}<Button
            onclick={() => desk.filter(one, '')}
            aria-label={say.removeFilter(one, desk.query.filter[one])}
            >{one === 'leftOut' ? say.excluded : one}: {desk.query.filter[one]} ✕</Button
          >{/each}
        <DateInput label={say.dueBy} value={desk.query.filter.due} onchange={(day) => desk.filter('due', day)} />
        <Select
          label={say.view}
          hideLabel
          value=""
          onchange={(query) => void (query !== '' && desk.view(query === '-' ? '' : query))}
        >
          <option value="">{say.view2}</option>
          <option value="-">{say.defaultText}</option>
          {#each list.views as view (view.name)}<option value={view.query || '-'}>{view.name}</option>{/each}
        </Select>
        <Button aria-expanded={columns} onclick={() => (columns = !columns)}>{say.columns}</Button>
        <span class="soft" role="status">{say.people(count(desk.of))}</span>
      </div>
      {#if columns}<ListColumns {desk} {list} />{/if}
      {#if desk.many}<BatchBar {desk} {list} onmorelike={moreLike} oncopy={copy} />{/if}
      <PeopleTable {desk} {list} />
    </section>
    {#if desk.card}<KeptCard {desk} {list} card={desk.card} />{/if}
  </div>
  <TermRow terms={['toExport', 'likelihood', 'checkedAddress', 'verdict', 'watch']} />
  <LeftToSettle bind:left={desk.leftToSettle} />
  <ExportDialog {desk} {list} bind:open={taking} />
  <MailCheck {desk} {list} bind:open={checking} />
  <PasteRows {desk} {list} bind:open={pasting} />
  <ListSettings briefId={data.brief.id} {desk} {list} bind:open={settings} />
  <WatchPeople briefId={data.brief.id} {list} bind:open={watching} />
  <MoreLike {desk} bind:reply={like} />
  <DoubtfulPairs {desk} bind:pairs />
{/if}

<NewShortlist briefId={data.brief.id} bind:open={naming} />
<ConfirmDialog
  open={deleting}
  heading={say.deleteThisList}
  confirm={say.deleteText2}
  onconfirm={remove}
  onclose={() => (deleting = false)}
>
  {say.thisDeletesItsPeopleTagsAnd}
</ConfirmDialog>

<style>
  .strip p {
    flex: 1;
    font-size: 13px;
  }
  .desk {
    display: grid;
    grid-template-columns: 190px minmax(0, 1fr);
    gap: 12px;
    height: max(440px, calc(100vh - 190px));
  }
  .desk.open {
    grid-template-columns: 170px minmax(0, 1fr) 380px;
  }
  .table {
    min-height: 0;
    min-width: 0;
    display: flex;
    flex-direction: column;
  }
  .look {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 10px;
    align-items: center;
    padding: 6px 12px;
    font-size: 12.5px;
  }
  .look :global(.bx--search) {
    flex: 1 1 140px;
  }
</style>
