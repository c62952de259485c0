<script lang="ts">
  import { hasPeopleHere } from '$api/source-kinds';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import { count, percentRange } from '$lib/marks/format';
  import { wilson } from '$core/measure';
  import KnownGoods from '$lib/trial/KnownGoods.svelte';
  import type { Answer } from '$api';

  interface Props {
    briefId: string;
    board: Answer<'compare'>;
    sources: readonly Answer<'listSources'>[number][];
    version: Answer<'listVersions'>[number];
    source: string;
    stringPath: string;
  }
  let { briefId, board, sources, version, source, stringPath }: Props = $props();

  const nameOf = (id: string) => sources.find((one) => one.id === id)?.name ?? id;
  const overlap = $derived(board.overlaps.find((one) => one.version === version.number));
  const mine = $derived(
    sources.flatMap(({ id }) => board.cells.filter((cell) => cell.version === version.number && cell.sourceId === id))
  );
  const where = $derived(sources.find(({ id }) => id === source));
  const whole = ({ low, high }: { low: number; high: number }) =>
    `${count(Math.round(low))} to ${count(Math.round(high))}`;
</script>

<section class="sheet panel" aria-label="Recall">
  <h2>How much of what there is, version {version.number}</h2>
  <div class="tabled">
    <Table aria-label="Recall by source">
      <TableHead
        ><TableRow
          ><TableHeader>Source</TableHeader><TableHeader>Known-goods found, of those in it</TableHeader><TableHeader
            >Judged fits found, of all versions and sources</TableHeader
          ></TableRow
        ></TableHead
      >
      <TableBody>
        {#each mine as cell (cell.sourceId)}
          <TableRow>
            <TableCell>{nameOf(cell.sourceId)}</TableCell>
            <TableCell
              >{#if cell.known.inSource}{cell.known.found} of {cell.known.inSource}
                <span class="soft">{percentRange(wilson(cell.known.found, cell.known.inSource))}</span>{:else}<span
                  class="soft">none known to be in it</span
                >{/if}</TableCell
            >
            <TableCell
              >{#if cell.pooled.of}{cell.pooled.found} of {cell.pooled.of}
                <span class="soft">{percentRange(wilson(cell.pooled.found, cell.pooled.of))}</span>{:else}<span
                  class="soft">nobody judged fit yet</span
                >{/if}</TableCell
            >
          </TableRow>
        {/each}
      </TableBody>
    </Table>
  </div>
  <p class="soft">
    The second share counts only fits that some version found somewhere and someone judged: nobody knows of the others
    by it.
  </p>
  <h3>How many fits there are</h3>
  {#if overlap?.population.length}
    <div class="tabled">
      <Table aria-label="How many fits there are">
        <TableHead
          ><TableRow
            ><TableHeader>Sources</TableHeader><TableHeader>Judged fits of the first</TableHeader><TableHeader
              >found at the second too</TableHeader
            ><TableHeader>Fits there are, by both</TableHeader></TableRow
          ></TableHead
        >
        <TableBody>
          {#each overlap.population as pair (`${pair.first} ${pair.second}`)}
            <TableRow>
              <TableCell>{nameOf(pair.first)}, {nameOf(pair.second)}</TableCell>
              <TableCell>{pair.judgedFits}</TableCell>
              <TableCell>{pair.both}</TableCell>
              <TableCell><b>about {count(pair.fits.middle)}</b> <span class="soft">{whole(pair.fits)}</span></TableCell>
            </TableRow>
          {/each}
        </TableBody>
      </Table>
    </div>
    <p class="soft">
      Chapman’s estimate. It takes for granted that whether one source shows a person has nothing to do with whether the
      other does, and that nobody came or left meanwhile. Where both favour the same people, as the well known, there
      are more than it says; people a source lists under an old job count as not found there.
    </p>
  {:else}
    <p class="soft">
      Run this version at two sources and judge fits at one of them: how many of these the other finds too tells how
      many there are.
    </p>
  {/if}
  {#if where && hasPeopleHere(where.kind)}
    <KnownGoods {briefId} text={version.text} source={where} {stringPath} />
  {/if}
</section>
