<script lang="ts">
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import { count, counted } from '$lib/marks/format';
  import RowsTable from './RowsTable.svelte';
  import type { ByHandPage, Entry } from './by-hand-page.svelte';

  let { page }: { page: ByHandPage } = $props();

  const days = new Intl.DateTimeFormat('en-GB', { dateStyle: 'full' });
  const byDay = $derived.by(() => {
    const groups = new Map<string, Entry[]>();
    for (const entry of page.diary.entries) {
      const day = days.format(new Date(entry.seenAt));
      groups.set(day, [...(groups.get(day) ?? []), entry]);
    }
    return [...groups];
  });
  const several = $derived(page.diary.rendering.searches.length > 1);
  const people = (number: number) => `${count(number)} ${number === 1 ? 'person' : 'people'}`;
</script>

<!-- What was seen, day by day. -->
{#each byDay as [day, entries] (day)}
  <h3>{day}</h3>
  <ul>
    {#each entries as entry (entry.id)}
      {@const doubts = entry.rows.filter(({ doubtful }) => doubtful.length).length}
      {@const open = page.correcting?.id === entry.id}
      <li class:back={entry.takenBack}>
        <span class="what">
          {#if several}search {entry.search + 1},{/if}
          {#if entry.rows.length}<b>{entry.page === null ? 'a page' : `page ${count(entry.page)}`}</b>
            {people(entry.rows.length)}{/if}
          {#if entry.count}<b>count</b>
            {entry.said}
            <span class="soft"
              >read as {entry.count.open ? `${count(entry.count.said)} or more` : counted(entry.count.interval)}</span
            >{/if}
          <span class="soft">
            {entry.known ? `${count(entry.known)} known from before` : ''}{entry.known && doubts ? '; ' : ''}{doubts
              ? `${count(doubts)} in doubt`
              : ''}{entry.takenBack ? ' taken back' : ''}</span
          >
        </span>
        {#if !entry.takenBack}
          <Act
            look="plain"
            disabled={page.keeping}
            aria-expanded={open}
            onclick={() => (page.correcting = open ? null : structuredClone($state.snapshot(entry)))}
            >{open ? 'Leave it' : 'Correct'}</Act
          >
        {/if}
        <Act look="plain" disabled={page.keeping} onclick={() => page.change({ ...entry, takenBack: !entry.takenBack })}
          >{entry.takenBack ? 'Put in again' : 'Take back'}</Act
        >
        {#if open && page.correcting}
          {@const draft = page.correcting}
          <div class="correct">
            <Field label="Count as seen" inline bind:value={draft.said} />
            {#if draft.rows.length}
              <RowsTable
                label="People of this entry"
                rows={draft.rows}
                oncorrect={(row, field, value) => page.correct(row, field, value)}
                onremove={(i) => draft.rows.splice(i, 1)}
              />
            {/if}
            <Act look="main" onclick={page.keepCorrection}>Keep the correction</Act>
          </div>
        {/if}
      </li>
    {/each}
  </ul>
{:else}
  <p class="soft empty">Nothing yet. Run the search, type the count you see, and paste the pages.</p>
{/each}

<style>
  h3 {
    font-size: 12px;
    font-weight: 400;
    color: var(--soft);
    padding: 8px 14px 2px;
  }
  ul {
    list-style: none;
    padding: 0;
    margin: 0;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 10px;
    align-items: baseline;
    padding: 3px 14px;
    border-top: 1px solid var(--rule);
    font-size: 13px;
  }
  .what {
    flex: 1;
  }
  .back .what {
    text-decoration: line-through;
    color: var(--soft);
  }
  .correct {
    flex-basis: 100%;
    display: grid;
    gap: 6px;
    justify-items: start;
    padding: 4px 0 8px;
  }
  .empty {
    padding: 12px 14px;
    font-size: 13px;
  }
</style>
