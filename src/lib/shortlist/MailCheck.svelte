<script lang="ts">
  import { mailCheck as say } from './words';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import ProgressBar from 'carbon-components-svelte/src/ProgressBar/ProgressBar.svelte';
  import type { Answer } from '$api';
  import Refused from '$lib/frame/Refused.svelte';
  import { count, moment } from '$lib/marks/format';
  import Button from '$lib/ui/Button.svelte';
  import NumberInput from '$lib/ui/NumberInput.svelte';
  import type { ShortlistPage } from './shortlist-page.svelte';

  interface Props {
    desk: ShortlistPage;
    list: Answer<'readShortlist'>;
    open: boolean;
  }
  let { desk, list, open = $bindable() }: Props = $props();

  const { run, plan, faults: found, open: toAsk, cost, unit } = $derived(list.mail);
  const underWay = $derived(run !== null && (run.state === 'running' || run.state === 'waiting'));
  const isPaused = $derived(run !== null && (run.state === 'paused' || run.state === 'failed') && toAsk > 0);
  let perDay: number | null = $state(null);
  let perMonth: number | null = $state(null);
  $effect.pre(() => {
    ({ perDay, perMonth } = plan);
  });
  const wanted = () => {
    const [day, month] = [Math.floor(perDay ?? 0), Math.floor(perMonth ?? 0)];
    return day > 0 && month > 0 && (day !== plan.perDay || month !== plan.perMonth)
      ? { plan: { perDay: day, perMonth: month } }
      : {};
  };
  const stateWords = {
    waiting: 'waits',
    running: 'checks',
    paused: say.paused,
    done: say.finished,
    failed: say.failed
  };
</script>

<Modal
  bind:open
  modalHeading={say.checkAddresses}
  primaryButtonText={underWay ? say.stop : isPaused ? say.resumeLeft(count(toAsk)) : say.check(count(toAsk))}
  primaryButtonDisabled={!underWay && !toAsk}
  secondaryButtonText={say.close}
  size="sm"
  on:click:button--secondary={() => (open = false)}
  on:submit={() => void desk.checkMail({ do: underWay ? 'stop' : isPaused ? 'go on' : 'check', ...wanted() })}
>
  <Refused problem={desk.refused} />
  <p>
    {say.addressesToCheckFor(count(toAsk))}
    {say.atMostYouOnlyPayFor(cost, unit)}
  </p>
  <p class="soft">
    {say.foundWithoutCheckMalformedDuplicates(
      count(found.malformed),
      count(found.duplicate),
      count(found.role),
      count(found.throwAway)
    )}
  </p>
  {#if run}
    <p role="status">
      {say.checkCheckedGood(stateWords[run.state], count(run.checked), count(run.addresses), count(run.good))}
      {run.spent.toLocaleString('en', { maximumFractionDigits: 2 })}
      {say.sSpent(unit)}{run.goesOnAt ? say.resumes(moment(run.goesOnAt)) : ''}.{run.problem && ` ${run.problem}`}
    </p>
    <ProgressBar
      size="sm"
      max={Math.max(1, run.addresses)}
      value={run.checked}
      labelText={say.addressesChecked}
      hideLabel
    />
  {/if}
  <div class="line">
    <NumberInput label={say.checksPerDay} min={1} bind:value={perDay} />
    <NumberInput label={say.perMonth} min={1} bind:value={perMonth} />
    {#if underWay}<Button onclick={() => desk.checkMail({ do: 'go on', ...wanted() })}>{say.saveLimits}</Button>{/if}
  </div>
  <p class="soft">{say.usedTodayThisMonthUtc(count(plan.today), count(plan.month))}</p>
</Modal>

<style>
  .line {
    display: flex;
    gap: 14px;
    align-items: end;
    margin-top: 8px;
  }
  p {
    margin-bottom: 6px;
  }
</style>
