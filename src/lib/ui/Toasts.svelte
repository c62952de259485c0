<script lang="ts">
  import { toasts as say } from './words';
  import ToastNotification from 'carbon-components-svelte/src/Notification/ToastNotification.svelte';
  import { dismiss, toasts } from './toasts.svelte';

  /** Milliseconds until a toast closes; the pointer pauses it. */
  const stands = 7000;
</script>

<!-- What was done with its effect elsewhere, in the corner. -->
<div class="toasts" role="region" aria-label={say.notifications} hidden={!toasts.shown.length}>
  {#each toasts.shown as { id, text, link } (id)}
    <ToastNotification
      kind="success"
      title={text}
      lowContrast
      role="status"
      timeout={stands}
      pauseOnHover
      closeButtonDescription={say.dismiss}
      on:close={() => dismiss(id)}
    >
      {#if link}<a href={link.href} onclick={() => dismiss(id)}>{link.text}</a>{/if}
    </ToastNotification>
  {/each}
</div>

<style>
  .toasts {
    position: fixed;
    right: 20px;
    bottom: 16px;
    z-index: 8000;
    display: grid;
    gap: 8px;
  }
  .toasts[hidden] {
    display: none;
  }
  .toasts :global(.bx--toast-notification) {
    margin: 0;
    width: 320px;
    background: var(--paper);
    color: var(--ink);
    border: 1px solid var(--line);
    border-left: 3px solid var(--accent);
    box-shadow: 0 4px 14px rgb(0 0 0 / 18%);
  }
  .toasts :global(.bx--toast-notification__title),
  .toasts :global(.bx--toast-notification__subtitle) {
    color: var(--ink);
    margin-bottom: 4px;
  }
  .toasts :global(.bx--toast-notification__details) {
    margin: 10px 0 6px;
  }
</style>
