<script lang="ts">
  import { keepFromHarvest as say } from './words';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import Refused from '$lib/frame/Refused.svelte';
  import { count } from '$lib/marks/format';
  import TextInput from '$lib/ui/TextInput.svelte';
  import NumberInput from '$lib/ui/NumberInput.svelte';
  import type { HarvestPage } from '$lib/harvest/harvest-page.svelte';
  import { keepOnShortlist } from './keep';

  interface Props {
    desk: HarvestPage;
    briefId: string;
    harvestId: string;
    /** Somebody has learnt who is likely to fit. */
    learnt: boolean;
    open: boolean;
    onkept: () => void;
  }
  let { desk, briefId, harvestId, learnt, open = $bindable(), onkept }: Props = $props();

  let likely: number | null = $state(null);
  let why = $state('');
  let busy = $state(false);
  let refused: unknown = $state(null);
  async function keep() {
    refused = null;
    busy = true;
    const { source, country, verdict, certain, words } = desk.filter;
    try {
      await keepOnShortlist(
        briefId,
        {
          kind: 'harvest',
          harvest: harvestId,
          certain,
          ...(source && { source }),
          ...(country && { country }),
          ...(verdict && { verdict }),
          ...(words.trim() && { words: words.trim() }),
          ...(likely !== null && likely > 0 && { likelyFrom: Math.min(1, likely / 100) })
        },
        why.trim()
      );
      open = false;
      onkept();
    } catch (problem) {
      refused = problem;
    } finally {
      busy = false;
    }
  }
</script>

<!-- Adds the people that a harvest's filter finds to a shortlist. -->
<Modal
  bind:open
  modalHeading={say.addToShortlist}
  primaryButtonText={busy ? 'Adding…' : say.add}
  primaryButtonDisabled={busy}
  secondaryButtonText={say.cancel}
  size="sm"
  on:click:button--secondary={() => (open = false)}
  on:submit={keep}
>
  <Refused problem={refused} />
  <p>
    {say.filterEachIsAddedOnceWith(desk.of === null ? say.everybodyWhoMatches : say.peopleWhoMatch(count(desk.of)))}
  </p>
  {#if learnt}<NumberInput label={say.minimumLikelihoodFit} max={100} placeholder={say.any} bind:value={likely} />{/if}
  <TextInput label={say.reason} maxlength="500" bind:value={why} />
</Modal>
