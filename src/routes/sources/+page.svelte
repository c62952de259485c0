<script lang="ts">
  import { onMount } from 'svelte';
  import { invalidate } from '$app/navigation';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import ImportDesk from '$lib/imports/ImportDesk.svelte';
  import { count } from '$lib/marks/format';
  import { contract, type Answer } from '$server/api/contract';

  let { data } = $props();
  type Source = Answer<'listSources'>[number];
  let deleting: Source | null = $state(null);
  let refused: unknown = $state(null);

  function readiness({ readiness: now }: Source): string {
    if ('reason' in now) return `not ready: ${now.reason}`;
    return now.state === 'ready' ? 'ready' : 'its people are being prepared';
  }

  function counting({ counting: how, limits }: Source['sheet']): string {
    const counts =
      how.kind === 'exact'
        ? 'Counts exactly'
        : how.kind === 'rounded'
          ? `Rounds counts over ${count(how.above)} to ${how.figures} figures`
          : `Guesses counts, up to ${how.factor} times off`;
    return `${counts}; ${limits.shown === null ? 'shows everyone' : `shows the first ${count(limits.shown)}`}.`;
  }
  function asking({ boxes, facts }: Source['sheet']): string {
    if (boxes.some((box) => box.scoped)) return 'Takes every string as it is.';
    const words = boxes.map((box) => box.label.toLowerCase()).join(', ');
    const how = boxes.every((box) => box.or) ? 'and, or, not, phrases and groups' : 'words joined by and, nothing else';
    return `Boxes: ${words} (${how}).${facts.length ? ` Facts: ${facts.map((fact) => fact.scope).join(', ')}.` : ''}`;
  }

  onMount(() => {
    const poll = setInterval(() => {
      if (data.sources.some((source) => source.readiness.state === 'preparing')) void invalidate('eave:sources');
    }, 1500);
    return () => clearInterval(poll);
  });

  async function remove(source: Source) {
    refused = null;
    try {
      await call(contract.deleteSource, { params: { source: source.id } });
    } catch (problem) {
      refused = problem;
    }
    await invalidate('eave:sources');
  }
</script>

<div class="strip">
  <h1>Sources</h1>
  <p class="soft">
    Places that find people. The stand-ins ship with Eave: all their people and firms are invented, from one world.
  </p>
</div>
<Refused problem={refused} />

<div class="grid">
  <table class="board">
    <thead><tr><th>Source</th><th>People</th><th>How it is asked</th><th>How it counts</th><th>State</th></tr></thead>
    <tbody>
      {#each data.sources as source (source.id)}
        <tr>
          <td class="who"
            ><b>{source.name}</b>
            <div class="soft">{source.kind === 'file' ? 'imported file' : 'stand-in'}</div></td
          >
          <td>{source.people === null ? '…' : count(source.people)}</td>
          <td>{asking(source.sheet)}</td>
          <td>{counting(source.sheet)}</td>
          <td
            >{readiness(source)}{#if source.kind === 'file'}<br /><button
                class="quiet"
                onclick={() => (deleting = source)}>Delete</button
              >{/if}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  <ImportDesk ondone={() => invalidate('eave:sources')} />
</div>

<Modal
  danger
  open={deleting !== null}
  modalHeading="Delete this source?"
  primaryButtonText="Delete for good"
  secondaryButtonText="Leave it"
  size="sm"
  on:close={() => (deleting = null)}
  on:click:button--secondary={() => (deleting = null)}
  on:submit={() => {
    const source = deleting;
    deleting = null;
    if (source) void remove(source);
  }}
>
  <p>
    “{deleting?.name}” goes with its people, its trials and the verdicts on its people, in every brief. This cannot be
    undone.
  </p>
</Modal>

<style>
  .grid {
    display: grid;
    gap: 14px;
  }
  .who {
    white-space: nowrap;
    border-left: 0;
  }
  td {
    font-size: 13px;
  }
</style>
