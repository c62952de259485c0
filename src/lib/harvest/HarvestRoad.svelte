<script lang="ts">
  import { harvestRoad as say } from './words';
  import type { Answer } from '$api';
  import Figure from '$lib/marks/Figure.svelte';
  import { about, count, counted, percent, whole } from '$lib/marks/format';

  interface Props {
    harvest: Answer<'readHarvest'>;
    reading: Answer<'readingOfHarvest'>;
  }
  let { harvest, reading }: Props = $props();

  const sum = (pick: (source: Answer<'readHarvest'>['sources'][number]) => { low: number; high: number } | null) =>
    harvest.sources.reduce<{ low: number; high: number } | null>(
      (all, source) => {
        const one = pick(source);
        return all && one && { low: all.low + one.low, high: all.high + one.high };
      },
      { low: 0, high: 0 }
    );
  const reported = $derived(sum(({ reported: one }) => one));
  const missing = $derived(sum(({ missing: one }) => one));
  const isOver = $derived(harvest.state === 'done' || harvest.state === 'failed');
  const rows = $derived(harvest.sources.reduce((all, { gathered }) => all + gathered.rows, 0));
</script>

<!-- The road from what sources say they have to who is read. -->
<dl class="sheet">
  <div>
    <dd>{reported ? about(reported) : '…'}</dd>
    <dt>{say.rowsReported}</dt>
  </div>
  <div>
    <dd>{count(rows)}</dd>
    <dt>
      {say.rowsCollected}{missing && missing.high >= 0.5
        ? `, ${counted(whole(missing))} ${isOver ? say.notCollected : say.toCollect}`
        : ''}
    </dt>
  </div>
  <div>
    <dd><Figure name="harvested" value={harvest.people}>{count(harvest.people)}</Figure></dd>
    <dt>{say.peopleEachCountedOnceAtSeveral(count(harvest.atSeveral))}</dt>
  </div>
  <div>
    <dd>{count(harvest.certain)} · {count(harvest.people - harvest.certain)}</dd>
    <dt>{say.certainPossible}</dt>
  </div>
  <div>
    <dd>{count(reading.judged)}</dd>
    <dt>{say.judgedFits(count(reading.fits))}</dt>
  </div>
  <div>
    <dd>{reading.there ? about(reading.there) : '–'}</dd>
    <dt>
      {#if reading.there && reading.atLeast !== null}{say.fitsInTotalAtLeastThem(
          counted(whole(reading.there)),
          percent(reading.atLeast)
        )}{:else}{say.fitsInTotalJudgeSomeRandom}{/if}
    </dt>
  </div>
</dl>

<style>
  dl {
    display: flex;
    justify-content: space-between;
    gap: 18px;
    padding: 8px 16px;
    margin: 0 0 10px;
  }
  dd {
    margin: 0;
    font-size: 21px;
    font-weight: 300;
    white-space: nowrap;
  }
  dt {
    font-size: 12px;
    color: var(--soft);
  }
</style>
