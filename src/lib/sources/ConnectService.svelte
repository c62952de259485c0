<script lang="ts">
  import { connectService as say } from './words';
  import { goto } from '$app/navigation';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import SecretField from '$lib/ui/SecretField.svelte';

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

<section class="sheet" aria-label={say.connectAService}>
  <h2>{say.aServiceThatEaveAsksItself}</h2>
  <p class="soft">
    {say.forAPlaceThatSpeaksEaves}
  </p>
  <form onsubmit={connect}>
    <Field label={say.address} bind:value={address} placeholder={say.httpsPeopleExampleEave} spellcheck="false" />
    <SecretField label={say.keyWhereItNeedsOne} bind:value={key} />
    <Act look="main" type="submit" disabled={asking || !address.trim()}>{asking ? say.askingIt : say.connect}</Act>
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
