<script lang="ts">
  import { rhythmFields as say } from './words';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
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
  <Select
    label={say.repeat}
    value={own ? 'own' : rule}
    onchange={(picked) => {
      own = picked === 'own';
      if (own) return;
      rule = picked;
      write();
    }}
  >
    {#each Object.entries(rhythms) as [one, word] (one)}<option value={one}>{word}</option>{/each}
    <option value="own">{say.byRule}</option>
  </Select>
  <Select label={say.at} value={rhythm.hour} onchange={(hour) => (rhythm = { ...rhythm, hour })}>
    {#each { length: 24 }, one (one)}<option value={one}>{String(one).padStart(2, '0')}:00</option>{/each}
  </Select>
  <span class="soft">{rhythm.zone}</span>
</div>
{#if own}
  <TextInput label={say.rfc5545Rule} maxlength="500" placeholder={say.freqMonthlyByday1mo} bind:value={rhythm.rule} />
{:else if hasDays}
  <div class="line">
    {#each Object.entries(days) as [day, word] (day)}
      <Checkbox
        label={word}
        checked={chosen.includes(day as Day)}
        onchange={(on) => {
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
