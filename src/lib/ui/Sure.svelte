<script lang="ts">
  import type { Snippet } from 'svelte';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';

  interface Props {
    open: boolean;
    heading: string;
    /** What the button is called that does it, and the one that does not. */
    yes: string;
    no?: string;
    size?: 'xs' | 'sm';
    onyes: () => void;
    /** It was answered, either way, or closed. */
    onclose: () => void;
    /** What goes, and whether it can be had back. */
    children: Snippet;
  }
  let { open, heading, yes, no = 'Cancel', size = 'sm', onyes, onclose, children }: Props = $props();
</script>

<!-- Asks before something is done that cannot be undone. -->
<Modal
  danger
  {open}
  {size}
  modalHeading={heading}
  primaryButtonText={yes}
  secondaryButtonText={no}
  on:close={onclose}
  on:click:button--secondary={onclose}
  on:submit={() => {
    onyes();
    onclose();
  }}
>
  <p>{@render children()}</p>
</Modal>
