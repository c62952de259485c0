<script lang="ts">
  import { diaryEntries as say } from './words';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
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
  const people = (number: number) => say.people(number, count(number));
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
          {#if several}{say.search(entry.search + 1)}{/if}
          {#if entry.rows.length}<b>{entry.page === null ? say.page : say.page2(count(entry.page))}</b>
            {people(entry.rows.length)}{/if}
          {#if entry.count}<b>{say.count}</b>
            {entry.said}
            <span class="soft"
              >{say.readAs}
              {entry.count.open ? say.orMore(count(entry.count.said)) : counted(entry.count.interval)}</span
            >{/if}
          <span class="soft">
            {entry.known ? say.alreadyKnown(count(entry.known)) : ''}{entry.known && doubts ? '; ' : ''}{doubts
              ? say.toCheck(count(doubts))
              : ''}{entry.takenBack ? say.removed : ''}</span
          >
        </span>
        {#if !entry.takenBack}
          <Button
            kind="ghost"
            disabled={page.keeping}
            aria-expanded={open}
            onclick={() => (page.correcting = open ? null : structuredClone($state.snapshot(entry)))}
            >{open ? say.cancel : say.edit}</Button
          >
        {/if}
        <Button
          kind="ghost"
          disabled={page.keeping}
          onclick={() => page.change({ ...entry, takenBack: !entry.takenBack })}
          >{entry.takenBack ? say.restore : say.remove}</Button
        >
        {#if open && page.correcting}
          {@const draft = page.correcting}
          <div class="correct">
            <TextInput label={say.countShown} inline bind:value={draft.said} />
            {#if draft.rows.length}
              <RowsTable
                label={say.peopleInThisEntry}
                rows={draft.rows}
                oncorrect={(row, field, value) => page.correct(row, field, value)}
                onremove={(i) => draft.rows.splice(i, 1)}
              />
            {/if}
            <Button kind="primary" onclick={page.keepCorrection}>{say.save}</Button>
          </div>
        {/if}
      </li>
    {/each}
  </ul>
{:else}
  <p class="soft empty">{say.nothingHereYetRunSearchEnter}</p>
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
