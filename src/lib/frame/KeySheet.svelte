<script lang="ts">
  import { keyScopes, keySheet as say, keyWords } from './words';
  import { keys, type KeyScope } from './keys';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';

  let { open = $bindable() }: { open: boolean } = $props();

  const places = Object.entries(keys) as [KeyScope, Record<string, { shown: string }>][];
  const does: Record<KeyScope, Record<string, string>> = keyWords;
</script>

<Modal passiveModal hasScrollingContent bind:open modalHeading={say.keyboardShortcuts} size="sm">
  {#each places as [place, list] (place)}
    <h2>{keyScopes[place]}</h2>
    <dl>
      {#each Object.entries(list) as [name, { shown }] (name)}
        <dt><kbd>{shown}</kbd></dt>
        <dd>{does[place][name]}</dd>
      {/each}
    </dl>
  {/each}
</Modal>

<style>
  dl {
    display: grid;
    grid-template-columns: 140px 1fr;
    gap: 6px 12px;
    margin: 8px 0 18px;
  }
</style>
