<script lang="ts">
  import Button from 'carbon-components-svelte/src/Button/Button.svelte';
  import Sure from '$lib/ui/Sure.svelte';
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

<Button kind="ghost" size="small" on:click={() => (open = true)}>Delete this trial</Button>
<Sure
  size="xs"
  {open}
  heading="Delete the trial of version {trial.version} on {trial.sourceName}?"
  yes="Delete"
  no="Keep"
  onyes={remove}
  onclose={() => (open = false)}
>
  Its pages and its sample go, and its figures leave the comparison. The verdicts on its people stay.
</Sure>
