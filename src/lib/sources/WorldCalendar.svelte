<script lang="ts">
  import { worldCalendar as say } from './words';
  import CalendarIcon from 'carbon-icons-svelte/lib/Calendar.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { reload } from '$lib/kept/reload';
  import { day } from '$lib/marks/format';
  import Act from '$lib/ui/Act.svelte';
  import Sure from '$lib/ui/Sure.svelte';
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

<section class="calendar" aria-label={say.theStandInsCalendar}>
  <CalendarIcon />
  <p aria-live="polite">
    {say.inTheirWorldItIs} <b>{day(world.date)}</b>{busy ? say.itsPeopleAreBeingPrepared : '.'}
    <span class="soft">{say.asTimeGoesOnPeopleAnd}</span>
  </p>
  {#each steps as step (step)}
    <Act disabled={busy || world.isLast} onclick={() => move(step)}>{say.aOn(step)}</Act>
  {/each}
  {#if world.day > 0}<Act disabled={busy} onclick={() => (back = true)}>{say.backToTheFirstDay}</Act>{/if}
</section>
<Refused problem={refused} />
<Sure
  open={back}
  heading={say.backToTheFirstDay2}
  yes={say.goBack}
  onyes={() => move('first day')}
  onclose={() => (back = false)}
>
  {say.allPeopleAndFirmsOfThe}
</Sure>

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
