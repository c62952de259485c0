<script lang="ts">
  import { deleteTrial as say } from './words';
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

<Button kind="ghost" size="small" on:click={() => (open = true)}>{say.deleteThisTrial}</Button>
<Sure
  size="xs"
  {open}
  heading={say.deleteTheTrialOfVersionOn(trial.version, trial.sourceName)}
  yes={say.deleteText}
  no={say.keep}
  onyes={remove}
  onclose={() => (open = false)}
>
  {say.itsPagesAndItsSampleGo}
</Sure>
