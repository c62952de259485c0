<script lang="ts">
  import { groupBars as say } from './words';
  import { scaleLinear } from 'd3-scale';
  import type { Answer } from '$api';
  import { countryName } from '$core/people';
  import Figure from '$lib/marks/Figure.svelte';
  import { count } from '$lib/marks/format';
  import { verdicts } from '$lib/marks/verdicts';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import type { GroupName } from './list-query';
  import { exclusionReasons, groups } from './words';
  import type { ShortlistPage } from './shortlist-page.svelte';
  import type { Verdict } from '$core/measure';
  import type { LeftOutReason } from '$api/list-fields';

  let { desk, list }: { desk: ShortlistPage; list: Answer<'readShortlist'> } = $props();

  const group = $derived(desk.query.group);
  const rows = $derived(list.counted[group]);
  const most = $derived(Math.max(1, ...rows.map(({ people }) => people)));
  const width = $derived(scaleLinear([0, most], [0, 100]));
  const words: Record<string, string> = {
    none: 'none',
    unchecked: say.notChecked,
    in: say.toExport,
    out: say.excluded
  };
  function said(value: string): string {
    if (group === 'country') return countryName(value);
    if (group === 'verdict') return value === 'none' ? say.notJudged : verdicts[value as Verdict].word;
    if (group === 'leftOut') return words[value] ?? exclusionReasons[value as LeftOutReason];
    return words[value] ?? value;
  }
</script>

<!-- How many there are of each: a small chart whose bars filter the table. -->
<section class="sheet" aria-label={say.breakdown}>
  <Select label={say.by} value={group} onchange={(picked) => desk.look({ group: picked as GroupName })}>
    {#each Object.entries(groups) as [name, word] (name)}<option value={name}>{word}</option>{/each}
  </Select>
  <ul>
    {#each rows as { value, people } (value)}
      {@const on = desk.query.filter[group] === value}
      <li>
        <Button kind="ghost" aria-pressed={on} onclick={() => desk.filter(group, on ? '' : value)}>
          <span class="said">{said(value)}</span><span class="number"
            >{#if group === 'leftOut' && value === 'in'}<Figure name="to export" value={people}>{count(people)}</Figure
              >{:else}{count(people)}{/if}</span
          >
          <svg viewBox="0 0 100 3" preserveAspectRatio="none" aria-hidden="true"
            ><rect width="100" height="3" class="ground" /><rect width={width(people)} height="3" /></svg
          >
        </Button>
      </li>
    {:else}<li class="soft">{say.nothingKnown}</li>{/each}
  </ul>
</section>

<style>
  section {
    padding: 8px 10px;
    overflow: auto;
    min-height: 0;
    font-size: 12.5px;
  }
  ul {
    list-style: none;
    padding: 0;
    margin: 6px 0 0;
  }
  li :global(.button.ghost.bx--btn) {
    display: grid;
    grid-template-columns: 1fr auto;
    width: 100%;
    max-width: none;
    text-align: left;
    padding: 3px 4px 4px;
    gap: 1px 6px;
    font-size: 12.5px;
  }
  .said {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  svg {
    grid-column: 1 / -1;
    width: 100%;
    height: 3px;
  }
  rect {
    fill: var(--accent);
  }
  .ground {
    fill: var(--rule);
  }
</style>
