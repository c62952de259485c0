<script lang="ts">
  import { recall as say } from './words';
  import TermRow from '$lib/terms/TermRow.svelte';
  import { hasPeopleHere } from '$api/source-kinds';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import { count, percentRange } from '$lib/marks/format';
  import { wilson } from '$core/measure';
  import KnownGoods from '$lib/trial/sample/KnownGoods.svelte';
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
    say.toText(count(Math.round(low)), count(Math.round(high)));
</script>

<section class="sheet panel" aria-label={say.recall}>
  <h2>{say.recallVersion(version.number)}</h2>
  <div class="tabled">
    <Table aria-label={say.recallBySource}>
      <TableHead
        ><TableRow
          ><TableHeader>{say.source}</TableHeader><TableHeader>{say.knownGoodsFound}</TableHeader><TableHeader
            >{say.judgedFitsFoundAcrossAllVersions}</TableHeader
          ></TableRow
        ></TableHead
      >
      <TableBody>
        {#each mine as cell (cell.sourceId)}
          <TableRow>
            <TableCell>{nameOf(cell.sourceId)}</TableCell>
            <TableCell
              >{#if cell.known.inSource}{say.ofText(cell.known.found, cell.known.inSource)}
                <span class="soft">{percentRange(wilson(cell.known.found, cell.known.inSource))}</span>{:else}<span
                  class="soft">{say.noneKnownHere}</span
                >{/if}</TableCell
            >
            <TableCell
              >{#if cell.pooled.of}{say.ofText2(cell.pooled.found, cell.pooled.of)}
                <span class="soft">{percentRange(wilson(cell.pooled.found, cell.pooled.of))}</span>{:else}<span
                  class="soft">{say.noFitsJudgedYet}</span
                >{/if}</TableCell
            >
          </TableRow>
        {/each}
      </TableBody>
    </Table>
  </div>
  <p class="soft">
    {say.secondShareOnlyCoversFitsThat}
  </p>
  <h3>{say.fitsInTotal}</h3>
  {#if overlap?.population.length}
    <div class="tabled">
      <Table aria-label={say.fitsInTotal}>
        <TableHead
          ><TableRow
            ><TableHeader>{say.sources}</TableHeader><TableHeader>{say.judgedFitsFirst}</TableHeader><TableHeader
              >{say.alsoFoundAtSecond}</TableHeader
            ><TableHeader>{say.estimatedTotal}</TableHeader></TableRow
          ></TableHead
        >
        <TableBody>
          {#each overlap.population as pair (`${pair.first} ${pair.second}`)}
            <TableRow>
              <TableCell>{nameOf(pair.first)}, {nameOf(pair.second)}</TableCell>
              <TableCell>{pair.judgedFits}</TableCell>
              <TableCell>{pair.both}</TableCell>
              <TableCell
                ><b>{say.about(count(pair.fits.middle))}</b> <span class="soft">{whole(pair.fits)}</span></TableCell
              >
            </TableRow>
          {/each}
        </TableBody>
      </Table>
    </div>
    <p class="soft">
      {say.chapmansEstimateItAssumesThatTwo}
    </p>
  {:else}
    <p class="soft">
      {say.runThisVersionAtTwoSources}
    </p>
  {/if}
  {#if where && hasPeopleHere(where.kind)}
    <KnownGoods {briefId} text={version.text} source={where} {stringPath} />
  {/if}
  <TermRow terms={['recall', 'pooledRecall', 'knownGood', 'fitsInTotal', 'interval']} />
</section>
