<script lang="ts">
  import { serviceConnection as say } from './words';
  import type { Answer } from '$api';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { moment } from '$lib/marks/format';
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import SecretField from '$lib/ui/SecretField.svelte';

  interface Props {
    source: string;
    connection: Answer<'readConnection'>;
    ondone: () => Promise<void>;
  }
  let { source, connection, ondone }: Props = $props();

  // svelte-ignore state_referenced_locally
  let address = $state(connection.address);
  let key = $state('');
  let asking = $state(false);
  let told = $state('');
  let refused: unknown = $state(null);

  async function ask(change: { address?: string; key?: string | null }) {
    refused = null;
    told = '';
    asking = true;
    try {
      await call('reconnect', { params: { source }, body: change });
      key = '';
      told = say.itAnsweredAndItsSheetWas;
      await ondone();
    } catch (problem) {
      refused = problem;
    }
    asking = false;
  }
  const change = () => ({
    ...(address.trim() !== connection.address && { address }),
    ...(key.trim() && { key: key.trim() })
  });
</script>

<section class="sheet" aria-label={say.howItIsReached}>
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void ask(change());
    }}
  >
    <Field label={say.address} bind:value={address} spellcheck="false" />
    <SecretField
      label={connection.hasKey ? say.anotherKeyOneIsKept : say.keyNoneIsKept}
      bind:value={key}
      placeholder={connection.hasKey ? say.staysAsItIs : ''}
    />
    <Act look="main" type="submit" disabled={asking || !address.trim()}>
      {asking ? say.askingIt : Object.keys(change()).length ? say.keepAndTakeItsSheet : say.takeItsSheetAnew}
    </Act>
    {#if connection.hasKey}<Act disabled={asking} onclick={() => ask({ key: null })}>{say.forgetTheKey}</Act>{/if}
  </form>
  <p class="soft" role="status">{told || say.itsSheetWasTaken(moment(connection.checkedAt))}</p>
  <Refused problem={refused} />
</section>

<style>
  section {
    padding: 12px 16px;
    margin-bottom: 14px;
  }
  form {
    display: grid;
    grid-template-columns: minmax(240px, 2fr) minmax(180px, 1fr) auto auto;
    gap: 12px;
    align-items: end;
  }
  p {
    font-size: 12.5px;
    margin-top: 6px;
  }
</style>
