<script lang="ts">
  import { fitsCurve as say } from './words';
  import { scaleLinear } from 'd3-scale';
  import { line as lineOf } from 'd3-shape';
  import type { Answer } from '$api';
  import { verdictsFor } from '$core/harvest';
  import ChartFrame from '$lib/charts/ChartFrame.svelte';
  import { count } from '$lib/marks/format';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';

  let { curve }: { curve: Answer<'readingOfHarvest'>['curve'] } = $props();

  const [width, height] = [520, 150];
  const inset = { left: 40, right: 24, top: 8, bottom: 24 };
  const last = $derived(curve.at(-1)!);
  const x = $derived(scaleLinear([0, Math.max(1, last.verdicts)], [inset.left, width - inset.right]));
  const y = $derived(scaleLinear([0, Math.max(1, last.fits)], [height - inset.bottom, inset.top]));
  const path = (of: 'fits' | 'asTheyCame') =>
    lineOf<(typeof curve)[number]>()
      .x(({ verdicts }) => x(verdicts))
      .y((point) => y(point[of]))(curve);
  const most = $derived(verdictsFor(0.8, curve));
</script>

<!-- What judging in this order saves, on those who are judged. -->
<ChartFrame
  title={say.fitsAgainstVerdicts}
  about={most ? say.n80FitsTookVerdictsInSources(count(most.judged), count(most.asTheyCame)) : say.noFitsJudgedSoFar}
  file="fits-against-verdicts"
>
  {#snippet chart()}
    <svg
      viewBox="0 0 {width} {height}"
      role="img"
      aria-label={say.fitsInVerdictsSameFiguresAs(count(last.fits), count(last.verdicts))}
    >
      {#each y.ticks(3) as tick (tick)}
        <line x1={inset.left} x2={width - inset.right} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
        <text x={inset.left - 6} y={y(tick) + 4} text-anchor="end">{count(tick)}</text>
      {/each}
      {#each x.ticks(5) as tick (tick)}<text x={x(tick)} y={height - 8} text-anchor="middle">{count(tick)}</text>{/each}
      <path d={path('asTheyCame')} fill="none" stroke="var(--grey)" stroke-dasharray="4 3" stroke-width="1.5" />
      <path d={path('fits')} fill="none" stroke="var(--accent)" stroke-width="2" />
    </svg>
  {/snippet}
  {#snippet table()}
    <Table>
      <TableHead
        ><TableRow
          ><TableHeader>{say.verdicts}</TableHeader><TableHeader>{say.fits}</TableHeader><TableHeader
            >{say.sourceOrder}</TableHeader
          ></TableRow
        ></TableHead
      >
      <TableBody>
        {#each curve as { verdicts, fits, asTheyCame } (verdicts)}
          <TableRow
            ><TableCell class="number">{count(verdicts)}</TableCell><TableCell class="number">{count(fits)}</TableCell
            ><TableCell class="number">{count(asTheyCame)}</TableCell></TableRow
          >
        {/each}
      </TableBody>
    </Table>
  {/snippet}
</ChartFrame>

<style>
  text {
    font-size: 11px;
    fill: var(--soft);
  }
</style>
