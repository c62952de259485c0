<script lang="ts">
  import ProgressBar from 'carbon-components-svelte/src/ProgressBar/ProgressBar.svelte';
  import Act from '$lib/ui/Act.svelte';
  import { count } from '$lib/marks/format';
  import type { Answer } from '$api';
  import { isUnderWay } from './under-way';

  interface Props {
    trial: Answer<'readTrial'>;
    /** Where its people are read. */
    href?: string | undefined;
    onstop: () => void;
    onresume: () => void;
  }
  let { trial, href, onstop, onresume }: Props = $props();

  const progress = $derived(trial.progress);
  const last = $derived(trial.events.at(-1));
  const words = {
    waiting: 'waits for its turn',
    running: 'is running',
    done: 'is done',
    stopped: 'was stopped',
    failed: 'could not go on'
  };
</script>

<div class="row" role="region" aria-label="How far version {trial.version} on {trial.sourceName} is">
  <p role="status">
    {#if href}<a {href}>Version {trial.version} on {trial.sourceName}</a>{:else}<b
        >Version {trial.version} on {trial.sourceName}</b
      >{/if}
    <b>{words[trial.state]}.</b>
    <span class="soft"
      >{progress.searchesDone} of {progress.searches} search{progress.searches === 1 ? '' : 'es'}, {count(
        progress.pages
      )} page{progress.pages === 1 ? '' : 's'}, {count(progress.rows)} rows so far{trial.spent
        ? `, ${count(trial.spent.amount)} ${trial.spent.unit}s spent`
        : ''}{last ? `; last: search ${last.search + 1}, page ${last.page + 1}: ${last.what}` : ''}</span
    >
    {trial.problem}
  </p>
  <ProgressBar
    size="sm"
    max={Math.max(1, progress.rowsExpected ?? 1, progress.rows)}
    value={progress.rows}
    labelText="Rows so far"
    hideLabel
  />
  {#if isUnderWay(trial)}
    <Act onclick={onstop}>Stop</Act>
  {:else}
    <Act look="main" onclick={onresume}>Go on</Act>
  {/if}
</div>

<style>
  .row {
    display: grid;
    grid-template-columns: 1fr 200px auto;
    gap: 4px 14px;
    align-items: center;
    font-size: 13px;
    min-height: 30px;
  }
</style>
