<script lang="ts">
  import type { Answer } from '$api';
  import { about, count, counted, percentRange, whole } from '$lib/marks/format';

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
    <dt>rows reported</dt>
  </div>
  <div>
    <dd>{count(rows)}</dd>
    <dt>
      rows came{missing && missing.high >= 0.5 ? `, ${counted(whole(missing))} ${isOver ? 'did not' : 'to come'}` : ''}
    </dt>
  </div>
  <div>
    <dd>{count(harvest.people)}</dd>
    <dt>people, each once; {count(harvest.atSeveral)} at several sources</dt>
  </div>
  <div>
    <dd>{count(harvest.certain)} · {count(harvest.people - harvest.certain)}</dd>
    <dt>certain · possible</dt>
  </div>
  <div>
    <dd>{count(reading.judged)}</dd>
    <dt>judged, {count(reading.fits)} fit</dt>
  </div>
  <div>
    <dd>{reading.there ? about(reading.there) : '–'}</dd>
    <dt>
      {#if reading.there && reading.recall}fits there ({counted(whole(reading.there))}); {percentRange(reading.recall)} read{:else}fits
        there: judge some drawn at random{/if}
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
