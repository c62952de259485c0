<script lang="ts">
  import { leftToSettle as say } from './words';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import type { Answer } from '$api';
  import { brief as briefPath } from '$lib/frame/paths';

  let { left = $bindable() }: { left: Answer<'object'>['left'] } = $props();
</script>

<!-- Free text can't be erased automatically: lists what to check after erasing somebody. -->
<Modal
  passiveModal
  size="sm"
  open={left.length > 0}
  modalHeading={say.erasedPleaseCheckThesePlaces}
  on:close={() => (left = [])}
>
  <p>{say.everyRecordWasErasedTheseTexts}</p>
  <ul>
    {#each left as { what, brief, rows } (`${what} ${brief?.id ?? ''}`)}
      <li>
        {what}: {rows.toLocaleString('en')}{#if brief}{say.inText}
          <a href={briefPath(brief.id, 'persona')}>{brief.name}</a>{/if}
      </li>
    {/each}
  </ul>
</Modal>

<style>
  ul {
    margin: 8px 0 0 18px;
    list-style: disc;
  }
</style>
