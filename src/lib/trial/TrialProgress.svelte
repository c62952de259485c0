<script lang="ts">
  import ProgressBar from 'carbon-components-svelte/src/ProgressBar/ProgressBar.svelte';
  import Act from '$lib/ui/Act.svelte';
  import { count } from '$lib/marks/format';
  import type { Answer } from '$api';
  import { isUnderWay } from './under-way';

  interface Props {
    trial: Answer<'readTrial'>;
    onstop: () => void;
    onresume: () => void;
  }
  let { trial, onstop, onresume }: Props = $props();

  const { events, progress } = $derived(trial);
  const words = {
    waiting: 'waits for its turn',
    running: 'is running',
    done: 'is done',
    stopped: 'was stopped',
    failed: 'could not go on'
  };
</script>

<section class="sheet" aria-label="How far version {trial.version} on {trial.sourceName} is">
  <p role="status">
    <b>Version {trial.version} on {trial.sourceName} {words[trial.state]}.</b>
    {progress.searchesDone} of {progress.searches} search{progress.searches === 1 ? '' : 'es'}, {count(progress.pages)} page{progress.pages ===
    1
      ? ''
      : 's'}, {count(progress.rows)} rows so far{trial.spent
      ? `, ${count(trial.spent.amount)} ${trial.spent.unit}s spent`
      : ''}.
    {trial.problem}
  </p>
  <ProgressBar
    size="sm"
    max={Math.max(1, progress.rowsExpected ?? 1, progress.rows)}
    value={progress.rows}
    labelText="Rows so far"
    hideLabel
  />
  <div>
    {#if isUnderWay(trial)}
      <Act onclick={onstop}>Stop</Act>
      <span class="soft">What has come is kept; it goes on from there, also after a restart.</span>
    {:else}
      <Act look="main" onclick={onresume}>Go on</Act>
    {/if}
  </div>
  {#if events.length}
    <ul aria-label="What went wrong on the way">
      {#each events.slice(-5).reverse() as event, i (i)}
        <li class="soft">search {event.search + 1}, page {event.page + 1}: {event.what}</li>
      {/each}
    </ul>
  {/if}
</section>

<style>
  section {
    padding: 14px 18px;
    display: grid;
    gap: 10px;
    font-size: 14px;
  }
  ul {
    font-size: 13px;
    padding-left: 18px;
  }
</style>
