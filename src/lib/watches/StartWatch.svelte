<script lang="ts">
  import { startWatch as say } from './words';
  import { call } from '$lib/api/call';
  import BudgetFields from '$lib/harvest/BudgetFields.svelte';
  import { noBudget, type Budget } from '$lib/harvest/budget';
  import ChosenSources from './ChosenSources.svelte';
  import WatchDialog from './WatchDialog.svelte';

  interface Props {
    briefId: string;
    /** What is watched: a version at each of some sources. */
    from: { sourceId: string; sourceName: string; version: number }[];
    /** It is a place run by hand: somebody looks when it is due. */
    byHand?: boolean;
    open: boolean;
  }
  let { briefId, from, byHand = false, open = $bindable() }: Props = $props();

  let name = $state('');
  let budget = $state<Budget>({ ...noBudget });
  let left = $state<string[]>([]);
  $effect(() => {
    if (open && !name)
      void call('watchNameFor', { params: { id: briefId } }).then(
        (notice) => (name ||= notice.name),
        () => {}
      );
  });
  const places = $derived(from.filter(({ sourceId }) => !left.includes(sourceId)));
</script>

<WatchDialog
  {briefId}
  heading={say.watchThisSearch}
  about={byHand ? say.homeTellsYouWhenCheckIs : say.eaveRunsItAgainOnSchedule}
  ready={places.length > 0}
  what={() => ({
    budget: $state.snapshot(budget),
    from: places.map(({ sourceId, version }) => ({ sourceId, version }))
  })}
  bind:name
  bind:open
>
  {#if from.length > 1}
    <ChosenSources
      sources={from.map(({ sourceId, sourceName, version }) => ({
        id: sourceId,
        label: say.versionAt(version, sourceName)
      }))}
      bind:left
    />
  {/if}
  {#if !byHand}<div class="budget"><BudgetFields bind:budget /></div>{/if}
</WatchDialog>

<style>
  .budget {
    display: grid;
    grid-template-columns: 1fr 1fr 1fr;
    gap: 12px;
  }
</style>
