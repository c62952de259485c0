<script lang="ts">
  import { moreLike as say } from './words';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import { goto } from '$app/navigation';
  import type { Answer } from '$api';
  import { call } from '$lib/api/call';
  import { brief as briefPath } from '$lib/frame/paths';
  import { count, percent, percentRange } from '$lib/marks/format';
  import type { ShortlistPage } from './shortlist-page.svelte';

  interface Props {
    desk: ShortlistPage;
    reply: Answer<'moreLike'> | null;
  }
  let { desk, reply = $bindable() }: Props = $props();

  async function test() {
    const { text } = reply!;
    reply = null;
    const kept = await desk.attempt(() =>
      call('keepVersion', { params: { id: desk.params.id }, body: { text: text!, parent: null } })
    );
    if (kept) await goto(briefPath(desk.params.id, 'string', { version: kept.number }), { invalidateAll: true });
  }
</script>

<!-- What chosen people share, as a string that is tested like any other. -->
<Modal
  open={reply !== null}
  modalHeading={say.moreLikeThese}
  primaryButtonText={say.saveAsVersionAndTest}
  primaryButtonDisabled={!reply?.text}
  secondaryButtonText={say.close}
  size="lg"
  on:close={() => (reply = null)}
  on:click:button--secondary={() => (reply = null)}
  on:submit={test}
>
  {#if reply}
    {#if reply.text}<pre class="mono">{reply.text}</pre>
      <p>
        {#if reply.precision.judged}{say.judgedPeopleItFindsAreFits(
            count(reply.precision.judged),
            percent(reply.precision.fits / reply.precision.judged),
            percentRange(reply.precision.interval)
          )}{:else}{say.nobodyItFindsHasBeenJudged}{/if}
        {say.itWouldAddPeopleThisBrief(count(reply.adds.people))}{reply.adds.some.length
          ? `, such as ${reply.adds.some
              .slice(0, 4)
              .map(({ name, jobs }) => [name, jobs?.[0]?.title].filter(Boolean).join(', '))
              .join('; ')}`
          : ''}.
      </p>
      <table>
        <thead
          ><tr
            ><th>{say.inCommon}</th><th>{say.thesePeople}</th><th>{say.everyoneElse}</th><th>{say.timesAsOften}</th></tr
          ></thead
        >
        <tbody>
          {#each reply.traits as { text, good, ofGood, rest, ofRest, lift } (text)}
            <tr
              ><td class="mono">{text}</td><td>{say.ofText(good, ofGood)}</td><td
                >{say.ofText2(count(rest), count(ofRest))}</td
              ><td>{lift.toFixed(1)}</td></tr
            >
          {/each}
        </tbody>
      </table>
    {:else}<p>
        {say.theyHaveNothingInCommonThat}
      </p>{/if}
    {#if reply.firms.length}
      <h4>{say.similarFirms}</h4>
      <ul>
        {#each reply.firms as { company, people, shared, listed: of } (company)}
          <li>{company} <span class="soft">{say.factsMatchPeopleSeenThere(shared, of, count(people))}</span></li>
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
