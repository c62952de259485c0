<script lang="ts">
  import type { Snippet } from 'svelte';
  import Popover from 'carbon-components-svelte/src/Popover/Popover.svelte';
  import Act from './Act.svelte';

  interface Props {
    /** What the button says. */
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

<!-- A button with some choices that lie over the page until they are made. -->
<div
  class="pop-out"
  role="presentation"
  onkeydown={(event) => {
    if (!open || event.key !== 'Escape') return;
    event.stopPropagation();
    close();
  }}
>
  <Act bind:ref={button} aria-expanded={open} onclick={() => (open = !open)}>{title}</Act>
  {#if open}
    <Popover
      open
      align="bottom-left"
      closeOnOutsideClick
      on:close={() => (open = false)}
      role="group"
      aria-label={title}
    >
      {@render children()}
    </Popover>
  {/if}
</div>

<style>
  .pop-out {
    position: relative;
  }
  .pop-out :global(.bx--popover-contents) {
    max-height: 320px;
    padding: 10px 14px;
    overflow: auto;
    background: var(--sheet);
    border: 1px solid var(--line);
  }
</style>
