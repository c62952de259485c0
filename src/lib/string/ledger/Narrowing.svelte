<script lang="ts">
  import { narrowing as say } from '../words';
  import Tooltip from '$lib/ui/Tooltip.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Button from '$lib/ui/Button.svelte';
  import { scaleLog, scalePoint } from 'd3-scale';
  import { line as lineOf } from 'd3-shape';
  import { reading } from '$lib/frame/certain-only';
  import Figure from '$lib/marks/Figure.svelte';
  import { about, count } from '$lib/marks/format';
  import { partGlyph, partTint } from '$lib/marks/parts';
  import { print } from '$core/language';
  import { type Part } from '$core/semantics';
  import type { Answer } from '$api';

  interface Props {
    sources: readonly { id: string; name: string; people: number | null }[];
    answers: Readonly<Record<string, Answer<'ledger'> | undefined>>;
    parts: readonly Part[];
    order: readonly number[];
    onorder: (order: number[]) => void;
  }
  let { sources, answers, parts, order, onorder }: Props = $props();

  const width = 620;
  const height = 250;
  const inset = { left: 56, right: 110, top: 14, bottom: 28 };
  const strokes = ['', '6 3', '2 3', '9 3 2 3'];
  const steps = $derived(['all', ...order.map(String)]);
  const series = $derived(
    sources.flatMap((source, i) => {
      const narrowing = answers[source.id]?.narrowing ?? [];
      if (!narrowing.length || source.people === null) return [];
      const counts = [source.people, ...narrowing.map((step) => step.estimated?.[reading()].middle ?? source.people!)];
      return [{ ...source, counts, stroke: strokes[i % strokes.length]! }];
    })
  );
  const x = $derived(scalePoint(steps, [inset.left, width - inset.right]));
  const most = $derived(Math.max(10, ...series.flatMap(({ counts }) => counts)));
  // Zero people sit on the baseline, because a logarithm has no zero.
  const y = $derived(scaleLog([0.5, most], [height - inset.bottom, inset.top]));
  const ticks = $derived([1, 10, 100, 1000, 10_000, 100_000, 1_000_000].filter((tick) => tick <= most));
  const path = $derived(
    lineOf<number>()
      .x((_, i) => x(steps[i]!) ?? 0)
      .y((value) => y(Math.max(0.5, value)))
  );
  /** Names at the ends of the lines, kept apart from each other. */
  const ends = $derived.by(() => {
    const placed = series
      .map(({ id, name, counts }) => ({ id, name, last: counts.at(-1)!, at: y(Math.max(0.5, counts.at(-1)!)) }))
      .sort((a, b) => a.at - b.at);
    placed.forEach((one, i) => {
      const above = placed[i - 1];
      if (above && one.at < above.at + 14) one.at = above.at + 14;
    });
    return placed;
  });
  function move(at: number, by: -1 | 1) {
    const next = [...order];
    const [part] = next.splice(at, 1);
    next.splice(at + by, 0, part!);
    onorder(next);
  }
</script>

<section class="sheet" aria-label={say.narrowing}>
  <header>
    <h2>{say.narrowing}</h2>
    <span class="soft">{say.howCountFallsPartByPart}</span>
    <Button onclick={() => onorder(parts.map((_, i) => i))}>{say.stringOrder}</Button>
  </header>
  <div class="both">
    <div class="tabled">
      <Table aria-label={say.countAfterEachPart}>
        <TableHead>
          <TableRow
            ><TableHeader>{say.after}</TableHeader>{#each sources as source (source.id)}<TableHeader
                >{source.name}</TableHeader
              >{/each}<TableHeader>{say.order}</TableHeader></TableRow
          >
        </TableHead>
        <TableBody>
          <TableRow>
            <TableCell class="soft">{say.everyone}</TableCell>
            {#each sources as source (source.id)}<TableCell class="number"
                >{source.people === null ? '' : count(source.people)}</TableCell
              >{/each}<TableCell></TableCell>
          </TableRow>
          {#each order as part, i (part)}
            <TableRow>
              <TableCell class="part"
                ><span style:color={partTint(part)}>{partGlyph(part)}</span>
                <span class="mono">{parts[part] ? print(parts[part].query) : ''}</span></TableCell
              >
              {#each sources as source (source.id)}
                {@const step = answers[source.id]?.narrowing[i]}
                <TableCell class="number">
                  {#if step?.part !== part}–{:else if step.estimated}
                    {@const estimated = step.estimated[reading()]}
                    {#if i === order.length - 1}
                      <Figure name="estimated" value={estimated.middle} source={source.id}>{about(estimated)}</Figure>
                    {:else}{about(estimated)}{/if}
                  {:else}<Tooltip class="soft" text={say.thisSourceCantSearchFirstParts}
                      >{say.cantBeSearchedHere}</Tooltip
                    >{/if}
                </TableCell>
              {/each}
              <TableCell class="moves">
                <Button
                  kind="ghost"
                  disabled={i === 0}
                  aria-label={say.movePartUp(part + 1)}
                  onclick={() => move(i, -1)}>↑</Button
                >
                <Button
                  kind="ghost"
                  disabled={i === order.length - 1}
                  aria-label={say.movePartDown(part + 1)}
                  onclick={() => move(i, 1)}>↓</Button
                >
              </TableCell>
            </TableRow>
          {/each}
        </TableBody>
      </Table>
    </div>
    <svg viewBox="0 0 {width} {height}" role="img" aria-label={say.chartSameFiguresOnLogScale}>
      {#each ticks as tick (tick)}
        <line x1={inset.left} x2={width - inset.right} y1={y(tick)} y2={y(tick)} class="grid" />
        <text x={inset.left - 8} y={y(tick) + 4} text-anchor="end">{count(tick)}</text>
      {/each}
      {#each steps as step, i (step)}
        <text x={x(step)} y={height - 8} text-anchor="middle" style:fill={i === 0 ? undefined : partTint(order[i - 1]!)}
          >{i === 0 ? 'all' : partGlyph(order[i - 1]!)}</text
        >
      {/each}
      {#each series as { id, counts, stroke } (id)}
        <path d={path(counts)} class="line" stroke-dasharray={stroke} />
        {#each counts as value, i (i)}<circle cx={x(steps[i]!)} cy={y(Math.max(0.5, value))} r="3" />{/each}
      {/each}
      {#each ends as { id, name, at } (id)}<text x={width - inset.right + 8} y={at + 4}>{name}</text>{/each}
    </svg>
  </div>
</section>

<style>
  section {
    margin-top: 12px;
    padding: 10px 16px;
    font-size: 13px;
  }
  header {
    display: flex;
    gap: 12px;
    align-items: baseline;
  }
  header span {
    flex: 1;
  }
  .both {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 18px;
    align-items: start;
    margin-top: 8px;
  }
  .tabled :global(td),
  .tabled :global(th) {
    padding: 3px 8px;
    font-size: 12.5px;
  }
  .tabled :global(.part) {
    max-width: 190px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .tabled :global(.moves) {
    white-space: nowrap;
  }
  svg {
    width: 100%;
  }
  text {
    font-size: 11.5px;
    fill: var(--soft);
  }
  .grid {
    stroke: var(--rule);
  }
  .line {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  circle {
    fill: var(--ink);
  }
</style>
