<script lang="ts">
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { about, count, percent, percentRange } from '$lib/marks/format';
  import { verdicts } from '$lib/marks/verdicts';
  import type { Verdict } from '$core/measure/precision';
  import { countryName } from '$core/people/countries';
  import { contract, type Answer } from '$server/api/contract';

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
      const told = await call(contract.whoGoes, { params: { id: briefId }, body: { from, to, sourceId, size: 30 } });
      if (mine === turn) answer = told;
    } catch (problem) {
      if (mine === turn) refused = problem;
    }
  }
  $effect(() => {
    void [from, to, sourceId];
    answer = null;
    refused = null;
    void load();
  });
  async function judge(one: Answered['goes']['sample'][number], verdict: Verdict) {
    refused = null;
    const back = one.verdict?.verdict === verdict;
    try {
      await call(contract.giveVerdict, {
        params: { id: briefId },
        body: {
          sourceId,
          personId: one.person.id,
          verdict: back ? null : verdict,
          reason: back ? '' : (one.verdict?.reason ?? ''),
          revision: one.verdict?.revision ?? 0
        }
      });
      onjudged();
    } catch (problem) {
      refused = problem;
    }
    await load();
  }
  const now = (person: Answered['goes']['sample'][number]['person']) => person.jobs?.find(({ to: end }) => !end);
  const summary = ({ fits }: Answered['goes']) =>
    fits.judged
      ? `${fits.count} of ${fits.judged} judged are fits: ${percent(fits.count / fits.judged)}, ${percentRange(fits.interval)}`
      : 'nobody judged yet';
</script>

<section class="sheet" aria-label="Who goes">
  <header>
    <h3>Who goes: {says}</h3>
    <label
      >at <select bind:value={sourceId}>
        {#each sources as source (source.id)}<option value={source.id}>{source.name}</option>{/each}
      </select></label
    >
    <button class="quiet" onclick={onclose}>Close</button>
  </header>
  <Refused problem={refused} />
  {#if answer}
    {#each [['goes', 'would go'], ['comes', 'would come']] as const as [key, words] (key)}
      {@const side = answer[key]}
      {#if key === 'goes' || side.shown}
        <p>
          <b>{about(side.count)} {words}</b>{side.shown
            ? `, ${count(side.sample.length)} of ${count(side.shown)} shown drawn to read; ${summary(side)}.`
            : '.'}
        </p>
        {#if side.sample.length}
          <table class="board" aria-label="People who {words}">
            <tbody>
              {#each side.sample as one (one.person.id)}
                <tr>
                  <td>{one.person.name}</td>
                  <td>{now(one.person)?.title ?? ''}</td>
                  <td>{now(one.person)?.company ?? ''}</td>
                  <td class="soft">{one.person.country ? countryName(one.person.country) : ''}</td>
                  <td class="judge">
                    {#each Object.entries(verdicts) as [verdict, { sign, word, colour }] (verdict)}
                      <button
                        class="quiet"
                        aria-pressed={one.verdict?.verdict === verdict}
                        aria-label="{one.person.name} is a {word.toLowerCase()}"
                        style:color={colour}
                        onclick={() => judge(one, verdict as Verdict)}>{sign} {word}</button
                      >
                    {/each}
                  </td>
                </tr>
              {/each}
            </tbody>
          </table>
        {/if}
      {/if}
    {/each}
  {:else if !refused}
    <p class="soft" role="status">Finding them…</p>
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
  td {
    padding: 2px 10px;
    font-size: 12.5px;
  }
  .judge {
    white-space: nowrap;
  }
  .judge button {
    padding: 0 7px;
    font-size: 12px;
  }
  .judge [aria-pressed='true'] {
    background: var(--accent-2);
    font-weight: 600;
  }
</style>
