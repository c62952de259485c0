<script lang="ts">
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import type { Answer } from '$api';
  import { brief as briefPath } from '$lib/frame/paths';

  let { left = $bindable() }: { left: Answer<'object'>['left'] } = $props();
</script>

<!-- Free text cannot be erased by itself: what is left to a person who has just erased somebody. -->
<Modal
  passiveModal
  size="sm"
  open={left.length > 0}
  modalHeading="Erased. Please check these places"
  on:close={() => (left = [])}
>
  <p>Every record was erased. These texts may still name the person; only you can tell what to remove.</p>
  <ul>
    {#each left as { what, brief, rows } (`${what} ${brief?.id ?? ''}`)}
      <li>
        {what}: {rows.toLocaleString('en')}{#if brief}&nbsp;in <a href={briefPath(brief.id, 'persona')}>{brief.name}</a
          >{/if}
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
