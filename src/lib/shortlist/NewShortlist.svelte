<script lang="ts">
  import { newShortlist as say } from './words';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import { goto } from '$app/navigation';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import TextInput from '$lib/ui/TextInput.svelte';

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
  modalHeading={say.newShortlist}
  primaryButtonText={say.create}
  primaryButtonDisabled={!name.trim()}
  secondaryButtonText={say.cancel}
  size="sm"
  on:click:button--secondary={() => (open = false)}
  on:submit={create}
>
  <Refused problem={refused} />
  <TextInput label={say.name} maxlength="200" bind:value={name} />
  <TextInput label={say.purpose} maxlength="500" bind:value={purpose} />
</Modal>
