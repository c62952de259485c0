<script lang="ts">
  import { sampleList as say } from '../words';
  import Accordion from '$lib/ui/Accordion.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { count } from '$lib/marks/format';
  import type { Query } from '$core/language';
  import type { MatchingRules } from '$core/semantics';
  import type { Drawn } from '../judging/judging.svelte';
  import { causesOffered, verdictsShown, certainties, type Shown, type Certainty } from './sample-filter';

  interface Props {
    briefId: string;
    sourceId: string;
    sample: readonly Drawn[];
    /** The string that found them; null where it cannot be read any more. */
    query: Query | null;
    matching: MatchingRules;
    onjudged: () => void;
  }
  let { briefId, sourceId, sample, query, matching, onjudged }: Props = $props();

  let open = $state(false);
  let verdict: Shown = $state('all');
  let certainty: Certainty = $state('all');
  let cause = $state('');
  let found: ReadonlyMap<string, readonly string[]> = $state.raw(new Map());
  // The stemmer is heavy, so it loads when the list is first opened.
  $effect(() => {
    if (!open || !query) return;
    const [asked, people, rules] = [query, sample, matching];
    let stale = false;
    void import('./causes-by-person').then(({ causesByPerson }) => {
      if (!stale) found = causesByPerson(asked, people, rules);
    });
    return () => (stale = true);
  });
  const causes = $derived(causesOffered(found));
  const people = $derived(
    sample
      .filter((one) => verdictsShown[verdict].holds(one) && certainties[certainty].holds(one))
      .filter(({ person }) => !cause || found.get(person.id)?.includes(cause))
      .map((one) => ({ rank: one.rank, person: one.person, verdict: one.verdict, note: one.note?.text ?? '' }))
  );
</script>

<!-- Everybody drawn at once: to be searched, sorted, judged together and saved. -->
<div class="sheet">
  <Accordion title={say.allAsList(count(sample.length))} bind:open>
    <div class="line">
      <Select label={say.verdict} bind:value={verdict}>
        {#each Object.entries(verdictsShown) as [id, { words }] (id)}<option value={id}>{words()}</option>{/each}
      </Select>
      <Select label={say.certainty} bind:value={certainty}>
        {#each Object.entries(certainties) as [id, { words }] (id)}<option value={id}>{words()}</option>{/each}
      </Select>
      {#if causes.length}
        <Select label={say.matchedBy} bind:value={cause}>
          <option value="">{say.anyTerm}</option>
          {#each causes as { term, people } (term)}<option value={term}>{term} ({count(people)})</option>{/each}
        </Select>
      {/if}
      <span class="soft">{say.shown(count(people.length))}</span>
    </div>
    {#if open}
      {#await import('./PeopleToJudge.svelte') then { default: PeopleToJudge }}
        <PeopleToJudge {briefId} {sourceId} {people} label={say.peopleInSample} {onjudged} />
      {/await}
    {/if}
  </Accordion>
</div>

<style>
  .sheet {
    margin-top: 12px;
    padding: 6px 14px;
  }
  .line {
    display: flex;
    gap: 16px;
    align-items: center;
    margin-bottom: 4px;
    font-size: 13px;
  }
</style>
