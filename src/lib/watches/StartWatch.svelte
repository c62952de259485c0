<script lang="ts">
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import BudgetFields from '$lib/harvest/BudgetFields.svelte';
  import { noBudget, type Budget } from '$lib/harvest/budget';
  import Field from '$lib/ui/Field.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import { days, rhythms, withDays, type Day } from './rhythm-words';

  interface Props {
    briefId: string;
    /** What is watched: a version at each of some sources. */
    from: { sourceId: string; sourceName: string; version: number }[];
    open: boolean;
    onbegun: (what: string) => void;
  }
  let { briefId, from, open = $bindable(), onbegun }: Props = $props();

  let name = $state('');
  let rule = $state<string>('FREQ=WEEKLY');
  let chosen = $state<Day[]>(['MO']);
  let hour = $state(6);
  let budget = $state<Budget>({ ...noBudget });
  let left = $state<string[]>([]);
  let refused: unknown = $state(null);
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  $effect(() => {
    if (open && !name)
      void call('watchNameFor', { params: { id: briefId } }).then(
        (told) => (name ||= told.name),
        () => {}
      );
  });
  const hasDays = $derived(/^FREQ=WEEKLY/.test(rule) && !rule.includes('BYDAY'));
  async function begin() {
    refused = null;
    try {
      await call('createWatch', {
        params: { id: briefId },
        body: {
          name: name.trim(),
          rhythm: { rule: withDays(rule, chosen), from: new Date().toISOString().slice(0, 10), hour, zone },
          budget: $state.snapshot(budget),
          from: from
            .filter(({ sourceId }) => !left.includes(sourceId))
            .map(({ sourceId, version }) => ({ sourceId, version }))
        }
      });
      open = false;
      onbegun(`${name.trim()} is watched from now on: news comes to Home`);
    } catch (problem) {
      refused = problem;
    }
  }
</script>

<Modal
  bind:open
  modalHeading="Watch this search"
  primaryButtonText="Begin to watch"
  primaryButtonDisabled={!name.trim() || left.length === from.length}
  secondaryButtonText="Not now"
  on:click:button--secondary={() => (open = false)}
  on:submit={begin}
>
  <Refused problem={refused} />
  <p>It is run again by itself, and tells only who is new, who changed, who left and who is back.</p>
  <Field label="Name" maxlength="200" bind:value={name} />
  <div class="line">
    <Pick label="Again" value={rule} onpick={(picked) => (rule = picked)}>
      {#each Object.entries(rhythms) as [one, word] (one)}<option value={one}>{word}</option>{/each}
    </Pick>
    <Pick label="at" value={hour} onpick={(picked) => (hour = picked)}>
      {#each { length: 24 }, one (one)}<option value={one}>{String(one).padStart(2, '0')}:00</option>{/each}
    </Pick>
    <span class="soft">{zone}</span>
  </div>
  {#if hasDays}
    <div class="line">
      {#each Object.entries(days) as [day, word] (day)}
        <Tick
          label={word}
          checked={chosen.includes(day as Day)}
          ontick={(on) => (chosen = on ? [...chosen, day as Day] : chosen.filter((one) => one !== day))}
        />
      {/each}
    </div>
  {/if}
  <div class="line">
    {#each from as { sourceId, sourceName, version } (sourceId)}
      <Tick
        label="version {version} at {sourceName}"
        checked={!left.includes(sourceId)}
        ontick={(on) => (left = on ? left.filter((one) => one !== sourceId) : [...left, sourceId])}
      />
    {/each}
  </div>
  <div class="budget"><BudgetFields bind:budget /></div>
</Modal>

<style>
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 14px;
    align-items: center;
    margin: 8px 0;
  }
  .budget {
    display: grid;
    grid-template-columns: 1fr 1fr 1fr;
    gap: 12px;
  }
</style>
