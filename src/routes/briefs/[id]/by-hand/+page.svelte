<script lang="ts">
  import { byHandPage as say } from '$lib/by-hand/words';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import ByHandFigures from '$lib/by-hand/ByHandFigures.svelte';
  import DiaryEntries from '$lib/by-hand/DiaryEntries.svelte';
  import SlicesToRun from '$lib/by-hand/SlicesToRun.svelte';
  import RowsTable from '$lib/by-hand/RowsTable.svelte';
  import { ByHandPage } from '$lib/by-hand/by-hand-page.svelte';
  import { textOfHtml } from '$lib/by-hand/text-of-html';
  import CopyButton from '$lib/frame/CopyButton.svelte';
  import Refused from '$lib/frame/Refused.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import { count, counted } from '$lib/marks/format';
  import StartWatch from '$lib/watches/StartWatch.svelte';
  import SearchBoxes from '$lib/string/searches/SearchBoxes.svelte';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import FileUploadButton from '$lib/ui/FileUploadButton.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';

  let { data } = $props();

  const page = new ByHandPage(() => data);
  const { source } = $derived(data);
  const searches = $derived(page.diary.rendering.searches);
  const here = $derived(page.here);
  let pasted = $state('');
  let watching = $state(false);

  onMount(() => {
    page.recall();
    return () => page.stop();
  });
  let recalled = false;
  $effect(() => {
    void JSON.stringify(page.unkept);
    // The first time it is what was recalled.
    if (recalled) page.remember();
    recalled = true;
  });

  const stateWords = {
    waiting: say.waits,
    read: say.fullyRead,
    cut: say.cut,
    stuck: say.overLimit,
    'left out': say.excluded
  };
  const howFar = ({ slice, entries, rows }: (typeof page.diary.searches)[number]): string =>
    slice
      ? `${stateWords[slice.state]}${rows || slice.state === 'read' ? say.people(count(rows)) : slice.expected === null ? '' : `, ≈ ${count(Math.round(slice.expected))}`}`
      : entries
        ? say.peopleRead(count(rows))
        : say.notRunYet;

  function paste(event: ClipboardEvent) {
    const html = event.clipboardData?.getData('text/html');
    if (!html) return;
    const text = textOfHtml(html);
    if (!text) return;
    event.preventDefault();
    void take(text);
  }
  /** What was pasted stays where nobody could be read out of it. */
  async function take(text: string) {
    const read = await page.read(text);
    if (read && pasted === text) pasted = '';
    else if (!read && !pasted) pasted = text;
  }
</script>

<!-- Users of this screen soon paste a page. -->
<svelte:window onpointerdown={page.warm} onkeydown={page.warm} />

<div class="strip">
  <h1>{page.diary.harvest ? page.diary.harvest.name : say.version(page.diary.version.number)} {say.at(source.name)}</h1>
  <p class="soft">
    {page.diary.entries.length
      ? say.manualSourcePeopleReadNewEntries(count(page.diary.searches.reduce((sum, { rows }) => sum + rows, 0)))
      : say.manualSourceCopySearchEnterCount}
  </p>
  {#if page.diary.harvest}
    <Button onclick={() => goto(briefPath(data.brief.id, 'harvest', { harvest: page.diary.harvest!.id }))}
      >{say.openHarvest}</Button
    >
  {:else if data.trial}
    <Button onclick={() => goto(briefPath(data.brief.id, 'trial', { trial: data.trial!.id }))}
      >{say.judgePeople(count(data.trial.people))}</Button
    >
  {/if}
  <Button disabled={!page.diary.entries.length} onclick={() => (watching = true)}>{say.watch}</Button>
  <Button kind="primary" disabled={!page.ready || page.keeping} onclick={page.keep}>{say.saveEntry}</Button>
</div>
<StartWatch
  briefId={data.brief.id}
  from={[{ sourceId: source.id, sourceName: source.name, version: page.diary.version.number }]}
  byHand
  bind:open={watching}
/>
<Refused problem={page.refused} />

<div class="three">
  <section class="sheet steps" aria-label={say.steps}>
    {#if searches.length > 1}
      <Select
        label={page.diary.harvest ? say.slice : say.search}
        value={page.search}
        onchange={(to) => page.pick(Number(to))}
      >
        {#each page.diary.searches as notice, i (i)}
          <option value={i}
            >{say.ofText(i + 1, searches.length)}{notice.slice ? `, ${notice.slice.what}` : ''}: {howFar(
              notice
            )}</option
          >
        {/each}
      </Select>
    {/if}
    {#if here?.slice}
      <div class="line">
        {#if here.slice.state === 'waiting'}
          <Button disabled={!here.entries || page.keeping} onclick={() => page.end(true)}
            >{say.thatsEverythingItShows}</Button
          >
        {:else if here.slice.state !== 'cut'}
          <Button disabled={page.keeping} onclick={() => page.end(false)}>{say.theresMoreToRead}</Button>
        {/if}
        {#if page.next >= 0 && page.next !== page.search}
          <Button onclick={() => (page.unkept.slice = null)}>{say.nextSlice}</Button>
        {/if}
      </div>
    {/if}
    <h2>{say.n1CopySearch}</h2>
    {#if searches[page.search]}
      <SearchBoxes {source} search={searches[page.search]!} of={searches.length > 1 ? page.search : null} />
    {:else}
      <p class="soft">{say.thisSourceCantSearchAnyPart}</p>
    {/if}
    {#each page.diary.rendering.notes as note (note)}<p class="note">{note}</p>{/each}
    <h2>{say.n2EnterCount}</h2>
    <TextInput aria-label={say.countShown} placeholder={say.asShownForExampleAbout3} bind:value={page.unkept.said} />
    <p class="soft" role="status">
      {#if page.unkept.said.trim() && !page.count}{say.couldntReadCountWriteItLike}
      {:else if page.count}{say.readAs}
        {page.count.open ? say.orMore(count(page.count.said)) : counted(page.count.interval)}
      {/if}
    </p>
    <h2>{say.n3OpenThesePagesAndPaste}</h2>
    {#if here?.pages}
      <p class="soft">
        {say.aboutPages(count(here.pages))}
        {here.slice ? say.oneAfterAnotherAllThem : say.spreadOverWholeResult}
      </p>
      <div class="pages">
        {#each page.pagesOf(here) as one (one)}
          {@const read = here.pagesRead.includes(one)}
          <Button
            aria-pressed={page.page === one}
            aria-label={say.page(one, read ? ', read' : ', to open')}
            onclick={() => (page.unkept.page = String(one))}>{read ? '✓ ' : ''}{one}</Button
          >
        {/each}
        {#if page.toOpen[0]}<CopyButton text={String(page.toOpen[0])} label={say.copyNext} of={say.pageToOpen} />{/if}
      </div>
      {#if !here.slice}
        <p class="soft">{say.ifYouOnlyReadFirstPages}</p>
      {/if}
    {:else}
      <p class="soft">
        {here?.slice ? say.pasteFirstPageIncludingCount : say.saveCountFirstEavePicksPages}
      </p>
    {/if}
  </section>

  <section class="sheet" aria-label={say.diary}>
    <div class="paste">
      <TextArea
        rows="3"
        aria-label={say.pageContent}
        placeholder={say.pastePageHereTextTableOr}
        bind:value={pasted}
        onpaste={paste}
      />
      <div class="line">
        <TextInput
          label={say.page2}
          inline
          inputmode="numeric"
          aria-label={say.resultPageNumber}
          placeholder={String(page.page ?? '')}
          bind:value={page.unkept.page}
        />
        <Button disabled={!pasted.trim() || page.reading} onclick={() => take(pasted)}>{say.readPeople}</Button>
        <FileUploadButton
          label={say.orImportCsv}
          accept={['.csv', '.txt', '.tsv', '.html']}
          onfile={async (file) => {
            const text = await file.text();
            await take(/\.html?$/i.test(file.name) ? textOfHtml(text) : text);
          }}
        />
        <span class="soft" role="status">{page.status}</span>
      </div>
      {#if page.unkept.rows.length}
        <p>
          <b>{say.peopleNotSavedYet(count(page.unkept.rows.length))}</b>
          <span class="soft"
            >{page.doubtful ? say.withDashedFieldsToCheck(count(page.doubtful)) : ''}{say.thisIsKeptHereIfYou}</span
          >
          <Button
            kind="ghost"
            onclick={() => {
              page.unkept.rows = [];
              page.status = '';
            }}>{say.discard}</Button
          >
        </p>
        <RowsTable
          label={say.peopleReadNotSavedYet}
          rows={page.unkept.rows}
          oncorrect={(row, field, value) => page.correct(row, field, value)}
          onremove={(i) => page.unkept.rows.splice(i, 1)}
        />
      {/if}
    </div>
    <DiaryEntries {page} />
  </section>

  {#if page.diary.harvest}
    <SlicesToRun searches={page.diary.searches} at={page.search} next={page.next} onchange={(to) => page.pick(to)} />
  {:else}
    <ByHandFigures searches={page.diary.searches} search={page.search} trial={data.trial} />
  {/if}
</div>

<style>
  .strip p {
    flex: 1;
  }
  .three {
    display: grid;
    grid-template-columns: 350px 1fr 268px;
    gap: 14px;
    height: max(560px, calc(100vh - 130px));
  }
  section {
    overflow: auto;
  }
  .steps {
    padding: 10px 14px;
    display: grid;
    gap: 6px;
    align-content: start;
    font-size: 13px;
  }
  h2 {
    font-size: 13.5px;
    margin-top: 8px;
  }
  .note {
    color: var(--soft);
    font-size: 12px;
  }
  .pages {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  .pages :global([aria-pressed='true']) {
    background: var(--accent-2);
    border-color: var(--accent);
  }
  .paste {
    padding: 10px 14px;
    display: grid;
    gap: 6px;
    border-bottom: 1px solid var(--line);
    font-size: 13px;
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 10px;
    align-items: center;
  }
  .line :global(input) {
    width: 64px;
  }
  @media (max-width: 1200px) {
    .three {
      grid-template-columns: 300px 1fr;
      height: auto;
    }
  }
</style>
