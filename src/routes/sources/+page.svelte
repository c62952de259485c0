<script lang="ts">
  import { sourcesPage as say } from '$lib/sources/words';
  import ConfirmDialog from '$lib/ui/ConfirmDialog.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Accordion from '$lib/ui/Accordion.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import WorldCalendar from '$lib/sources/WorldCalendar.svelte';
  import ConnectService from '$lib/sources/ConnectService.svelte';
  import { hasPeopleHere } from '$api/source-kinds';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import ArrowDown from 'carbon-icons-svelte/lib/ArrowDown.svelte';
  import ArrowUp from 'carbon-icons-svelte/lib/ArrowUp.svelte';
  import { asking, counting, faultWords, kinds, readiness } from '$lib/sources/source-words';
  import Retention from '$lib/sources/Retention.svelte';
  import { followSources } from '$lib/kept/follow-sources';
  import { reload } from '$lib/kept/reload';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import ImportDesk from '$lib/imports/ImportDesk.svelte';
  import { count } from '$lib/marks/format';
  import { type Sheet, generalSheets } from '$core/dialect';
  import type { Answer } from '$api';

  let { data } = $props();
  type Source = Answer<'listSources'>[number];
  let deleting: Source | null = $state(null);
  let refused: unknown = $state(null);

  onMount(() => followSources(() => data.sources));

  async function start(sheet: Sheet) {
    refused = null;
    try {
      const made = await call('createByHand', { body: { sheet } });
      await goto(`/sources/${made.id}`);
    } catch (problem) {
      refused = problem;
    }
  }

  async function switchFault(source: Source, fault: keyof typeof faultWords, on: boolean) {
    refused = null;
    try {
      await call('switchFaults', {
        params: { source: source.id },
        body: { ...$state.snapshot(source.faults)!, [fault]: on }
      });
    } catch (problem) {
      refused = problem;
    }
    await reload('eave:sources');
  }

  /** Puts a source one place up or down, or hides it or shows it again. */
  async function arrange(change: { move?: { id: string; by: -1 | 1 }; hidden?: { id: string; is: boolean } }) {
    refused = null;
    const order = data.sources.map(({ id }) => id);
    if (change.move) {
      const from = order.indexOf(change.move.id);
      const [moved] = order.splice(from, 1);
      order.splice(from + change.move.by, 0, moved!);
    }
    const hidden = data.sources.filter(({ id, hidden }) => (change.hidden?.id === id ? change.hidden.is : hidden));
    try {
      await call('arrangeSources', { body: { order, hidden: hidden.map(({ id }) => id) } });
    } catch (problem) {
      refused = problem;
    }
    await reload('eave:sources');
  }

  async function remove(source: Source) {
    refused = null;
    try {
      await call('deleteSource', { params: { source: source.id } });
    } catch (problem) {
      refused = problem;
    }
    await reload('eave:sources');
  }
</script>

<div class="strip">
  <h1>{say.sources}</h1>
  <p class="soft">
    {say.whereEaveFindsPeopleStandIns}
  </p>
</div>
<Refused problem={refused} />

<div class="grid">
  <WorldCalendar
    world={data.world}
    busy={data.sources.some(({ kind, readiness }) => kind === 'stand-in' && readiness.state === 'preparing')}
  />
  <div class="tabled">
    <Table>
      <TableHead
        ><TableRow
          ><TableHeader>{say.source}</TableHeader><TableHeader>{say.people}</TableHeader><TableHeader
            >{say.searching}</TableHeader
          ><TableHeader>{say.counting}</TableHeader><TableHeader>{say.status}</TableHeader><TableHeader
            >{say.order}</TableHeader
          ></TableRow
        ></TableHead
      >
      <TableBody>
        {#each data.sources as source, i (source.id)}
          <TableRow class={source.hidden ? 'hidden' : ''}>
            <TableCell class="who"
              ><a href="/sources/{source.id}"><b>{source.name}</b></a>
              <div class="soft">{kinds[source.kind]}{source.hidden ? say.hidden : ''}</div></TableCell
            >
            <TableCell
              >{!hasPeopleHere(source.kind) ? '–' : source.people === null ? '…' : count(source.people)}</TableCell
            >
            <TableCell>{asking(source.sheet)}</TableCell>
            <TableCell>{counting(source.sheet)}</TableCell>
            <TableCell
              >{readiness(source)}{#if source.kind !== 'stand-in'}<br /><Button onclick={() => (deleting = source)}
                  >{say.deleteText}</Button
                >{/if}
              {#if source.faults}
                <Accordion title={say.faultsOn(Object.values(source.faults).filter(Boolean).length)}>
                  {#each Object.entries(faultWords) as [fault, words] (fault)}
                    <Checkbox
                      label={words}
                      checked={source.faults[fault as keyof typeof faultWords]}
                      onchange={(on) => switchFault(source, fault as keyof typeof faultWords, on)}
                    />
                  {/each}
                </Accordion>
              {/if}</TableCell
            >
            <TableCell class="arrange"
              ><Button
                kind="ghost"
                icon={ArrowUp}
                aria-label={say.moveUp(source.name)}
                disabled={i === 0}
                onclick={() => arrange({ move: { id: source.id, by: -1 } })}
              /><Button
                kind="ghost"
                icon={ArrowDown}
                aria-label={say.moveDown(source.name)}
                disabled={i === data.sources.length - 1}
                onclick={() => arrange({ move: { id: source.id, by: 1 } })}
              /><Button
                aria-label="{source.hidden ? say.show : say.hide} {source.name}"
                onclick={() => arrange({ hidden: { id: source.id, is: !source.hidden } })}
                >{source.hidden ? say.show : say.hide}</Button
              ></TableCell
            >
          </TableRow>
        {/each}
      </TableBody>
    </Table>
  </div>
  <section class="sheet own" aria-label={say.addManualSource}>
    <h2>{say.manualSource}</h2>
    <p class="soft">
      {say.forSourceEaveCantReachIt}
    </p>
    {#each generalSheets as sheet (sheet.id)}
      <p><Button onclick={() => start(sheet)}>{sheet.name}</Button> <span class="soft">{sheet.about}</span></p>
    {/each}
  </section>
  <ConnectService />
  <ImportDesk
    files={data.sources.filter(({ kind }) => kind === 'file')}
    briefs={data.briefs.filter(({ archived }) => !archived)}
    onto={data.onto}
    ondone={() => reload('eave:sources')}
  />
  <Retention rules={data.retention} />
</div>

<ConfirmDialog
  open={deleting !== null}
  heading={say.deleteThisSource}
  confirm={say.deleteText2}
  onconfirm={() => deleting && void remove(deleting)}
  onclose={() => (deleting = null)}
>
  {say.thisDeletesWith(deleting?.name)}
  {deleting && hasPeopleHere(deleting.kind) ? say.itsPeople : say.itsSheet}{say.itsTrialsAndVerdictsOnIts}
</ConfirmDialog>

<style>
  .own {
    padding: 12px 16px;
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: baseline;
  }
  .own p {
    flex: 1;
    font-size: 13px;
  }
  .grid {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
  .tabled :global(.who) {
    white-space: nowrap;
    border-left: 0;
  }
  .tabled :global(.arrange) {
    white-space: nowrap;
  }
  .tabled :global(.hidden td) {
    color: var(--soft);
  }
  .tabled :global(td) {
    font-size: 13px;
  }
</style>
