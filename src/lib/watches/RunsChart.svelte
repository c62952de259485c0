<script lang="ts">
  import { runsChart as say } from './words';
  import { scaleLinear, scaleTime } from 'd3-scale';
  import { line } from 'd3-shape';
  import type { Answer } from '$api';
  import { call } from '$lib/api/call';
  import ChartFrame from '$lib/charts/ChartFrame.svelte';
  import { count, moment } from '$lib/marks/format';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';

  interface Props {
    watch: string;
    name: string;
  }
  let { watch, name }: Props = $props();

  type Run = Answer<'runsOfWatch'>[number];
  let runs: Run[] = $state.raw([]);
  $effect(() => {
    void call('runsOfWatch', { params: { watch } }).then(
      (notice) => (runs = notice),
      () => (runs = [])
    );
  });
  const [width, height, edge] = [300, 96, 6];
  const done = $derived(runs.filter(({ state }) => state === 'done').reverse());
  const at = ({ endedAt, dueAt }: Run) => new Date(endedAt ?? dueAt);
  const x = $derived(
    scaleTime(done.length ? [at(done[0]!), at(done.at(-1)!)] : [new Date(0), new Date(1)], [edge, width - edge])
  );
  const y = $derived(scaleLinear([0, Math.max(1, ...done.map(({ people }) => people))], [height - 16, edge]));
  /** Draws one line for each unbroken stretch, so that a gap isn't shown as a step. */
  const stretches = $derived(
    done.reduce<Run[][]>((all, run) => {
      if (!all.length || run.breaks.length) all.push([]);
      all.at(-1)!.push(run);
      return all;
    }, [])
  );
  const path = $derived(
    line<Run>()
      .x((run) => x(at(run)))
      .y((run) => y(run.people))
  );
</script>

<!-- How many were found over time, with breaks; failed runs are in the table alone. -->
<ChartFrame title={say.peopleFound} about={say.peopleAtEachRunDottedLine} file="watch">
  {#snippet chart()}
    {#if done.length > 1}
      <svg viewBox="0 0 {width} {height}" role="img" aria-label={say.peopleFoundByOverTimeSame(name)}>
        {#each stretches as stretch, i (i)}
          {#if i}<line x1={x(at(stretch[0]!))} x2={x(at(stretch[0]!))} y1={edge} y2={height - 16} class="break" />{/if}
          <path d={path(stretch) ?? ''} />
        {/each}
        {#each done as run (run.id)}<circle cx={x(at(run))} cy={y(run.people)} r="2.5" />{/each}
        <text x={edge} y={height - 3}>{moment(done[0]!.endedAt ?? done[0]!.dueAt)}</text>
        <text x={width - edge} y={height - 3} text-anchor="end">{say.foundLast(count(done.at(-1)!.people))}</text>
      </svg>
    {:else}<p class="soft">{say.lineAppearsAfterTwoRuns}</p>{/if}
  {/snippet}
  {#snippet table()}
    <Table>
      <TableHead
        ><TableRow
          >{#each [say.run, say.found, say.newText, say.back, say.changed, say.left, ''] as head (head)}<TableHeader
              >{head}</TableHeader
            >{/each}</TableRow
        ></TableHead
      >
      <TableBody>
        {#each runs as run (run.id)}
          <TableRow>
            <TableCell>{moment(run.endedAt ?? run.dueAt)}</TableCell>
            <TableCell>{run.state === 'done' ? count(run.people) : run.state}</TableCell>
            {#each ['new', 'back', 'changed', 'left'] as const as kind (kind)}<TableCell
                >{count(run.counts[kind] ?? 0)}</TableCell
              >{/each}
            <TableCell>{[run.problem, ...run.breaks].filter(Boolean).join('; ')}</TableCell>
          </TableRow>
        {/each}
      </TableBody>
    </Table>
  {/snippet}
</ChartFrame>

<style>
  path {
    fill: none;
    stroke: var(--accent);
    stroke-width: 1.5;
  }
  circle {
    fill: var(--accent);
  }
  .break {
    stroke: var(--warm);
    stroke-dasharray: 2 3;
  }
  text {
    font-size: 9px;
    fill: var(--soft);
  }
</style>
