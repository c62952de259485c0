<script lang="ts">
  import { precisionBar as say } from '../words';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Figure from '$lib/marks/Figure.svelte';
  import TermRow from '$lib/terms/TermRow.svelte';
  import { percent, percentRange } from '$lib/marks/format';
  import { verdicts } from '$lib/marks/verdicts';
  import { verdictsNeeded, type Precision } from '$core/measure';

  interface Props {
    precision: Precision;
    /** People the sample was drawn from. */
    population: number;
    /** People that it speaks of: more than these where only a part of the result was read. */
    speaksOf: number;
    sampled: number;
    /** Of the first tenth of the result alone, which is what reading page after page from the top sees. */
    top: Precision;
    /** Draws so many people more. */
    onmore: (more: number) => void;
    source?: string;
  }
  let { precision, population, speaksOf, sampled, top, onmore, source = '' }: Props = $props();

  const halfWidths = [0.05, 0.1, 0.15];
  let halfWidth = $state(0.1);
  const points = $derived(Math.round(halfWidth * 100));

  const judged = $derived(precision.fits + precision.misses);
  const more = $derived(verdictsNeeded(precision, halfWidth, speaksOf));
  /** Drawn and not judged yet: these come first. */
  const waiting = $derived(Math.max(0, sampled - judged - precision.unsure));
  const toDraw = $derived(Math.max(0, Math.min(more - waiting, 2000 - sampled, population - sampled)));
  const x = (share: number) => 4 + share * 552;
</script>

<section class="sheet" aria-label={say.precisionSoFar}>
  <div>
    <h2 class="soft">{say.precisionSoFar}</h2>
    {#if precision.share === null}
      <span class="n soft">{say.nobodyJudged}</span>
    {:else}
      <span class="n"
        ><Figure name="precision" value={precision.share} {source}>{percent(precision.share)}</Figure></span
      >
      <span class="soft" data-testid="interval">{percentRange(precision.interval)}</span>
    {/if}
  </div>
  <svg viewBox="0 0 560 46" aria-hidden="true" font-size="11" fill="var(--soft)">
    <line x1="4" x2="556" y1="22" y2="22" stroke="var(--line)" />
    {#if precision.share !== null}
      <rect
        x={x(precision.interval.low)}
        y="17"
        width={x(precision.interval.high) - x(precision.interval.low)}
        height="10"
        fill="var(--accent-2)"
      />
      <rect x={x(precision.interval.low) - 1} y="14" width="2" height="16" fill="var(--accent)" />
      <rect x={x(precision.interval.high) - 1} y="14" width="2" height="16" fill="var(--accent)" />
      <circle cx={x(precision.share)} cy="22" r="6" fill="var(--accent)" />
      <text x={Math.min(520, Math.max(20, x(precision.share)))} y="10" text-anchor="middle"
        >{say.ofText(precision.fits, judged)}</text
      >
    {/if}
    <text x="0" y="44">0</text><text x="556" y="44" text-anchor="end">100%</text>
  </svg>
  <div class="tally">
    {#each [['fit', precision.fits, say.fits(precision.fits)], ['miss', precision.misses, say.misses(precision.misses)], ['unsure', precision.unsure, 'unsure']] as const as [verdict, number, word] (verdict)}
      <span><b style:color={verdicts[verdict].colour}>{verdicts[verdict].sign}</b> {number} {word}</span>
    {/each}
    <br /><span class="soft">
      {say.judged(judged + precision.unsure, sampled)}
      {more === 0
        ? say.judgedEnoughForPoints(points)
        : say.aboutForPoints(more, points, waiting, speaksOf > population && more > waiting)}
    </span>
    {#if top.share !== null && precision.share !== null && judged > top.fits + top.misses}
      <br /><span class="soft"
        >{say.firstTenthOnlyFirstPagesAlone(top.fits, top.fits + top.misses, percentRange(top.interval))}</span
      >
    {/if}
    <br />
    <Select label={say.margin} bind:value={halfWidth}>
      {#each halfWidths as width (width)}<option value={width}>{say.points(Math.round(width * 100))}</option>{/each}
    </Select>
    {#if toDraw}
      <Button onclick={() => onmore(toDraw)}>{say.drawMoreInAll(toDraw, sampled + toDraw)}</Button>
    {/if}
  </div>
  <TermRow terms={['precision', 'interval', 'sample', 'verdict', 'knownGood', 'estimatedResult']} />
</section>

<style>
  section {
    margin-top: 12px;
    padding: 10px 18px;
    display: grid;
    grid-template-columns: 150px 1fr minmax(380px, 44%);
    gap: 8px 20px;
    align-items: center;
    font-size: 13px;
  }
  h2 {
    font-size: 13px;
  }
  .n {
    font-size: 25px;
    font-weight: 300;
  }
  .n.soft {
    font-size: 17px;
  }
  svg {
    width: 100%;
  }
  section > :global(ul) {
    grid-column: 1 / -1;
    margin: 0;
  }
  .tally span {
    margin-right: 10px;
  }
</style>
