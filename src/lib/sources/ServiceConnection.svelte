<script lang="ts">
  import { serviceConnection as say } from './words';
  import type { Answer } from '$api';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { moment } from '$lib/marks/format';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import PasswordInput from '$lib/ui/PasswordInput.svelte';

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
  let notice = $state('');
  let refused: unknown = $state(null);

  async function ask(change: { address?: string; key?: string | null }) {
    refused = null;
    notice = '';
    asking = true;
    try {
      await call('reconnect', { params: { source }, body: change });
      key = '';
      notice = say.connectedSheetRefreshed;
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

<section class="sheet" aria-label={say.connection}>
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void ask(change());
    }}
  >
    <TextInput label={say.address} bind:value={address} spellcheck="false" />
    <PasswordInput
      label={connection.hasKey ? say.newKeyOneIsSaved : say.keyNoneSaved}
      bind:value={key}
      placeholder={connection.hasKey ? say.unchanged : ''}
    />
    <Button kind="primary" type="submit" disabled={asking || !address.trim()}>
      {asking ? say.connecting : Object.keys(change()).length ? say.saveAndRefreshSheet : say.refreshSheet}
    </Button>
    {#if connection.hasKey}<Button disabled={asking} onclick={() => ask({ key: null })}>{say.deleteKey}</Button>{/if}
  </form>
  <p class="soft" role="status">{notice || say.sheetLastRefreshed(moment(connection.checkedAt))}</p>
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
