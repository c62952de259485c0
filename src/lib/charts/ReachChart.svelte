<script lang="ts">
  import { reachChart as say } from './words';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import { reading } from '$lib/frame/certain-only';
  import { scaleLinear, scaleLog } from 'd3-scale';
  import { line as lineOf } from 'd3-shape';
  import { count, counted, percent, percentRange } from '$lib/marks/format';
  import { frontOf } from '$core/measure';
  import type { Answer } from '$api';
  import ChartFrame from './ChartFrame.svelte';
  import { sourceSign } from '$lib/marks/source-sign';

  type Cell = Answer<'compare'>['cells'][number];
  interface Props {
    cells: readonly Cell[];
    sources: readonly { id: string; name: string }[];
    /** Versions that were chosen, as `version source`. */
    chosen: ReadonlySet<string>;
    file: string;
  }
  let { cells, sources, chosen, file }: Props = $props();

  const [width, height] = [590, 270];
  const inset = { left: 40, right: 14, top: 12, bottom: 34 };
  const points = $derived(
    cells.flatMap((cell) => {
      const { share, interval } = cell.figures.precision[reading()];
      const fits = cell.figures.fits[reading()];
      return share !== null && fits ? [{ cell, x: fits, y: { ...interval, middle: share } }] : [];
    })
  );
  const most = $derived(Math.max(10, ...points.map(({ x: { high } }) => high)));
  const least = $derived(
    Math.max(0.5, Math.min(most / 10, ...points.map(({ x: { low, middle } }) => low || middle / 2 || 0.5)))
  );
  const x = $derived(scaleLog([least, most], [inset.left, width - inset.right]).clamp(true));
  const y = scaleLinear([0, 1], [height - inset.bottom, inset.top]);
  const front = $derived(
    frontOf(
      points,
      (point) => point.x.middle,
      (point) => point.y.middle
    )
  );
  const path = $derived(
    lineOf<(typeof points)[number]>()
      .x((point) => x(point.x.middle))
      .y((point) => y(point.y.middle))
  );
  const nameOf = (id: string) => sources.find((source) => source.id === id)?.name ?? id;
</script>

<ChartFrame title={say.precisionAgainstReach} about={say.eachVersionAtEachSourceWith} {file}>
  <p class="legend">
    {#each sources as source (source.id)}
      <span><abbr aria-hidden="true">{sourceSign(source.name)}</abbr> {source.name}</span>
    {/each}
  </p>
  {#snippet chart()}
    <svg viewBox="0 0 {width} {height}" role="img" aria-label={say.precisionAgainstEstimatedFitsSame}>
      {#each [0, 0.25, 0.5, 0.75, 1] as share (share)}
        <line x1={inset.left} x2={width - inset.right} y1={y(share)} y2={y(share)} class="rule" />
        <text x={inset.left - 6} y={y(share) + 4} text-anchor="end" class="tick">{percent(share)}</text>
      {/each}
      {#each x.ticks().filter((tick) => /^[125]/.test(tick.toExponential())) as tick (tick)}
        <text x={x(tick)} y={height - 18} text-anchor="middle" class="tick">{count(tick)}</text>
      {/each}
      <text x={width - inset.right} y={height - 4} text-anchor="end" class="tick">{say.estimatedFitsLogScale}</text>
      <path d={path(front) ?? ''} class="front" />
      {#each points as { cell, x: reach, y: share } (`${cell.version} ${cell.sourceId}`)}
        <g class="spread">
          <line x1={x(Math.max(least, reach.low))} x2={x(reach.high)} y1={y(share.middle)} y2={y(share.middle)} />
          <line x1={x(reach.middle)} x2={x(reach.middle)} y1={y(share.low)} y2={y(share.high)} />
        </g>
      {/each}
      {#each points as { cell, x: reach, y: share } (`${cell.version} ${cell.sourceId}`)}
        <g transform="translate({x(reach.middle)} {y(share.middle)})">
          <title
            >{say.versionAtAboutFits(
              cell.version,
              nameOf(cell.sourceId),
              percent(share.middle),
              count(reach.middle)
            )}</title
          >
          <rect
            x="-17"
            y="-9"
            width="34"
            height="18"
            rx="9"
            class:chosen={chosen.has(`${cell.version} ${cell.sourceId}`)}
            class="mark"
          />
          <text
            y="3.5"
            text-anchor="middle"
            class:chosen={chosen.has(`${cell.version} ${cell.sourceId}`)}
            class="version">{sourceSign(nameOf(cell.sourceId))} {cell.version}</text
          >
        </g>
      {/each}
    </svg>
  {/snippet}
  {#snippet table()}
    <div class="tabled">
      <Table aria-label={say.precisionAgainstReach}>
        <TableHead
          ><TableRow
            ><TableHeader>{say.version}</TableHeader><TableHeader>{say.source}</TableHeader><TableHeader
              >{say.precision}</TableHeader
            ><TableHeader>{say.estimatedFits}</TableHeader><TableHeader>{say.unbeaten}</TableHeader></TableRow
          ></TableHead
        >
        <TableBody>
          {#each points as point (`${point.cell.version} ${point.cell.sourceId}`)}
            <TableRow>
              <TableCell>{point.cell.version}</TableCell><TableCell>{nameOf(point.cell.sourceId)}</TableCell>
              <TableCell>{percent(point.y.middle)} ({percentRange(point.y)})</TableCell>
              <TableCell
                >{count(point.x.middle)} ({counted({
                  low: Math.round(point.x.low),
                  high: Math.round(point.x.high)
                })})</TableCell
              >
              <TableCell>{front.includes(point) ? 'yes' : ''}</TableCell>
            </TableRow>
          {/each}
        </TableBody>
      </Table>
    </div>
  {/snippet}
</ChartFrame>

<style>
  .front {
    fill: none;
    stroke: var(--grey);
    stroke-dasharray: 3 3;
  }
  .spread line {
    stroke: var(--accent);
    stroke-opacity: 0.45;
    stroke-width: 1.5;
  }
  .mark {
    fill: var(--sheet);
    stroke: var(--accent);
    stroke-width: 1.3;
  }
  .mark.chosen {
    fill: var(--accent);
  }
  .version {
    fill: var(--ink);
    font-size: 10px;
  }
  .version.chosen {
    fill: var(--on-accent);
  }
  .legend {
    display: flex;
    gap: 12px;
    flex-wrap: wrap;
    color: var(--soft);
  }
  abbr {
    padding: 0 4px;
    border: 1px solid var(--accent);
    border-radius: 8px;
    font-size: 11px;
    text-decoration: none;
  }
</style>
