<script lang="ts">
  import { connectService as say } from './words';
  import { goto } from '$app/navigation';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import PasswordInput from '$lib/ui/PasswordInput.svelte';

  let address = $state('');
  let key = $state('');
  let asking = $state(false);
  let refused: unknown = $state(null);

  async function connect(event: SubmitEvent) {
    event.preventDefault();
    refused = null;
    asking = true;
    try {
      const made = await call('connectService', { body: { address, key: key.trim() || null } });
      key = '';
      await goto(`/sources/${made.id}`);
    } catch (problem) {
      refused = problem;
    }
    asking = false;
  }
</script>

<section class="sheet" aria-label={say.connectService}>
  <h2>{say.connectedService}</h2>
  <p class="soft">
    {say.forServiceThatSpeaksEavesConnector}
  </p>
  <form onsubmit={connect}>
    <TextInput label={say.address} bind:value={address} placeholder={say.httpsPeopleExampleEave} spellcheck="false" />
    <PasswordInput label={say.keyIfRequired} bind:value={key} />
    <Button kind="primary" type="submit" disabled={asking || !address.trim()}
      >{asking ? say.connecting : say.connect}</Button
    >
  </form>
  <Refused problem={refused} />
</section>

<style>
  section {
    padding: 12px 16px;
  }
  p {
    font-size: 13px;
  }
  form {
    display: grid;
    grid-template-columns: minmax(240px, 2fr) minmax(180px, 1fr) auto;
    gap: 12px;
    align-items: end;
    margin-top: 8px;
  }
</style>
