<script lang="ts">
  import { rhythmFields as say } from './words';
  import Field from '$lib/ui/Field.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import { days, rhythms, withDays, type Day } from './rhythm-words';

  interface Props {
    /** As the contract takes it. */
    rhythm: { rule: string; from: string; hour: number; zone: string };
  }
  let { rhythm = $bindable() }: Props = $props();

  let rule = $state<string>('FREQ=WEEKLY');
  let own = $state(false);
  let chosen = $state<Day[]>(['MO']);
  const hasDays = $derived(/^FREQ=WEEKLY/.test(rule) && !rule.includes('BYDAY'));
  const write = () => (rhythm = { ...rhythm, rule: withDays(rule, chosen) });
</script>

<div class="line">
  <Pick
    label={say.again}
    value={own ? 'own' : rule}
    onpick={(picked) => {
      own = picked === 'own';
      if (own) return;
      rule = picked;
      write();
    }}
  >
    {#each Object.entries(rhythms) as [one, word] (one)}<option value={one}>{word}</option>{/each}
    <option value="own">{say.byARule}</option>
  </Pick>
  <Pick label={say.at} value={rhythm.hour} onpick={(hour) => (rhythm = { ...rhythm, hour })}>
    {#each { length: 24 }, one (one)}<option value={one}>{String(one).padStart(2, '0')}:00</option>{/each}
  </Pick>
  <span class="soft">{rhythm.zone}</span>
</div>
{#if own}
  <Field label={say.ruleOfRfc5545} maxlength="500" placeholder={say.freqMonthlyByday1mo} bind:value={rhythm.rule} />
{:else if hasDays}
  <div class="line">
    {#each Object.entries(days) as [day, word] (day)}
      <Tick
        label={word}
        checked={chosen.includes(day as Day)}
        ontick={(on) => {
          chosen = on ? [...chosen, day as Day] : chosen.filter((one) => one !== day);
          write();
        }}
      />
    {/each}
  </div>
{/if}

<style>
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 14px;
    align-items: center;
    margin: 8px 0;
  }
</style>
