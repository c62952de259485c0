<script lang="ts">
  import { worldCalendar as say } from './words';
  import CalendarIcon from 'carbon-icons-svelte/lib/Calendar.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { reload } from '$lib/kept/reload';
  import { day } from '$lib/marks/format';
  import Button from '$lib/ui/Button.svelte';
  import ConfirmDialog from '$lib/ui/ConfirmDialog.svelte';
  import type { Answer } from '$api';

  interface Props {
    world: Answer<'readWorld'>;
    /** Whether its people are being prepared. */
    busy: boolean;
  }
  let { world, busy }: Props = $props();
  let refused: unknown = $state(null);
  let back = $state(false);
  const steps = ['day', 'week', 'month'] as const;

  async function move(step: (typeof steps)[number] | 'first day') {
    refused = null;
    try {
      await call('moveWorld', { body: { from: world.day, step } });
    } catch (problem) {
      refused = problem;
    }
    await reload('eave:sources');
  }
</script>

<section class="calendar" aria-label={say.demoCalendar}>
  <CalendarIcon />
  <p aria-live="polite">
    {say.demoDate} <b>{day(world.date)}</b>{busy ? say.preparingItsPeople : '.'}
    <span class="soft">{say.peopleAndFirmsInDemoChange}</span>
  </p>
  {#each steps as step (step)}
    <Button disabled={busy || world.isLast} onclick={() => move(step)}>{say.n1(step)}</Button>
  {/each}
  {#if world.day > 0}<Button disabled={busy} onclick={() => (back = true)}>{say.resetToDay1}</Button>{/if}
</section>
<Refused problem={refused} />
<ConfirmDialog
  open={back}
  heading={say.resetDemoCalendar}
  confirm={say.reset}
  onconfirm={() => move('first day')}
  onclose={() => (back = false)}
>
  {say.allPeopleAndFirmsStandIns}
</ConfirmDialog>

<style>
  .calendar {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
    font-size: 13px;
  }
  .calendar p {
    margin-right: 4px;
  }
</style>
