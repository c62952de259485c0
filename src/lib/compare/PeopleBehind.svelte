<script lang="ts">
  import { certainQuery } from '$lib/frame/certain-only';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { count } from '$lib/marks/format';
  import PeopleToJudge from '$lib/trial/PeopleToJudge.svelte';
  import { contract, type Answer, type BehindKind } from '$server/api/contract';

  interface Props {
    briefId: string;
    version: number;
    source: { id: string; name: string };
    kind: BehindKind;
    /** Changes when something of the brief did. */
    turn: number;
    onjudged: () => void;
    onclose: () => void;
  }
  let { briefId, version, source, kind, turn, onjudged, onclose }: Props = $props();

  const words: Record<BehindKind, string> = {
    found: 'found',
    fits: 'judged fit in the sample',
    misses: 'judged miss in the sample',
    known: 'known-goods found',
    onlyVersion: 'found by no other version',
    onlySource: 'found at no other source'
  };
  let answer: Answer<'behind'> | null = $state.raw(null);
  let refused: unknown = $state(null);
  let last = '';
  $effect(() => {
    void turn;
    const asked = `${version} ${source.id} ${kind} ${certainQuery()}`;
    if (asked !== last) answer = null;
    last = asked;
    refused = null;
    call(contract.behind, {
      params: { id: briefId },
      query: { version, source: source.id, kind, certain: certainQuery() }
    }).then(
      (told) => {
        if (asked === last) answer = told;
      },
      (problem: unknown) => (refused = problem)
    );
  });
</script>

<section class="sheet panel" aria-label="The people behind it">
  <header>
    <h2>
      {answer ? count(answer.count) : '…'}
      {words[kind]}: version {version} at {source.name}
    </h2>
    <button class="quiet" onclick={onclose}>Close</button>
  </header>
  <Refused problem={refused} />
  {#if answer?.people.length}
    <div class="list">
      <PeopleToJudge {briefId} sourceId={source.id} people={answer.people} label="People {words[kind]}" {onjudged} />
    </div>
    {#if answer.count > answer.people.length}
      <p class="soft">and {count(answer.count - answer.people.length)} more</p>
    {/if}
  {:else if answer}<p class="soft">Nobody.</p>
  {:else if !refused}<p class="soft" role="status">Finding them…</p>{/if}
</section>

<style>
  h2 {
    flex: 1;
  }
</style>
