<script lang="ts">
  import { twoNarrowings as say } from './words';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import { scaleLog } from 'd3-scale';
  import { reading } from '$lib/frame/certain-only';
  import { about } from '$lib/marks/format';
  import { partGlyph, partTint } from '$lib/marks/parts';
  import type { Answer } from '$api';
  import ChartFrame from './ChartFrame.svelte';

  interface Side {
    version: number;
    people: number | null;
    /** The text of each part, by number. */
    parts: readonly string[];
    narrowing: Answer<'ledger'>['narrowing'];
  }
  interface Props {
    sides: readonly Side[];
    sourceName: string;
    file: string;
  }
  let { sides, sourceName, file }: Props = $props();

  const width = 390;
  const bar = 17;
  const middle = (count: { middle: number }) => count.middle;
  const rows = $derived(
    sides.map(({ version, people, parts, narrowing }) => ({
      version,
      steps: [
        ...(people === null
          ? []
          : [{ part: -1, text: 'everybody', count: { low: people, middle: people, high: people } }]),
        ...narrowing.flatMap(({ part, estimated }) =>
          estimated ? [{ part, text: parts[part] ?? '', count: estimated[reading()] }] : []
        )
      ]
    }))
  );
  const most = $derived(Math.max(10, ...rows.flatMap(({ steps }) => steps.map(({ count }) => middle(count)))));
  const x = $derived(scaleLog([0.5, most], [0, 190]).clamp(true));
  const tall = (steps: number) => 22 + steps * (bar + 4) + 8;
  const height = $derived(rows.reduce((sum, { steps }) => sum + tall(steps.length), 0));
  const top = (i: number) => rows.slice(0, i).reduce((sum, { steps }) => sum + tall(steps.length), 0);
  const short = (text: string) => (text.length > 18 ? `${text.slice(0, 17)}…` : text);
</script>

<ChartFrame title={say.narrowingBothVersionsAt(sourceName)} about={say.peopleLeftAfterEachPartBoth} {file}>
  {#snippet chart()}
    <svg viewBox="0 0 {width} {height}" role="img" aria-label={say.peopleLeftAfterEachPartTwo}>
      {#each rows as { version, steps }, i (version)}
        <text x="0" y={top(i) + 13} class="head">{say.version(version)}</text>
        {#each steps as { part, text, count }, step (part)}
          {@const at = top(i) + 22 + step * (bar + 4)}
          {@const long = Math.max(1, x(Math.max(0.5, middle(count))))}
          <text x="128" y={at + 13} text-anchor="end" class="tick"
            >{#if part >= 0}<tspan fill={partTint(part)}>{partGlyph(part)}</tspan>&nbsp;{/if}{short(text)}</text
          >
          <rect x="134" y={at} width={long} height={bar} class:last={step === steps.length - 1} class="bar" />
          <text x={138 + long} y={at + 13} class="count">{about(count)}</text>
        {/each}
      {/each}
    </svg>
  {/snippet}
  {#snippet table()}
    <div class="tabled">
      <Table aria-label={say.peopleLeftAfterEachPart}>
        <TableHead
          ><TableRow
            ><TableHeader>{say.version2}</TableHeader><TableHeader>{say.after}</TableHeader><TableHeader
              >{say.peopleLeft}</TableHeader
            ></TableRow
          ></TableHead
        >
        <TableBody>
          {#each rows as { version, steps } (version)}
            {#each steps as { part, text, count } (part)}
              <TableRow
                ><TableCell>{version}</TableCell><TableCell class="mono">{text}</TableCell><TableCell
                  >{about(count)}</TableCell
                ></TableRow
              >
            {/each}
          {/each}
        </TableBody>
      </Table>
    </div>
  {/snippet}
</ChartFrame>

<style>
  .head {
    fill: var(--ink);
    font-weight: 600;
  }
  .count {
    fill: var(--ink);
  }
  .bar {
    fill: var(--accent-2);
  }
  .bar.last {
    fill: var(--accent);
  }
</style>
