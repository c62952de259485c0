<script lang="ts">
  import { sourceCard as say } from '../words';
  import Loading from '$lib/ui/Loading.svelte';
  import { exactness } from '$lib/marks/exactness';
  import SearchBoxes from './SearchBoxes.svelte';
  import Button from '$lib/ui/Button.svelte';
  import type { Snippet } from 'svelte';
  import CopyButton from '$lib/frame/CopyButton.svelte';
  import { count, percent } from '$lib/marks/format';
  import type { Answer } from '$api';
  import type { SourceReading } from '../editor/reading-messages';

  type Source = Answer<'listSources'>[number];
  interface Props {
    source: Source;
    reading: SourceReading | undefined;
    stale: boolean;
    /** The string is empty or has errors, so that there is nothing to ask. */
    blocked?: boolean;
    /** People the source itself drops because a fact it is asked is missing, if known. */
    keptBack?: Answer<'ledger'>['keptBack'] | undefined;
    /** What stands under the card of a place run by hand. */
    hand?: Snippet | undefined;
  }
  let { source, reading, stale, blocked = false, keptBack, hand }: Props = $props();

  const limits = $derived(
    reading
      ? (['characters', 'words', 'operators', 'nesting'] as const)
          .filter((kind) => source.sheet.limits[kind] !== null)
          .map((kind) => ({ kind, used: reading.rendering.use[kind], most: source.sheet.limits[kind]! }))
      : []
  );
  const several = $derived((reading?.rendering.searches.length ?? 0) > 1);
  let shown = $state(3);
</script>

<section class="sheet" class:stale aria-label={say.searchesFor(source.name)}>
  <header>
    <h2>{source.name}</h2>
    {#if source.kind === 'by-hand'}<span class="soft">{say.manualSource}</span>{/if}
    {#if source.kind === 'connected'}<span class="soft">{say.connectedServiceCountedWhenRun}</span>{/if}
    {#if reading}
      <span class="badge {reading.rendering.exactness}">{exactness[reading.rendering.exactness].word}</span>
      <span class="soft">{exactness[reading.rendering.exactness].means}</span>
      <span class="end">
        {#if reading.rendering.searches.length}
          {say.search(reading.rendering.searches.length)}{several ? 'es' : ''}
          <CopyButton text={reading.copy} label={several ? say.copyAll : say.copy} of={source.name} />
        {/if}
      </span>
    {/if}
  </header>
  {#if reading}
    {#if limits.length && reading.rendering.searches.length}
      <div class="limits">
        {#each limits as { kind, used, most } (kind)}
          <div>
            <span class="soft">{say.ofText(count(used), count(most), kind)}</span>
            <div class="use-bar">
              <i style:width="{Math.min(100, (100 * used) / most)}%" class:full={used > 0.9 * most}></i>
            </div>
          </div>
        {/each}
      </div>
    {/if}
    {#each [...reading.rendering.notes, ...reading.problems
        .filter(({ code }) => code !== 'over-limit')
        .map(({ message }) => message)] as note (note)}<p class="note">{note}</p>{/each}
    {#if keptBack}
      <p class="note">
        {say.dropsPeopleAllWhoCouldMatch(source.name, count(keptBack.people), percent(keptBack.share))}
        {keptBack.facts.join(' or ')}{say.whichSearchAsksFor}
      </p>
    {/if}
    <ol>
      {#each reading.rendering.searches.slice(0, shown) as search, i (i)}
        <li>
          <SearchBoxes {source} {search} of={several ? i : null} />
        </li>
      {/each}
    </ol>
    {#if reading.rendering.searches.length > shown}
      <Button onclick={() => (shown = Infinity)}>{say.showAllSearches(reading.rendering.searches.length)}</Button>
    {/if}
  {:else if blocked}
    <p class="note">{say.fixErrorsInStringToSee}</p>
  {:else}
    <Loading label={say.translating} />
  {/if}
  {#if hand && reading?.rendering.searches.length}{@render hand()}{/if}
</section>

<style>
  section {
    padding: 10px 14px;
    min-width: 0;
  }
  .stale :global(code) {
    color: var(--soft);
    font-style: italic;
  }
  header {
    display: flex;
    gap: 10px;
    align-items: baseline;
    flex-wrap: wrap;
    font-size: 13px;
  }
  .end {
    margin-left: auto;
    display: flex;
    gap: 8px;
    align-items: baseline;
  }
  .limits {
    display: flex;
    gap: 18px;
    margin-top: 6px;
    font-size: 11.5px;
  }
  .limits > div {
    flex: 1;
    max-width: 220px;
  }
  .note {
    color: var(--soft);
    font-size: 12.5px;
    margin-top: 6px;
    overflow-wrap: anywhere;
  }
  ol {
    list-style: none;
    padding: 0;
    max-height: 260px;
    overflow: auto;
  }
  li {
    border-top: 1px solid var(--rule);
    padding: 5px 0;
    margin-top: 5px;
  }
  .row {
    display: grid;
    grid-template-columns: 118px 1fr auto;
    gap: 10px;
    align-items: start;
    padding: 2px 0;
    font-size: 13px;
  }
  .label {
    color: var(--soft);
    font-size: 12.5px;
  }
</style>
