<script lang="ts">
  import type { Snippet } from 'svelte';
  import { confirmDialog as say } from './words';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';

  interface Props {
    open: boolean;
    heading: string;
    /** Labels of the two buttons. */
    confirm: string;
    cancel?: string;
    size?: 'xs' | 'sm';
    onconfirm: () => void;
    /** Called when it closes, on either answer. */
    onclose: () => void;
    /** What will be removed, and whether that can be undone. */
    children: Snippet;
  }
  let { open, heading, confirm, cancel = say.cancel, size = 'sm', onconfirm, onclose, children }: Props = $props();
</script>

<!-- Asks for confirmation before something that can't be undone. -->
<Modal
  danger
  {open}
  {size}
  modalHeading={heading}
  primaryButtonText={confirm}
  secondaryButtonText={cancel}
  on:close={onclose}
  on:click:button--secondary={onclose}
  on:submit={() => {
    onconfirm();
    onclose();
  }}
>
  <p>{@render children()}</p>
</Modal>
