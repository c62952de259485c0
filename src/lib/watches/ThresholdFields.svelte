<script lang="ts">
  import { usualThresholds, watchedFields, type Thresholds } from '$core/changes';
  import NumberField from '$lib/ui/NumberField.svelte';
  import Tick from '$lib/ui/Tick.svelte';

  let { thresholds = $bindable() }: { thresholds: Thresholds } = $props();

  const words = {
    title: 'Job title',
    company: 'Firm',
    country: 'Country',
    place: 'Place',
    headcount: 'Headcount',
    mail: 'Email address',
    name: 'Person’s name'
  } as const;
  const percent = $derived(thresholds.headcount ?? 0);
</script>

<!-- Which changes a watch reports: of which fields, and from how large a step of the headcount. -->
<fieldset>
  <legend>Report changes of</legend>
  <div class="fields">
    {#each watchedFields as field (field)}
      <Tick
        label={words[field]}
        checked={thresholds[field] !== null}
        ontick={(on) => (thresholds = { ...thresholds, [field]: on ? (usualThresholds[field] ?? 0) : null })}
      />
    {/each}
  </div>
  {#if thresholds.headcount !== null}
    <NumberField
      label="Smallest change of headcount, in percent"
      max={1000}
      bind:value={() => percent, (value) => (thresholds = { ...thresholds, headcount: value ?? 0 })}
    />
  {/if}
</fieldset>

<style>
  .fields {
    display: flex;
    flex-wrap: wrap;
    gap: 0 16px;
  }
</style>
