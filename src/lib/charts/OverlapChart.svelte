<script lang="ts">
  import { overlapChart as say } from './words';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import { scaleLinear } from 'd3-scale';
  import { count, percent } from '$lib/marks/format';
  import type { Answer } from '$api';
  import ChartFrame from './ChartFrame.svelte';

  type Overlap = Answer<'compare'>['overlaps'][number];
  interface Props {
    overlap: Overlap;
    sources: readonly { id: string; name: string }[];
    file: string;
  }
  let { overlap, sources, file }: Props = $props();

  const most = 14;
  const width = 590;
  const names = 120;
  const barTop = 20;
  const barHeight = 130;
  const row = 20;
  const parts = $derived(overlap.parts.slice(0, most));
  const left = $derived(overlap.parts.slice(most).reduce((sum, { people }) => sum + people, 0));
  const nameOf = (id: string) => sources.find((source) => source.id === id)?.name ?? id;
  const height = $derived(barTop + barHeight + 14 + overlap.sourceIds.length * row);
  const y = $derived(scaleLinear([0, Math.max(1, ...parts.map(({ people }) => people))], [0, barHeight]));
  const step = $derived(Math.min(44, (width - names - 6) / Math.max(1, parts.length)));
  const at = (i: number) => names + step * i + step / 2;
  const dot = (i: number) => barTop + barHeight + 20 + i * row;
  const judged = ({ fits, misses }: Overlap['parts'][number]) => fits + misses;
  const shareOf = (part: Overlap['parts'][number]) => (judged(part) ? part.fits / judged(part) : null);
  const who = (part: Overlap['parts'][number]) => part.sets.map((set) => nameOf(overlap.sourceIds[set]!)).join(', ');
</script>

<ChartFrame
  title={say.overlapBetweenSourcesVersion(overlap.version)}
  about={say.peopleBySourcesThatFindThem(
    count(overlap.people),
    left ? `, ${count(left)} of them in ${overlap.parts.length - parts.length} smaller groups not shown` : ''
  )}
  {file}
>
  {#snippet chart()}
    <svg viewBox="0 0 {width} {height}" role="img" aria-label={say.peopleBySourcesThatFindThem2}>
      {#each overlap.sourceIds as id, i (id)}
        <text x={names - 12} y={dot(i) + 4} text-anchor="end" class="tick">{nameOf(id)}</text>
        <line x1={names} x2={width - 6} y1={dot(i)} y2={dot(i)} class="rule" />
      {/each}
      {#each parts as part, i (part.sets.join())}
        {@const share = shareOf(part)}
        {@const tall = y(part.people)}
        {@const wide = Math.min(18, step * 0.7)}
        <g>
          <title
            >{say.people(who(part), part.people)}{share === null
              ? say.nobodyJudged
              : say.judgedAreFits(part.fits, judged(part))}</title
          >
          <rect x={at(i) - wide / 2} y={barTop + barHeight - tall} width={wide} height={tall} class="all" />
          {#if share !== null}<rect
              x={at(i) - wide / 2}
              y={barTop + barHeight - tall * share}
              width={wide}
              height={tall * share}
              class="fits"
            />{/if}
          <text x={at(i)} y={barTop + barHeight - tall - 4} text-anchor="middle" class="tick">{count(part.people)}</text
          >
          {#if part.sets.length > 1}<line
              x1={at(i)}
              x2={at(i)}
              y1={dot(part.sets[0]!)}
              y2={dot(part.sets.at(-1)!)}
              class="tie"
            />{/if}
          {#each overlap.sourceIds as id, set (id)}
            <circle cx={at(i)} cy={dot(set)} r="4.5" class:in={part.sets.includes(set)} class="dot" />
          {/each}
        </g>
      {/each}
    </svg>
    {#if overlap.parts.length > most}<p class="soft">
        {say.andSmallerGroupsInTable(overlap.parts.length - most)}
      </p>{/if}
  {/snippet}
  {#snippet table()}
    <div class="tabled">
      <Table aria-label={say.overlapBetweenSources}>
        <TableHead
          ><TableRow
            ><TableHeader>{say.foundOnlyBy}</TableHeader><TableHeader>{say.people2}</TableHeader><TableHeader
              >{say.judged}</TableHeader
            ><TableHeader>{say.fits}</TableHeader></TableRow
          ></TableHead
        >
        <TableBody>
          {#each overlap.parts as part (part.sets.join())}
            {@const share = shareOf(part)}
            <TableRow
              ><TableCell>{who(part)}</TableCell><TableCell>{count(part.people)}</TableCell><TableCell
                >{judged(part)}</TableCell
              ><TableCell>{share === null ? '–' : percent(share)}</TableCell></TableRow
            >
          {/each}
        </TableBody>
      </Table>
    </div>
  {/snippet}
</ChartFrame>

<style>
  .all {
    fill: var(--accent-2);
  }
  .fits {
    fill: var(--accent);
  }
  .tie {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .dot {
    fill: var(--rule);
  }
  .dot.in {
    fill: var(--ink);
  }
</style>
