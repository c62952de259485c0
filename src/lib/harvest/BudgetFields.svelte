<script lang="ts">
  import Field from '$lib/ui/Field.svelte';
  import { readLimit, type Budget } from './budget';

  let { budget = $bindable() }: { budget: Budget } = $props();

  let typed: Record<keyof Budget, string> = $state({
    requestsPerDay: budget.requestsPerDay?.toString() ?? '',
    records: budget.records?.toString() ?? '',
    spend: budget.spend?.toString() ?? ''
  });
  const fields: { key: keyof Budget; label: string; whole: boolean }[] = [
    { key: 'requestsPerDay', label: 'Requests a day, at most', whole: true },
    { key: 'records', label: 'Records, at most', whole: true },
    { key: 'spend', label: 'Spend, at most', whole: false }
  ];
  function take(key: keyof Budget, whole: boolean, text: string) {
    typed[key] = text;
    const read = readLimit(text);
    if (read !== undefined) budget = { ...budget, [key]: read === null ? null : whole ? Math.ceil(read) : read };
  }
</script>

{#each fields as { key, label, whole } (key)}
  <Field
    {label}
    value={typed[key]}
    inputmode="decimal"
    placeholder="no limit"
    invalid={readLimit(typed[key]) === undefined}
    invalidText="A number above 0, or nothing"
    oninput={(event: Event & { currentTarget: HTMLInputElement }) => take(key, whole, event.currentTarget.value)}
  />
{/each}
