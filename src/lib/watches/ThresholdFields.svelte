<script lang="ts">
  import { thresholdFields as say } from './words';
  import { usualThresholds, watchedFields, type Thresholds } from '$core/changes';
  import NumberInput from '$lib/ui/NumberInput.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';

  let { thresholds = $bindable() }: { thresholds: Thresholds } = $props();

  const words = {
    title: say.jobTitle,
    company: say.firm,
    country: say.country,
    place: say.place,
    headcount: say.headcount,
    mail: say.emailAddress,
    name: say.personsName
  } as const;
  const percent = $derived(thresholds.headcount ?? 0);
</script>

<!-- Which changes a watch reports: of which fields, and from how large a step of the headcount. -->
<fieldset>
  <legend>{say.reportChangesTo}</legend>
  <div class="fields">
    {#each watchedFields as field (field)}
      <Checkbox
        label={words[field]}
        checked={thresholds[field] !== null}
        onchange={(on) => (thresholds = { ...thresholds, [field]: on ? (usualThresholds[field] ?? 0) : null })}
      />
    {/each}
  </div>
  {#if thresholds.headcount !== null}
    <NumberInput
      label={say.smallestHeadcountChange}
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
