<script lang="ts">
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import ProgressBar from 'carbon-components-svelte/src/ProgressBar/ProgressBar.svelte';
  import type { Answer } from '$api';
  import Refused from '$lib/frame/Refused.svelte';
  import { count, moment } from '$lib/marks/format';
  import Act from '$lib/ui/Act.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import type { ShortlistPage } from './shortlist-page.svelte';

  interface Props {
    desk: ShortlistPage;
    list: Answer<'readShortlist'>;
    open: boolean;
  }
  let { desk, list, open = $bindable() }: Props = $props();

  const { run, plan, told, open: toAsk, cost, unit } = $derived(list.mail);
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
    paused: 'stands still',
    done: 'is done',
    failed: 'broke off'
  };
</script>

<Modal
  bind:open
  modalHeading="Check addresses"
  primaryButtonText={underWay ? 'Stop' : isPaused ? `Go on with ${count(toAsk)}` : `Check ${count(toAsk)}`}
  primaryButtonDisabled={!underWay && !toAsk}
  secondaryButtonText="Close"
  size="sm"
  on:click:button--secondary={() => (open = false)}
  on:submit={() => void desk.checkMail({ do: underWay ? 'stop' : isPaused ? 'go on' : 'check', ...wanted() })}
>
  <Refused problem={desk.refused} />
  <p>
    {count(toAsk)} addresses can be asked about, at {cost.toLocaleString('en')}
    {unit}{cost === 1 ? '' : 's'} at most: only valid ones are paid for.
  </p>
  <p class="soft">
    Told without asking: {count(told.malformed)} malformed, {count(told.duplicate)} twice, {count(told.role)} of firms, {count(
      told.throwAway
    )}
    to throw away.
  </p>
  {#if run}
    <p role="status">
      The check {stateWords[run.state]}: {count(run.checked)} of {count(run.addresses)} asked, {count(run.valid)} valid, {run.spent.toLocaleString(
        'en',
        { maximumFractionDigits: 2 }
      )}
      {unit}s spent{run.goesOnAt ? `; goes on ${moment(run.goesOnAt)}` : ''}.{run.problem && ` ${run.problem}`}
    </p>
    <ProgressBar size="sm" max={Math.max(1, run.addresses)} value={run.checked} labelText="Addresses asked" hideLabel />
  {/if}
  <div class="line">
    <NumberField label="Checks a day" min={1} bind:value={perDay} />
    <NumberField label="a month" min={1} bind:value={perMonth} />
    {#if underWay}<Act onclick={() => desk.checkMail({ do: 'go on', ...wanted() })}>Keep the plan</Act>{/if}
  </div>
  <p class="soft">Used: {count(plan.today)} today, {count(plan.month)} this month (UTC).</p>
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
