<script lang="ts">
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import Refused from '$lib/frame/Refused.svelte';
  import { count } from '$lib/marks/format';
  import Field from '$lib/ui/Field.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
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

<!-- Keeps those whom the filter of a harvest finds. -->
<Modal
  bind:open
  modalHeading="Keep on the shortlist"
  primaryButtonText={busy ? 'Keeping…' : 'Keep them'}
  primaryButtonDisabled={busy}
  secondaryButtonText="Not now"
  size="sm"
  on:click:button--secondary={() => (open = false)}
  on:submit={keep}
>
  <Refused problem={refused} />
  <p>
    {desk.of === null ? 'Those' : count(desk.of)} whom the filter finds, each once with all records; who is on the list already
    is brought up to date.
  </p>
  {#if learnt}<NumberField label="Likely to fit from, in %" max={100} placeholder="any" bind:value={likely} />{/if}
  <Field label="Why they are kept" maxlength="500" bind:value={why} />
</Modal>
