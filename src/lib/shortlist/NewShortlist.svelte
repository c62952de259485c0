<script lang="ts">
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import { goto } from '$app/navigation';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import Field from '$lib/ui/Field.svelte';

  let { briefId, open = $bindable() }: { briefId: string; open: boolean } = $props();

  let name = $state('');
  let purpose = $state('');
  let refused: unknown = $state(null);

  async function create() {
    refused = null;
    try {
      const body = { name: name.trim(), purpose: purpose.trim() };
      const { id } = await call('createShortlist', { params: { id: briefId }, body });
      open = false;
      name = purpose = '';
      await goto(briefPath(briefId, 'shortlist', { list: id }), { invalidateAll: true });
    } catch (problem) {
      refused = problem;
    }
  }
</script>

<Modal
  bind:open
  modalHeading="A new shortlist"
  primaryButtonText="Begin it"
  primaryButtonDisabled={!name.trim()}
  secondaryButtonText="Not now"
  size="sm"
  on:click:button--secondary={() => (open = false)}
  on:submit={create}
>
  <Refused problem={refused} />
  <Field label="Name" maxlength="200" bind:value={name} />
  <Field label="For what it is kept" maxlength="500" bind:value={purpose} />
</Modal>
