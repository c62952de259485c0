<script lang="ts">
  import type { Snippet } from 'svelte';
  import CarbonPopover from 'carbon-components-svelte/src/Popover/Popover.svelte';
  import Button from './Button.svelte';

  interface Props {
    /** The button's label. */
    title: string;
    children: Snippet;
  }
  let { title, children }: Props = $props();
  let open = $state(false);
  let button: HTMLButtonElement | null = $state(null);
  const close = () => {
    open = false;
    button?.focus();
  };
</script>

<!-- A button that opens a panel over the page. -->
<div
  class="popover"
  role="presentation"
  onkeydown={(event) => {
    if (!open || event.key !== 'Escape') return;
    event.stopPropagation();
    close();
  }}
>
  <Button bind:ref={button} aria-expanded={open} onclick={() => (open = !open)}>{title}</Button>
  {#if open}
    <CarbonPopover
      open
      align="bottom-left"
      closeOnOutsideClick
      on:close={() => (open = false)}
      role="group"
      aria-label={title}
    >
      {@render children()}
    </CarbonPopover>
  {/if}
</div>

<style>
  .popover {
    position: relative;
  }
  .popover :global(.bx--popover-contents) {
    max-height: 320px;
    padding: 10px 14px;
    overflow: auto;
    background: var(--sheet);
    border: 1px solid var(--line);
  }
</style>
