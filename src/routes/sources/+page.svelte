<script lang="ts">
  import Sure from '$lib/ui/Sure.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Fold from '$lib/ui/Fold.svelte';
  import Act from '$lib/ui/Act.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import WorldCalendar from '$lib/sources/WorldCalendar.svelte';
  import ConnectService from '$lib/sources/ConnectService.svelte';
  import { hasPeopleHere } from '$api/source-kinds';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import ArrowDown from 'carbon-icons-svelte/lib/ArrowDown.svelte';
  import ArrowUp from 'carbon-icons-svelte/lib/ArrowUp.svelte';
  import Retention from '$lib/sources/Retention.svelte';
  import { followSources } from '$lib/kept/follow-sources';
  import { reload } from '$lib/kept/reload';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import ImportDesk from '$lib/imports/ImportDesk.svelte';
  import { count } from '$lib/marks/format';
  import { factLabel, type Sheet, generalSheets } from '$core/dialect';
  import type { Answer } from '$api';

  let { data } = $props();
  type Source = Answer<'listSources'>[number];
  const kinds = {
    'stand-in': 'stand-in',
    file: 'imported file',
    'by-hand': 'run by hand',
    connected: 'connected service'
  };
  let deleting: Source | null = $state(null);
  let refused: unknown = $state(null);

  function readiness(source: Source): string {
    const { readiness: now } = source;
    if (source.kind === 'by-hand') return 'you run it';
    if (source.kind === 'connected') return 'asked over the net';
    if ('reason' in now) return `not ready: ${now.reason}`;
    if (now.state === 'ready') return 'ready';
    const what = source.kind === 'file' ? 'people' : 'places';
    return `its people are being prepared${now.of ? ` (${count(now.done ?? 0)} of ${count(now.of)} ${what})` : ''}`;
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
    const can = (['or', 'not', 'phrase', 'group'] as const).filter((sign) => boxes.some((box) => box[sign]));
    const how = can.length ? ['and', ...can].join(', ') : 'words joined by and, nothing else';
    const first = boxes.some((box) => box.binding === 'or-first') ? ', or binds first' : '';
    return [
      boxes.length ? `Boxes: ${words} (${how}${first}).` : 'No free text: lists and facts.',
      facts.length ? `Facts: ${facts.map(factLabel).join(', ')}.` : ''
    ].join(' ');
  }

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

  const faultWords = {
    slow: 'slow answers',
    timeOuts: 'no answer now and then',
    refusals: 'refuses too many requests',
    repeats: 'a page that repeats',
    drift: 'a count that changes between pages'
  } as const;
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
  <h1>Sources</h1>
  <p class="soft">
    Places that find people. The stand-ins ship with Eave: all their people and firms are invented, from one world.
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
          ><TableHeader>Source</TableHeader><TableHeader>People</TableHeader><TableHeader>How it is asked</TableHeader
          ><TableHeader>How it counts</TableHeader><TableHeader>State</TableHeader><TableHeader>Order</TableHeader
          ></TableRow
        ></TableHead
      >
      <TableBody>
        {#each data.sources as source, i (source.id)}
          <TableRow class={source.hidden ? 'hidden' : ''}>
            <TableCell class="who"
              ><a href="/sources/{source.id}"><b>{source.name}</b></a>
              <div class="soft">{kinds[source.kind]}{source.hidden ? ', hidden' : ''}</div></TableCell
            >
            <TableCell
              >{!hasPeopleHere(source.kind) ? '–' : source.people === null ? '…' : count(source.people)}</TableCell
            >
            <TableCell>{asking(source.sheet)}</TableCell>
            <TableCell>{counting(source.sheet)}</TableCell>
            <TableCell
              >{readiness(source)}{#if source.kind !== 'stand-in'}<br /><Act onclick={() => (deleting = source)}
                  >Delete</Act
                >{/if}
              {#if source.faults}
                <Fold title="Faults ({Object.values(source.faults).filter(Boolean).length} on)">
                  {#each Object.entries(faultWords) as [fault, words] (fault)}
                    <Tick
                      label={words}
                      checked={source.faults[fault as keyof typeof faultWords]}
                      ontick={(on) => switchFault(source, fault as keyof typeof faultWords, on)}
                    />
                  {/each}
                </Fold>
              {/if}</TableCell
            >
            <TableCell class="arrange"
              ><Act
                look="plain"
                icon={ArrowUp}
                aria-label="Move {source.name} up"
                disabled={i === 0}
                onclick={() => arrange({ move: { id: source.id, by: -1 } })}
              /><Act
                look="plain"
                icon={ArrowDown}
                aria-label="Move {source.name} down"
                disabled={i === data.sources.length - 1}
                onclick={() => arrange({ move: { id: source.id, by: 1 } })}
              /><Act
                aria-label="{source.hidden ? 'Show' : 'Hide'} {source.name}"
                onclick={() => arrange({ hidden: { id: source.id, is: !source.hidden } })}
                >{source.hidden ? 'Show' : 'Hide'}</Act
              ></TableCell
            >
          </TableRow>
        {/each}
      </TableBody>
    </Table>
  </div>
  <section class="sheet own" aria-label="Add a place that you run by hand">
    <h2>A place that you run by hand</h2>
    <p class="soft">
      For a place Eave cannot reach: it writes the search for you to copy. Start from what comes closest, and say how
      the place is asked.
    </p>
    {#each generalSheets as sheet (sheet.id)}
      <Act onclick={() => start(sheet)} title={sheet.about}>{sheet.name}</Act>
    {/each}
  </section>
  <ConnectService />
  <ImportDesk files={data.sources.filter(({ kind }) => kind === 'file')} ondone={() => reload('eave:sources')} />
  <Retention rules={data.retention} />
</div>

<Sure
  open={deleting !== null}
  heading="Delete this source?"
  yes="Delete for good"
  onyes={() => deleting && void remove(deleting)}
  onclose={() => (deleting = null)}
>
  “{deleting?.name}” goes with {deleting && hasPeopleHere(deleting.kind) ? 'its people' : 'its sheet'}, its trials and
  the verdicts on its people, in every brief. This cannot be undone.
</Sure>

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
