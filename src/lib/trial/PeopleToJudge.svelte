<script lang="ts">
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { verdicts } from '$lib/marks/verdicts';
  import type { Verdict } from '$core/measure';
  import { countryName } from '$core/people';
  import { contract, type Answer } from '$server/api/contract';

  type Drawn = Answer<'whoGoes'>['goes']['sample'][number];
  interface Props {
    briefId: string;
    sourceId: string;
    people: readonly Drawn[];
    label: string;
    /** Called when a verdict was given, since figures follow from it. */
    onjudged: () => void;
  }
  let { briefId, sourceId, people, label, onjudged }: Props = $props();

  let refused: unknown = $state(null);
  async function judge(one: Drawn, verdict: Verdict) {
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
    } catch (problem) {
      refused = problem;
    }
    onjudged();
  }
  const now = ({ person }: Drawn) => person.jobs?.find(({ to }) => !to);
</script>

<Refused problem={refused} />
<table class="board" aria-label={label}>
  <tbody>
    {#each people as one (one.person.id)}
      <tr>
        <td>{one.person.name}</td>
        <td>{now(one)?.title ?? ''}</td>
        <td>{now(one)?.company ?? ''}</td>
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

<style>
  td {
    padding: 2px 10px;
    font-size: 12.5px;
  }
</style>
