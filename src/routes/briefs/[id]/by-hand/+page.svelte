<script lang="ts">
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
  import SearchBoxes from '$lib/string/SearchBoxes.svelte';
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import FileButton from '$lib/ui/FileButton.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import TextBox from '$lib/ui/TextBox.svelte';

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
    waiting: 'waits',
    read: 'read to its end',
    cut: 'cut',
    stuck: 'longer than is shown',
    'left out': 'left out'
  };
  const howFar = ({ slice, entries, rows }: (typeof page.diary.searches)[number]): string =>
    slice
      ? `${stateWords[slice.state]}${rows || slice.state === 'read' ? `, ${count(rows)} people` : slice.expected === null ? '' : `, ≈ ${count(Math.round(slice.expected))}`}`
      : entries
        ? `${count(rows)} people read`
        : 'not run yet';

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

<!-- Whoever begins to use the screen soon pastes a page. -->
<svelte:window onpointerdown={page.warm} onkeydown={page.warm} />

<div class="strip">
  <h1>{page.diary.harvest ? page.diary.harvest.name : `Version ${page.diary.version.number}`} at {source.name}</h1>
  <p class="soft">
    {page.diary.entries.length
      ? `run by hand; ${count(page.diary.searches.reduce((sum, { rows }) => sum + rows, 0))} people read. Nothing here is replaced by what comes later.`
      : 'run by hand: copy the search, type the count you see, and paste the pages.'}
  </p>
  {#if page.diary.harvest}
    <Act onclick={() => goto(briefPath(data.brief.id, 'harvest', { harvest: page.diary.harvest!.id }))}>The harvest</Act
    >
  {:else if data.trial}
    <Act onclick={() => goto(briefPath(data.brief.id, 'trial', { trial: data.trial!.id }))}
      >Judge {count(data.trial.people)} people</Act
    >
  {/if}
  <Act disabled={!page.diary.entries.length} onclick={() => (watching = true)}>Watch…</Act>
  <Act look="main" disabled={!page.ready || page.keeping} onclick={page.keep}>Keep what is here</Act>
</div>
<StartWatch
  briefId={data.brief.id}
  from={[{ sourceId: source.id, sourceName: source.name, version: page.diary.version.number }]}
  byHand
  bind:open={watching}
/>
<Refused problem={page.refused} />

<div class="three">
  <section class="sheet steps" aria-label="What to do">
    {#if searches.length > 1}
      <Pick label={page.diary.harvest ? 'Slice' : 'Search'} value={page.search} onpick={(to) => page.pick(Number(to))}>
        {#each page.diary.searches as told, i (i)}
          <option value={i}
            >{i + 1} of {searches.length}{told.slice ? `, ${told.slice.what}` : ''}: {howFar(told)}</option
          >
        {/each}
      </Pick>
    {/if}
    {#if here?.slice}
      <div class="line">
        {#if here.slice.state === 'waiting'}
          <Act disabled={!here.entries || page.keeping} onclick={() => page.end(true)}>That is all it shows</Act>
        {:else if here.slice.state !== 'cut'}
          <Act disabled={page.keeping} onclick={() => page.end(false)}>There is more to read</Act>
        {/if}
        {#if page.next >= 0 && page.next !== page.search}
          <Act onclick={() => (page.unkept.slice = null)}>Next slice</Act>
        {/if}
      </div>
    {/if}
    <h2>1 Copy the search</h2>
    {#if searches[page.search]}
      <SearchBoxes {source} search={searches[page.search]!} of={searches.length > 1 ? page.search : null} />
    {:else}
      <p class="soft">Nothing of this string can be asked there.</p>
    {/if}
    {#each page.diary.rendering.notes as note (note)}<p class="note">{note}</p>{/each}
    <h2>2 Type the count you see</h2>
    <Field aria-label="Count as seen" placeholder="as it stands there: about 3,000" bind:value={page.unkept.said} />
    <p class="soft" role="status">
      {#if page.unkept.said.trim() && !page.count}no count can be read in this: write it as in 1–10 of 140, about 3,000,
        or 3K+
      {:else if page.count}read as {page.count.open
          ? `${count(page.count.said)} or more`
          : counted(page.count.interval)}
      {/if}
    </p>
    <h2>3 Open these pages, paste each whole</h2>
    {#if here?.pages}
      <p class="soft">
        of about {count(here.pages)} pages, {here.slice
          ? 'one after another: all are wanted'
          : 'drawn through the depth'}
      </p>
      <div class="pages">
        {#each page.pagesOf(here) as one (one)}
          {@const read = here.pagesRead.includes(one)}
          <Act
            aria-pressed={page.page === one}
            aria-label="Page {one}{read ? ', read' : ', to open'}"
            onclick={() => (page.unkept.page = String(one))}>{read ? '✓ ' : ''}{one}</Act
          >
        {/each}
        {#if page.toOpen[0]}<CopyButton text={String(page.toOpen[0])} label="Copy next" of="page to open" />{/if}
      </div>
      {#if !here.slice}
        <p class="soft">Only the top? Then the figures speak of the top, and the rest is shown as unseen.</p>
      {/if}
    {:else}
      <p class="soft">
        {here?.slice
          ? 'Paste the first page, with its count.'
          : 'Keep a count first: by it the pages are drawn. Or paste the first page.'}
      </p>
    {/if}
  </section>

  <section class="sheet" aria-label="Diary">
    <div class="paste">
      <TextBox
        rows="3"
        aria-label="What the page shows"
        placeholder="Paste here what the page shows: text, a table, or a copy with its links."
        bind:value={pasted}
        onpaste={paste}
      />
      <div class="line">
        <Field
          label="page"
          inline
          inputmode="numeric"
          aria-label="Page of the result"
          placeholder={String(page.page ?? '')}
          bind:value={page.unkept.page}
        />
        <Act disabled={!pasted.trim() || page.reading} onclick={() => take(pasted)}>Read people out of it</Act>
        <FileButton
          label="or a CSV"
          accept={['.csv', '.txt', '.tsv', '.html']}
          onfile={async (file) => {
            const text = await file.text();
            await take(/\.html?$/i.test(file.name) ? textOfHtml(text) : text);
          }}
        />
        <span class="soft" role="status">{page.told}</span>
      </div>
      {#if page.unkept.rows.length}
        <p>
          <b>{count(page.unkept.rows.length)} people, not kept yet</b>
          <span class="soft"
            >{page.doubtful ? `${count(page.doubtful)} with dashed fields: look at them. ` : ''}It waits here if you
            leave.</span
          >
          <Act
            look="plain"
            onclick={() => {
              page.unkept.rows = [];
              page.told = '';
            }}>Throw them away</Act
          >
        </p>
        <RowsTable
          label="People read, not kept yet"
          rows={page.unkept.rows}
          oncorrect={(row, field, value) => page.correct(row, field, value)}
          onremove={(i) => page.unkept.rows.splice(i, 1)}
        />
      {/if}
    </div>
    <DiaryEntries {page} />
  </section>

  {#if page.diary.harvest}
    <SlicesToRun searches={page.diary.searches} at={page.search} next={page.next} onpick={(to) => page.pick(to)} />
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
