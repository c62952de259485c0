<script lang="ts">
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import BudgetFields from '$lib/harvest/BudgetFields.svelte';
  import { noBudget, type Budget } from '$lib/harvest/budget';
  import Field from '$lib/ui/Field.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import { firstRhythm } from './rhythm-words';
  import RhythmFields from './RhythmFields.svelte';

  interface Props {
    briefId: string;
    /** What is watched: a version at each of some sources. */
    from: { sourceId: string; sourceName: string; version: number }[];
    /** It is a place run by hand: somebody looks when it is due. */
    byHand?: boolean;
    open: boolean;
    onbegun: (what: string) => void;
  }
  let { briefId, from, byHand = false, open = $bindable(), onbegun }: Props = $props();

  let name = $state('');
  let rhythm = $state(firstRhythm());
  let budget = $state<Budget>({ ...noBudget });
  let left = $state<string[]>([]);
  let refused: unknown = $state(null);
  $effect(() => {
    if (open && !name)
      void call('watchNameFor', { params: { id: briefId } }).then(
        (told) => (name ||= told.name),
        () => {}
      );
  });
  async function begin() {
    refused = null;
    try {
      await call('createWatch', {
        params: { id: briefId },
        body: {
          name: name.trim(),
          rhythm: $state.snapshot(rhythm),
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
  <p>
    {byHand
      ? 'Home says when a look is due. Whatever you then paste here is held against all earlier entries: who is new and who changed is told.'
      : 'It is run again by itself, and tells only who is new, who changed, who left and who is back.'}
  </p>
  <Field label="Name" maxlength="200" bind:value={name} />
  <RhythmFields bind:rhythm />
  {#if from.length > 1}
    <div class="line">
      {#each from as { sourceId, sourceName, version } (sourceId)}
        <Tick
          label="version {version} at {sourceName}"
          checked={!left.includes(sourceId)}
          ontick={(on) => (left = on ? left.filter((one) => one !== sourceId) : [...left, sourceId])}
        />
      {/each}
    </div>
  {/if}
  {#if !byHand}<div class="budget"><BudgetFields bind:budget /></div>{/if}
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
