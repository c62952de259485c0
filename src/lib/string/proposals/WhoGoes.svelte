<script lang="ts">
  import { whoGoes as say } from '../words';
  import Loading from '$lib/ui/Loading.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { call } from '$lib/api/call';
  import { certainOnly } from '$lib/frame/certain-only';
  import Refused from '$lib/frame/Refused.svelte';
  import { about, count, percent, percentRange } from '$lib/marks/format';
  import PeopleToJudge from '$lib/trial/sample/PeopleToJudge.svelte';
  import type { Answer } from '$api';

  interface Props {
    briefId: string;
    from: string;
    to: string;
    says: string;
    sources: readonly { id: string; name: string }[];
    /** Called when a verdict was given, since figures follow from it. */
    onjudged: () => void;
    onclose: () => void;
  }
  let { briefId, from, to, says, sources, onjudged, onclose }: Props = $props();

  type Answered = Answer<'whoGoes'>;
  // svelte-ignore state_referenced_locally
  let sourceId = $state(sources[0]?.id ?? '');
  let answer: Answered | null = $state.raw(null);
  let refused: unknown = $state(null);
  let turn = 0;
  async function load() {
    const mine = ++turn;
    try {
      const latest = await call('whoGoes', {
        params: { id: briefId },
        body: { from, to, sourceId, size: 30, certain: certainOnly() }
      });
      if (mine === turn) answer = latest;
    } catch (problem) {
      if (mine === turn) refused = problem;
    }
  }
  $effect(() => {
    void [from, to, sourceId, certainOnly()];
    answer = null;
    refused = null;
    void load();
  });
  const summary = ({ fits }: Answered['goes']) =>
    fits.judged
      ? say.judgedAreFits(fits.count, fits.judged, percent(fits.count / fits.judged), percentRange(fits.interval))
      : say.nobodyJudgedYet;
</script>

<section class="sheet" aria-label={say.whoWouldBeRemoved}>
  <header>
    <h3>{say.whoWouldBeRemoved2(says)}</h3>
    <Select label={say.at} bind:value={sourceId}>
      {#each sources as source (source.id)}<option value={source.id}>{source.name}</option>{/each}
    </Select>
    <Button onclick={onclose}>{say.close}</Button>
  </header>
  <Refused problem={refused} />
  {#if answer}
    {#each [['goes', say.wouldBeRemoved], ['comes', say.wouldBeAdded]] as const as [key, words] (key)}
      {@const side = answer[key]}
      {#if key === 'goes' || side.shown}
        <p>
          <b>{about(side.count)} {words}</b>{side.shown
            ? say.shownHere(count(side.sample.length), count(side.shown), summary(side))
            : '.'}
        </p>
        {#if side.sample.length}
          <PeopleToJudge
            {briefId}
            {sourceId}
            people={side.sample}
            label={say.peopleWho(words)}
            onjudged={() => {
              onjudged();
              void load();
            }}
          />
        {/if}
      {/if}
    {/each}
  {:else if !refused}
    <Loading label={say.findingThem} lines={3} />
  {/if}
</section>

<style>
  section {
    margin: 10px 0;
    padding: 10px 14px;
    font-size: 13px;
  }
  header {
    display: flex;
    gap: 14px;
    align-items: baseline;
  }
  h3 {
    flex: 1;
    font-size: 13.5px;
  }
</style>
