<script lang="ts">
  import { deleteTrial as say } from '../words';
  import Button from 'carbon-components-svelte/src/Button/Button.svelte';
  import ConfirmDialog from '$lib/ui/ConfirmDialog.svelte';
  import { call } from '$lib/api/call';

  interface Props {
    briefId: string;
    trial: { id: string; version: number; sourceName: string };
    ondeleted: () => void;
    onrefused: (problem: unknown) => void;
  }
  let { briefId, trial, ondeleted, onrefused }: Props = $props();
  let open = $state(false);

  async function remove() {
    try {
      await call('deleteTrial', { params: { id: briefId, trial: trial.id } });
      ondeleted();
    } catch (problem) {
      onrefused(problem);
    }
  }
</script>

<Button kind="ghost" size="small" on:click={() => (open = true)}>{say.deleteThisTrial}</Button>
<ConfirmDialog
  size="xs"
  {open}
  heading={say.deleteTrialVersionOn(trial.version, trial.sourceName)}
  confirm={say.deleteText}
  cancel={say.keep}
  onconfirm={remove}
  onclose={() => (open = false)}
>
  {say.thisDeletesItsPagesAndSample}
</ConfirmDialog>
