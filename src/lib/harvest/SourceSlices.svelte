<script lang="ts">
  import { sourceSlices as say } from './words';
  import type { Body } from '$api';
  import { call } from '$lib/api/call';
  import { cutName } from '$core/harvest';
  import CopyButton from '$lib/frame/CopyButton.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import { count, counted, whole } from '$lib/marks/format';
  import Button from '$lib/ui/Button.svelte';
  import Accordion from '$lib/ui/Accordion.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import NeutralWords from './NeutralWords.svelte';
  import { drawSlices, leavesOf, sizeOf, type HarvestSource, type Slice } from './slice-bar';

  interface Props {
    source: HarvestSource;
    briefId: string;
    harvestId: string;
    /** The plan can be changed: nobody works on it. */
    still: boolean;
    onchange: (slice: string, change: Body<'changeSlice'>) => void;
    onrefused: (problem: unknown) => void;
  }
  let { source, briefId, harvestId, still, onchange, onrefused }: Props = $props();

  let width = $state(600);
  const drawn = $derived(drawSlices(source, width));
  const leaves = $derived(leavesOf(source));
  const read = $derived(leaves.filter(({ state }) => state === 'read').length);
  const words: Record<Slice['state'], string> = {
    waiting: say.waits,
    read: say.fullyRead,
    cut: say.cut,
    stuck: say.overLimitCantBeSplitFurther,
    'left out': say.excluded
  };
  /** How many cuts a slice comes from; those it was cut out of stand before it. */
  const depths = $derived.by(() => {
    const known = new Map<string, number>();
    for (const { id, parent } of source.slices) known.set(id, parent === null ? 0 : known.get(parent)! + 1);
    return known;
  });
  const lost = $derived(source.slices.flatMap(({ lost: one }) => (one && one.expected >= 0.5 ? [one] : [])));

  const isWithWord = ({ parent }: Slice) => source.slices.some(({ id, words: asked }) => id === parent && asked);

  const next = $derived(source.byHand ? source.slices.find(({ state }) => state === 'waiting') : undefined);

  let cuts: Awaited<ReturnType<typeof call<'cutsOfSlice'>>> = $state.raw([]);
  let cutting = $state('');
  async function showCuts(slice: string) {
    cutting = slice;
    cuts = [];
    try {
      cuts = await call('cutsOfSlice', { params: { id: briefId, harvest: harvestId, slice } });
    } catch (problem) {
      onrefused(problem);
    }
  }
</script>

<section aria-label={say.slices(source.sourceName)}>
  <header>
    <h2>{source.sourceName}</h2>
    {#if source.state === 'failed'}<span class="warn">{say.failed}</span>{/if}
    <span class="soft">
      {source.reported
        ? say.reports(counted(source.reported))
        : source.byHand
          ? say.noCountEnteredYet
          : say.notSearchedYet} ·
      {source.shownCap === null ? say.showsEveryone : say.showsUpToPerSearch(count(source.shownCap))}{source.spent
        ? ` · ${source.spent.amount.toLocaleString('en', { maximumFractionDigits: 2 })} ${source.spent.unit}s`
        : ''}
    </span>
  </header>
  <div bind:clientWidth={width}>
    <svg
      width="100%"
      height="38"
      role="img"
      aria-label={say.rowsCollectedInSlices(count(source.gathered.rows), read, leaves.length)}
    >
      {#each drawn as { slice, x, width: wide, done, label } (slice.id)}
        <g transform="translate({x} 0)">
          <title>{say.rows(slice.what, count(slice.rows), count(Math.round(sizeOf(slice))), words[slice.state])}</title>
          <rect class="there {slice.state.replace(' ', '-')}" width={Math.max(1, wide)} height="16" />
          <rect class="came" width={done} height="16" />
          {#if label}<text y="29" x="1"
              >{label.length > wide / 6 ? `${label.slice(0, Math.floor(wide / 6))}…` : label}</text
            >{/if}
        </g>
      {/each}
    </svg>
  </div>
  <p class="soft">
    {say.rowsIn(count(source.gathered.rows), read, leaves.length)}{source.byHand
      ? say.manual
      : say.requests(count(source.requests))}.
    {#if source.missing.high < 0.5}{#if source.state === 'done'}{say.everythingCollected}{/if}
    {:else if source.state === 'waiting'}{say.toCollect(counted(whole(source.missing)))}{source.restCost && source.spent
        ? say.forS(counted(whole(source.restCost)), source.spent.unit)
        : ''}.
    {:else}<b class="warn">{say.notCollected(counted(whole(source.missing)))}</b>{/if}
    {#each lost as one, i (i)}{say.peopleWithUnknownAreMissedAbout(one.scope, count(one.expected))}
    {/each}
    {#if source.problem}<span class="warn">{source.problem}</span>{/if}
  </p>
  {#if source.byHand}
    <p>
      <a href={briefPath(briefId, 'by-hand', { version: source.version, source: source.sourceId, harvest: harvestId })}
        >{next ? say.runNextSearch(next.what) : say.diary}</a
      >
    </p>
  {/if}
  {#each source.slices.filter(({ words: asked }) => asked) as slice (slice.id)}
    <NeutralWords {slice} {source} {briefId} {harvestId} {still} {onchange} {onrefused} />
  {/each}
  <Accordion title={say.slices2(source.sourceName, source.slices.length)}>
    <div class="tabled">
      <Table>
        <TableHead
          ><TableRow
            ><TableHeader>{say.slice}</TableHeader><TableHeader>{say.reported}</TableHeader><TableHeader
              >{say.collected}</TableHeader
            ><TableHeader>{say.newText}</TableHeader><TableHeader>{say.status}</TableHeader><TableHeader
              >{say.change}</TableHeader
            ></TableRow
          ></TableHead
        >
        <TableBody>
          {#each source.slices as slice (slice.id)}
            <TableRow>
              <TableCell
                ><span style:padding-left="{depths.get(slice.id)! * 14}px"
                  >{slice.what}{slice.cutBy
                    ? slice.cutBy.kind === 'neutral'
                      ? say.searchedWithNeutralWords
                      : say.splitBy(cutName(slice.cutBy))
                    : ''}</span
                ></TableCell
              >
              <TableCell class="number"
                >{slice.reported
                  ? counted(slice.reported)
                  : slice.expected === null
                    ? '–'
                    : `≈ ${count(Math.round(slice.expected))}`}</TableCell
              >
              <TableCell class="number">{count(slice.rows)}</TableCell>
              <TableCell class="number">{count(slice.fresh)}</TableCell>
              <TableCell>{words[slice.state]}</TableCell>
              <TableCell class="acts">
                {#if still}
                  {#if slice.state === 'waiting'}<Button onclick={() => onchange(slice.id, { do: 'leave out' })}
                      >{say.exclude}</Button
                    >{/if}
                  {#if slice.state === 'left out'}<Button onclick={() => onchange(slice.id, { do: 'take in' })}
                      >{say.include}</Button
                    >{/if}
                  {#if slice.state === 'cut'}<Button onclick={() => onchange(slice.id, { do: 'join' })}
                      >{say.merge}</Button
                    >{:else if !isWithWord(slice)}
                    {#if cutting === slice.id && cuts.length}
                      <Select
                        label={say.splitBy2(slice.what)}
                        hideLabel
                        value=""
                        onchange={(at) => {
                          const cut = cuts[Number(at)];
                          if (cut) onchange(slice.id, { do: 'cut', by: cut.by });
                        }}
                      >
                        <option value="">{say.splitBy3}</option>
                        {#each cuts as cut, i (i)}<option value={i}>{say.parts(cut.name, cut.parts.length)}</option
                          >{/each}
                      </Select>
                    {:else}<Button onclick={() => showCuts(slice.id)}>{say.split}</Button>{/if}
                  {/if}
                {/if}
                <CopyButton text={JSON.stringify(slice.search)} label={say.copy} of={slice.what} />
              </TableCell>
            </TableRow>
          {/each}
        </TableBody>
      </Table>
    </div>
  </Accordion>
</section>

<style>
  section {
    padding: 10px 14px;
    border-top: 1px solid var(--rule);
  }
  section:first-child {
    border-top: 0;
  }
  header {
    display: flex;
    gap: 10px;
    align-items: baseline;
    font-size: 12.5px;
  }
  header .soft {
    margin-left: auto;
    text-align: right;
  }
  h2 {
    font-size: 15px;
  }
  svg {
    display: block;
    margin-top: 6px;
    overflow: hidden;
  }
  .there {
    fill: var(--rule);
    stroke: var(--line);
    stroke-width: 0.5;
  }
  .there.stuck {
    fill: var(--warm-2);
  }
  .there.left-out {
    fill: none;
    stroke-dasharray: 3 2;
  }
  .came {
    fill: var(--accent);
  }
  text {
    font-size: 11px;
    fill: var(--soft);
  }
  p {
    font-size: 12.5px;
  }
  .warn {
    color: var(--warm);
  }
  section :global(.bx--accordion__content) {
    padding-left: 0;
    padding-right: 0;
  }
  .tabled :global(td) {
    font-size: 12.5px;
  }
  .tabled :global(.acts) {
    white-space: nowrap;
  }
</style>
