<script lang="ts">
  import { budgetFields as say } from './words';
  import TextInput from '$lib/ui/TextInput.svelte';
  import { readLimit, type Budget } from './budget';

  interface Props {
    budget: Budget;
    /** Whether searches can be asked again with neutral words. */
    words?: boolean;
  }
  let { budget = $bindable(), words = false }: Props = $props();

  type Limit = 'requestsPerDay' | 'records' | 'spend' | 'newShare';

  let typed: Record<Limit, string> = $state({
    requestsPerDay: budget.requestsPerDay?.toString() ?? '',
    records: budget.records?.toString() ?? '',
    spend: budget.spend?.toString() ?? '',
    newShare: budget.newShare ? String(Math.round(budget.newShare * 1000) / 10) : ''
  });
  const fields = $derived<{ key: Limit; label: string; whole: boolean; placeholder?: string }[]>([
    { key: 'requestsPerDay', label: say.requestsPerDayAtMost, whole: true },
    { key: 'records', label: say.recordsAtMost, whole: true },
    { key: 'spend', label: say.spendAtMost, whole: false },
    ...(words
      ? [
          {
            key: 'newShare' as const,
            label: say.newShare,
            whole: false,
            placeholder: say.none
          }
        ]
      : [])
  ]);
  function take(key: Limit, whole: boolean, text: string) {
    typed[key] = text;
    const read = readLimit(text);
    if (read === undefined) return;
    if (key === 'newShare')
      budget = { ...budget, newShare: read === null ? null : Math.min(1, Math.max(0.001, read / 100)) };
    else budget = { ...budget, [key]: read === null ? null : whole ? Math.ceil(read) : read };
  }
</script>

{#each fields as { key, label, whole, placeholder } (key)}
  <TextInput
    {label}
    value={typed[key]}
    inputmode="decimal"
    placeholder={placeholder ?? say.noLimit}
    invalid={readLimit(typed[key]) === undefined}
    invalidText={say.numberAbove0OrNothing}
    oninput={(event: Event & { currentTarget: HTMLInputElement }) => take(key, whole, event.currentTarget.value)}
  />
{/each}
