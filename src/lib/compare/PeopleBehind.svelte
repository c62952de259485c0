<script lang="ts">
  import { peopleBehind as say } from './words';
  import Loading from '$lib/ui/Loading.svelte';
  import Button from '$lib/ui/Button.svelte';
  import { untrack } from 'svelte';
  import { certainQuery } from '$lib/frame/certain-only';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { count } from '$lib/marks/format';
  import PeopleToJudge from '$lib/trial/sample/PeopleToJudge.svelte';
  import type { Answer, BehindKind } from '$api';

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
    fits: say.judgedFitInSample,
    misses: say.judgedMissInSample,
    known: say.knownGoodsFound,
    onlyVersion: say.foundByNoOtherVersion,
    onlySource: say.foundAtNoOtherSource
  };
  let answer: Answer<'behind'> | null = $state.raw(null);
  let refused: unknown = $state(null);
  let last = '';
  $effect(() => {
    void turn;
    const asked = `${version} ${source.id} ${kind} ${certainQuery()}`;
    const shown = untrack(() => (asked === last ? (answer?.people.length ?? 0) : 0));
    if (asked !== last) answer = null;
    last = asked;
    void load(asked, shown);
  });

  /** Tells as many as were shown, or the first of them; a thousand come at once. */
  async function load(asked: string, atLeast: number) {
    refused = null;
    const query = { version, source: source.id, kind, certain: certainQuery() };
    try {
      let latest = await call('behind', { params: { id: briefId }, query });
      while (latest.people.length < Math.min(atLeast, latest.count)) {
        const next = await call('behind', { params: { id: briefId }, query: { ...query, skip: latest.people.length } });
        if (!next.people.length) break;
        latest = { count: next.count, people: [...latest.people, ...next.people] };
      }
      if (asked === last) answer = latest;
    } catch (problem) {
      if (asked === last) refused = problem;
    }
  }
</script>

<section class="sheet panel" aria-label={say.peopleBehindThisFigure}>
  <header>
    <h2>
      {say.versionAt(answer ? count(answer.count) : '…', words[kind], version, source.name)}
    </h2>
    <Button onclick={onclose}>{say.close}</Button>
  </header>
  <Refused problem={refused} />
  {#if answer?.people.length}
    <div class="list">
      <PeopleToJudge {briefId} sourceId={source.id} people={answer.people} label={say.people(words[kind])} {onjudged} />
    </div>
    {#if answer.count > answer.people.length}
      <Button onclick={() => load(last, answer!.people.length + 1000)}
        >{say.showMore(count(Math.min(1000, answer.count - answer.people.length)))}</Button
      >
      <span class="soft">{say.shown(count(answer.people.length), count(answer.count))}</span>
    {/if}
  {:else if answer}<p class="soft">{say.nobody}</p>
  {:else if !refused}<Loading label={say.loading} lines={4} />{/if}
</section>

<style>
  h2 {
    flex: 1;
  }
</style>
