<script lang="ts">
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import { goto } from '$app/navigation';
  import type { Answer } from '$api';
  import { call } from '$lib/api/call';
  import { brief as briefPath } from '$lib/frame/paths';
  import { count, percent, percentRange } from '$lib/marks/format';
  import type { ShortlistPage } from './shortlist-page.svelte';

  interface Props {
    desk: ShortlistPage;
    told: Answer<'moreLike'> | null;
  }
  let { desk, told = $bindable() }: Props = $props();

  async function test() {
    const { text } = told!;
    told = null;
    const kept = await desk.attempt(() =>
      call('keepVersion', { params: { id: desk.params.id }, body: { text: text!, parent: null } })
    );
    if (kept) await goto(briefPath(desk.params.id, 'string', { version: kept.number }), { invalidateAll: true });
  }
</script>

<!-- What chosen people share, as a string that is tested like any other. -->
<Modal
  open={told !== null}
  modalHeading="More like these"
  primaryButtonText="Keep as a version, and test it"
  primaryButtonDisabled={!told?.text}
  secondaryButtonText="Close"
  size="lg"
  on:close={() => (told = null)}
  on:click:button--secondary={() => (told = null)}
  on:submit={test}
>
  {#if told}
    {#if told.text}<pre class="mono">{told.text}</pre>
      <p>
        {#if told.precision.judged}Of {count(told.precision.judged)} judged whom it finds, {percent(
            told.precision.fits / told.precision.judged
          )} fit ({percentRange(told.precision.interval)}).{:else}Nobody whom it finds was judged yet.{/if}
        It would add {count(told.adds.people)} people whom this brief has seen and who are not on the list{told.adds
          .some.length
          ? `, such as ${told.adds.some
              .slice(0, 4)
              .map(({ name, jobs }) => [name, jobs?.[0]?.title].filter(Boolean).join(', '))
              .join('; ')}`
          : ''}.
      </p>
      <table>
        <thead><tr><th>They share</th><th>these</th><th>the rest</th><th>times as often</th></tr></thead>
        <tbody>
          {#each told.traits as { text, good, ofGood, rest, ofRest, lift } (text)}
            <tr
              ><td class="mono">{text}</td><td>{good} of {ofGood}</td><td>{count(rest)} of {count(ofRest)}</td><td
                >{lift.toFixed(1)}</td
              ></tr
            >
          {/each}
        </tbody>
      </table>
    {:else}<p>
        They share nothing that a string could ask for: their titles are not told, or have nothing in common.
      </p>{/if}
    {#if told.firms.length}
      <h4>Firms like theirs</h4>
      <ul>
        {#each told.firms as { company, people, shared, told: of } (company)}
          <li>{company} <span class="soft">{shared} of {of} facts alike; {count(people)} seen there</span></li>
        {/each}
      </ul>
    {/if}
  {/if}
</Modal>

<style>
  pre {
    white-space: pre-wrap;
    background: var(--sunk, var(--accent-2));
    padding: 10px;
  }
  table {
    margin: 10px 0;
    border-collapse: collapse;
    width: 100%;
    font-size: 12.5px;
  }
  td,
  th {
    text-align: left;
    padding: 3px 10px 3px 0;
    border-bottom: 1px solid var(--rule);
  }
  ul {
    columns: 3;
    padding-left: 18px;
    font-size: 12.5px;
    line-height: 1.5;
  }
  h4 {
    font-size: 14px;
    font-weight: 600;
  }
</style>
