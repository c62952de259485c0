<script lang="ts">
  import { neutralWords as say } from './words';
  import { scaleLinear } from 'd3-scale';
  import { line as lineOf } from 'd3-shape';
  import type { Answer, Body } from '$api';
  import { call } from '$lib/api/call';
  import { count, counted, whole } from '$lib/marks/format';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Tooltip from '$lib/ui/Tooltip.svelte';
  import { curveOf, type HarvestSource, type Slice } from './slice-bar';

  interface Props {
    /** A search that is asked with neutral words. */
    slice: Slice;
    source: HarvestSource;
    briefId: string;
    harvestId: string;
    still: boolean;
    onchange: (slice: string, change: Body<'changeSlice'>) => void;
    onrefused: (problem: unknown) => void;
  }
  let { slice, source, briefId, harvestId, still, onchange, onrefused }: Props = $props();

  const asked = $derived(slice.words!);
  const points = $derived(curveOf(slice, source));
  const [width, height] = [420, 120];
  const inset = { left: 44, right: 28, top: 8, bottom: 24 };
  const x = $derived(scaleLinear([0, Math.max(1, points.at(-1)!.rows)], [inset.left, width - inset.right]).nice(4));
  const y = $derived(scaleLinear([0, Math.max(1, points.at(-1)!.people)], [height - inset.bottom, inset.top]).nice(3));
  const path = $derived(
    lineOf<(typeof points)[number]>()
      .x(({ rows }) => x(rows))
      .y(({ people }) => y(people))
  );

  let offered: Answer<'wordsOfSlice'> = $state.raw([]);
  let looking = $state(false);
  let typed = $state('');
  async function look() {
    looking = true;
    try {
      offered = await call('wordsOfSlice', { params: { id: briefId, harvest: harvestId, slice: slice.id } });
    } catch (problem) {
      onrefused(problem);
    }
    looking = false;
  }
  function ask(word: string) {
    offered = offered.filter((one) => one.word !== word);
    typed = '';
    onchange(slice.id, { do: 'ask with', word });
  }
</script>

<!-- A search that is longer than is shown and cannot be cut, asked again with words that nobody cares about. -->
<div class="words" role="group" aria-label={say.neutralWordsAt(source.sourceName, slice.what)}>
  <svg
    viewBox="0 0 {width} {height}"
    role="img"
    aria-label={say.peopleInRowsFromSearches(count(asked.people), count(asked.rows), points.length - 1)}
  >
    {#each y.ticks(3) as tick (tick)}
      <line class="rule" x1={inset.left} x2={width - inset.right} y1={y(tick)} y2={y(tick)} />
      <text x={inset.left - 6} y={y(tick) + 4} text-anchor="end">{count(tick)}</text>
    {/each}
    {#each x.ticks(4) as tick (tick)}<text x={x(tick)} y={height - 8} text-anchor="middle">{count(tick)}</text>{/each}
    <path
      class="even"
      d="M{x(0)} {y(0)}L{x(Math.min(x.domain()[1]!, y.domain()[1]!))} {y(Math.min(x.domain()[1]!, y.domain()[1]!))}"
    />
    <path class="curve" d={path(points)} />
    {#each points.slice(1) as point (point.what)}
      <circle cx={x(point.rows)} cy={y(point.people)} r="3"
        ><title>{say.peopleInRows(point.what, count(point.people), count(point.rows))}</title></circle
      >
    {/each}
  </svg>
  <div>
    <p>
      <b>{say.peopleInRows2(count(asked.people), count(asked.rows))}</b>
      {say.fromSearchesDashedLineWouldMean(points.length - 1)}
    </p>
    <p>
      <b>{say.aboutNext100Rows(Math.round(asked.share * 100))}</b>
      <Tooltip text={say.good1953ShareRowsWhosePerson}>{say.shouldBeNew}</Tooltip>
    </p>
    <p>
      <b>{say.people(counted(whole(asked.unseen)))}</b>
      <Tooltip text={say.chao1984FromHowManyPeople}>{say.notSeenYet}</Tooltip>
    </p>
    {#if asked.end === 'few are new'}<p><b>{say.stoppedFewNewPeople}</b></p>
    {:else if asked.end === 'enough words'}<p><b>{say.stoppedAfterLastWord}</b></p>{/if}
    {#if still}
      <div class="line">
        <Button disabled={looking} onclick={look}>{say.nextWords}</Button>
        <TextInput label={say.yourOwnWord} inline bind:value={typed} maxlength="100" />
        <Button disabled={typed.trim().length < 2} onclick={() => ask(typed.trim())}>{say.search}</Button>
      </div>
      {#if offered.length}
        <p class="line">
          {#each offered as { word, fresh } (word)}
            <Button onclick={() => ask(word)}>{word} <span class="soft">{say.newText(count(fresh))}</span></Button>
          {/each}
        </p>
      {/if}
    {/if}
  </div>
</div>

<style>
  .words {
    display: grid;
    gap: 6px;
    margin: 8px 0;
  }
  .words > div {
    display: grid;
    gap: 4px;
    font-size: 12.5px;
  }
  svg {
    max-width: 520px;
    width: 100%;
  }
  text {
    font-size: 11px;
    fill: var(--soft);
  }
  .rule {
    stroke: var(--rule);
  }
  .curve,
  .even {
    fill: none;
    stroke: var(--accent);
    stroke-width: 2;
  }
  .even {
    stroke: var(--grey);
    stroke-width: 1;
    stroke-dasharray: 3 3;
  }
  circle {
    fill: var(--accent);
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
  }
</style>
