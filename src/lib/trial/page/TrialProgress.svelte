<script lang="ts">
  import { trialProgress as say } from '../words';
  import ProgressBar from 'carbon-components-svelte/src/ProgressBar/ProgressBar.svelte';
  import Button from '$lib/ui/Button.svelte';
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
    waiting: say.queued,
    running: say.running,
    done: say.done,
    stopped: say.stopped,
    failed: say.failed
  };
</script>

<div class="row" role="region" aria-label={say.progressVersionOn(trial.version, trial.sourceName)}>
  <p role="status">
    {#if href}<a {href}>{say.versionOn(trial.version, trial.sourceName)}</a>{:else}<b
        >{say.versionOn(trial.version, trial.sourceName)}</b
      >{/if}
    <b>{words[trial.state]}.</b>
    <span class="soft"
      >{say.rowsSoFar(progress.searchesDone, progress.searches, progress.pages, count(progress.rows))}{trial.spent
        ? say.sSpent(count(trial.spent.amount), trial.spent.unit)
        : ''}{last ? say.lastSearchPage(last.search + 1, last.page + 1, last.what) : ''}</span
    >
    {trial.problem}
  </p>
  <ProgressBar
    size="sm"
    max={Math.max(1, progress.rowsExpected ?? 1, progress.rows)}
    value={progress.rows}
    labelText={say.rowsSoFar2}
    hideLabel
  />
  {#if isUnderWay(trial)}
    <Button onclick={onstop}>{say.stop}</Button>
  {:else}
    <Button kind="primary" onclick={onresume}>{say.resume}</Button>
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
